<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Almanac\Banking\BankState;
use Almanac\Interchange\ListFormat;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\RowWriter;
use Almanac\Interchange\TableWriter;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Models\BankDetail;
use App\Models\Change;
use App\Models\DetailField;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Writes the records of a list as a table with everything that a table can hold of them, some at a time. */
final readonly class WholeRecords
{
    private const CHUNK = 250;

    /** More of one kind than that are rare, and would make a table of hundreds of columns. */
    private const MOST = 9;

    public function __construct(private Clock $clock)
    {
    }

    /** @return \Generator<int, string> the file, piece by piece */
    public function handle(Wanted $wanted, ListFormat $format, bool $withPrivate, User $reader, ?\Closure $each = null): \Generator
    {
        $each ??= static function (): void {
        };
        $ids = (new PartyList($this->clock, $wanted, $reader))->inOrder()
            ->pluck('v.party_id')->map(fn (mixed $id) => is_numeric($id) ? (int) $id : 0);

        return $format === ListFormat::Json
            ? $this->json($ids, $withPrivate, $reader, $each)
            : TableWriter::write($format, $this->rows($ids, $withPrivate, $reader, $each));
    }

    /**
     * @param \Closure(): void $each called with each record
     *
     * @return \Generator<int, string> everybody, archived or not, with what is private
     */
    public function everybody(ListFormat $format, User $reader, \Closure $each): \Generator
    {
        return $this->handle(new Wanted(withArchived: true), $format, true, $reader, $each);
    }

    /**
     * @param Collection<int, int> $ids
     *
     * @return \Generator<int, string> of docs/record.schema.json
     */
    private function json(Collection $ids, bool $withPrivate, User $reader, \Closure $each): \Generator
    {
        $writer = $this->writer($ids, $withPrivate);
        $before = '[';
        foreach ($this->read($ids, $withPrivate, $reader, $each) as $row) {
            yield $before."\n".json_encode($writer->whole($row), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
            $before = ',';
        }
        yield ($before === '[' ? '[' : '')."\n]\n";
    }

    /**
     * @param Collection<int, int> $ids
     *
     * @return \Generator<int, list<string|int|float>>
     */
    private function rows(Collection $ids, bool $withPrivate, User $reader, \Closure $each): \Generator
    {
        $writer = $this->writer($ids, $withPrivate);
        yield $writer->headings();
        foreach ($this->read($ids, $withPrivate, $reader, $each) as $row) {
            yield $writer->row($row);
        }
    }

    /**
     * @param Collection<int, int> $ids
     *
     * @return \Generator<int, PartyRow>
     */
    private function read(Collection $ids, bool $withPrivate, User $reader, \Closure $each): \Generator
    {
        $terms = OfficeReading::terms();
        foreach ($ids->chunk(self::CHUNK) as $some) {
            $parties = Party::query()->with(array_diff(RowOfParty::RELATIONS, ['logEntries']))->findMany($some->all())->keyBy('id');
            foreach ($some as $id) {
                $party = $parties->get($id);
                if ($party !== null) {
                    $each();
                    yield RowOfParty::of($party->setRelation('logEntries', $party->newCollection()), $terms);
                }
            }
            if ($withPrivate) {
                $this->note($parties->modelKeys(), $reader);
            }
        }
    }

    /** @param  Collection<int, int>  $ids */
    private function writer(Collection $ids, bool $withPrivate): RowWriter
    {
        $most = [
            ...array_combine($kinds = ['phone', 'email', 'website', 'handle', 'profile'], array_map(
                fn (string $kind) => $this->most($ids, 'contact_points', fn (Builder $rows) => $rows->where('kind', $kind)),
                $kinds,
            )),
            'address' => $this->most($ids, 'address_uses'),
            'position' => $this->most($ids, 'positions', column: 'person_id'),
            'account' => $this->most($ids, 'bank_details', fn (Builder $rows) => $rows->where('kind', '!=', BankDetail::PAYEE)
                ->whereIn('state', array_map(fn (BankState $state) => $state->value, [BankState::Confirmed, ...BankDetail::WAITING])), counted: 'distinct kind'),
        ];
        $fields = OfficeReading::fieldNames();
        $secret = array_filter(
            array_keys($fields),
            fn (string $key) => DetailField::query()->find((int) substr($key, 7))?->isSecret() === true,
        );

        return new RowWriter(
            $most,
            array_values(DB::table('party_codes')->distinct()->orderBy('system')->pluck('system')->map(strval(...))->all()),
            $fields,
            array_values($secret),
            $withPrivate,
        );
    }

    /**
     * @param Collection<int, int> $ids
     * @param (\Closure(Builder): mixed)|null $where
     *
     * @return int how many a record has at the most
     */
    private function most(Collection $ids, string $table, ?\Closure $where = null, string $column = 'party_id', string $counted = '*'): int
    {
        // Of one record among them its own; of a long list those of the whole book, which is no more.
        $rows = DB::table($table)->when($ids->count() <= self::CHUNK, fn (Builder $all) => $all->whereIntegerInRaw($column, $ids->all()));
        $where === null ?: $where($rows);

        return min(self::MOST, (int) DB::query()->fromSub($rows->selectRaw("count($counted) as n")->groupBy($column), 'counted')->max('n'));
    }

    /**
     * Who has had what is private.
     *
     * @param array<int> $ids
     */
    private function note(array $ids, User $reader): void
    {
        $at = $this->clock->now();
        DB::table('changes')->insert(array_map(fn (int $id) => [
            'subject_id' => $id, 'section' => 'tax-numbers', 'key' => Change::SEEN, 'label' => 'What is private', 'from' => '',
            'to' => 'shown in a file, though private',
            'user_id' => $reader->id, 'at' => $at,
        ], $ids));
    }
}
