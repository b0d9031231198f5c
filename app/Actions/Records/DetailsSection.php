<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Facts\Details\Sheets;
use App\Models\DetailField;
use App\Models\DetailValue;
use App\Models\Party;
use App\Validation\FieldProblems;
use App\Validation\FieldReaders;

/** What the firm's own detail sheets ask of a record. */
final readonly class DetailsSection implements Section
{
    public function __construct(private FieldReaders $readers)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Details;
    }

    public function reads(): array
    {
        return ['listItems', 'detailValues.field'];
    }

    public function facts(Party $party): array
    {
        $sheets = Sheets::of($party);
        $reader = $this->readers->ofOffice();
        $facts = [];
        foreach ($sheets->shown() as [$sheet, $fields]) {
            foreach ($fields as $field) {
                $text = $sheets->text($field);
                $label = "$sheet->name: $field->name";
                $facts["field:$field->id"] = $field->isSecret()
                    ? LoggedFact::private($label, $text)
                    : new LoggedFact($label, $reader->show($field->kind, $text));
            }
        }

        return $facts;
    }

    public function state(Party $party): array
    {
        return ['values' => array_values($party->detailValues->sortBy('field_id')
            ->map(fn (DetailValue $kept) => ['fieldId' => $kept->field_id, 'value' => $kept->text($kept->field)])->all())];
    }

    public function isPrivate(array $state): bool
    {
        /** @var list<array{fieldId: int, value: string}> $values */
        $values = $state['values'];

        return DetailField::query()->findMany(array_column($values, 'fieldId'))->contains(fn (DetailField $field) => $field->isSecret());
    }

    public function neighbours(Party $party, array $input): array
    {
        return [];
    }

    public function write(Party $party, array $input): void
    {
        /** @var list<array{fieldId: int, value: string|null}> $rows */
        $rows = $input['values'];
        if (isset($input['isRestored'])) {
            $this->restore($party, $rows);

            return;
        }
        $party->load('listItems', 'detailValues');
        $sheets = Sheets::of($party);
        $reader = $this->readers->ofOffice();
        $fields = DetailField::query()->findMany(array_column($rows, 'fieldId'))->keyBy('id');
        $problems = new FieldProblems;
        $kept = [];
        foreach ($rows as $rank => $row) {
            $field = $fields->get($row['fieldId']);
            $at = "values.$rank.value";
            if ($field === null || ! $sheets->asksFor($field)) {
                $problems->add($at, 'This field is no longer asked for. Reload the page.');
            } elseif ($row['value'] !== null) {
                $kept[] = [
                    $field,
                    $problems->at($at, fn () => $reader->read($field->kind, $row['value'], $field->options, $sheets->text($field))) ?? '',
                ];
            }
        }
        $problems->throwIfAny();
        foreach ($kept as [$field, $text]) {
            $this->keep($party, $field, $text);
        }
    }

    /**
     * As it was, whatever is asked for now.
     *
     * @param list<array{fieldId: int, value: string|null}> $rows
     */
    private function restore(Party $party, array $rows): void
    {
        $party->detailValues()->whereNotIn('field_id', array_column($rows, 'fieldId'))->delete();
        $fields = DetailField::query()->findMany(array_column($rows, 'fieldId'))->keyBy('id');
        foreach ($rows as ['fieldId' => $id, 'value' => $text]) {
            $field = $fields->get($id);
            if ($field !== null) {
                $this->keep($party, $field, $text ?? '');
            }
        }
    }

    private function keep(Party $party, DetailField $field, string $text): void
    {
        $key = ['party_id' => $party->id, 'field_id' => $field->id];
        $text === ''
            ? DetailValue::query()->where($key)->delete()
            : DetailValue::query()->updateOrCreate($key, DetailValue::kept($field, $text));
    }
}
