<?php

declare(strict_types=1);

namespace App\Facts\Records;

use Almanac\Lists\Point;

/** Where the ZIP codes of the United States lie, by the table that ships with the application. */
final class ZipPlaces
{
    /** @return Point|null null where it is none, or not in the table */
    public static function find(string $postcode): ?Point
    {
        if (preg_match('/^(\d{2})\d{3}(?:-\d{4})?$/D', trim($postcode), $part) !== 1) {
            return null;
        }
        $zip = substr(trim($postcode), 0, 5);
        foreach (self::lines($part[1]) as $line) {
            if (str_starts_with($line, "$zip ")) {
                [, $latitude, $longitude] = explode(' ', $line, 4);

                return Point::of((float) $latitude, (float) $longitude);
            }
        }

        return null;
    }

    /** @return list<string> "05301 42.8574 -72.5933 VT Brattleboro" */
    private static function lines(string $beginning): array
    {
        return once(function () use ($beginning): array {
            $file = config()->string('almanac.zips')."/$beginning.txt";

            return is_file($file) ? (file($file, FILE_IGNORE_NEW_LINES) ?: []) : [];
        });
    }
}
