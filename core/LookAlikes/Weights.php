<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * How much each sign weighs, in bits: log2(m/u), after I. P. Fellegi and A. B. Sunter, "A Theory for Record Linkage",
 * Journal of the American Statistical Association 64 (1969). m is how often the sign is seen of two records that are the
 * same, u how often of two that are not, each among those of which both have what is compared.
 */
final readonly class Weights
{
    /**
     * For an office whose book is still small, by sign: m and u. From memory; fitted to nobody's book.
     */
    private const SHIPPED = [
        'given-same' => [0.66, 0.012], 'given-short' => [0.14, 0.004], 'given-alike' => [0.08, 0.004], 'given-middle' => [0.03, 0.002],
        'given-initial' => [0.07, 0.012], 'given-differs' => [0.02, 0.966],
        'family-same' => [0.82, 0.0015], 'family-alike' => [0.11, 0.002], 'family-former' => [0.02, 0.0005],
        'family-part' => [0.02, 0.0008],
        'family-differs' => [0.03, 0.9952],
        'middle-same' => [0.95, 0.09], 'middle-differs' => [0.05, 0.91],
        'suffix-same' => [0.55, 0.2], 'suffix-of-one' => [0.42, 0.45], 'suffix-differs' => [0.03, 0.35],
        'born-same' => [0.92, 0.00005], 'born-slip' => [0.06, 0.0012], 'born-differs' => [0.02, 0.99875],
        'name-same' => [0.6, 0.0002], 'name-alike' => [0.2, 0.0003], 'name-initials' => [0.04, 0.0005], 'name-shorter' => [0.11, 0.001],
        'name-part' => [0.03, 0.04], 'name-differs' => [0.02, 0.958],
        'branch-of-one' => [0.85, 0.7], 'branch-differs' => [0.15, 0.3],
        'phone-same' => [0.7, 0.0003], 'phone-differs' => [0.3, 0.9997],
        'email-same' => [0.72, 0.0001], 'email-elsewhere' => [0.1, 0.0004], 'email-differs' => [0.18, 0.9995],
        'place-same' => [0.76, 0.0008], 'place-other-unit' => [0.02, 0.0004], 'place-town' => [0.11, 0.03],
        'place-differs' => [0.11, 0.9688],
        'website-same' => [0.9, 0.0004], 'website-differs' => [0.1, 0.9996],
        'tax-same' => [0.96, 0.00001], 'tax-differs' => [0.04, 0.99999],
        'number-same' => [0.85, 0.0001], 'number-differs' => [0.15, 0.9999],
        'employer-same' => [0.75, 0.004], 'employer-differs' => [0.25, 0.996],
    ];

    /** Of how many records each has another of the same, before anything is known of the two. */
    private const SHARE = 0.1;

    /** A book with fewer of a kind is thought of as one with so many. */
    private const SMALLEST = 150;

    /** As if so many records with names by the shipped figures stood in the book as well. */
    private const PRIOR = 150;

    /** As if so many pairs drawn at random had been seen by the shipped figures as well. */
    private const RANDOM = 5000;

    private const SEVERAL = 3;

    /** No agreement of names alone says more than this, whatever is counted. */
    private const RAREST = 0.00002;

    /** @param  array<string, array{float, float}>  $rates  m and u by sign */
    private function __construct(public array $rates, public Frequencies $frequencies)
    {
    }

    public static function shipped(?Frequencies $frequencies = null): self
    {
        return new self(self::SHIPPED, $frequencies ?? Frequencies::unknown());
    }

    /** @param  array<string, array{float, float}>  $rates  m and u by sign; what is missing is as shipped */
    public static function of(array $rates, Frequencies $frequencies): self
    {
        return new self($rates + self::SHIPPED, $frequencies);
    }

    /**
     * Estimated from a book: u from pairs drawn at random, m from the candidates of a scan.
     *
     * @param array<string, int> $patterns how many candidates show the same signs, by Evidence::pattern(); those that cannot
     *                                     be one left out: a household would be taken for one with several given names
     * @param array<string, int> $random how many pairs drawn at random show a sign
     */
    public static function estimated(array $patterns, array $random, Frequencies $frequencies): self
    {
        $seen = [];
        foreach ($random as $sign => $pairs) {
            $thing = Sign::from($sign)->thing();
            $seen[$thing] = ($seen[$thing] ?? 0) + $pairs;
        }
        /** @var array<string, float> $u */
        $u = [];
        foreach (self::SHIPPED as $sign => [, $shipped]) {
            $u[$sign] = (($random[$sign] ?? 0) + self::RANDOM * $shipped) / (($seen[Sign::from($sign)->thing()] ?? 0) + self::RANDOM);
        }
        $start = [];
        foreach (self::SHIPPED as $sign => [$m]) {
            $start[$sign] = [$m, $u[$sign]];
        }
        $rates = [];
        foreach (Estimate::of($patterns, $start)->m as $sign => $m) {
            $rates[$sign] = [$m, $u[$sign]];
        }

        return new self($rates + self::SHIPPED, $frequencies);
    }

    /** Bits for two records being the same before they are compared. */
    public function prior(): float
    {
        return log(self::SHARE / max(self::SMALLEST, $this->frequencies->records), 2);
    }

    /** Bits that a sign adds; less than nothing speaks against. */
    public function bits(Sign $sign, Likeness $one, Likeness $other): float
    {
        [$m, $u] = $this->rates[$sign->value];

        return log($m / max(1e-9, $this->rarity($sign, $one, $other) ?? $u), 2);
    }

    /** Whether both given names are names that several have: a slip makes of a name one that nobody else has. */
    public function areBothNames(Likeness $one, Likeness $other): bool
    {
        foreach ([$one, $other] as $of) {
            if ($this->frequencies->holders('given '.($of->given[0] ?? '')) < self::SEVERAL) {
                return false;
            }
        }

        return true;
    }

    /** How often two records that are not the same agree in this very value. */
    private function rarity(Sign $sign, Likeness $one, Likeness $other): ?float
    {
        $u = $this->rates[$sign->value][1];

        return match ($sign) {
            Sign::FamilySame => $this->share('family '.implode('', $one->name), $u),
            Sign::GivenSame => $this->share('given '.($one->given[0] ?? ''), $u),
            Sign::NameSame => $this->ofName($one, $u),
            Sign::PhoneSame => $u * $this->shared('phone ', array_intersect($one->ownPhones(), $other->ownPhones())),
            Sign::EmailSame => $u * $this->shared('email ', array_intersect($one->ownEmails(), $other->ownEmails())),
            Sign::PlaceSame => $u * $this->shared('place ', array_intersect(
                array_map(fn (PlaceForm $place) => $place->key(), $one->ownPlaces()),
                array_map(fn (PlaceForm $place) => $place->key(), $other->ownPlaces()),
            )),
            default => null,
        };
    }

    private function share(string $value, float $u): float
    {
        $others = max(0, $this->frequencies->holders($value) - 1);

        return max(self::RAREST, ($others + self::PRIOR * $u) / ($this->frequencies->records + self::PRIOR));
    }

    /** Of a company by its words: three rare ones together are nobody else's. */
    private function ofName(Likeness $one, float $u): float
    {
        $size = $this->frequencies->records;
        if ($size === 0) {
            return $u;
        }
        $product = 1.0;
        foreach (array_unique($one->name) as $word) {
            $product *= ($this->frequencies->holders("word $word") + 1) / ($size + self::PRIOR);
        }
        $others = max(0, $this->frequencies->holders('name '.implode('', $one->name)) - 3);

        return max(self::RAREST, $product, $others / ($size + self::PRIOR));
    }

    /**
     * How many times as often as usual strangers agree in what they share: what a dozen have says little of any two.
     *
     * @param array<string> $values
     */
    private function shared(string $of, array $values): float
    {
        $fewest = $values === [] ? 3 : min(array_map(fn (string $value) => $this->frequencies->holders($of.$value), $values));

        return max(1, ($fewest - 2) ** 2);
    }
}
