<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Finding\Fold;

/** The words that a sentence about a list is made of: its fields by their titles, and the phrases of its trade. */
final readonly class Vocabulary
{
    /** What stands between a field and what it is compared with, the longest first where one begins another. */
    private const OPERATORS = [
        'text' => [
            'is not' => Operator::IsNot, 'is' => Operator::Is, 'begins with' => Operator::Begins, 'starts with' => Operator::Begins,
            'contains' => Operator::Contains, 'between' => Operator::Between,
        ],
        'number' => [
            'is not' => Operator::IsNot, 'is' => Operator::Is, 'above' => Operator::Above, 'more than' => Operator::Above,
            'over' => Operator::Above, 'at least' => Operator::AtLeast, 'below' => Operator::Below, 'less than' => Operator::Below,
            'under' => Operator::Below, 'at most' => Operator::AtMost, 'up to' => Operator::AtMost, 'between' => Operator::Between,
        ],
        'day' => [
            'is' => Operator::Is, 'on' => Operator::Is, 'before' => Operator::Below, 'after' => Operator::Above,
            'since' => Operator::AtLeast, 'until' => Operator::AtMost, 'between' => Operator::Between, 'not in' => Operator::NotDuring,
            'not since' => Operator::NotSince, 'not' => Operator::NotDuring, 'in' => Operator::During, '' => Operator::During,
        ],
        'yes or no' => ['is' => Operator::Is],
        'choice' => ['is not' => Operator::IsNot, 'is' => Operator::Is],
        'several choices' => [
            'do not include' => Operator::NoneOf, 'does not include' => Operator::NoneOf, 'include' => Operator::AnyOf,
            'includes' => Operator::AnyOf, 'are' => Operator::AnyOf, 'is' => Operator::AnyOf,
        ],
        'place' => ['within' => Operator::Within, 'inside' => Operator::Inside],
    ];

    /** @var array<string, Field> by key */
    private array $fields;

    /** @var array<string, list<array{list<string>, Field}>> by the first word of the title, the longest first */
    private array $titles;

    /** @var array<string, Field> by the whole title, folded */
    private array $byTitle;

    /** @var array<string, list<array{list<string>, Phrase}>> by the first word, the longest first */
    private array $opening;

    /**
     * @param list<Field> $fields whose titles differ
     * @param list<Phrase> $phrases where two say the same, the first is the better
     */
    public function __construct(array $fields, public array $phrases, public Operands $operands)
    {
        $byKey = $titles = $byTitle = $opening = [];
        foreach ($fields as $field) {
            $byKey[$field->key] = $field;
            $byTitle[Fold::text($field->title)] ??= $field;
            $words = self::words($field->title);
            if ($words !== []) {
                $titles[$words[0]][] = [$words, $field];
            }
        }
        foreach ($phrases as $phrase) {
            $words = self::words($phrase->words);
            $opening[$words[0] ?? throw new \LogicException('A phrase needs words.')][] = [$words, $phrase];
        }
        [$this->fields, $this->byTitle] = [$byKey, $byTitle];
        $this->titles = array_map(self::longestFirst(...), $titles);
        $this->opening = array_map(self::longestFirst(...), $opening);
    }

    /** @return array<string, Field> by key */
    public function fields(): array
    {
        return $this->fields;
    }

    public function field(string $key): ?Field
    {
        return $this->fields[$key] ?? null;
    }

    /**
     * The phrases that begin at a token, the longest first, and how many tokens their words take.
     *
     * @param list<Token> $tokens
     *
     * @return list<array{int, Phrase}>
     */
    public function phrasesAt(array $tokens, int $at): array
    {
        $found = [];
        foreach ($this->opening[$tokens[$at]->folded ?? ''] ?? [] as [$words, $phrase]) {
            if (self::stand($words, $tokens, $at)) {
                $found[] = [count($words), $phrase];
            }
        }

        return $found;
    }

    /**
     * The field whose title begins at a token, the longest one, and how many tokens it takes.
     *
     * @param list<Token> $tokens
     *
     * @return array{int, Field}|null
     */
    public function titleAt(array $tokens, int $at): ?array
    {
        $token = $tokens[$at] ?? null;
        if ($token?->isQuoted === true) {
            $field = $this->byTitle[Fold::text($token->text)] ?? null;

            return $field === null ? null : [1, $field];
        }
        foreach ($this->titles[$token->folded ?? ''] ?? [] as [$words, $field]) {
            if (self::stand($words, $tokens, $at)) {
                return [count($words), $field];
            }
        }

        return null;
    }

    /**
     * What is asked of a field from a token on, and how many tokens that takes.
     *
     * @param list<Token> $tokens
     *
     * @return list<array{int, Operator}> as it may be understood, the longest first
     */
    public function operatorsAt(Field $field, array $tokens, int $at): array
    {
        $found = [];
        foreach ($this->operatorWords($field) as $text => $operator) {
            $words = self::words($text);
            if (self::stand($words, $tokens, $at)) {
                $found[] = [count($words), $operator];
            }
        }

        return self::longestFirst($found);
    }

    /** @return array<string, Operator> by the words that ask it of such a field, the usual words first */
    public function operatorWords(Field $field): array
    {
        $words = self::OPERATORS[match ($field->type) {
            FieldType::Amount => 'number',
            FieldType::Days => 'day',
            default => $field->type->value,
        }];

        return array_filter($words, fn (Operator $operator) => $field->type->allows($operator));
    }

    /**
     * The words alone; none where there are signs among them.
     *
     * @return list<string>
     */
    public static function words(string $text): array
    {
        $words = [];
        foreach (Token::all($text) as $token) {
            if ($token->isQuoted || $token->isSign()) {
                return [];
            }
            $words[] = $token->folded;
        }

        return $words;
    }

    /**
     * @param list<string> $words
     * @param list<Token> $tokens
     */
    private static function stand(array $words, array $tokens, int $at): bool
    {
        foreach ($words as $offset => $word) {
            if (! (($tokens[$at + $offset] ?? null)?->is($word) ?? false)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @template T of array{list<string>|int, mixed}
     *
     * @param list<T> $some
     *
     * @return list<T>
     */
    private static function longestFirst(array $some): array
    {
        $length = fn (array $one) => is_array($one[0]) ? count($one[0]) : $one[0];
        usort($some, fn (array $a, array $b) => $length($b) <=> $length($a));

        return $some;
    }
}
