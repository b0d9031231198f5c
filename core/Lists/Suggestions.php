<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Finding\Fold;

/** What may come next while a sentence is typed. */
final class Suggestions
{
    private const MOST = 8;

    /** At least so much alike is a slip. */
    private const ALIKE = 70;

    /**
     * @param string $typed up to where the cursor stands
     *
     * @return list<Suggestion> the likeliest first
     */
    public static function of(Vocabulary $vocabulary, string $typed): array
    {
        $from = SentenceReader::lastClauseOf($vocabulary, $typed);
        $clause = mb_substr($typed, $from);
        $tokens = Token::all($clause);
        $texts = [
            ...self::values($vocabulary, $clause, $tokens),
            ...self::beginnings($vocabulary, $clause),
        ];
        $made = [];
        foreach ($texts as $text) {
            $made[Fold::text($text)] ??= new Suggestion($from, mb_strlen($clause), $text);
        }
        unset($made[Fold::text(trim($clause))]);

        return array_slice(array_values($made), 0, self::MOST);
    }

    /** The phrase or the title that is spelled most alike; empty where none is. */
    public static function nearest(Vocabulary $vocabulary, string $typed): string
    {
        $text = Fold::text(mb_substr($typed, 0, 60));
        [$best, $most] = ['', self::ALIKE];
        foreach (self::openings($vocabulary) as $opening) {
            $length = mb_strlen($opening);
            similar_text(mb_substr($text, 0, $length + 1), Fold::text($opening), $alike);
            if ($alike > $most) {
                [$best, $most] = [$opening, $alike];
            }
        }

        return $best;
    }

    /**
     * @param list<Token> $tokens
     *
     * @return list<string> the clause with what a field may be compared with, or be asked
     */
    private static function values(Vocabulary $vocabulary, string $clause, array $tokens): array
    {
        if ($tokens === []) {
            return [];
        }
        $found = [];
        foreach ($vocabulary->phrasesAt($tokens, 0) as [$length, $phrase]) {
            if ($phrase->isOpen()) {
                array_push($found, ...self::compared($vocabulary, $phrase->field, $phrase->operator, $clause, $tokens, $length));
            }
        }
        $titled = $vocabulary->titleAt($tokens, 0);
        if ($titled === null) {
            return $found;
        }
        [$length, $field] = $titled;
        foreach ($vocabulary->operatorsAt($field, $tokens, $length) as [$more, $operator]) {
            array_push($found, ...self::compared($vocabulary, $field, $operator, $clause, $tokens, $length + $more));
        }
        $head = rtrim(mb_substr($clause, 0, $tokens[$length - 1]->end()));
        $begun = Fold::text(trim(mb_substr($clause, $tokens[$length - 1]->end())));
        foreach (array_keys($vocabulary->operatorWords($field)) as $words) {
            if ($words !== '' && str_starts_with($words, $begun)) {
                $found[] = "$head $words ";
            }
        }

        return $found;
    }

    /**
     * @param list<Token> $tokens
     *
     * @return list<string>
     */
    private static function compared(
        Vocabulary $vocabulary,
        Field $field,
        Operator $operator,
        string $clause,
        array $tokens,
        int $length,
    ): array {
        $isSpan = $operator === Operator::During || $operator === Operator::NotDuring;
        // Of several choices the last one is being typed.
        $from = $length;
        foreach ($tokens as $at => $token) {
            $from = $at >= $length && $token->is('or', 'and') ? $at + 1 : $from;
        }
        $head = rtrim(mb_substr($clause, 0, ($tokens[$from - 1] ?? null)?->end() ?? 0));
        $begun = Fold::text(trim(mb_substr($clause, ($tokens[$from] ?? null)->at ?? mb_strlen($clause)), " \t\"“”"));
        $found = [];
        $choices = $isSpan
            ? array_filter(Span::usual(), fn (string $one) => str_contains(" $one", " $begun") || $begun === '')
            : $vocabulary->operands->proposed($field, $begun);
        foreach ($choices as $choice) {
            if (count($found) < self::MOST) {
                $found[] = $head.' '.(Vocabulary::words($choice) === [] ? '"'.str_replace('"', '""', $choice).'"' : $choice);
            }
        }

        return $found;
    }

    /** @return list<string> */
    private static function beginnings(Vocabulary $vocabulary, string $clause): array
    {
        $begun = Fold::text(trim($clause));
        $first = $later = [];
        foreach (self::openings($vocabulary) as $opening) {
            $folded = Fold::text($opening);
            if (str_starts_with($folded, $begun)) {
                $first[] = $opening;
            } elseif ($begun !== '' && str_contains(" $folded", " $begun")) {
                $later[] = $opening;
            }
        }

        return [...$first, ...$later];
    }

    /** @return list<string> the words that clauses begin with */
    private static function openings(Vocabulary $vocabulary): array
    {
        $openings = [];
        foreach ($vocabulary->phrases as $phrase) {
            if ($phrase->isUsual) {
                $openings[] = $phrase->words.($phrase->isOpen() ? ' ' : '');
            }
        }
        foreach ($vocabulary->fields() as $field) {
            $openings[] = mb_strtolower(mb_substr($field->title, 0, 1)).mb_substr($field->title, 1).' ';
        }

        return $openings;
    }
}
