<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Refusal;

/**
 * Reads a filter from a sentence: "vendors in VT without a tax number, paid this year, owed more than 500".
 *
 * A clause names a phrase, or a field with what is asked of it. Commas, *and*, or nothing at all between two clauses ask
 * for both; *or* asks for either, and binds closer. What stands in quotation marks is never a word of the sentence;
 * brackets hold a group together. Nothing is guessed: what is not understood is said with its place.
 */
final class SentenceReader
{
    public const LONGEST = 2000;

    /** @var list<Token> */
    private array $tokens;

    private ClauseBeginnings $beginnings;

    private OperandReader $operands;

    /** @var list<Misread> */
    private array $misread = [];

    /** Where the last clause begins. */
    private int $lastClause = 0;

    private function __construct(private readonly Vocabulary $vocabulary, string $sentence)
    {
        $this->tokens = Token::all($sentence);
        $this->beginnings = new ClauseBeginnings($vocabulary, $this->tokens);
        $this->operands = new OperandReader($vocabulary, $this->tokens, $this->beginnings);
    }

    public static function read(Vocabulary $vocabulary, string $sentence): Reading
    {
        $length = mb_strlen($sentence);
        if ($length > self::LONGEST) {
            $message = 'That is too long to be read. Keep it to '.self::LONGEST.' letters.';

            return new Reading(Filter::all(), [new Misread(0, $length, $message, true)]);
        }

        return (new self($vocabulary, $sentence))->reading();
    }

    /** Where the clause begins that is being typed at the end: how many letters come before it. */
    public static function lastClauseOf(Vocabulary $vocabulary, string $sentence): int
    {
        if (mb_strlen($sentence) > self::LONGEST) {
            return mb_strlen($sentence);
        }
        $reader = new self($vocabulary, $sentence);
        $reader->reading();

        return ($reader->tokens[$reader->lastClause] ?? null)->at ?? mb_strlen($sentence);
    }

    private function reading(): Reading
    {
        $parts = [];
        $at = 0;
        while (isset($this->tokens[$at])) {
            [$some, $at] = $this->group($at, 0);
            array_push($parts, ...$some);
            if (($this->tokens[$at] ?? null)?->is(')') === true) {
                $this->say($at, $at + 1, 'This bracket closes nothing. Take it out.');
                $at++;
            }
        }

        return new Reading($this->together(fn () => Filter::all(...$parts), 0, count($this->tokens)) ?? Filter::all(), $this->misread);
    }

    /**
     * Clauses of which all are asked, up to the end or a closing bracket.
     *
     * @return array{list<Condition|Filter>, int} and where it ends
     */
    private function group(int $at, int $depth): array
    {
        $parts = [];
        while (isset($this->tokens[$at]) && ! $this->tokens[$at]->is(')')) {
            if ($this->tokens[$at]->is(',', 'and', 'or') && $this->beginnings->isJoint($at)) {
                $this->lastClause = ++$at;

                continue;
            }
            $begin = $at;
            [$either, $at] = $this->either($at, $depth);
            $part = count($either) === 1 ? $either[0] : $this->together(fn () => Filter::any(...$either), $begin, $at);
            if ($part !== null) {
                $parts[] = $part;
            }
        }

        return [$parts, $at];
    }

    /**
     * Clauses with *or* between them.
     *
     * @return array{list<Condition|Filter>, int}
     */
    private function either(int $at, int $depth): array
    {
        $parts = [];
        do {
            [$part, $at] = $this->one($at, $depth);
            if ($part !== null) {
                $parts[] = $part;
            }
            $isMore = ($this->tokens[$at] ?? null)?->is('or') === true && isset($this->tokens[$at + 1]);
            if ($isMore) {
                $this->lastClause = ++$at;
            }
        } while ($isMore);

        return [$parts, $at];
    }

    /** @return array{Condition|Filter|null, int} */
    private function one(int $at, int $depth): array
    {
        if (! $this->tokens[$at]->is('(')) {
            return $this->clause($at);
        }
        $begin = $at;
        [$parts, $at] = $depth > 4 ? [[], count($this->tokens)] : $this->group($at + 1, $depth + 1);
        if (! isset($this->tokens[$at])) {
            $this->say($begin, $begin + 1, 'This bracket is not closed again.');
        }

        return [$this->together(fn () => Filter::all(...$parts), $begin, $at), $at + 1];
    }

    /** @return array{Condition|null, int} */
    private function clause(int $at): array
    {
        $this->lastClause = $at;
        $refusal = $read = null;
        foreach ($this->beginnings->at($at) as [$length, $field, $operator, $fixed]) {
            if ($read !== null && $length < $read[2]) {
                break;
            }
            try {
                [$operands, $operator, $end] = $fixed === null
                    ? $this->operands->read($field, $operator, $at + $length)
                    : [$fixed, $operator, $at + $length];
                $condition = Condition::of($field, $operator, ...$operands);
            } catch (Refusal $why) {
                $refusal ??= [$why, $at + $length];

                continue;
            }
            // "in VT" and "in Germany" are asked of two fields: of the one that knows it.
            $read ??= [$condition, $end, $length];
            if ($this->isKnown($condition)) {
                return [$condition, $end];
            }
        }
        if ($read !== null) {
            $this->doubt($read[0], $at, $read[1]);

            return [$read[0], $read[1]];
        }
        $end = $refusal === null ? $this->beginnings->boundary($at + 1) : max($at + 1, $this->beginnings->boundary($refusal[1]));
        $this->say($at, $end, $refusal === null ? $this->notUnderstood($at, $end) : $refusal[0]->getMessage());

        return [null, $end];
    }

    private function isKnown(Condition $condition): bool
    {
        foreach ($condition->operands as $operand) {
            if (! $this->vocabulary->operands->knows($condition->field, $operand)) {
                return false;
            }
        }

        return true;
    }

    private function doubt(Condition $condition, int $at, int $end): void
    {
        foreach ($condition->operands as $operand) {
            $doubt = $this->vocabulary->operands->doubt($condition->field, $operand);
            if ($doubt !== '') {
                $this->say($at, $end, $doubt, false);
            }
        }
    }

    /**
     * @param \Closure(): Filter $make
     */
    private function together(\Closure $make, int $at, int $end): ?Filter
    {
        try {
            return $make();
        } catch (ConditionRefused $refusal) {
            $this->say($at, $end, $refusal->getMessage());

            return null;
        }
    }

    private function notUnderstood(int $at, int $end): string
    {
        $titled = $this->vocabulary->titleAt($this->tokens, $at);
        if ($titled !== null) {
            $words = array_filter(array_map(strval(...), array_keys($this->vocabulary->operatorWords($titled[1]))));

            return "What about “{$titled[1]->title}”? It can be asked: ".implode(', ', array_slice($words, 0, 6)).'.';
        }
        $text = implode(' ', array_map(fn (Token $one) => $one->text, array_slice($this->tokens, $at, $end - $at)));
        $nearest = Suggestions::nearest($this->vocabulary, $text);

        return '“'.mb_strimwidth($text, 0, 60, '…').'” is not understood.'.($nearest === '' ? '' : " Do you mean “{$nearest}”?");
    }

    private function say(int $at, int $end, string $message, bool $isLeftOut = true): void
    {
        $first = $this->tokens[$at] ?? null;
        $last = $this->tokens[max($at, min($end, count($this->tokens)) - 1)] ?? $first;
        $from = $first->at ?? 0;
        $this->misread[] = new Misread($from, max(1, ($last?->end() ?? 0) - $from), $message, $isLeftOut);
    }
}
