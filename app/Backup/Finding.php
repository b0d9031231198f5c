<?php

declare(strict_types=1);

namespace App\Backup;

/** Something that a check found wrong. */
final readonly class Finding
{
    /** @param  bool  $isDerived  whether it is computed from the rest, and so can be repaired */
    public function __construct(public string $sentence, public bool $isDerived = false)
    {
    }
}
