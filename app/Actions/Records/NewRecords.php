<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\PartyKind;
use Almanac\Records\SubjectKind;
use App\Database\ManyRows;
use App\Facts\Records\RecordNumbers;
use App\Models\Model;
use App\Models\Party;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Records that come into the book together: what they are made of is numbered as it is made, and then written by one
 * statement for each table. Of one transaction: the numbers are those that come next in it.
 */
final class NewRecords
{
    /** What a record begins with: nothing of it is there yet, and need not be asked for. */
    private const SEVERAL = [
        'contactPoints', 'addressUses', 'listItems', 'codes', 'taxNumbers', 'detailValues', 'heldPositions', 'staffPositions',
        'relationsFrom', 'relationsTo', 'bankDetails', 'cautions', 'files', 'formerNames', 'formerRecords',
    ];

    private const ONE = ['clientTerms', 'vendorTerms', 'owner', 'accountManager', 'buyer', 'balance'];

    /** What is written of it besides its addresses, each in a table of its own. */
    private const WRITTEN = ['contactPoints', 'codes', 'taxNumbers', 'detailValues', 'heldPositions'];

    /** @var array<string, int> the last number of a row, by table */
    private array $last = [];

    /** The last number that the office gave to a record. */
    private ?int $lastNumber = null;

    /** @var array<int, true> those that it gave to these */
    private array $numbers = [];

    /** @var array<string, array<string, list<array<string, mixed>>>> by table and by what they have */
    private array $rows = [];

    /** @var array<int, Party> by number of the row */
    private array $parties = [];

    /** @var array<string, string> of the rows that say when they were written */
    private readonly array $stamps;

    /** @param  int  $reserved  up to which numbers are for those that want one */
    public function __construct(private readonly CarbonImmutable $now, private readonly int $reserved = 0)
    {
        $stamp = (string) (new Party)->fromDateTime($now);
        $this->stamps = ['created_at' => $stamp, 'updated_at' => $stamp];
    }

    public function begin(PartyKind $kind): Party
    {
        $party = new Party(['kind' => $kind, 'created_at' => $this->now]);
        $party->id = $this->next('subjects');

        return $party->setRelations(
            array_map(fn () => new Collection, array_flip(self::SEVERAL)) + array_fill_keys(self::ONE, null),
        );
    }

    /**
     * Gives a row the number that it will have.
     *
     * @template M of Model
     *
     * @param M $row
     *
     * @return M
     */
    public function numbered(Model $row): Model
    {
        return $row->setAttribute('id', $this->next($row->getTable()));
    }

    /**
     * It comes into the book, with all that stands in its relations.
     *
     * @param int $wanted its number in the office, where it is free; 0 for the next
     */
    public function take(Party $party, int $wanted = 0): void
    {
        $party->setAttribute('number', $this->number($wanted));
        $this->rows['subjects'][''][] = ['id' => $party->id, 'kind' => SubjectKind::Party->value];
        $this->add($party);
        foreach ($party->addressUses as $use) {
            if (! $use->address->exists) {
                $this->add($use->address);
            }
            $this->add($use);
        }
        foreach (self::WRITTEN as $relation) {
            foreach ($party->getRelation($relation) as $row) {
                $this->add($row);
            }
        }
        foreach (array_filter([$party->clientTerms, $party->vendorTerms]) as $terms) {
            $this->add($terms);
        }
        foreach ($party->listItems as $item) {
            $this->rows['party_list_items'][''][] = ['party_id' => $party->id, 'list_item_id' => $item->id];
        }
        $this->parties[$party->id] = $party;
    }

    /**
     * Writes those that were taken.
     *
     * @return Collection<int, Party>
     */
    public function write(): Collection
    {
        // What is referred to comes first.
        foreach (array_unique(['subjects', 'parties', 'addresses', 'address_uses', ...array_keys($this->rows)]) as $table) {
            foreach ($this->rows[$table] ?? [] as $alike) {
                ManyRows::insert($table, $alike);
            }
        }
        $this->rows = [];

        return new Collection(array_values($this->parties));
    }

    private function add(Model $row): void
    {
        $attributes = $row->getAttributes() + ($row->usesTimestamps() ? $this->stamps : []);
        $this->rows[$row->getTable()][implode(' ', array_keys($attributes))][] = $attributes;
        $row->exists = true;
        $row->syncOriginal();
    }

    private function next(string $table): int
    {
        $this->last[$table] ??= (int) DB::table('sqlite_sequence')->where('name', $table)->value('seq');

        return ++$this->last[$table];
    }

    /** The one that is wanted, where nobody has or had it; else the next. */
    private function number(int $wanted): int
    {
        $this->lastNumber ??= RecordNumbers::last();
        $isFree = $wanted > $this->lastNumber
            || ($wanted > 0 && ! isset($this->numbers[$wanted]) && RecordNumbers::isFree($wanted));
        $number = $isFree ? $wanted : max($this->lastNumber, $this->reserved) + 1;
        $this->numbers[$number] = true;
        $this->lastNumber = max($this->lastNumber, $number);

        return $number;
    }
}
