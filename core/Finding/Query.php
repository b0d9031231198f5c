<?php

declare(strict_types=1);

namespace Almanac\Finding;

/** What somebody typed into the search line, taken apart. */
final readonly class Query
{
    private const MAX_WORDS = 8;

    /** @param  list<string>  $words folded */
    private function __construct(public string $typed, public array $words, public string $digits)
    {
    }

    public static function of(string $typed): self
    {
        $typed = trim($typed);
        $isFigures = preg_match('/^[+\d(][\d\s().\/+-]*$/', $typed) === 1;
        $digits = $isFigures ? ltrim(Fold::digits($typed), '0') : '';

        return new self(
            $typed,
            array_slice(Fold::words($typed), 0, self::MAX_WORDS),
            strlen($digits) >= 3 ? $digits : '',
        );
    }

    public function isEmpty(): bool
    {
        return $this->typed === '';
    }

    /** Three figures or more, as of a phone number or a code. */
    public function isFigures(): bool
    {
        return $this->digits !== '';
    }

    /**
     * Every run of three letters in the words, for finding what is spelled alike.
     *
     * @return list<string>
     */
    public function trigrams(): array
    {
        $runs = [];
        foreach ($this->words as $word) {
            $letters = mb_str_split($word);
            for ($i = 0; $i + 3 <= count($letters); $i++) {
                $runs[] = implode('', array_slice($letters, $i, 3));
            }
        }

        return array_values(array_unique($runs));
    }
}
