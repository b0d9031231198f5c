<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Money\TypedNumber;
use Brick\Math\BigDecimal;

/** Around a place: "20 miles of 05301". */
final readonly class Near
{
    /** Kilometres in one, and how it is written (the international mile of 1959, NIST SP 811). */
    private const UNITS = ['miles' => 1.609344, 'km' => 1.0];

    private const MOST = 20000;

    /** @param  string  $centre  as it is called, such as a ZIP code */
    private function __construct(public BigDecimal $distance, public string $unit, public string $centre, public Point $point)
    {
    }

    /** @throws ConditionRefused when the distance is nothing, or more than there is on earth */
    public static function of(BigDecimal $distance, string $unit, string $centre, Point $point): self
    {
        return isset(self::UNITS[$unit]) && $distance->isGreaterThan(0) && $distance->isLessThanOrEqualTo(self::MOST)
            ? new self($distance->stripTrailingZeros(), $unit, $centre, $point)
            : throw ConditionRefused::noDistance(self::MOST);
    }

    /**
     * @param \Closure(string): ?Point $find where a place is, by its ZIP code
     *
     * @throws \Almanac\Refusal when it is no distance from a place, or the place is not known
     */
    public static function read(string $text, \Closure $find): self
    {
        if (preg_match('/^([\d.,]{1,12}) ?(mi|miles?|km|kilomet(?:re|er)s?) (?:of|from|around) (.{1,40})$/ui', trim($text), $part) !== 1) {
            throw ConditionRefused::noDistance(self::MOST);
        }
        $point = $find(trim($part[3])) ?? throw ConditionRefused::unknownPlace(trim($part[3]));

        return self::of(TypedNumber::read($part[1])->alone(), mb_strtolower($part[2])[0] === 'm' ? 'miles' : 'km', trim($part[3]), $point);
    }

    public function holds(Point $point): bool
    {
        return $this->point->distanceTo($point) <= $this->kilometres();
    }

    public function kilometres(): float
    {
        return $this->distance->toFloat() * self::UNITS[$this->unit];
    }

    public function toText(): string
    {
        return "$this->distance $this->unit of $this->centre";
    }
}
