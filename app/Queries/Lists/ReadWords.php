<?php

declare(strict_types=1);

namespace App\Queries\Lists;

use Almanac\Lists\Condition;
use Almanac\Lists\Field;
use Almanac\Lists\ListOf;
use Almanac\Lists\Operator;
use Almanac\Lists\Suggestion;
use Almanac\Lists\Suggestions;
use Almanac\Lists\Vocabulary;
use App\Facts\Lists\ListWords;
use App\Facts\Lists\Registers;
use App\Http\Data\Lists\FilterPartData;
use App\Http\Data\Lists\ListFieldData;
use App\Http\Data\Lists\SuggestionData;
use App\Models\Office;
use App\Models\User;
use App\Time\Clock;
use App\Validation\FieldProblems;
use Illuminate\Validation\ValidationException;

/** Reads the words in which a list can be asked for. */
final readonly class ReadWords
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<ListFieldData> */
    public function fields(ListOf $list, User $reader): array
    {
        $words = $this->words($list, $reader);
        $fields = Registers::of($list)->fields();

        return array_values(array_map(
            fn (Field $field) => ListFieldData::of($field, $words, $fields->get($field->key)?->isListed() ?? false),
            $words->fields(),
        ));
    }

    /** @return list<SuggestionData> */
    public function suggestions(ListOf $list, string $typed, User $reader): array
    {
        return array_map(fn (Suggestion $one) => SuggestionData::of($one), Suggestions::of($this->words($list, $reader), $typed));
    }

    /**
     * @param list<string> $values as they are typed
     *
     * @throws ValidationException when there is no such field, or it cannot be asked that
     */
    public function clause(ListOf $list, string $key, Operator $operator, array $values, User $reader): FilterPartData
    {
        $words = $this->words($list, $reader);
        $problems = new FieldProblems;
        $field = $words->field($key);
        if ($field === null) {
            $problems->add('field', 'There is no such field, or no longer. Choose another.');
            $problems->throwIfAny();
        }
        $condition = $field === null ? null : $problems->at('values', fn () => Condition::of(
            $field,
            $operator,
            ...array_map(fn (string $value) => $words->operands->read($field, $operator, $value), $values),
        ));
        $problems->throwIfAny();

        return FilterPartData::of($condition ?? throw new \LogicException('Nothing is asked.'), $words);
    }

    private function words(ListOf $list, User $reader): Vocabulary
    {
        return ListWords::of(Registers::of($list), $reader, $this->clock->reader(Office::current()));
    }
}
