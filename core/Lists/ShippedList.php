<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Titled;

/** The lists that are there before anybody has kept one. */
enum ShippedList: string implements Titled
{
    case LatelyUsed = 'lately-used';
    case AddedThisWeek = 'added-this-week';
    case WithoutAnEmail = 'without-an-email';
    case OverTheLimit = 'over-the-limit';
    case Archived = 'archived';

    public function title(): string
    {
        return match ($this) {
            self::LatelyUsed => 'Lately used',
            self::AddedThisWeek => 'Added this week',
            self::WithoutAnEmail => 'Without an email',
            self::OverTheLimit => 'Over the limit',
            self::Archived => 'Archived',
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::LatelyUsed => 'opened last 30 days',
            self::AddedThisWeek => 'added this week',
            self::WithoutAnEmail => 'without an email',
            self::OverTheLimit => 'over the limit',
            self::Archived => 'archived',
        };
    }

    /** By which fields it is sorted: the keys of the register, with commas between them. */
    public function sort(): string
    {
        return match ($this) {
            self::LatelyUsed => 'opened',
            self::AddedThisWeek => 'added',
            self::OverTheLimit => '-left',
            self::Archived => 'archived-on',
            self::WithoutAnEmail => '',
        };
    }
}
