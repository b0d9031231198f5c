<?php

declare(strict_types=1);

namespace App\Facts\Finding;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Calendar\Day;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\SearchedFields;
use App\Facts\Records\RecordRow;
use App\Models\Office;
use App\Models\Party;

/**
 * A record as lists show it, with all that it is found by. Kept for each record, so that a list of a hundred, or an
 * answer to a keystroke, reads one line for each and nothing else.
 */
final readonly class RecordLine
{
    /** The relations of a party that it is read from. */
    public const READS = SearchedFields::READS;

    /**
     * @param string $home the country of the office, which phones are written for: ISO 3166-1 alpha-2
     * @param Day|null $staleOn the first day on which it is another though nothing is changed
     * @param array{country: string, region: string, locality: string, postcode: string}|null $address where post goes
     * @param list<array{string, string}> $values the keys of fields and what it is found by in them, the most telling first
     */
    private function __construct(
        public RecordRow $row,
        public string $home,
        public ?Day $staleOn,
        public ?array $address,
        public array $values,
    ) {
    }

    /** Load the party with READS. */
    public static function of(Party $party, Day $today): self
    {
        return new self(
            RecordRow::of($party, $today),
            Office::current()->country,
            self::nextChange($party, $today),
            self::addressOf($party, $today),
            self::valuesOf($party, $today),
        );
    }

    /** As it was kept. */
    public static function read(string $kept): self
    {
        /**
         * @var array{
         *     row: array{
         *         id: int, kind: string, number: int, displayName: string, fileAs: string, isClient: bool, isVendor: bool,
         *         isArchived: bool, position: string, place: string, phone: string, email: string,
         *     },
         *     home: string, staleOn: string|null,
         *     address: array{country: string, region: string, locality: string, postcode: string}|null,
         *     values: list<array{string, string}>,
         * } $line
         */
        $line = json_decode($kept, true, flags: JSON_THROW_ON_ERROR);

        return new self(
            new RecordRow(...$line['row']),
            $line['home'],
            $line['staleOn'] === null ? null : Day::fromIso($line['staleOn']),
            $line['address'],
            $line['values'],
        );
    }

    public function toKept(): string
    {
        return json_encode([
            'row' => $this->row,
            'home' => $this->home,
            'staleOn' => $this->staleOn?->toIso(),
            'address' => $this->address,
            'values' => $this->values,
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** Whether it says what is so on that day, for an office in that country. */
    public function holds(Day $today, string $home): bool
    {
        return $this->home === $home && ($this->staleOn === null || $this->staleOn->isAfter($today));
    }

    /** @return array{country: string, region: string, locality: string, postcode: string}|null */
    private static function addressOf(Party $party, Day $today): ?array
    {
        $address = $party->addressFor(Purpose::Postal, $today)?->address;

        return $address === null ? null : [
            'country' => $address->country,
            'region' => $address->region,
            'locality' => $address->locality,
            'postcode' => $address->postcode,
        ];
    }

    /** @return list<array{string, string}> */
    private static function valuesOf(Party $party, Day $today): array
    {
        return array_merge([], ...SearchedFields::all()->values()->map(fn (ListedField $one) => array_map(
            fn (string $text) => [$one->field->key, $text],
            $one->texts($party, $today),
        ))->all());
    }

    /** The next day on which an address or a position begins, or has ended. */
    private static function nextChange(Party $party, Day $today): ?Day
    {
        $next = null;
        foreach ([...$party->addressUses->all(), ...$party->isPerson() ? $party->heldPositions->all() : []] as $dated) {
            foreach ([$dated->period()->since, $dated->period()->until?->plusDays(1)] as $day) {
                $next = $day?->isAfter($today) === true && ($next === null || $day->isBefore($next)) ? $day : $next;
            }
        }

        return $next;
    }
}
