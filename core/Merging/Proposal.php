<?php

declare(strict_types=1);

namespace Almanac\Merging;

/**
 * Which of several values the record that several become has, and why: what was confirmed last, then what was changed
 * last, by the change log; of names the fuller. Common practice, no published source.
 */
final readonly class Proposal
{
    private function __construct(public Offer $offer, public Why $why)
    {
    }

    /**
     * @param non-empty-list<Offer> $offers that of the record that stays first
     * @param bool $isName whether the fuller is the better one
     */
    public static function of(array $offers, bool $isName = false): self
    {
        $said = array_values(array_filter($offers, fn (Offer $one) => ! $one->isEmpty));
        if ($said === []) {
            return new self($offers[0], Why::AllSaySo);
        }
        if (array_filter($said, fn (Offer $one) => $one->value !== $said[0]->value) === []) {
            return new self($said[0], count($said) === count($offers) ? Why::AllSaySo : Why::OnlyOne);
        }
        $confirmed = self::latest(array_values(array_filter($said, fn (Offer $one) => $one->isConfirmed)));
        if ($confirmed !== null) {
            return new self($confirmed, Why::Confirmed);
        }
        $fuller = $isName ? self::fullest($said) : null;
        if ($fuller !== null) {
            return new self($fuller, Why::Fuller);
        }
        $changed = self::latest(array_values(array_filter($said, fn (Offer $one) => $one->changed !== null)));

        return $changed === null ? new self($said[0], Why::Stays) : new self($changed, Why::Changed);
    }

    /** @param  list<Offer>  $offers */
    private static function latest(array $offers): ?Offer
    {
        $latest = null;
        foreach ($offers as $one) {
            $latest = $latest === null || ($one->changed ?? 0) > ($latest->changed ?? 0) ? $one : $latest;
        }

        return $latest;
    }

    /**
     * The one with the most letters; null where several have as many.
     *
     * @param non-empty-list<Offer> $offers
     */
    private static function fullest(array $offers): ?Offer
    {
        $letters = array_map(fn (Offer $one) => mb_strlen(preg_replace('/[^\pL]+/u', '', $one->text) ?? ''), $offers);
        $most = array_keys($letters, max($letters), true);

        return count($most) === 1 ? $offers[$most[0]] : null;
    }
}
