<?php

declare(strict_types=1);

namespace Almanac\Reach;

/** One primary of each kind: where none is marked the first is promoted, where several are the first marked stays. */
final class Primaries
{
    /**
     * @template K of array-key
     *
     * @param array<K, array{string, bool}> $marked kind and whether it is marked primary, in order
     *
     * @return array<K, bool> whether each is primary now
     */
    public static function settle(array $marked): array
    {
        $chosen = [];
        foreach ($marked as $key => [$kind, $isPrimary]) {
            if ($isPrimary) {
                $chosen[$kind] ??= $key;
            }
        }
        foreach ($marked as $key => [$kind]) {
            $chosen[$kind] ??= $key;
        }

        $settled = [];
        foreach ($marked as $key => [$kind]) {
            $settled[$key] = $chosen[$kind] === $key;
        }

        return $settled;
    }
}
