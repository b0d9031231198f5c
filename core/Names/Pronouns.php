<?php

declare(strict_types=1);

namespace Almanac\Names;

/** Pronouns follow from what stands before a name as a suggestion at most. */
final class Pronouns
{
    public const USUAL = ['she/her', 'he/him', 'they/them'];

    /** Null where nothing can be told: Dr., Prof., Rev., Mx. or none. */
    public static function suggestedBy(string $prefix): ?string
    {
        return match (mb_strtolower(rtrim(trim($prefix), '.'))) {
            'mr', 'herr' => 'he/him',
            'mrs', 'ms', 'miss', 'frau' => 'she/her',
            default => null,
        };
    }
}
