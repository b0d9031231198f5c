<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** A rectangle on the map, between two latitudes and two longitudes: "42.8N 72.7W to 43.1N 72.4W". One may reach over the date line. */
final readonly class Box
{
    /** Of a degree: some ten metres, which is nearer than a ZIP code. */
    private const DECIMALS = 4;

    private const CORNER = '(\d{1,2}(?:\.\d{1,10})?) ?([NS]) ?(\d{1,3}(?:\.\d{1,10})?) ?([EW])';

    private function __construct(public Point $southWest, public Point $northEast)
    {
    }

    /** @throws ConditionRefused when nothing lies in it */
    public static function of(Point $southWest, Point $northEast): self
    {
        [$southWest, $northEast] = [self::rounded($southWest), self::rounded($northEast)];

        return $southWest->latitude < $northEast->latitude && $southWest->longitude !== $northEast->longitude
            ? new self($southWest, $northEast)
            : throw ConditionRefused::noBox();
    }

    /** @throws ConditionRefused when it is no rectangle */
    public static function read(string $text): self
    {
        if (preg_match('/^'.self::CORNER.' to '.self::CORNER.'$/ui', trim($text), $part) !== 1) {
            throw ConditionRefused::noBox();
        }
        $degrees = fn (int $at) => (float) $part[$at] * (in_array(mb_strtoupper($part[$at + 1]), ['S', 'W'], true) ? -1 : 1);

        return self::of(Point::of($degrees(1), $degrees(3)), Point::of($degrees(5), $degrees(7)));
    }

    public function holds(Point $point): bool
    {
        [$west, $east] = [$this->southWest->longitude, $this->northEast->longitude];
        $isBeside = $west < $east
            ? $point->longitude >= $west && $point->longitude <= $east
            : $point->longitude >= $west || $point->longitude <= $east;

        return $isBeside && $point->latitude >= $this->southWest->latitude && $point->latitude <= $this->northEast->latitude;
    }

    public function toText(): string
    {
        return self::corner($this->southWest).' to '.self::corner($this->northEast);
    }

    private static function corner(Point $point): string
    {
        $written = fn (float $degrees, string $positive, string $negative) => round(abs($degrees), self::DECIMALS).($degrees < 0 ? $negative : $positive);

        return $written($point->latitude, 'N', 'S').' '.$written($point->longitude, 'E', 'W');
    }

    private static function rounded(Point $point): Point
    {
        return Point::of(round($point->latitude, self::DECIMALS), round($point->longitude, self::DECIMALS));
    }
}
