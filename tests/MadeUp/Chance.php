<?php

declare(strict_types=1);

namespace Tests\MadeUp;

/** Chance that gives the same each time it begins with the same seed. */
final class Chance
{
    private const FLAT = 13;

    private \Random\Randomizer $randomizer;

    public function __construct(int $seed)
    {
        $this->randomizer = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
    }

    /** @phpstan-impure */
    public function is(float $often): bool
    {
        return $this->randomizer->getInt(0, 999_999) < $often * 1_000_000;
    }

    public function between(int $least, int $most): int
    {
        return $this->randomizer->getInt($least, $most);
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $of
     *
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->between(0, count($of) - 1)];
    }

    /**
     * One of them by the law of Zipf and Mandelbrot, as names are: the first of thousands about one time in a hundred.
     *
     * @template T
     *
     * @param non-empty-list<T> $of
     *
     * @return T
     */
    public function common(array $of): mixed
    {
        $from = log(self::FLAT);
        $to = log(self::FLAT + count($of));
        $rank = exp($from + $this->between(0, 1_000_000) / 1_000_000 * ($to - $from)) - self::FLAT;

        return $of[min(count($of) - 1, (int) floor($rank))];
    }

    /** A letter wrong, missing, doubled, or two that changed places; never the first, as people mind that one. */
    public function slip(string $word): string
    {
        $letters = mb_str_split($word);
        if (count($letters) < 4) {
            return $word;
        }
        $at = $this->between(1, count($letters) - 2);
        switch ($this->between(0, 3)) {
            case 0:
                $letters[$at] = chr($this->between(97, 122));
                break;
            case 1:
                unset($letters[$at]);
                break;
            case 2:
                array_splice($letters, $at, 0, [$letters[$at]]);
                break;
            default:
                [$letters[$at], $letters[$at + 1]] = [$letters[$at + 1], $letters[$at]];
        }

        return implode('', $letters);
    }
}
