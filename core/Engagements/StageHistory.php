<?php

declare(strict_types=1);

namespace Almanac\Engagements;

use Almanac\Calendar\Day;

/**
 * How a case or a project came to where it stands. The day on which it moves counts to the stage that it comes into
 * (common practice, no published source); in a closed stage no days are counted.
 */
final readonly class StageHistory
{
    /** @param  non-empty-list<StageMove>  $moves the earliest first */
    private function __construct(public array $moves)
    {
    }

    public static function begun(Stage $stage, Day $on): self
    {
        return new self([StageMove::of($stage, $on)]);
    }

    /**
     * @param non-empty-list<StageMove> $moves in the order in which they were made
     *
     * @throws EngagementRefused when one is dated before the one it follows
     */
    public static function of(array $moves): self
    {
        $history = new self([array_shift($moves)]);
        foreach ($moves as $move) {
            $history = $history->moved($move->stage, $move->on);
        }

        return $history;
    }

    /** @throws EngagementRefused when it is there already, or came to where it stands on a later day */
    public function moved(Stage $stage, Day $on): self
    {
        if ($stage->id === $this->stage()->id) {
            throw EngagementRefused::thereAlready($stage->name);
        }
        if ($on->isBefore($this->since())) {
            throw EngagementRefused::movedBefore($this->stage()->name, $this->since()->toText());
        }

        return new self([...$this->moves, StageMove::of($stage, $on)]);
    }

    public function stage(): Stage
    {
        return $this->last()->stage;
    }

    public function since(): Day
    {
        return $this->last()->on;
    }

    /** How it had come to where it stood when a day was over; null on a day before it began. */
    public function on(Day $day): ?StageMove
    {
        $standing = null;
        foreach ($this->moves as $move) {
            if (! $move->on->isAfter($day)) {
                $standing = $move;
            }
        }

        return $standing;
    }

    /** Days since it came to where it stands; 0 where it is closed. */
    public function standing(Day $today): int
    {
        return $this->stage()->kind->isLive() ? max(0, $this->since()->daysUntil($today)) : 0;
    }

    /** Whether it has stood there for longer than the firm wants it to. */
    public function standsTooLong(Day $today): bool
    {
        return $this->stage()->mostDays !== null && $this->standing($today) > $this->stage()->mostDays;
    }

    /**
     * How many days it has been in each stage, all in all.
     *
     * @return array<int, int> by the number of the stage, in the order in which they were first come to; closed ones left out
     */
    public function days(Day $today): array
    {
        $days = [];
        foreach ($this->stays($today) as $at => $stay) {
            if ($stay !== null) {
                $id = $this->moves[$at]->stage->id;
                $days[$id] = ($days[$id] ?? 0) + $stay;
            }
        }

        return $days;
    }

    /** @return list<int|null> for how many days it stayed after each move; null in a closed stage */
    public function stays(Day $today): array
    {
        return array_map(
            fn (StageMove $move, int $at) => $move->stage->kind->isLive()
                ? max(0, $move->on->daysUntil($this->moves[$at + 1]->on ?? $today))
                : null,
            $this->moves,
            array_keys($this->moves),
        );
    }

    private function last(): StageMove
    {
        return $this->moves[count($this->moves) - 1];
    }
}
