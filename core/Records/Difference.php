<?php

declare(strict_types=1);

namespace Almanac\Records;

/** One thing that differs between two states of a section, in words for the change log, by the key of its fact. */
final readonly class Difference
{
    private function __construct(public string $key, public string $label, public string $from, public string $to)
    {
    }

    /**
     * @param array<string, LoggedFact> $before by a key that stays the same while the value changes
     * @param array<string, LoggedFact> $after
     *
     * @return list<self> in the order of the facts; '' stands for a value that is not there
     */
    public static function between(array $before, array $after): array
    {
        $differences = [];
        foreach (array_keys($before + $after) as $key) {
            $from = ($before[$key] ?? null)->value ?? '';
            $to = isset($after[$key]) ? $after[$key]->after($before[$key] ?? null) : '';
            if ($from !== $to) {
                $differences[] = new self($key, ($after[$key] ?? $before[$key])->label, $from, $to);
            }
        }

        return $differences;
    }
}
