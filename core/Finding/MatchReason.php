<?php

declare(strict_types=1);

namespace Almanac\Finding;

/** Why a record was found: which of its values answers what was typed. */
final readonly class MatchReason
{
    /** @param  string  $what  what the value is: "works at", "tag"; empty of the name itself */
    private function __construct(
        public string $what,
        public string $value,
        public bool $isSpelledAlike,
    ) {
    }

    /**
     * One reason for each thing typed, without repeating a value.
     *
     * @param list<array{string, string}> $values what each is, empty of the name itself, and the value; the most telling first
     *
     * @return list<self>
     */
    public static function of(Query $query, array $values): array
    {
        $reasons = [];
        $typed = $query->isFigures() ? [$query->digits] : ($query->words ?: [Fold::text($query->typed)]);
        foreach ($typed as $piece) {
            $reason = self::exact($piece, $query->isFigures(), $values) ?? self::alike($piece, $values);
            if ($reason !== null) {
                $reasons[$reason->what.$reason->value] = $reason;
            }
        }

        return array_values($reasons);
    }

    /** For reading: "phone (802) 555-0142". The name itself stands beside it anyway. */
    public function toText(): string
    {
        return match (true) {
            $this->isSpelledAlike => 'spelled much like “'.$this->value.'”',
            $this->what === '' => 'name',
            default => $this->what.' '.$this->value,
        };
    }

    /** @param  list<array{string, string}>  $values */
    private static function exact(string $piece, bool $isFigures, array $values): ?self
    {
        foreach ($values as [$what, $value]) {
            $text = $isFigures ? Fold::digits($value) : Fold::text($value);
            if (str_contains($text, $piece)) {
                return new self($what, $value, false);
            }
        }

        return null;
    }

    /** @param  list<array{string, string}>  $values */
    private static function alike(string $piece, array $values): ?self
    {
        foreach ($values as [$what, $value]) {
            foreach (preg_split('/[^\p{L}\p{N}]+/u', $value, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
                if (Spelling::isSlip($piece, Fold::text($word))) {
                    return new self($what, $word, true);
                }
            }
        }

        return null;
    }
}
