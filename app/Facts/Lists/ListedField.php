<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use Illuminate\Database\Eloquent\Model;

/**
 * A field of what a list is of, with the two ways to its values: from a model that is read, and for the database to ask and sort by.
 *
 * @template TModel of Model
 */
final readonly class ListedField
{
    /**
     * @param \Closure(TModel, Day): Value $value
     * @param list<string> $reads the relations that its value is read from
     * @param SearchColumn|null $searched under which words it is found; null for what nobody is found by
     * @param string $matched what a match of it is called: "tag" of "tag Bristol fair"
     * @param (\Closure(TModel): list<string>)|null $texts what it is found by, where that is not simply its value, of choices each
     * @param (\Closure(): list<string>)|null $choices what it can be; null where it can be anything
     * @param string $offered the column of addresses or records whose values are proposed while somebody types
     */
    private function __construct(
        public Field $field,
        private \Closure $value,
        public array $reads,
        public Source $source,
        public ?SearchColumn $searched = null,
        public string $matched = '',
        private ?\Closure $texts = null,
        private ?\Closure $choices = null,
        public string $offered = '',
    ) {
    }

    /**
     * @template T of Model
     *
     * @param \Closure(T, Day): Value $value
     * @param list<string> $reads
     *
     * @return self<T>
     */
    public static function of(string $key, string $title, FieldType $type, \Closure $value, Source $source, array $reads = []): self
    {
        return new self(Field::of($key, $title, $type), $value, $reads, $source);
    }

    /**
     * @template T of Model
     *
     * @param \Closure(T, Day): Value $value
     * @param list<string> $reads
     *
     * @return self<T>
     */
    public static function ofPrivate(string $key, string $title, FieldType $type, \Closure $value, Source $source, array $reads = []): self
    {
        return new self(Field::ofPrivate($key, $title, $type), $value, $reads, $source);
    }

    /**
     * @param (\Closure(TModel): list<string>)|null $texts
     *
     * @return self<TModel>
     */
    public function searched(SearchColumn $as, string $matched, ?\Closure $texts = null): self
    {
        return $this->with(searched: $as, matched: $matched, texts: $texts);
    }

    /**
     * @param \Closure(): list<string> $choices
     *
     * @return self<TModel>
     */
    public function chosenFrom(\Closure $choices): self
    {
        return $this->with(choices: $choices);
    }

    /**
     * What is typed is proposed from what the book has there.
     *
     * @return self<TModel>
     */
    public function offering(string $column): self
    {
        return $this->with(offered: $column);
    }

    /** @return list<string>|null null where it can be anything */
    public function choices(): ?array
    {
        return $this->choices === null ? null : ($this->choices)();
    }

    /** Whether it can be shown in a list, and a list be sorted by it: what is private is shown one by one, and that is noted. */
    public function isListed(): bool
    {
        return ! $this->field->isPrivate && $this->field->type !== FieldType::Place;
    }

    /**
     * Load the model with what it reads.
     *
     * @param TModel $model
     */
    public function value(Model $model, Day $today): Value
    {
        return ($this->value)($model, $today);
    }

    /**
     * @param TModel $model
     *
     * @return list<string> what it is found by; none where the field is not searched
     */
    public function texts(Model $model, Day $today): array
    {
        if ($this->searched === null) {
            return [];
        }
        if ($this->texts !== null) {
            $texts = ($this->texts)($model);
        } else {
            $value = $this->value($model, $today);
            $texts = is_array($value->held) ? $value->texts() : [$value->toText()];
        }

        return array_values(array_filter($texts, fn (string $text) => $text !== ''));
    }

    /**
     * @param (\Closure(TModel): list<string>)|null $texts
     * @param (\Closure(): list<string>)|null $choices
     *
     * @return self<TModel>
     */
    private function with(
        ?SearchColumn $searched = null,
        string $matched = '',
        ?\Closure $texts = null,
        ?\Closure $choices = null,
        string $offered = '',
    ): self {
        return new self(
            $this->field,
            $this->value,
            $this->reads,
            $this->source,
            $searched ?? $this->searched,
            $matched === '' ? $this->matched : $matched,
            $texts ?? $this->texts,
            $choices ?? $this->choices,
            $offered === '' ? $this->offered : $offered,
        );
    }
}
