<?php

declare(strict_types=1);

namespace Almanac\Addresses;

use Almanac\Calendar\Day;
use Almanac\Records\Period;

/** An address in use for something during a period. */
final readonly class DatedUse
{
    /** @param  list<AddressUse>  $uses */
    public function __construct(
        public int $id,
        public array $uses,
        public Period $period,
        public bool $isPrimary,
    ) {
    }

    /**
     * The one that serves a use on a day: set for the use, else postal, else the primary, else any
     * in force. Within each the primary goes first, then the latest to begin.
     *
     * @param list<self> $all
     */
    public static function inForce(array $all, AddressUse $use, Day $day): ?self
    {
        $inForce = array_values(array_filter($all, fn (self $one) => $one->period->includes($day)));
        usort(
            $inForce,
            fn (self $a, self $b) => [$b->rank($use), $b->period->since->number ?? 0] <=> [$a->rank($use), $a->period->since->number ?? 0],
        );

        return $inForce[0] ?? null;
    }

    private function rank(AddressUse $use): int
    {
        return (in_array($use, $this->uses, true) ? 4 : 0)
            + (in_array(AddressUse::Postal, $this->uses, true) ? 2 : 0)
            + ($this->isPrimary ? 1 : 0);
    }
}
