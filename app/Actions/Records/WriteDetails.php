<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\LoggedFact;
use App\Facts\Details\Sheets;
use App\Models\DetailField;
use App\Models\DetailValue;
use App\Validation\FieldProblems;
use App\Validation\FieldReaders;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;

/** Reads and writes what the firm's own detail sheets ask of a subject, whatever it is. */
final readonly class WriteDetails
{
    public function __construct(private FieldReaders $readers)
    {
    }

    /** @return array<string, LoggedFact> */
    public function facts(Sheets $sheets): array
    {
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

    /**
     * @param Collection<int, DetailValue> $values
     *
     * @return array<string, mixed>
     */
    public function state(Collection $values): array
    {
        return ['values' => array_values($values->sortBy('field_id')
            ->map(fn (DetailValue $kept) => ['fieldId' => $kept->field_id, 'value' => $kept->text($kept->field)])->all())];
    }

    /**
     * What was kept in a state, to be read.
     *
     * @param array<string, mixed> $state
     *
     * @return EloquentCollection<int, DetailValue>
     */
    public function recall(array $state): EloquentCollection
    {
        /** @var list<array{fieldId: int, value: string}> $rows */
        $rows = $state['values'];
        $fields = DetailField::query()->findMany(array_column($rows, 'fieldId'))->keyBy('id');
        $values = [];
        foreach ($rows as ['fieldId' => $id, 'value' => $text]) {
            $field = $fields->get($id);
            if ($field !== null) {
                $values[] = (new DetailValue(['field_id' => $id] + DetailValue::kept($field, $text)))->setRelation('field', $field);
            }
        }

        return new EloquentCollection($values);
    }

    /** @param  array<string, mixed>  $state */
    public function isPrivate(array $state): bool
    {
        /** @var list<array{fieldId: int, value: string}> $values */
        $values = $state['values'];

        return DetailField::query()->findMany(array_column($values, 'fieldId'))->contains(fn (DetailField $field) => $field->isSecret());
    }

    /**
     * @param Sheets $sheets of the subject, as it is now
     * @param array<string, mixed> $input
     */
    public function write(int $subjectId, Sheets $sheets, array $input): void
    {
        /** @var list<array{fieldId: int, value: string|null}> $rows */
        $rows = $input['values'];
        if (isset($input['isRestored'])) {
            $this->restore($subjectId, $rows, DetailField::query()->findMany(array_column($rows, 'fieldId'))->keyBy('id'));

            return;
        }
        foreach ($this->read($sheets, $rows) as [$field, $text]) {
            $this->keep($subjectId, $field, $text);
        }
    }

    /**
     * What is told of a subject that has none yet, not kept yet.
     *
     * @param array<string, mixed> $input
     *
     * @return list<DetailValue>
     */
    public function begin(int $subjectId, Sheets $sheets, array $input): array
    {
        /** @var list<array{fieldId: int, value: string|null}> $rows */
        $rows = $input['values'];

        return array_map(
            fn (array $one) => (new DetailValue(['subject_id' => $subjectId, 'field_id' => $one[0]->id] + DetailValue::kept(...$one)))
                ->setRelation('field', $one[0]),
            array_values(array_filter($this->read($sheets, $rows), fn (array $one) => $one[1] !== '')),
        );
    }

    /**
     * @param list<array{fieldId: int, value: string|null}> $rows
     *
     * @return list<array{DetailField, string}>
     */
    private function read(Sheets $sheets, array $rows): array
    {
        $fields = DetailField::query()->findMany(array_column($rows, 'fieldId'))->keyBy('id');
        $reader = $this->readers->ofOffice();
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

        return $kept;
    }

    /**
     * As it was, whatever is asked for now.
     *
     * @param list<array{fieldId: int, value: string|null}> $rows
     * @param Collection<int, DetailField> $fields
     */
    private function restore(int $subjectId, array $rows, Collection $fields): void
    {
        DetailValue::query()->where('subject_id', $subjectId)->whereNotIn('field_id', array_column($rows, 'fieldId'))->delete();
        foreach ($rows as ['fieldId' => $id, 'value' => $text]) {
            $field = $fields->get($id);
            if ($field !== null) {
                $this->keep($subjectId, $field, $text ?? '');
            }
        }
    }

    private function keep(int $subjectId, DetailField $field, string $text): void
    {
        $key = ['subject_id' => $subjectId, 'field_id' => $field->id];
        $text === ''
            ? DetailValue::query()->where($key)->delete()
            : DetailValue::query()->updateOrCreate($key, DetailValue::kept($field, $text));
    }
}
