<?php

declare(strict_types=1);

namespace App\Http\Requests\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A list, which may be empty. Laravel's own array rule lets an empty text pass. */
final class ItemList implements ValidationRule
{
    public bool $implicit = true;

    public function __construct(private readonly bool $orNull = false)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $isList = is_array($value) && array_is_list($value);
        if (! $isList && ! ($this->orNull && $value === null)) {
            $fail('This must be a list.');
        }
    }
}
