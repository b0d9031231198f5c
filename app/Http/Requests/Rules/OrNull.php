<?php

declare(strict_types=1);

namespace App\Http\Requests\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A number, or yes or no; or null for none. Laravel's own rules let an empty text pass. */
final class OrNull implements ValidationRule
{
    public bool $implicit = true;

    /** @param  'bool'|'int'  $type */
    public function __construct(private readonly string $type)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if ($value !== null && get_debug_type($value) !== $this->type) {
            $fail($this->type === 'int' ? 'This must be a number, or null.' : 'This must be true, false or null.');
        }
    }
}
