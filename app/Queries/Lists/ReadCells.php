<?php

declare(strict_types=1);

namespace App\Queries\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\FieldType;
use App\Facts\Finding\RecordLine;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\PartyFields;
use App\Models\Balance;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Reads what stands in the columns of a list: from the kept lines where it is there, else from the records. */
final readonly class ReadCells
{
    private const BALANCES = ['receivable', 'overdue', 'payable', 'limit', 'left', 'days-to-pay', 'over-limit'];

    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param list<ListedField<Party>> $columns
     * @param array<int, RecordLine> $lines of the records, by their numbers
     *
     * @return list<list<string>> for each record what stands in each column, for reading
     */
    public function handle(array $columns, array $lines): array
    {
        $ids = array_keys($lines);
        $cells = array_map(fn (ListedField $column) => $this->column($column, $lines, $ids), $columns);
        $others = array_filter($columns, fn (ListedField $column, int $at) => $cells[$at] === null, ARRAY_FILTER_USE_BOTH);
        if ($others !== []) {
            $today = $this->clock->today();
            $parties = Party::query()->with(PartyFields::reads(...array_values($others)))->findMany($ids)->keyBy('id');
            foreach ($others as $at => $column) {
                foreach ($ids as $id) {
                    $party = $parties->get($id);
                    $cells[$at][$id] = $party === null ? '' : Cells::text($column->value($party, $today));
                }
            }
        }

        return array_map(fn (int $id) => array_values(array_map(fn (?array $column) => $column[$id] ?? '', $cells)), $ids);
    }

    /**
     * @param ListedField<Party> $column
     * @param array<int, RecordLine> $lines
     * @param list<int> $ids
     *
     * @return array<int, string>|null null where the records have to be read for it
     */
    private function column(ListedField $column, array $lines, array $ids): ?array
    {
        $key = $column->field->key;

        return match (true) {
            $key === 'name' => array_map(fn (RecordLine $line) => $line->row->fileAs, $lines),
            $key === 'phone' => array_map(fn (RecordLine $line) => $line->row->phone, $lines),
            $key === 'email' => array_map(fn (RecordLine $line) => $line->row->email, $lines),
            $key === 'place' => array_map(fn (RecordLine $line) => $line->row->place, $lines),
            $key === 'position' => array_map(fn (RecordLine $line) => $line->row->position, $lines),
            $key === 'number' => array_map(fn (RecordLine $line) => (string) $line->row->number, $lines),
            $key === 'kind' => array_map(fn (RecordLine $line) => $line->row->kind, $lines),
            $key === 'role' => array_map(
                fn (RecordLine $line) => implode(
                    ' · ',
                    array_filter([$line->row->isClient ? 'client' : '', $line->row->isVendor ? 'vendor' : '']),
                ),
                $lines,
            ),
            in_array($key, self::BALANCES, true) => $this->balances($column, $ids),
            // The last of many days, without the documents that they are of.
            $column->field->type === FieldType::Days, $key === 'last' => $this->days($column, $ids),
            default => null,
        };
    }

    /**
     * @param ListedField<Party> $column
     * @param list<int> $ids
     *
     * @return array<int, string>
     */
    private function balances(ListedField $column, array $ids): array
    {
        $balances = once(fn () => Balance::query()->findMany($ids)->keyBy('party_id'));
        // A record that has nothing but its balance, one after the other.
        $party = new Party;
        $today = $this->clock->today();
        $texts = [];
        foreach ($ids as $id) {
            $balance = $balances->get($id);
            $texts[$id] = $balance === null ? '' : Cells::text($column->value($party->setRelation('balance', $balance), $today));
        }

        return $texts;
    }

    /**
     * @param ListedField<Party> $column
     * @param list<int> $ids
     *
     * @return array<int, string>
     */
    private function days(ListedField $column, array $ids): array
    {
        $days = DB::table('record_values as v')
            ->whereIn('party_id', $ids)->selectRaw("party_id, {$column->source->order()} as day")
            ->pluck('day', 'party_id');

        return array_map(
            fn (mixed $day) => is_string($day) ? Day::fromIso($day)->toText() : '',
            array_combine($ids, array_map(fn (int $id) => $days->get($id), $ids)),
        );
    }
}
