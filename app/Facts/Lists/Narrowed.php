<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\Field;
use Almanac\Lists\Filter;
use Almanac\Lists\Reading;
use Almanac\Lists\SentenceReader;
use Almanac\Lists\Vocabulary;
use App\Models\Office;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Model;

/**
 * A list that a sentence narrows: what the database is asked for it, and in which order.
 *
 * @template TModel of Model
 */
final readonly class Narrowed
{
    public Vocabulary $words;

    public Reading $reading;

    private Day $today;

    /** @param  ListRegister<TModel>  $register */
    public function __construct(private ListRegister $register, private Wanted $wanted, Clock $clock, User $reader)
    {
        $this->today = $clock->today();
        $this->words = ListWords::of($register, $reader, $clock->reader(Office::current()));
        $this->reading = SentenceReader::read($this->words, $wanted->sentence);
    }

    public function isEmpty(): bool
    {
        return $this->reading->filter->isEmpty();
    }

    public function asked(): Asked
    {
        return FilterQuery::of($this->reading->filter, $this->register, $this->today);
    }

    /** What the database is asked for one condition. */
    public function asking(Condition $condition): Asked
    {
        return FilterQuery::of(Filter::all($condition), $this->register, $this->today);
    }

    /** Whether one of these fields is asked for. */
    public function asksFor(string ...$keys): bool
    {
        return array_intersect(array_map(fn (Field $field) => $field->key, $this->reading->filter->fields()), $keys) !== [];
    }

    /** @return list<array{ListedField<TModel>, bool}> the fields that it is sorted by, and whether the other way round */
    public function sort(): array
    {
        return $this->sorted($this->wanted->sort) ?: $this
            ->sorted(Wanted::keys($this->wanted->view->sort())) ?: $this->sorted($this->register->sort());
    }

    /** @return list<array{string, 'asc'|'desc'}> in the words of the database; what is empty comes last, whichever way round */
    public function orders(): array
    {
        $orders = [];
        foreach ($this->sort() as [$field, $isReversed]) {
            $order = $field->source->order();
            $orders[] = ["($order) is null", 'asc'];
            $orders[] = ["($order)", $isReversed === $field->field->type->isFromTop() ? 'asc' : 'desc'];
        }

        return $orders;
    }

    /**
     * @param list<string> $look the keys of the columns that somebody has chosen for themselves
     *
     * @return list<ListedField<TModel>> the first of the usual ones always; what is no column, or no longer, is left out
     */
    public function columns(array $look): array
    {
        $usual = $this->register->columns();
        $columns = $this->listed($this->wanted->view->columns())
            ?: $this->listed($this->wanted->columns)
            ?: $this->listed($look)
            ?: $this->listed($usual);

        return in_array($usual[0], array_map(fn (ListedField $one) => $one->field->key, $columns), true)
            ? $columns
            : [...$this->listed([$usual[0]]), ...$columns];
    }

    /**
     * @param list<string> $keys
     *
     * @return list<ListedField<TModel>>
     */
    private function listed(array $keys): array
    {
        $fields = $this->register->fields();

        return array_values(array_filter(
            array_map(fn (string $key) => $fields->get($key), $keys),
            fn (?ListedField $one) => $one !== null && $one->isListed(),
        ));
    }

    /**
     * @param list<string> $keys
     *
     * @return list<array{ListedField<TModel>, bool}>
     */
    private function sorted(array $keys): array
    {
        $sort = [];
        foreach ($keys as $key) {
            $one = $this->register->fields()->get(ltrim($key, '-'));
            if ($one !== null && $one->isListed() && $one->source->order() !== '') {
                $sort[$one->field->key] ??= [$one, str_starts_with($key, '-')];
            }
        }

        return array_values($sort);
    }
}
