<?php

declare(strict_types=1);

namespace App\Http\Requests\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A list, which may be empty. Laravel's own array rule lets an empty text pass. */
final class ItemList implements ValidationRule
{
    public bool $implicit = true;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_array($value) || ! array_is_list($value)) {
            $fail('This must be a list.');
        }
    }
}
