<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** Where clauses of a sentence begin, and what may be meant there. */
final readonly class ClauseBeginnings
{
    private const ARTICLES = ['a', 'an', 'any', 'the', 'no'];

    /** @param  list<Token>  $tokens */
    public function __construct(private Vocabulary $vocabulary, private array $tokens)
    {
    }

    /**
     * What may be meant from a token on: how many tokens that takes, the field, what is asked, and with what it is
     * compared where that stands in the words already.
     *
     * @return list<array{int, Field, Operator, list<Value>|null}>
     */
    public function at(int $at): array
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

    /** Whether a clause begins there. */
    public function begins(int $at): bool
    {
        if (! isset($this->tokens[$at])) {
            return false;
        }
        if ($this->tokens[$at]->is('(')) {
            return true;
        }
        foreach ($this->at($at) as [$length, $field, $operator]) {
            // "Added" alone may be a word like any other; with a time after it, it is not.
            $isBare = ($operator === Operator::During || $operator === Operator::NotDuring) && ! $this->isSpanAt($at + $length);
            if (! $isBare) {
                return true;
            }
        }

        return false;
    }

    /** Whether a comma, an *and* or an *or* stands between two clauses, and not within what something is compared with. */
    public function isJoint(int $at): bool
    {
        return $this->tokens[$at]->is(',') || ! isset($this->tokens[$at + 1]) || $this->tokens[$at + 1]->isSign() || $this->begins($at + 1);
    }

    /** The next place from a token on where another clause may begin. */
    public function boundary(int $at): int
    {
        while (isset($this->tokens[$at]) && ! $this->tokens[$at]->isSign() && ! $this->begins($at)
            && ! ($this->tokens[$at]->is('and', 'or') && $this->isJoint($at))) {
            $at++;
        }

        return $at;
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
}
