<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Finding\Fold;

/** To whom something belongs that came while two records were one. */
final class Belonging
{
    /**
     * By the name that a document was written with: the record that was called so; where none or several were, the one
     * that stayed.
     *
     * @param array<int, list<string>> $names what each record was called, by its number; the one that stayed first
     */
    public static function byName(string $name, array $names): int
    {
        $name = Fold::text($name);
        $called = array_keys(array_filter($names, fn (array $its) => in_array($name, array_map(Fold::text(...), $its), true)));

        return count($called) === 1 ? $called[0] : (array_key_first($names) ?? 0);
    }
}
