<?php

declare(strict_types=1);

namespace Almanac\Engagements;

use Almanac\Titled;

/** What one case or project is to another. */
enum EngagementLink: string implements Titled
{
    case PartOf = 'part-of';
    case HasPart = 'has-part';
    case Follows = 'follows';
    case FollowedBy = 'followed-by';

    /** Another claim for the same fire, flood or fall. */
    case SameLoss = 'same-loss';

    public function title(): string
    {
        return str_replace('-', ' ', $this->value);
    }

    /** The same link, told from the other end. */
    public function inverse(): self
    {
        return match ($this) {
            self::PartOf => self::HasPart,
            self::HasPart => self::PartOf,
            self::Follows => self::FollowedBy,
            self::FollowedBy => self::Follows,
            self::SameLoss => self::SameLoss,
        };
    }

    /** Whether it leads on in one direction, so that nobody may come back to where they began. */
    public function mayNotTurnBack(): bool
    {
        return $this !== self::SameLoss;
    }

    /**
     * @param int $from that is linked
     * @param int $to what it is linked to
     * @param \Closure(int): list<int> $onward what has that link from one already
     *
     * @throws EngagementRefused when it is linked to itself, or would be by way of others
     */
    public function mustNotTurnBack(int $from, int $to, \Closure $onward): void
    {
        if ($from === $to) {
            throw EngagementRefused::linkedToItself();
        }
        $seen = [];
        $next = $this->mayNotTurnBack() ? [$to] : [];
        while ($next !== []) {
            $at = array_pop($next);
            if ($at === $from) {
                throw EngagementRefused::linkedInACircle($this->title());
            }
            if (! isset($seen[$at])) {
                $seen[$at] = true;
                array_push($next, ...$onward($at));
            }
        }
    }
}
