<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** Where what a line says of several of a kind comes to stand among those that a record has. */
final class Places
{
    /**
     * Each that is there already stays where it is; the others take the places of those of their kind that the line does not
     * name, one each, and come beside them when no more are left.
     *
     * @template T
     *
     * @param list<T> $kept
     * @param list<T> $read
     * @param \Closure(T): string $kind
     * @param \Closure(T): string $value
     *
     * @return list<int|null> of each that was read; null where it comes beside them
     */
    public static function of(array $kept, array $read, \Closure $kind, \Closure $value): array
    {
        $form = fn (mixed $one): string => $kind($one)."\n".$value($one);
        $there = array_flip(array_reverse(array_map($form, $kept), true));
        $places = array_map(fn (mixed $one) => $there[$form($one)] ?? null, $read);
        $free = array_diff_key($kept, array_flip(array_filter($places, is_int(...))));
        foreach ($read as $at => $one) {
            $place = $places[$at] === null ? array_key_first(array_filter($free, fn (mixed $other) => $kind($other) === $kind($one))) : null;
            if ($place !== null) {
                $places[$at] = $place;
                unset($free[$place]);
            }
        }

        return $places;
    }
}
