<?php

declare(strict_types=1);

namespace Almanac\Merging;

/** Why a value is proposed for the record that several become. */
enum Why: string
{
    case AllSaySo = 'all-say-so';
    case OnlyOne = 'only-one';
    case Fuller = 'fuller';
    case Confirmed = 'confirmed';
    case Changed = 'changed';
    case Stays = 'stays';

    /** @param  string  $when  the day of it, for reading; may be empty */
    public function words(string $when): string
    {
        return match ($this) {
            self::AllSaySo => 'both say so',
            self::OnlyOne => 'only one says anything',
            self::Fuller => 'the fuller name',
            self::Confirmed => $when === '' ? 'confirmed' : "confirmed last, on $when",
            self::Changed => $when === '' ? 'changed last' : "changed last, on $when",
            self::Stays => 'of the record that stays',
        };
    }
}
