<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Banking\BankState;
use Almanac\Merging\ApartDecisions;
use Almanac\Merging\MergeRefused;
use Almanac\Merging\MergeState;
use Almanac\Merging\SectionApart;
use Almanac\Records\SectionName;
use Almanac\Records\StaleSave;
use App\Actions\Finding\IndexEngagements;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Actions\Ledger\NoteEvent;
use App\Actions\Ledger\SettleDocument;
use App\Actions\Records\ChangeSections;
use App\Actions\Records\LogChanges;
use App\Actions\Records\SectionOf;
use App\Actions\Records\Sections;
use App\Models\BankDetail;
use App\Models\Merge;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Takes records apart that were made one: each is what it was, with its number, and with what came and was changed since
 * as it is decided. Wholly or not at all.
 */
final readonly class TakeApart
{
    /** The column in which a row says whose it is. */
    private const WHOSE = [
        'documents' => 'party_id', 'payments' => 'party_id', 'bank_details' => 'party_id', 'cards' => 'party_id',
        'engagement_parties' => 'party_id', 'files' => 'subject_id', 'reminders' => 'subject_id', 'cautions' => 'subject_id',
        'log_entries' => 'subject_id', 'meetings' => 'subject_id',
    ];

    /** Sections in which one line comes first of its kind. */
    private const WITH_FIRST = [SectionName::Reach, SectionName::Addresses, SectionName::Positions];

    public function __construct(
        private PlanApart $plan,
        private PutBack $back,
        private Sections $sections,
        private MergeNeighbours $neighbours,
        private ChangeSections $change,
        private SettleDocument $settle,
        private NoteEvent $note,
        private LogChanges $log,
        private IndexParties $index,
        private IndexEngagements $engagements,
        private KeepStandings $standings,
        private Clock $clock,
    ) {
    }

    /**
     * @param string $seen what the plan said when it was looked at
     *
     * @throws MergeRefused when it is apart already, or another has to be taken apart first
     * @throws StaleSave when something has come or been changed since
     * @throws AuthorizationException when somebody may not
     */
    public function handle(Merge $merge, ApartDecisions $decisions, string $seen, User $by): void
    {
        if (! MakeOne::isAllowedTo($by)) {
            throw new AuthorizationException('Only approvers and administrators take records apart.');
        }
        DB::transaction(function () use ($merge, $decisions, $seen, $by): void {
            $merge->refresh();
            $plan = $this->plan->of($merge, $decisions);
            if ($plan->seen !== $seen) {
                throw StaleSave::of('this record');
            }
            $this->apart($plan, $by);
        });
    }

    private function apart(ApartPlan $plan, User $by): void
    {
        $kept = $plan->kept;
        $touched = $this->neighbours->of(new Collection([$kept]));
        $this->change->around([...$this->neighbours->own($kept), ...$touched], $by, function () use ($plan, $by): void {
            $this->back->handle($plan->merge);
            $gone = Party::query()->findMany($plan->merge->goneIds());
            $own = array_merge([], ...$gone->map(fn (Party $party) => $this->neighbours->own($party))->all());
            $this->change->around($own, $by, fn () => $this->since($plan, $gone));
        });
        foreach ($plan->between as $allocation) {
            $this->note->handle($allocation->document, 'open again: it was settled from what belongs to another record', $by);
            $this->settle->takeBack($allocation, $this->clock->today());
        }
        $plan->merge->update(['state' => MergeState::Apart, 'apart_by_id' => $by->id, 'apart_at' => $this->clock->now()]);
        $this->tell($plan, $by);
        $this->followUp($plan, $touched);
    }

    /**
     * What came and was changed since.
     *
     * @param Collection<int, Party> $gone
     */
    private function since(ApartPlan $plan, Collection $gone): void
    {
        foreach ($plan->items as $item) {
            if ($item->partyId !== $plan->kept->id) {
                foreach ($item->rows as [$table, $id]) {
                    $this->give($table, $id, $item->partyId);
                }
            }
        }
        // What was sent goes with the document that it was about, whichever of them has that.
        DB::table('messages')->where('party_id', $plan->kept->id)->whereNotNull('document_id')
            ->update(['party_id' => DB::raw('(SELECT party_id FROM documents WHERE documents.id = messages.document_id)')]);
        $has = [];
        foreach ($plan->changes as $change) {
            $key = substr($change->part, strlen($change->section->value) + 1);
            $has[$change->section->value][$key] = $change->isNew ? array_slice($change->has, 0, 1) : $change->has;
        }
        foreach ($plan->sections as $name => $apart) {
            $this->section(SectionName::from($name), $apart, $has[$name] ?? [], new Collection([$plan->kept, ...$gone]));
        }
    }

    /**
     * @param array<string, list<int>> $has
     * @param Collection<int, Party> $parties
     */
    private function section(SectionName $name, SectionApart $apart, array $has, Collection $parties): void
    {
        $section = $this->sections->named($name);
        if ($section === null) {
            return;
        }
        $kept = $parties->first()->id ?? 0;
        foreach ($has as $key => $owners) {
            if ($apart->isNew($key) && $owners !== [] && $owners[0] !== $kept) {
                $this->giveLine($key, $kept, $owners[0]);
            }
        }
        $states = $apart->states($has);
        foreach ($parties as $party) {
            $of = SectionOf::party($section, $party);
            $of->reload();
            $state = $states[$party->id] ?? null;
            // Where one comes first of each kind, that is settled anew: it may have gone with the other.
            if ($state !== null && ($of->state() !== $state || in_array($name, self::WITH_FIRST, true))) {
                $of->reload();
                $of->write(['isRestored' => true] + $state);
            }
        }
    }

    private function give(string $table, int $id, int $partyId): void
    {
        if ($table === 'bank_details') {
            $detail = BankDetail::query()->findOrFail($id);
            if ($detail->state === BankState::Confirmed) {
                BankDetail::query()->where(['party_id' => $partyId, 'kind' => $detail->kind])->where('state', BankState::Confirmed)
                    ->update(['state' => BankState::Replaced]);
            }
        }
        DB::table($table)->where('id', $id)->update([self::WHOSE[$table] => $partyId]);
    }

    /** A line of a section that came since becomes another's. */
    private function giveLine(string $key, int $fromId, int $toId): void
    {
        [$prefix, $id] = [strtok($key, ':'), (int) strtok(':')];
        $tables = [
            'contact' => ['contact_points', ['party_id']], 'address' => ['address_uses', ['party_id']],
            'code' => ['party_codes', ['party_id']],
            'tax' => ['tax_numbers', ['party_id']], 'position' => ['positions', ['person_id', 'company_id']],
            'relation' => ['relations', ['from_id', 'to_id']],
        ];
        [$table, $columns] = $tables[$prefix] ?? [null, []];
        foreach ($columns as $column) {
            DB::table((string) $table)->where('id', $id)->where($column, $fromId)->update([$column => $toId]);
        }
        if ($table === 'address_uses') {
            $addressId = DB::table('address_uses')->where('id', $id)->value('address_id');
            if (DB::table('address_uses')->where('address_id', $addressId)->where('party_id', $fromId)->doesntExist()) {
                DB::table('addresses')->where('id', $addressId)->where('owner_id', $fromId)->update(['owner_id' => $toId]);
            }
        }
    }

    private function tell(ApartPlan $plan, User $by): void
    {
        $merge = $plan->merge;
        $this->log->ofRecord($plan->kept, "taken apart from {$merge->others()}", $by);
        foreach (Party::query()->findMany($merge->goneIds()) as $party) {
            $this->log->ofRecord($party, "taken apart from no. $merge->kept_number $merge->kept_name", $by);
        }
    }

    /** @param  list<SectionOf>  $touched */
    private function followUp(ApartPlan $plan, array $touched): void
    {
        $ids = array_keys($plan->names);
        $this->standings->refresh(...$ids);
        $this->index->anew($ids);
        $others = MergeNeighbours::records($touched);
        foreach (Party::query()->findMany($ids) as $party) {
            $this->index->withNeighbours($party, $others);
            $this->engagements->ofParty($party->id);
        }
        DB::table('look_alike_due')->insertOrIgnore(array_map(fn (int $id) => ['party_id' => $id], $ids));
    }
}
