<?php

declare(strict_types=1);

namespace App\Facts\Details;

use App\Models\DetailField;
use App\Models\DetailSheet;
use App\Models\DetailValue;
use App\Models\Engagement;
use App\Models\ListItem;
use App\Models\Party;
use Illuminate\Database\Eloquent\Collection;

/** The detail sheets of one record, case or project: those that apply to it, and what it still holds in others. */
final readonly class Sheets
{
    /**
     * @param list<DetailSheet> $applying
     * @param Collection<int, DetailSheet> $all
     * @param Collection<int, DetailValue> $values by field
     */
    private function __construct(private array $applying, private Collection $all, private Collection $values)
    {
    }

    public static function of(Party $party): self
    {
        $types = array_values($party->listItems->map(fn (ListItem $item) => $item->id)->all());

        return self::applying(fn (DetailSheet $sheet) => $sheet->appliesTo($party->kind, $types), $party->detailValues);
    }

    public static function ofEngagement(Engagement $engagement): self
    {
        return self::applying(fn (DetailSheet $sheet) => $sheet->appliesToKind($engagement->kind_id), $engagement->detailValues);
    }

    /**
     * @param \Closure(DetailSheet): bool $applies
     * @param Collection<int, DetailValue> $values
     */
    private static function applying(\Closure $applies, Collection $values): self
    {
        // Read once for a whole run over many records.
        $all = once(fn () => DetailSheet::query()->with('fields', 'type')->orderBy('rank')->orderBy('id')->get());

        return new self(array_values($all->filter($applies)->all()), $all, $values->keyBy('field_id'));
    }

    /** @return list<array{DetailSheet, list<DetailField>}> with the fields that are asked for or filled in; no sheet without any */
    public function shown(): array
    {
        $shown = [];
        foreach ($this->all as $sheet) {
            $applies = in_array($sheet, $this->applying, true);
            $fields = $sheet->fields->filter(
                fn (DetailField $field) => ($applies && ! $field->is_retired) || $this->values->has($field->id),
            );
            if ($fields->isNotEmpty()) {
                $shown[] = [$sheet, array_values($fields->all())];
            }
        }

        return $shown;
    }

    /** Whether it can be filled in on this record now. */
    public function asksFor(DetailField $field): bool
    {
        return ! $field->is_retired && in_array($field->sheet_id, array_column($this->applying, 'id'), true);
    }

    public function text(DetailField $field): string
    {
        return $this->values->get($field->id)?->text($field) ?? '';
    }

    /** @return list<DetailField> that a record is not ready for something without, and has not */
    public function missing(): array
    {
        $missing = [];
        foreach ($this->applying as $sheet) {
            foreach ($sheet->fields as $field) {
                if ($field->required_for !== null && ! $field->is_retired && ! $this->values->has($field->id)) {
                    $missing[] = $field;
                }
            }
        }

        return $missing;
    }
}
