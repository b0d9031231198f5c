<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

/** The parts of a name, whatever the kind of party; the core decides what it needs. */
final class NameRules
{
    public const RULES = [
        'prefix' => ['sometimes', 'string', 'max:1000'],
        'given' => ['sometimes', 'string', 'max:1000'],
        'middle' => ['sometimes', 'string', 'max:1000'],
        'family' => ['sometimes', 'string', 'max:1000'],
        'suffix' => ['sometimes', 'string', 'max:1000'],
        'preferred' => ['sometimes', 'string', 'max:1000'],
        'pronouns' => ['sometimes', 'string', 'max:1000'],
        'postNominals' => ['sometimes', 'string', 'max:1000'],
        'name' => ['sometimes', 'string', 'max:1000'],
        'legal' => ['sometimes', 'string', 'max:1000'],
    ];
}
