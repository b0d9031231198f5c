<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** What has become of two records that look alike. */
enum PairState: string
{
    case Open = 'open';

    /** Put off by somebody: it stands last. */
    case Later = 'later';

    /** Two records, and rightly so. */
    case Different = 'different';

    public function isToSettle(): bool
    {
        return $this === self::Open || $this === self::Later;
    }
}
