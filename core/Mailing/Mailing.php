<?php

declare(strict_types=1);

namespace Almanac\Mailing;

/**
 * Who of a list gets an envelope or a label: couples who are written to together get one, a household gets one when that is
 * asked, and who cannot be written to gets none and is told. Common practice, no published source.
 */
final readonly class Mailing
{
    /** More names than that on one envelope, and it is the household's. */
    private const NAMES = 2;

    /**
     * @param list<list<string>> $envelopes the lines of each
     * @param list<Addressee> $leftOut who cannot be written to
     */
    private function __construct(public array $envelopes, public array $leftOut)
    {
    }

    /** @param  iterable<Addressee>  $addressees  in the order of the list */
    public static function to(iterable $addressees, bool $onceAHousehold): self
    {
        $groups = [];
        $leftOut = [];
        foreach ($addressees as $one) {
            if ($one->lines === []) {
                $leftOut[] = $one;

                continue;
            }
            $key = match (true) {
                $onceAHousehold && $one->place !== '' && $one->person !== '' => "place $one->place",
                $one->togetherWith !== null => 'couple '.min($one->id, $one->togetherWith).' '.max($one->id, $one->togetherWith),
                default => "one $one->id",
            };
            $groups[$key][] = $one;
        }

        return new self(array_map(self::envelope(...), array_values($groups)), $leftOut);
    }

    /**
     * @param non-empty-list<Addressee> $group
     *
     * @return list<string>
     */
    private static function envelope(array $group): array
    {
        $first = $group[0];
        $isCouple = count($group) === 2 && $first->togetherWith === $group[1]->id;
        if (count($group) === 1 || $isCouple) {
            return $first->lines;
        }
        $families = array_unique(array_map(fn (Addressee $one) => $one->family, $group));
        $names = match (true) {
            count($families) === 1 && $first->family !== '' => ["The $first->family household"],
            count($group) <= self::NAMES => array_map(fn (Addressee $one) => $one->person, $group),
            default => [implode(' and ', array_slice($families, 0, 2)).' household'],
        };

        return [...$names, ...array_slice($first->lines, self::namesIn($first))];
    }

    /** How many lines of an envelope are names: one, or two of a couple. */
    private static function namesIn(Addressee $one): int
    {
        return $one->togetherWith !== null && str_ends_with($one->lines[0], ' and') ? 2 : 1;
    }
}
