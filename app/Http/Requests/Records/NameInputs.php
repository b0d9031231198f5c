<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Shapes\Input;

/** The parts of a name, whatever the kind of party; the core decides what it needs. */
final class NameInputs
{
    /** @return array<string, Input> */
    public static function all(): array
    {
        return [
            'prefix' => Input::text()->optional(),
            'given' => Input::text()->optional(),
            'middle' => Input::text()->optional(),
            'family' => Input::text()->optional(),
            'suffix' => Input::text()->optional(),
            'preferred' => Input::text()->optional(),
            'pronouns' => Input::text()->optional(),
            'postNominals' => Input::text()->optional(),
            'name' => Input::text()->optional()->says('Of a company.'),
            'legal' => Input::text()->optional()->says('Of a company.'),
        ];
    }
}
