<?php

declare(strict_types=1);

namespace Almanac\Banking;

use Almanac\Titled;

/** How far bank details have come. */
enum BankState: string implements Titled
{
    case OnHold = 'on-hold';
    case Confirmed = 'confirmed';

    /** In force, until a second person agrees to their end. */
    case Ending = 'ending';
    case Ended = 'ended';
    case Refused = 'refused';
    case Replaced = 'replaced';

    public function title(): string
    {
        return match ($this) {
            self::OnHold => 'on hold',
            self::Ending => 'to be ended',
            default => $this->value,
        };
    }
}
