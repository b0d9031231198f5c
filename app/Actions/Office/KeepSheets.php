<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Almanac\Details\FieldKind;
use Almanac\Details\FieldRefused;
use Almanac\Readiness\Purpose;
use Almanac\Records\OfficeList;
use Almanac\Records\PartyKind;
use Almanac\Records\WordingRefused;
use App\Actions\Finding\IndexParties;
use App\Models\DetailField;
use App\Models\DetailSheet;
use App\Models\DetailValue;
use App\Models\EngagementKind;
use App\Models\ListItem;
use App\Models\Party;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Once;
use Illuminate\Validation\ValidationException;

/** Defines the firm's own detail sheets. A field that records hold values of is retired, never taken away. */
final readonly class KeepSheets
{
    private const MOST_OPTIONS = 100;

    public function __construct(private IndexParties $index)
    {
    }

    /**
     * @param array{
     *     name: string, partyKind: string|null, type: string, engagementKindId?: int|null, isRetired: bool,
     *     fields: list<array{
     *         id: int|null, name: string, kind: string, options: list<string>, help: string, requiredFor: string|null,
     *         isRetired: bool,
     *     }>,
     * } $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function save(DetailSheet $sheet, array $input): void
    {
        $requiredBefore = $this->required($sheet);
        DB::transaction(function () use ($sheet, $input): void {
            $problems = new FieldProblems;
            $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
            if (DetailSheet::query()->where('name', $name)->whereKeyNot($sheet->id ?? 0)->exists()) {
                $problems->add('name', WordingRefused::taken((string) $name)->getMessage());
            }
            $type = $input['type'] === '' ? null : ListItem::in(OfficeList::Types)->firstWhere('name', $input['type']);
            if ($input['type'] !== '' && $type === null) {
                $problems->add('type', WordingRefused::notListed($input['type'])->getMessage());
            }
            $kindId = $input['engagementKindId'] ?? null;
            if ($kindId !== null && EngagementKind::query()->whereKey($kindId)->doesntExist()) {
                $problems->add('engagementKindId', 'Choose the kind from the list.');
            }
            $kept = $sheet->exists ? $sheet->fields()->get()->keyBy('id') : collect();
            $fields = [];
            foreach ($input['fields'] as $rank => $row) {
                $fields[] = $this->field($kept->get($row['id'] ?? 0) ?? new DetailField, $row, $rank, $problems);
            }
            $problems->throwIfAny();

            $sheet->fill([
                'name' => $name,
                'party_kind' => $input['partyKind'] === null ? null : PartyKind::from($input['partyKind']),
                'type_id' => $type?->id,
                'engagement_kind_id' => $kindId,
                'is_retired' => $input['isRetired'],
                'rank' => $sheet->rank ?? (int) DetailSheet::query()->count(),
            ])->save();
            foreach ($kept->except(array_filter(array_column($input['fields'], 'id'))) as $gone) {
                $this->isFilled($gone) ? $gone->update(['is_retired' => true]) : $gone->delete();
            }
            $sheet->fields()->saveMany($fields);
        });
        // What was read of the sheets before is no longer so.
        Once::flush();
        if ($requiredBefore !== $this->required($sheet->refresh())) {
            $this->index->these(Party::query()->pluck('id')->all());
        }
    }

    /**
     * @param  array{
     *     id: int|null, name: string, kind: string, options: list<string>, help: string, requiredFor: string|null,
     *     isRetired: bool,
     * }  $row
     */
    private function field(DetailField $field, array $row, int $rank, FieldProblems $problems): DetailField
    {
        $kind = FieldKind::from($row['kind']);
        $at = "fields.$rank";
        if ($field->exists && $field->kind !== $kind && $this->isFilled($field)) {
            $problems->add("$at.kind", FieldRefused::kindInUse($field->kind->title())->getMessage());
        }
        $options = [];
        if ($kind->hasOptions()) {
            foreach (array_slice($row['options'], 0, self::MOST_OPTIONS) as $option) {
                $options[] = trim($option) === '' ? null : $problems->at("$at.options", fn () => ListedNames::tidy($option));
            }
            $options = array_values(array_unique(array_filter($options)));
            if ($options === []) {
                $problems->add("$at.options", FieldRefused::withoutChoices()->getMessage());
            }
        }

        return $field->fill([
            'name' => $problems->at("$at.name", fn () => ListedNames::tidy($row['name'])),
            'kind' => $kind,
            'options' => $options,
            'help' => trim($row['help']),
            'required_for' => $row['requiredFor'] === null ? null : Purpose::from($row['requiredFor']),
            'rank' => $rank,
            'is_retired' => $row['isRetired'],
        ]);
    }

    private function isFilled(DetailField $field): bool
    {
        return DetailValue::query()->where('field_id', $field->id)->exists();
    }

    /** @return list<mixed> everything that decides which gaps the sheet makes */
    private function required(DetailSheet $sheet): array
    {
        if (! $sheet->exists) {
            return [];
        }
        $fields = $sheet->fields()->whereNotNull('required_for')->where('is_retired', false)->get(['id', 'required_for', 'name']);

        return $sheet->is_retired || $fields->isEmpty() ? [] : [$sheet->party_kind, $sheet->type_id, $fields->toArray()];
    }
}
