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

    private const ARTICLES = ['a', 'an', 'any', 'the', 'no'];

    /** @var list<Token> */
    private array $tokens;

    /** @var list<Misread> */
    private array $misread = [];

    /** Where the last clause begins. */
    private int $lastClause = 0;

    private function __construct(private readonly Vocabulary $vocabulary, string $sentence)
    {
        $this->tokens = Token::all($sentence);
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
            if ($this->tokens[$at]->is(',', 'and', 'or') && $this->isJoint($at)) {
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
        foreach ($this->beginnings($at) as [$length, $field, $operator, $fixed]) {
            if ($read !== null && $length < $read[2]) {
                break;
            }
            try {
                [$operands, $operator, $end] = $fixed === null
                    ? $this->operands($field, $operator, $at + $length)
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
        $end = $refusal === null ? $this->boundary($at + 1) : max($at + 1, $this->boundary($refusal[1]));
        $this->say($at, $end, $refusal === null ? $this->notUnderstood($at, $end) : $refusal[0]->getMessage());

        return [null, $end];
    }

    /**
     * What may be meant from a token on: how many tokens that takes, the field, what is asked, and with what it is
     * compared where that stands in the words already.
     *
     * @return list<array{int, Field, Operator, list<Value>|null}>
     */
    private function beginnings(int $at): array
    {
        $found = [];
        foreach ($this->vocabulary->phrasesAt($this->tokens, $at) as [$length, $phrase]) {
            $found[] = [$length, $phrase->field, $phrase->operator, $phrase->isOpen() ? null : $phrase->fixed];
        }
        array_push($found, ...$this->having($at), ...$this->titled($at));
        // What takes more words is meant, such as a field that is called like a phrase with more to it.
        usort($found, fn (array $a, array $b) => $b[0] <=> $a[0]);

        return $found;
    }

    /** @return list<array{int, Field, Operator, list<Value>|null}> "without an email" */
    private function having(int $at): array
    {
        $word = $this->tokens[$at];
        $operator = $word->is('with', 'has', 'have') ? Operator::Has : ($word->is('without', 'lacks', 'lack') ? Operator::Lacks : null);
        if ($operator === null) {
            return [];
        }
        $next = $at + 1;
        $titled = $this->vocabulary->titleAt($this->tokens, $next);
        if ($titled === null && ($this->tokens[$next] ?? null)?->is(...self::ARTICLES) === true) {
            $operator = $this->tokens[$next]->is('no') && $operator === Operator::Has ? Operator::Lacks : $operator;
            $titled = $this->vocabulary->titleAt($this->tokens, ++$next);
        }

        return $titled === null || ! $titled[1]->type->allows($operator) ? [] : [[$next - $at + $titled[0], $titled[1], $operator, []]];
    }

    /** @return list<array{int, Field, Operator, list<Value>|null}> "receivable above 500" */
    private function titled(int $at): array
    {
        $titled = $this->vocabulary->titleAt($this->tokens, $at);
        if ($titled === null) {
            return $this->denied($at);
        }
        [$length, $field] = $titled;
        $bare = $field->type === FieldType::YesNo ? [[$length, $field, Operator::Is, [Value::yesNo(true)]]] : [];

        return [...array_map(
            fn (array $one) => [$length + $one[0], $field, $one[1], null],
            $this->vocabulary->operatorsAt($field, $this->tokens, $at + $length),
        ), ...$bare];
    }

    /** @return list<array{int, Field, Operator, list<Value>|null}> "not paid since 1 Jan 2026", "not deceased" */
    private function denied(int $at): array
    {
        $titled = $this->tokens[$at]->is('not') ? $this->vocabulary->titleAt($this->tokens, $at + 1) : null;
        if ($titled === null) {
            return [];
        }
        [$length, $field] = [$titled[0] + 1, $titled[1]];
        if ($field->type === FieldType::YesNo) {
            return [[$length, $field, Operator::Is, [Value::yesNo(false)]]];
        }
        $found = [];
        foreach ($this->vocabulary->operatorsAt($field, $this->tokens, $at + $length) as [$more, $operator]) {
            $denial = $operator->denial();
            if ($denial !== null && $field->type->allows($denial)) {
                $found[] = [$length + $more, $field, $denial, null];
            }
        }

        return $found;
    }

    /**
     * @return array{list<Value>, Operator, int} what it is compared with, what is asked of several, and where that ends
     *
     * @throws Refusal when something is missing, or cannot be read
     */
    private function operands(Field $field, Operator $operator, int $at): array
    {
        if ($operator === Operator::Between) {
            [$first, $at] = $this->operand($field, $operator, $at, fn (int $next) => $this->tokens[$next]->is('and'));
            [$second, $at] = $this->operand($field, $operator, ($this->tokens[$at] ?? null)?->is('and') === true ? $at + 1 : $at);

            return [[$first, $second], $operator, $at];
        }
        $several = $this->ofSeveral($field, $operator);
        if ($several === []) {
            [$operand, $at] = $this->operand($field, $operator, $at);

            return [[$operand], $operator, $at];
        }
        $operands = [];
        $joint = null;
        do {
            [$operands[], $at] = $this->operand($field, $operator, $at, fn (int $next) => $this->tokens[$next]->is(...array_keys($several)));
            $joint ??= ($this->tokens[$at]->folded ?? '');
            $isMore = isset($several[$joint], $this->tokens[$at + 1]) && $this->tokens[$at]->is($joint) && ! $this->begins($at + 1);
            $at += (int) $isMore;
        } while ($isMore);

        return [$operands, count($operands) === 1 ? $operator : $several[$joint], $at];
    }

    /** @return array<string, Operator> by what stands between several choices: "museum or parish", "museum and parish" */
    private function ofSeveral(Field $field, Operator $operator): array
    {
        return match (true) {
            $field->type === FieldType::Choice => ['or' => $operator === Operator::IsNot ? Operator::NoneOf : Operator::AnyOf],
            $field->type !== FieldType::Choices => [],
            $operator === Operator::NoneOf => ['or' => Operator::NoneOf],
            default => ['or' => Operator::AnyOf, 'and' => Operator::AllOf],
        };
    }

    /**
     * @param (\Closure(int): bool)|null $isEnd what else it ends before
     *
     * @return array{Value, int}
     *
     * @throws Refusal
     */
    private function operand(Field $field, Operator $operator, int $at, ?\Closure $isEnd = null): array
    {
        $token = $this->tokens[$at] ?? null;
        if ($token === null || $token->isSign()) {
            throw ConditionRefused::missing($field, $operator);
        }
        $end = $token->isQuoted ? $at + 1 : $this->choiceAt($field, $at) ?? $this->endOf($at, $isEnd);
        $first = $this->tokens[$at];
        $last = $this->tokens[$end - 1];
        $text = $token->isQuoted ? $token->text : implode(' ', array_map(fn (Token $one) => $one->text, array_slice($this->tokens, $at, $end - $at)));

        try {
            return [$this->vocabulary->operands->read($field, $operator, $text), $end];
        } catch (Refusal $refusal) {
            // "500 USD", "the day before": some of what follows may belong to another clause that nothing sets off.
            if ($end - $at < 2 || $first === $last) {
                throw $refusal;
            }
            for ($sooner = $end - 1; $sooner > $at; $sooner--) {
                try {
                    $text = implode(' ', array_map(fn (Token $one) => $one->text, array_slice($this->tokens, $at, $sooner - $at)));

                    return [$this->vocabulary->operands->read($field, $operator, $text), $sooner];
                } catch (Refusal) {
                    continue;
                }
            }

            throw $refusal;
        }
    }

    /** Where a choice ends that begins there, be there an *and* in it or not. */
    private function choiceAt(Field $field, int $at): ?int
    {
        $longest = null;
        foreach ($this->vocabulary->operands->choicesOf($field) ?? [] as $choice) {
            $words = Vocabulary::words($choice);
            $end = $at + count($words);
            if ($words !== [] && ($longest === null || $end > $longest)) {
                foreach ($words as $offset => $word) {
                    if (! (($this->tokens[$at + $offset] ?? null)?->is($word) ?? false)) {
                        continue 2;
                    }
                }
                $longest = $end;
            }
        }

        return $longest;
    }

    /** @param  (\Closure(int): bool)|null  $isEnd */
    private function endOf(int $at, ?\Closure $isEnd): int
    {
        for ($end = $at + 1; isset($this->tokens[$end]); $end++) {
            $token = $this->tokens[$end];
            if (
                $token->isSign() || $token->isQuoted || ($isEnd !== null && $isEnd($end)) || $this->begins($end)
                || ($token->is('and', 'or') && (! isset($this->tokens[$end + 1]) || $this->isJoint($end)))
            ) {
                break;
            }
        }

        return $end;
    }

    /** Whether a comma, an *and* or an *or* stands between two clauses, and not within what something is compared with. */
    private function isJoint(int $at): bool
    {
        return $this->tokens[$at]->is(',') || ! isset($this->tokens[$at + 1]) || $this->tokens[$at + 1]->isSign() || $this->begins($at + 1);
    }

    /** Whether a clause begins there. */
    private function begins(int $at): bool
    {
        if (! isset($this->tokens[$at])) {
            return false;
        }
        if ($this->tokens[$at]->is('(')) {
            return true;
        }
        foreach ($this->beginnings($at) as [$length, $field, $operator]) {
            // "Added" alone may be a word like any other; with a time after it, it is not.
            $isBare = ($operator === Operator::During || $operator === Operator::NotDuring) && ! $this->isSpanAt($at + $length);
            if (! $isBare) {
                return true;
            }
        }

        return false;
    }

    private function isSpanAt(int $at): bool
    {
        for ($words = 1, $text = ''; $words <= 3 && isset($this->tokens[$at + $words - 1]); $words++) {
            $text .= ' '.$this->tokens[$at + $words - 1]->text;
            if (Span::read($text) !== null) {
                return true;
            }
        }

        return false;
    }

    /** The next place from a token on where another clause may begin. */
    private function boundary(int $at): int
    {
        while (isset($this->tokens[$at]) && ! $this->tokens[$at]->isSign() && ! $this->begins($at)
            && ! ($this->tokens[$at]->is('and', 'or') && $this->isJoint($at))) {
            $at++;
        }

        return $at;
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
