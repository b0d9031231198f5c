<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * Whether two records may be the same, with the reasons.
 *
 * The score is a sum of log-likelihood weights, log2(m/u), after I. P. Fellegi and A. B. Sunter,
 * "A Theory for Record Linkage", Journal of the American Statistical Association 64 (1969): m is
 * how often a field agrees in records that are the same, u how often in records that are not.
 * The figures below are estimates for a small office, from memory.
 */
final readonly class Comparison
{
    private const LIKELY = 7.0;

    private const POSSIBLE = 4.0;

    /** Field to m and u; agreement weighs log2(m/u), disagreement log2((1-m)/(1-u)). */
    private const WEIGHTS = [
        'same name' => [0.85, 0.002],
        'name much alike' => [0.10, 0.004],
        'phone' => [0.60, 0.003],
        'email' => [0.60, 0.001],
        'address' => [0.70, 0.010],
        'tax number' => [0.95, 0.0001],
    ];

    private const NAME_DIFFERS = -8.0;

    /** @param  list<string>  $reasons */
    private function __construct(public float $score, public array $reasons)
    {
    }

    /** Person and company are never compared. */
    public static function of(Likeness $one, Likeness $other): self
    {
        if ($one->kind !== $other->kind) {
            return new self(-INF, []);
        }
        [$score, $reasons] = self::names($one, $other);
        foreach (
            [
                'phone' => [$one->phones, $other->phones],
                'email' => [$one->emails, $other->emails],
                'address' => [$one->places, $other->places],
            ] as $field => [$a, $b]
        ) {
            if ($a === [] || $b === []) {
                continue;
            }
            $agrees = array_intersect($a, $b) !== [];
            $score += self::weight($field, $agrees);
            if ($agrees) {
                $reasons[] = 'same '.$field;
            }
        }

        [$weight, $reason] = self::numbers($one->numbers, $other->numbers);

        return new self($score + $weight, [...$reasons, ...$reason]);
    }

    /**
     * Only numbers of one kind can differ: an EIN and a VAT number say nothing of each other.
     *
     * @param list<string> $a
     * @param list<string> $b
     *
     * @return array{float, list<string>}
     */
    private static function numbers(array $a, array $b): array
    {
        $kinds = fn (array $numbers) => array_map(fn (string $number) => explode('|', $number)[0], $numbers);

        return match (true) {
            array_intersect($a, $b) !== [] => [self::weight('tax number', true), ['same tax number']],
            array_intersect($kinds($a), $kinds($b)) !== [] => [self::weight('tax number', false), []],
            default => [0.0, []],
        };
    }

    public function isLikely(): bool
    {
        return $this->score >= self::LIKELY;
    }

    public function isPossible(): bool
    {
        return $this->score >= self::POSSIBLE;
    }

    /** @return array{float, list<string>} */
    private static function names(Likeness $one, Likeness $other): array
    {
        if ($one->nameText() === '' || $other->nameText() === '') {
            return [0.0, []];
        }
        if ($one->nameText() === $other->nameText()) {
            return [self::weight('same name', true), ['same name']];
        }
        $alike = JaroWinkler::similarity($one->nameText(), $other->nameText());
        if ($alike >= 0.92 && self::initialsAgree($one, $other)) {
            return [self::weight('name much alike', true), ['name much alike']];
        }

        return [self::NAME_DIFFERS, []];
    }

    /** Edith and Walter of one family are no slip of each other, however alike the rest is. */
    private static function initialsAgree(Likeness $one, Likeness $other): bool
    {
        return $one->given === [] || $other->given === []
            || mb_substr($one->given[0], 0, 1) === mb_substr($other->given[0], 0, 1);
    }

    private static function weight(string $field, bool $agrees): float
    {
        [$m, $u] = self::WEIGHTS[$field];

        return $agrees ? log($m / $u, 2) : log((1 - $m) / (1 - $u), 2);
    }
}
