<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** How people say one thing of a field: "owing more than …", "archived", "without a tax number". */
final readonly class Phrase
{
    /**
     * @param string $words without what it is compared with, which comes after them
     * @param list<Value> $fixed what it is compared with, where that is part of the words
     * @param bool $isUsual whether a sentence is written back with it
     */
    private function __construct(
        public string $words,
        public Field $field,
        public Operator $operator,
        public array $fixed,
        public bool $isUsual,
    ) {
    }

    /** Written back with these words. */
    public static function usual(string $words, Field $field, Operator $operator, Value ...$fixed): self
    {
        return new self($words, $field, $operator, array_values($fixed), true);
    }

    /** Understood, and written back in the usual ones. */
    public static function also(string $words, Field $field, Operator $operator, Value ...$fixed): self
    {
        return new self($words, $field, $operator, array_values($fixed), false);
    }

    /** Whether something is to follow the words. */
    public function isOpen(): bool
    {
        return $this->fixed === [] && $this->operator->operands() !== 0;
    }

    /** Whether it says this: of choices the open phrase takes one or several. */
    public function says(Condition $condition): bool
    {
        if ($this->field->key !== $condition->field->key) {
            return false;
        }
        if ($this->isOpen()) {
            return in_array($condition->operator, self::sayable($this->operator, $this->field->type), true);
        }

        return $this->operator === $condition->operator

                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                            && array_map(fn (Value $one) => $one->toText(), $this->fixed) === array_map(fn (Value $one) => $one->toText(), $condition->operands);
    }

    /**
     * What can be said with the same words: "in VT" and "in VT or NH".
     *
     * @return list<Operator>
     */
    public static function sayable(Operator $operator, FieldType $type): array
    {
        return match (true) {
            $type === FieldType::Choice && $operator === Operator::Is => [Operator::Is, Operator::AnyOf],
            $type === FieldType::Choice && $operator === Operator::IsNot => [Operator::IsNot, Operator::NoneOf],
            $type === FieldType::Choices && $operator === Operator::AnyOf => [Operator::AnyOf, Operator::AllOf],
            default => [$operator],
        };
    }
}
