<?php

declare(strict_types=1);

namespace App\Http\Requests\Rules;

use Almanac\Access\Password;
use Almanac\Access\PasswordRefused;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password that is worth having, for somebody of that email and name. */
final readonly class GoodPassword implements ValidationRule
{
    /** @param  list<string>  $own */
    public function __construct(private array $own)
    {
    }

    public function validate(string $attribute, #[\SensitiveParameter] mixed $value, Closure $fail): void
    {
        try {
            Password::mustBeGood(is_string($value) ? $value : '', $this->own);
        } catch (PasswordRefused $refused) {
            $fail($refused->getMessage());
        }
    }
}
