<?php

declare(strict_types=1);

namespace Almanac\Cautions;

use Almanac\Titled;

/** For what use of the record a caution is shown. */
enum CautionUse: string implements Titled
{
    case Any = 'any';
    case Billing = 'billing';
    case Paying = 'paying';
    case Writing = 'writing';

    public function title(): string
    {
        return match ($this) {
            self::Any => 'any use',
            default => 'when '.$this->value,
        };
    }
}
