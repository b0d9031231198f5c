<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

use Almanac\Finding\Fold;
use Almanac\LookAlikes\JaroWinkler;
use Almanac\LookAlikes\NameForm;

/**
 * Whether a name as somebody types or pastes it may mean one that is kept: every telling word of it has one there that is
 * the same, is short for the same, is spelled much alike or sounds alike. Rather one too many than one too few (common
 * practice, no published source). Much alike is a likeness of 0.9 by Winkler 1990; sound is that of Metaphone (L. Philips,
 * "Hanging on the Metaphone", 1990), for words of four letters and more that are written in Latin letters.
 */
final readonly class AlikeName
{
    private const ALIKE = 0.9;

    private const LEAST = 4;

    private const MOST_WORDS = 12;

    /** @param  list<string>  $words */
    private function __construct(public array $words)
    {
    }

    public static function of(string $name): self
    {
        return new self(array_slice(self::telling($name), 0, self::MOST_WORDS));
    }

    /** Nothing in it tells anybody from another. */
    public function isEmpty(): bool
    {
        return $this->words === [];
    }

    public function means(string $kept): bool
    {
        $there = self::telling($kept);
        foreach ($this->words as $word) {
            if (array_filter($there, fn (string $other) => self::areAlike($word, $other)) === []) {
                return false;
            }
        }

        return ! $this->isEmpty();
    }

    /** @return list<string> without legal forms and fillers, nicknames made whole */
    private static function telling(string $name): array
    {
        return array_merge(...array_map(NameForm::given(...), NameForm::company(Fold::text($name))));
    }

    private static function areAlike(string $one, string $other): bool
    {
        if ($one === $other) {
            return true;
        }
        if (mb_strlen($one) < self::LEAST || mb_strlen($other) < self::LEAST) {
            return false;
        }
        $isLatin = preg_match('/^[a-z]+$/', $one.$other) === 1;

        return JaroWinkler::similarity($one, $other) >= self::ALIKE || ($isLatin && metaphone($one) === metaphone($other));
    }
}
