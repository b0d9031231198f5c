<?php

declare(strict_types=1);

namespace App\Http\Requests\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** The number of something that is kept, or null for none. Laravel's own integer rule lets an empty text and "7" pass. */
final class IdOrNull implements ValidationRule
{
    public bool $implicit = true;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if ($value !== null && ! is_int($value)) {
            $fail('This must be a number, or null.');
        }
    }
}
