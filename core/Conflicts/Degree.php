<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

use Almanac\Titled;

/** How much stands in the way of acting for or against somebody, the least first. */
enum Degree: string implements Titled
{
    /** Nobody in the book, as far as it can be told by the name. */
    case Unknown = 'unknown';

    /** In the book, and never on the other side. */
    case Known = 'known';

    /** Tied to somebody on the other side, but not closely. */
    case Near = 'near';

    /** On the other side, themselves or by a close tie. */
    case Opposes = 'opposes';

    public function title(): string
    {
        return match ($this) {
            self::Unknown => 'nobody in the book',
            self::Known => 'in the book',
            self::Near => 'near the other side',
            self::Opposes => 'on the other side',
        };
    }

    /** Whether somebody has to decide about it before the firm goes on. */
    public function isToBeDecided(): bool
    {
        return in_array($this, self::toBeDecided(), true);
    }

    /** @return list<self> */
    public static function toBeDecided(): array
    {
        return [self::Near, self::Opposes];
    }

    public function weight(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    /** @param  list<self>  $degrees */
    public static function greatest(array $degrees): self
    {
        return array_reduce(
            $degrees,
            fn (self $most, self $one) => $one->weight() > $most->weight() ? $one : $most,
            self::Unknown,
        );
    }
}
