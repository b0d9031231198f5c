<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Details\FieldKind;
use App\Models\DetailField;
use App\Models\DetailSheet;
use App\Models\Engagement;
use App\Models\Party;
use Illuminate\Database\Eloquent\Builder;

/** The firm's own fields, as they join a register; what is secret is neither found nor asked by anybody without its right. */
final class DetailFields
{
    /** @return list<ListedField<Party>> */
    public static function ofRecords(): array
    {
        return array_map(function (DetailField $detail): ListedField {
            /** @var ListedField<Party> $field */
            $field = self::field($detail, 'v.party_id');

            return $detail->isSecret() ? $field : $field->searched(
                SearchColumn::Also,
                mb_strtolower($detail->name),
                fn (Party $party) => [str_replace("\n", ' ', self::text($party, $detail))],
            );
        }, self::all(fn (Builder $sheets) => $sheets->whereNull('engagement_kind_id')));
    }

    /** @return list<ListedField<Engagement>> */
    public static function ofEngagements(): array
    {
        return array_map(function (DetailField $detail): ListedField {
            /** @var ListedField<Engagement> */
            return self::field($detail, 'engagements.id');
        }, self::all(fn (Builder $sheets) => $sheets->whereNotNull('engagement_kind_id')));
    }

    /**
     * @param \Closure(Builder<DetailSheet>): mixed $which
     *
     * @return list<DetailField>
     */
    private static function all(\Closure $which): array
    {
        return array_values(DetailField::query()->whereIn('sheet_id', DetailSheet::query()->select('id')->tap($which))
            ->orderBy('sheet_id')->orderBy('rank')->orderBy('id')->get()->all());
    }

    private static function text(Party|Engagement $of, DetailField $detail): string
    {
        return $of->detailValues->firstWhere('field_id', $detail->id)?->text($detail) ?? '';
    }

    /**
     * @param string $id of whom it is, in the words of the database
     *
     * @return ListedField<covariant Party|Engagement>
     */
    private static function field(DetailField $detail, string $id): ListedField
    {
        $make = $detail->isSecret() ? ListedField::ofPrivate(...) : ListedField::of(...);
        $field = $make(
            "detail-{$detail->id}",
            $detail->name,
            $detail->kind->type(),
            fn (Party|Engagement $of) => $detail->kind->value(self::text($of, $detail)),
            self::source($detail, $id),
            ['detailValues.field'],
        );

        return $detail->kind->hasOptions() && ! $detail->isSecret() ? $field->chosenFrom(fn () => $detail->options) : $field;
    }

    private static function source(DetailField $detail, string $id): Source
    {
        $rows = "select subject_id as party_id from detail_values where field_id = {$detail->id}";
        $order = "(select sort from detail_values where subject_id = $id and field_id = {$detail->id})";
        if ($detail->kind !== FieldKind::Choices) {
            return new Rows($rows, 'sort', $order, 'substr(value, -3)', $id);
        }

        // A line for each of several choices.
        return new Rows(
            "select subject_id as party_id from detail_values, json_each('[\"' || replace(replace(replace(sort, '\\', '\\\\'), '\"', '\\\"'),"
                ." char(10), '\",\"') || '\"]') as one where field_id = {$detail->id}",
            'one.value',
            $order,
            of: $id,
        );
    }
}
