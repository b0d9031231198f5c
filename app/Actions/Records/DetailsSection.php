<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Fact;
use App\Models\DetailField;
use App\Models\DetailValue;
use App\Models\Party;
use App\Support\FieldProblems;
use App\Support\FieldReaders;
use App\Support\SectionName;
use App\Support\Sheets;

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

    public function snapshot(Party $party): array
    {
        $party->load('listItems', 'detailValues');
        $sheets = Sheets::of($party);
        $reader = $this->readers->ofOffice();
        $facts = [];
        foreach ($sheets->shown() as [$sheet, $fields]) {
            foreach ($fields as $field) {
                $text = $sheets->text($field);
                $label = "$sheet->name: $field->name";
                $facts["field:$field->id"] = $field->isSecret()
                    ? Fact::private($label, $text)
                    : new Fact($label, $reader->show($field->kind, $text));
            }
        }

        return $facts;
    }

    public function neighbours(Party $party): array
    {
        return [];
    }

    public function write(Party $party, array $input): void
    {
        /** @var list<array{fieldId: int, value: string|null}> $rows */
        $rows = $input['values'];
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
                $kept[] = [$field, $problems->at($at, fn () => $reader->read($field->kind, $row['value'], $field->options, $sheets->text($field))) ?? ''];
            }
        }
        $problems->throwIfAny();
        foreach ($kept as [$field, $text]) {
            $this->keep($party, $field, $text);
        }
    }

    private function keep(Party $party, DetailField $field, string $text): void
    {
        $key = ['party_id' => $party->id, 'field_id' => $field->id];
        $text === ''
            ? DetailValue::query()->where($key)->delete()
            : DetailValue::query()->updateOrCreate($key, ['value' => DetailValue::kept($field, $text)]);
    }
}
