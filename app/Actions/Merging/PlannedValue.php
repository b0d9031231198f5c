<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\Offer;
use Almanac\Merging\Why;

/** A single value of the record that several become. */
final readonly class PlannedValue
{
    /**
     * @param string $part its section and key: "identity/given"
     * @param list<Offer> $offers that of the record that stays first
     * @param Offer $chosen the one that is taken
     * @param Offer $proposed the one that is proposed, and why
     */
    public function __construct(
        public string $part,
        public string $title,
        public array $offers,
        public Offer $chosen,
        public Offer $proposed,
        public Why $why,
    ) {
    }

    /** Whether somebody could choose otherwise. */
    public function isOpen(): bool
    {
        return array_filter($this->offers, fn (Offer $one) => $one->value !== $this->offers[0]->value) !== [];
    }

    public function isEmpty(): bool
    {
        return array_filter($this->offers, fn (Offer $one) => ! $one->isEmpty) === [];
    }
}
