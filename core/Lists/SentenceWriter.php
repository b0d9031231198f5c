<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** Writes a filter as the sentence that SentenceReader reads it from: each clause is read back before it is written. */
final readonly class SentenceWriter
{
    private function __construct(private Vocabulary $vocabulary)
    {
    }

    public static function write(Vocabulary $vocabulary, Filter $filter): string
    {
        return (new self($vocabulary))->filter($filter);
    }

    /** One condition, or one group, as it stands in a sentence. */
    public static function part(Vocabulary $vocabulary, Condition|Filter $part): string
    {
        $writer = new self($vocabulary);

        return $part instanceof Condition ? $writer->condition($part) : $writer->group($part);
    }

    private function filter(Filter $filter): string
    {
        $parts = array_map(
            fn (Condition|Filter $part) => $part instanceof Filter ? '('.$this->group($part).')' : $this->condition($part),
            $filter->parts,
        );
        $plain = $this->join($parts, $filter->isAll);

        // Where one clause would be read into the next, each stands in brackets of its own.
        return $this->isRead($plain, $filter) ? $plain : $this->join(
            array_map(fn (string $part) => str_starts_with($part, '(') ? $part : "($part)", $parts),
            $filter->isAll,
        );
    }

    private function group(Filter $group): string
    {
        $parts = array_map(fn (Condition|Filter $part) => $part instanceof Condition ? $this->condition($part) : '', $group->parts);
        $plain = $this->join($parts, $group->isAll);

        return $this->isRead($plain, $group) ? $plain : $this->join(array_map(fn (string $part) => "($part)", $parts), $group->isAll);
    }

    /** @param  list<string>  $parts */
    private function join(array $parts, bool $isAll): string
    {
        $sentence = array_shift($parts) ?? '';
        foreach ($parts as $at => $part) {
            // "clients in VT", but "in VT, without an email".
            $isClose = $at === 0 && ! str_contains($sentence, ' ') && preg_match('/^(in|with|without|within|inside|tagged) /', $part) === 1;
            $sentence .= ($isAll ? ($isClose ? ' ' : ', ') : ' or ').$part;
        }

        return $sentence;
    }

    private function condition(Condition $condition): string
    {
        foreach ($this->wordings($condition) as $wording) {
            if ($this->isRead($wording, Filter::all($condition))) {
                return $wording;
            }
        }

        throw new \LogicException("{$condition->field->title} “{$condition->operator->value}” cannot be written.");
    }

    /** @return iterable<string> the shortest first */
    private function wordings(Condition $condition): iterable
    {
        $quoted = $this->operands($condition, true);
        foreach ($this->vocabulary->phrases as $phrase) {
            if ($phrase->isUsual && $phrase->says($condition)) {
                if ($phrase->isOpen()) {
                    yield "$phrase->words ".$this->operands($condition, false);
                    yield "$phrase->words $quoted";
                } else {
                    yield $phrase->words;
                }
            }
        }
        $affirmed = $condition->operator->affirmed();
        $denied = $affirmed->denial() === $condition->operator ? $affirmed : null;
        $title = $condition->field->title;
        foreach ([self::asWritten($title), '"'.str_replace('"', '""', $title).'"'] as $name) {
            if ($condition->operator === Operator::Has || $condition->operator === Operator::Lacks) {
                $word = $condition->operator === Operator::Has ? 'with' : 'without';
                yield $word.' '.self::article($condition->field, $name).$name;
                yield "$word $name";
            }
            if ($condition->field->type === FieldType::YesNo) {
                yield ($condition->operands[0]->held === true ? '' : 'not ').$name;
            }
            foreach ($this->asked($condition, $denied) as $words) {
                yield trim("not $name $words").' '.$this->operands($condition, false);
            }
            foreach ($this->asked($condition, $condition->operator) as $words) {
                yield trim("$name $words").' '.$this->operands($condition, false);
                yield trim("$name $words").' '.$quoted;
            }
        }
    }

    /** @return list<string> the words that ask it: "paid this year", but "paid in 2025" */
    private function asked(Condition $condition, ?Operator $operator): array
    {
        $span = $condition->operands[0]->held ?? null;
        $words = array_keys(array_filter(
            $this->vocabulary->operatorWords($condition->field),
            fn (Operator $one) => $operator !== null && in_array($operator, Phrase::sayable($one, $condition->field->type), true),
        ));

        return array_values(array_filter(
            array_map(strval(...), $words),
            fn (string $one) => ! $span instanceof Span || ($one === '' || $one === 'not') === $span->moves(),
        ));
    }

    private function operands(Condition $condition, bool $isQuoted): string
    {
        $texts = array_map(fn (Value $one) => $this->vocabulary->operands->write($one), $condition->operands);
        if ($isQuoted) {
            $texts = array_map(fn (string $text) => '"'.str_replace('"', '""', $text).'"', $texts);
        }

        return implode(
            in_array($condition->operator, [Operator::AllOf, Operator::Between], true) ? ' and ' : ' or ',
            $texts,
        );
    }

    private function isRead(string $sentence, Filter $wanted): bool
    {
        $reading = SentenceReader::read($this->vocabulary, $sentence);

        return $reading->isWhole() && $reading->filter->equals($wanted);
    }

    /** A title within a sentence: "Days to pay" is "days to pay", "IBAN" is not "iBAN". */
    private static function asWritten(string $title): string
    {
        return preg_match('/^\p{Lu}(?=\p{Ll}|\s)/u', $title) === 1 ? mb_strtolower(mb_substr($title, 0, 1)).mb_substr($title, 1) : $title;
    }

    private static function article(Field $field, string $name): string
    {
        return match (true) {
            in_array($field->type, [FieldType::Choices, FieldType::Days], true), str_ends_with($name, 's') => '',
            preg_match('/^"?[aeiou]/i', $name) === 1 => 'an ',
            default => 'a ',
        };
    }
}
