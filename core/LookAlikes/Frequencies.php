<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Records\PartyKind;

/**
 * How often names, phones, emails and houses stand in a book: a rare family name that agrees says more than a common one,
 * and the phone of a front desk says little (W. E. Winkler, "Frequency-Based Matching in Fellegi-Sunter Model of Record
 * Linkage", 1989).
 */
final readonly class Frequencies
{
    /**
     * @param array<string, int> $counts of records, by what it is of and the value, as "family wren"
     * @param int $records of the kind that is compared, in the book
     */
    private function __construct(private array $counts, public int $records)
    {
    }

    /** Of a book of which nothing is known yet. */
    public static function unknown(): self
    {
        return new self([], 0);
    }

    /** @param  array<string, int>  $counts  of records, by what valuesOf() gives */
    public static function of(array $counts, int $records): self
    {
        return new self($counts, $records);
    }

    /** @param  array<Likeness>  $book  people or companies */
    public static function count(array $book): self
    {
        $counts = [];
        foreach ($book as $one) {
            foreach (self::valuesOf($one) as $value) {
                $counts[$value] = ($counts[$value] ?? 0) + 1;
            }
        }

        // What stands there once is what is not there at all: it need not be kept.
        return new self(array_filter($counts, fn (int $count) => $count > 1), count($book));
    }

    /** @return list<string> what is counted of a record */
    public static function valuesOf(Likeness $one): array
    {
        $values = [];
        if ($one->kind === PartyKind::Person) {
            $values = ['family '.implode('', $one->name), 'given '.($one->given[0] ?? '')];
        } else {
            $values[] = 'name '.implode('', $one->name);
            foreach (array_unique($one->name) as $word) {
                $values[] = "word $word";
            }
        }
        foreach ($one->phones as $phone) {
            $values[] = "phone $phone";
        }
        foreach ($one->emails as $email) {
            $values[] = "email $email";
        }
        foreach ($one->places as $place) {
            $values[] = 'place '.$place->key();
        }

        return array_values(array_unique($values));
    }

    /** In how many records a value stands; at least one, since somebody has it. */
    public function holders(string $value): int
    {
        return $this->counts[$value] ?? 1;
    }

    /** @return array<string, int> */
    public function counts(): array
    {
        return $this->counts;
    }
}
