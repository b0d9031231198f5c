<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Box;
use Almanac\Lists\Condition;
use Almanac\Lists\Near;
use Almanac\Lists\Operator;

/** Where a record lies, in the row itself. */
final class Around implements Source
{
    /** Kilometres in a degree of latitude, a little less than the least there is. */
    private const DEGREE = 110.0;

    public function asks(Condition $condition, Day $today): Asked
    {
        $near = ($condition->operands[0] ?? null)?->held;
        if ($near instanceof Box) {
            return self::inside($near);
        }
        if (! $near instanceof Near) {
            return new Asked('v.latitude '.($condition->operator === Operator::Has ? 'is not null' : 'is null'));
        }
        $distance = $near->kilometres();
        $centre = $near->point;

        // The belt first: few are left of whom the distance is worked out.
        return new Asked(sprintf(
            '(v.latitude between %.6F and %.6F and kilometres(v.latitude, v.longitude, %.6F, %.6F) <= %.6F)',
            $centre->latitude - $distance / self::DEGREE,
            $centre->latitude + $distance / self::DEGREE,
            $centre->latitude,
            $centre->longitude,
            $distance,
        ));
    }

    private static function inside(Box $box): Asked
    {
        [$west, $east] = [$box->southWest->longitude, $box->northEast->longitude];

        // Sixteen figures: the number that PHP compares.
        return new Asked(sprintf(
            '(v.latitude between %.16G and %.16G and '.($west < $east ? 'v.longitude between %.16G and %.16G)' : '(v.longitude >= %.16G or v.longitude <= %.16G))'),
            $box->southWest->latitude,
            $box->northEast->latitude,
            $west,
            $east,
        ));
    }

    public function grouped(string $alias, Day $today): array
    {
        return ['', 'null'];
    }

    public function order(): string
    {
        return '';
    }
}
