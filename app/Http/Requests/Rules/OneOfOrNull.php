<?php

declare(strict_types=1);

namespace App\Http\Requests\Rules;

use BackedEnum;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** One of a list, or null for none. Laravel's own rule lets an empty text pass. */
final class OneOfOrNull implements ValidationRule
{
    public bool $implicit = true;

    /** @param  class-string<BackedEnum>  $of */
    public function __construct(private readonly string $of)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if ($value !== null && (! is_string($value) || $this->of::tryFrom($value) === null)) {
            $fail('Choose one of the list, or none.');
        }
    }
}
