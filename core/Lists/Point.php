<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** A point on the earth, in degrees: north and east are positive (WGS 84, ISO 6709). */
final readonly class Point
{
    /** Mean radius of the earth in kilometres (IUGG). */
    public const RADIUS = 6371.0088;

    private function __construct(public float $latitude, public float $longitude)
    {
    }

    /** @throws ConditionRefused when it is not on the earth */
    public static function of(float $latitude, float $longitude): self
    {
        return abs($latitude) <= 90 && abs($longitude) <= 180 ? new self($latitude, $longitude) : throw ConditionRefused::notOnEarth();
    }

    /**
     * Kilometres along a great circle, as the crow flies.
     *
     * Source: the haversine formula, R. W. Sinnott, "Virtues of the Haversine", Sky & Telescope 68 (1984), p. 159 (from memory).
     */
    public function distanceTo(self $other): float
    {
        $halfUp = deg2rad($other->latitude - $this->latitude) / 2;
        $halfAcross = deg2rad($other->longitude - $this->longitude) / 2;
        $chord = sin($halfUp) ** 2 + cos(deg2rad($this->latitude)) * cos(deg2rad($other->latitude)) * sin($halfAcross) ** 2;

        return 2 * self::RADIUS * asin(min(1.0, sqrt($chord)));
    }
}
