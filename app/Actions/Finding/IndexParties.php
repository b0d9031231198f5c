<?php

declare(strict_types=1);

namespace App\Actions\Finding;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\LookAlikes\Keys;
use Almanac\Readiness\Readiness;
use App\Database\Ids;
use App\Database\LongWork;
use App\Facts\Finding\RecordLine;
use App\Facts\Lists\KeptValues;
use App\Facts\Lists\SearchColumn;
use App\Facts\Lists\SearchedFields;
use App\Facts\LookAlikes\PartyLikeness;
use App\Facts\Readiness\RecordFacts;
use App\Facts\Records\Ancestors;
use App\Models\Address;
use App\Models\AddressUse;
use App\Models\Party;
use App\Models\Position;
use App\Models\Relation;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Keeps what is looked up over all records in step with them: search, look-alikes, gaps. Runs inside the transaction of the change. */
final readonly class IndexParties
{
    private const CHUNK = 500;

    /** Of several together, from whom they inherit; one alone asks for it only where it has to. */
    private const ABOVE = [...Ancestors::READS, ...Ancestors::OF_EMPLOYERS];

    private const READS = [...RecordLine::READS, ...RecordFacts::RELATIONS, ...PartyLikeness::RELATIONS];

    /** A few at a time: nobody waits for long. */
    private const FEW = 25;

    public function __construct(private Clock $clock, private HeldIndex $held, private TidySearch $search)
    {
    }

    /**
     * Changes several records and indexes them afterwards, once each; within the transaction of the changes.
     *
     * @param \Closure(): void $change
     */
    public function together(\Closure $change): void
    {
        $this->held->hold();
        try {
            $change();
        } finally {
            $ids = $this->held->release();
        }
        $this->these($ids);
    }

    /**
     * The party itself, and the records that are found through it: its people, and who shares its addresses.
     *
     * @param array<int> $formerly records that were found through it before the change
     */
    public function withNeighbours(Party $party, array $formerly = []): void
    {
        $this->changed([$party->id], [$party->id], $formerly);
    }

    /** The party itself, for what nobody else is found by. */
    public function alone(Party $party): void
    {
        $this->changed([$party->id], [], []);
    }

    /**
     * Several at once.
     *
     * @param list<int> $ids of parties that are different
     * @param list<int> $found of them, those through which others are found
     * @param array<int> $also who changed with them
     */
    public function changed(array $ids, array $found, array $also): void
    {
        if ($found !== []) {
            $people = Position::query()->whereIntegerInRaw('company_id', $found)->pluck('person_id')->all();
            $sharing = AddressUse::query()
                ->whereIn('address_id', Address::query()->select('id')->whereIntegerInRaw('owner_id', $found))
                ->pluck('party_id')->all();
            $also = [...$also, ...$people, ...$sharing];
        }
        $this->refresh(array_values(array_unique([...$also, ...$ids])));
        // Those for whom they stand in lack what they lack.
        $others = [];
        foreach ($ids === [] ? [] : Relation::ofAny($ids)->with('from', 'to')->get() as $relation) {
            foreach ([[$relation->from, $relation->to], [$relation->to, $relation->from]] as [$one, $other]) {
                if ($other->is_deceased && in_array($one->id, $ids, true)) {
                    $others[] = $other->id;
                }
            }
        }
        $this->gaps(array_unique($others));
    }

    /** @param  array<int>  $ids */
    public function these(array $ids): void
    {
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            $this->refresh($chunk);
        }
    }

    /**
     * Only how much they lack: for what changes nothing by which they are found.
     *
     * @param array<int> $ids
     */
    public function gaps(array $ids): void
    {
        $today = $this->clock->today();
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            foreach (Party::query()->with(RecordFacts::RELATIONS)->findMany($chunk) as $party) {
                $readiness = Readiness::of(RecordFacts::of($party, $today));
                DB::table('record_gaps')->updateOrInsert(['party_id' => $party->id], $this->gapsOf($party, $readiness, $today));
                DB::table('record_values')->where('party_id', $party->id)->update(KeptValues::lacking($party, $readiness));
            }
        }
    }

    /**
     * Only what a single value of their classification says, of those that have it now and of those who take it over.
     *
     * @param list<int> $ids
     */
    public function classified(array $ids): void
    {
        $today = $this->clock->today();
        foreach (Party::query()->findMany($ids) as $party) {
            DB::table('record_values')->where('party_id', $party->id)->update(KeptValues::classified($party));
            DB::table('record_gaps')->where('party_id', $party->id)->update(['owner_id' => self::ownerOf($party, $today)]);
        }
    }

    public function everything(): void
    {
        DB::transaction(function (): void {
            DB::table('search_vocabulary')->delete();
            DB::statement("INSERT INTO search_spellings (search_spellings) VALUES ('delete-all')");
        });
        Party::query()->select('id')->chunkById(self::CHUNK, function ($parties): void {
            LongWork::step(fn () => $this->anew(Ids::of($parties->pluck('id'))));
        });
        $this->search->handle();
    }

    /** Those that are another today though nothing happened: an address or a position begins, or has ended. */
    public function freshen(): void
    {
        $stale = DB::table('record_lines')
            ->whereNotNull('stale_on')
            ->where('stale_on', '<=', $this->clock->today()->toIso())
            ->pluck('party_id');
        foreach (array_chunk(Ids::of($stale), self::FEW) as $some) {
            LongWork::step(fn () => $this->refresh($some));
        }
    }

    /** @param  array<int>  $ids */
    private function refresh(array $ids): void
    {
        if ($this->held->isHolding()) {
            $this->held->add($ids);

            return;
        }
        $kept = KeptIndex::of($ids);
        $parties = $this->read($ids);
        $this->write($parties, $kept);
        $kept->forget(...array_diff($ids, $parties->modelKeys()));
    }

    /**
     * As if they had never been indexed: for records to which, or from which, what has happened has come.
     *
     * @param list<int> $ids
     */
    public function anew(array $ids): void
    {
        KeptIndex::none()->forget(...$ids);
        $this->write($this->read($ids), KeptIndex::none());
    }

    /**
     * Records that have just come into the book, as they are in memory: only what is missing of them is read.
     *
     * @param Collection<int, Party> $new
     */
    public function added(Collection $new): void
    {
        $this->write($new->loadMissing(self::READS), KeptIndex::none());
    }

    /**
     * @param array<int> $ids
     *
     * @return Collection<int, Party>
     */
    private function read(array $ids): Collection
    {
        return Party::query()->with(count($ids) > 1 ? [...self::READS, ...self::ABOVE] : self::READS)->findMany($ids);
    }

    /** @param  Collection<int, Party>  $parties */
    private function write(Collection $parties, KeptIndex $kept): void
    {
        $new = new NewRows;
        foreach ($parties as $party) {
            $this->writeOne($party, $kept, $new);
        }
        $new->write();
    }

    private function writeOne(Party $party, KeptIndex $kept, NewRows $new): void
    {
        $today = $this->clock->today();
        $readiness = Readiness::of(RecordFacts::of($party, $today));
        $line = RecordLine::of($party, $today);
        $isOther = $kept->keep('record_lines', $party->id, [
            'is_in_use' => ! $party->isArchived(), 'kind' => $party->kind->value, 'sort_key' => $party->sort_key,
            'stale_on' => $line->staleOn?->toIso(), 'line' => $line->toKept(),
        ], $new);
        if ($isOther) {
            if ($kept->has($party->id)) {
                $new->replaceWords($party->id);
            }
            $this->words($party->id, $line, $new);
        }
        if ($kept->keepKeys($party->id, Keys::of(PartyLikeness::of($party)), $new) || $isOther) {
            $new->compare($party->id);
        }
        $kept->keep('record_gaps', $party->id, $this->gapsOf($party, $readiness, $today), $new);
        $kept->keep('record_values', $party->id, KeptValues::of($party, $line->row, $readiness, $today), $new);
    }

    /**
     * @param list<Readiness> $readiness
     *
     * @return array{gaps: int, owner_id: int|null} how many there are, and whose they are
     */
    private function gapsOf(Party $party, array $readiness, Day $today): array
    {
        return [
            'gaps' => array_sum(array_map(fn (Readiness $one) => count($one->gaps()), $readiness)),
            'owner_id' => self::ownerOf($party, $today),
        ];
    }

    private static function ownerOf(Party $party, Day $today): ?int
    {
        return Ancestors::nearest($party, $party->owner_id, fn (Party $company) => $company->owner_id, $today)->value;
    }

    /** What it is found by: whole words, and the letters in them. */
    private function words(int $id, RecordLine $line, NewRows $new): void
    {
        $columns = array_fill_keys(array_column(SearchColumn::cases(), 'value'), '');
        $figures = [];
        $fields = SearchedFields::all();
        foreach ($line->values as [$key, $value]) {
            $column = $fields->get($key)?->searched;
            if ($column === null) {
                continue;
            }
            $columns[$column->value] .= ' '.Fold::text($value);
            if ($column->isFigures()) {
                $figures[] = Fold::digits($value);
            }
        }
        $new->add('search_words', ['rowid' => $id] + $columns);
        $new->learn(array_unique(Fold::words("{$columns['name']} {$columns['also']} {$columns['works_at']} {$columns['place']}")));
        $new->add('search_letters', [
            'rowid' => $id,
            'name' => trim($columns['name'].' '.$columns['also'].' '.$columns['email']),
            'figures' => implode(' ', array_unique($figures)),
        ]);
    }
}
