<?php

declare(strict_types=1);

namespace Almanac\Engagements;

/** A part that people and companies have in cases or projects of a kind, in the firm's own words. */
final readonly class EngagementRole
{
    private const MOST = 99;

    private function __construct(public int $id, public string $name, public int $least, public ?int $most)
    {
    }

    /**
     * @param int $least how many it needs
     * @param int|null $most how many it may have; null for any number
     *
     * @throws EngagementRefused when it needs more than it may have
     */
    public static function of(int $id, string $name, int $least = 0, ?int $most = null): self
    {
        if ($least < 0 || $least > self::MOST || ($most !== null && ($most < max(1, $least) || $most > self::MOST))) {
            throw EngagementRefused::noSuchNumber($name, self::MOST);
        }

        return new self($id, $name, $least, $most);
    }

    /** What is to be done about it where so many have it; empty where that is in order. */
    public function todo(int $have): string
    {
        $many = fn (int $count) => $count === 1 ? 'one' : (string) $count;

        return match (true) {
            $have < $this->least => $this->least === 1
                ? "Add the $this->name."
                : "Add {$many($this->least - $have)} more in the role $this->name: it needs $this->least.",
            $this->most !== null && $have > $this->most => $this->most === 1
                ? "Only one may be the $this->name: end or remove {$many($have - 1)}."
                : "Only $this->most may be in the role $this->name: end or remove {$many($have - $this->most)}.",
            default => '',
        };
    }
}
