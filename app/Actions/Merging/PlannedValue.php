<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\Decisions;
use Almanac\Merging\Offer;
use Almanac\Merging\Proposal;
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
    private function __construct(
        public string $part,
        public string $title,
        public array $offers,
        public Offer $chosen,
        public Offer $proposed,
        public Why $why,
    ) {
    }

    /**
     * @param non-empty-list<Offer> $offers that of the record that stays first
     * @param bool $isName whether the fuller is the better one
     */
    public static function of(string $part, string $title, array $offers, bool $isName, Decisions $decisions): self
    {
        $proposal = Proposal::of($offers, $isName);
        $chosen = $proposal->offer;
        foreach ($offers as $offer) {
            if ($offer->partyId === ($decisions->chosen[$part] ?? 0)) {
                $chosen = $offer;
            }
        }

        return new self($part, $title, $offers, $chosen, $proposal->offer, $proposal->why);
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
