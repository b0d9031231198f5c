<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use App\Models\Party;

/** A field of records, with the two ways to its values: from a record that is read, and for the database to ask and sort by. */
final readonly class PartyField
{
    /**
     * @param \Closure(Party, Day): Value $value
     * @param string $sql an expression over parties that gives what Value::toSort() gives; empty where the database cannot know it
     * @param SearchColumn|null $searched under which words it is found; null for what nobody is found by
     * @param string $matched what a match of it is called: "tag" of "tag Bristol fair"
     * @param (\Closure(Party): list<string>)|null $texts what it is found by, where that is not simply its value, of choices each
     * @param string $balance the column of the balances with an index of its own that it is sorted by, those without it left out
     */
    private function __construct(
        public Field $field,
        private \Closure $value,
        public string $sql,
        public ?SearchColumn $searched = null,
        public string $matched = '',
        private ?\Closure $texts = null,
        public string $balance = '',
    ) {
    }

    /** @param  \Closure(Party, Day): Value  $value */
    public static function of(string $key, string $title, FieldType $type, \Closure $value, string $sql): self
    {
        return new self(Field::of($key, $title, $type), $value, $sql);
    }

    /** @param  \Closure(Party, Day): Value  $value */
    public static function ofPrivate(string $key, string $title, FieldType $type, \Closure $value): self
    {
        return new self(Field::ofPrivate($key, $title, $type), $value, '');
    }

    /** @param  \Closure(Party, Day): Value  $value */
    public static function ofBalance(string $key, string $title, FieldType $type, \Closure $value, string $column, string $sql): self
    {
        return new self(
            Field::of($key, $title, $type),
            $value,
            "(select $sql from balances where party_id = parties.id)",
            balance: $column,
        );
    }

    /** @param  (\Closure(Party): list<string>)|null  $texts */
    public function searched(SearchColumn $as, string $matched, ?\Closure $texts = null): self
    {
        return new self($this->field, $this->value, $this->sql, $as, $matched, $texts, $this->balance);
    }

    /** Load the party with PartyFields::READS. */
    public function value(Party $party, Day $today): Value
    {
        return ($this->value)($party, $today);
    }

    /** @return list<string> what the record is found by; none where the field is not searched */
    public function texts(Party $party, Day $today): array
    {
        if ($this->searched === null) {
            return [];
        }
        if ($this->texts !== null) {
            $texts = ($this->texts)($party);
        } else {
            $value = $this->value($party, $today);
            $texts = is_array($value->held) ? $value->texts() : [$value->toText()];
        }

        return array_values(array_filter($texts, fn (string $text) => $text !== ''));
    }
}
