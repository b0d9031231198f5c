<?php

declare(strict_types=1);

namespace Almanac\Records;

/** One thing that a section said on one day, beside what it said on another, each in the words of its day. */
final readonly class ComparedFact
{
    private function __construct(public string $key, public string $label, public string $then, public string $other)
    {
    }

    /**
     * @param array<string, LoggedFact> $then by a key that stays the same while the value changes
     * @param array<string, LoggedFact> $other
     *
     * @return list<self> in the order of the first day, and after them what was there on the other alone; '' stands for
     *                    what was not there, and what says nothing on either day is left out
     */
    public static function between(array $then, array $other): array
    {
        $compared = [];
        foreach ($then + $other as $key => $fact) {
            $said = $then[$key] ?? null;
            $one = new self($key, $fact->label, $said->value ?? '', isset($other[$key]) ? $other[$key]->after($said) : '');
            if ($one->then !== '' || $one->other !== '') {
                $compared[] = $one;
            }
        }

        return $compared;
    }

    public function isDifferent(): bool
    {
        return $this->then !== $this->other;
    }
}
