<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Finding\Fold;

/** A word, a sign, or something in quotation marks, of a sentence. */
final readonly class Token
{
    /** A comma between two figures belongs to their number. */
    private const PATTERN = '/"(?:[^"]|"")*"|[“”„][^“”„]*[“”„]?|[,;()]|(?:[^\s,;()"“”„]|(?<=\d),(?=\d))+/u';

    /**
     * @param string $text without quotation marks
     * @param string $folded for comparing; of what stands in quotation marks nothing, as it is never a word of the sentence
     * @param int $at how many letters come before it
     */
    private function __construct(public string $text, public string $folded, public bool $isQuoted, public int $at, public int $length)
    {
    }

    /** @return list<self> */
    public static function all(string $sentence): array
    {
        preg_match_all(self::PATTERN, $sentence, $found, PREG_OFFSET_CAPTURE);
        $tokens = [];
        foreach ($found[0] as [$whole, $byte]) {
            $at = mb_strlen(substr($sentence, 0, $byte));
            $isQuoted = in_array(mb_substr($whole, 0, 1), ['"', '“', '”', '„'], true);
            $text = match (true) {
                ! $isQuoted => $whole,
                $whole[0] === '"' => str_replace('""', '"', substr($whole, 1, -1)),
                default => preg_replace('/^[“”„]|[“”„]$/u', '', $whole) ?? '',
            };
            $tokens[] = new self($text, $isQuoted ? '' : Fold::text($whole === ';' ? ',' : $whole), $isQuoted, $at, mb_strlen($whole));
        }

        return $tokens;
    }

    /** Whether it is that word, or that sign. */
    public function is(string ...$words): bool
    {
        return ! $this->isQuoted && in_array($this->folded, $words, true);
    }

    public function isSign(): bool
    {
        return $this->is(',', '(', ')');
    }

    public function end(): int
    {
        return $this->at + $this->length;
    }
}
