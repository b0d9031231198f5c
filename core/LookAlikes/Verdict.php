<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** What two records are to each other, as far as the program can tell. */
enum Verdict: string
{
    /** Nearly always right. */
    case Same = 'same';

    /** For eyes. */
    case Perhaps = 'perhaps';

    case Different = 'different';

    public function atMost(self $other): self
    {
        return match (true) {
            $this === self::Different || $other === self::Different => self::Different,
            $this === self::Perhaps || $other === self::Perhaps => self::Perhaps,
            default => self::Same,
        };
    }
}
