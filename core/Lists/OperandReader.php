<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Refusal;

/** Reads what a clause compares its field with, up to where that ends. */
final readonly class OperandReader
{
    /** @param  list<Token>  $tokens */
    public function __construct(private Vocabulary $vocabulary, private array $tokens, private ClauseBeginnings $beginnings)
    {
    }

    /**
     * @return array{list<Value>, Operator, int} what it is compared with, what is asked of several, and where that ends
     *
     * @throws Refusal when something is missing, or cannot be read
     */
    public function read(Field $field, Operator $operator, int $at): array
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
            [$operands[], $at] = $this->operand(
                $field, $operator, $at, fn (int $next) => $this->tokens[$next]->is(...array_keys($several)),
            );
            $joint ??= ($this->tokens[$at]->folded ?? '');
            $isMore = isset($several[$joint], $this->tokens[$at + 1])
                && $this->tokens[$at]->is($joint)
                && ! $this->beginnings->begins($at + 1);
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
        $text = $token->isQuoted
            ? $token->text
            : implode(' ', array_map(fn (Token $one) => $one->text, array_slice($this->tokens, $at, $end - $at)));

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
                $token->isSign() || $token->isQuoted || ($isEnd !== null && $isEnd($end)) || $this->beginnings->begins($end)
                || ($token->is('and', 'or') && (! isset($this->tokens[$end + 1]) || $this->beginnings->isJoint($end)))
            ) {
                break;
            }
        }

        return $end;
    }
}
