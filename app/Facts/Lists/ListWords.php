<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Access\Permission;
use Almanac\Calendar\TypedDay;
use Almanac\Finding\Fold;
use Almanac\Lists\Field;
use Almanac\Lists\Operands;
use Almanac\Lists\Vocabulary;
use Almanac\Records\OfficeList;
use App\Facts\Records\ZipPlaces;
use App\Models\ListItem;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** The words in which a list is asked for: the fields of its register, and how an office says the usual things. */
final class ListWords
{
    /** How many of what the book has are proposed. */
    private const OFFERED = 12;

    /**
     * @param ListRegister<covariant Model> $register
     * @param User $reader who may see what is private, or not
     */
    public static function of(ListRegister $register, User $reader, TypedDay $dates): Vocabulary
    {
        $office = Office::current();

        return new Vocabulary(
            self::fields($register, $reader),
            $register->phrases($reader),
            new Operands(
                $dates,
                $office->currency(),
                $office->decimalSign(),
                fn (Field $field) => $register->fields()->get($field->key)?->choices(),
                ZipPlaces::find(...),
                fn (Field $field, string $begun) => self::offered($register->fields()->get($field->key)->offered ?? '', $begun),
                fn (Field $field, string $typed) => self::has($register->fields()->get($field->key)->offered ?? '', $typed),
            ),
        );
    }

    /**
     * @param ListRegister<covariant Model> $register
     *
     * @return list<Field>
     */
    private static function fields(ListRegister $register, User $reader): array
    {
        $fields = $taken = [];
        foreach ($register->fields() as $one) {
            if ($one->field->isPrivate && ! $reader->can(Permission::SeePrivate->value)) {
                continue;
            }
            // A field of the office's own may be called as another is: a sentence tells them apart by a number.
            $title = $one->field->title;
            for ($n = 2; isset($taken[Fold::text($title)]); $n++) {
                $title = "{$one->field->title} ($n)";
            }
            $taken[Fold::text($title)] = true;
            $fields[] = $one->field->titled($title);
        }

        return $fields;
    }

    /** @return list<string> */
    private static function offered(string $column, string $begun): array
    {
        $like = addcslashes($begun, '%_\\').'%';
        $list = OfficeList::tryFrom($column);

        $found = match (true) {
            $list !== null => ListItem::in($list)->whereRaw("name like ? escape '\\'", [$like])->limit(self::OFFERED)->pluck('name'),
            $column === 'company', $column === 'party' => Party::query()
                ->when($column === 'company', fn (Builder $companies) => $companies->where('kind', 'company'))
                ->where('sort_key', 'like', Fold::text($like))->orderBy('sort_key')->limit(self::OFFERED)->pluck('display_name'),
            $column === '' => collect(),
            default => collect(self::begunSo($column, $begun)),
        };

        return array_values(array_filter($found->all(), is_string(...)));
    }

    /**
     * Of a part of addresses, as their index has them: one after the other, each sought anew from the last, since most
     * addresses are in a few regions.
     *
     * @return list<mixed>
     */
    private static function begunSo(string $column, string $begun): array
    {
        $from = fn (string $sign, string $last) => "(select $column from addresses where $column <> '' and $column collate nocase $sign $last"
            ." and $column collate nocase < ? order by $column collate nocase limit 1)";
        $end = $begun."\u{10FFFF}";

        return array_column(DB::select(
            "with recursive found(value) as (select {$from('>=', '?')} union all select {$from('>', 'found.value')} from found where value is not null)"
            .' select value from found where value is not null limit '.self::OFFERED,
            [$begun, $end, $end],
        ), 'value');
    }

    /** Of places, of which a sentence does not say whether they are a region or a city; the rest is taken as it is typed. */
    private static function has(string $column, string $typed): bool
    {
        if (! in_array($column, ['region', 'locality'], true)) {
            return true;
        }
        $text = Fold::text($typed);

        return once(fn (): bool => DB::table('record_values')->whereRaw("$column = ?", [$text])->exists());
    }
}
