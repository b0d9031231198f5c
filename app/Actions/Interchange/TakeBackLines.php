<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Banking\BankState;
use Almanac\Bulk\BulkRefused;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\LineDone;
use Almanac\Ledger\DocumentState;
use Almanac\Records\SectionName;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Bulk\InTheirName;
use App\Actions\Bulk\RunBulkChange;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\DeleteDocuments;
use App\Actions\Ledger\KeepStandings;
use App\Actions\Notes\WriteLogEntry;
use App\Actions\Records\DeleteParty;
use App\Actions\Records\PositionsSection;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Section;
use App\Actions\Records\SectionOf;
use App\Actions\Records\Sections;
use App\Actions\Records\StaleSection;
use App\Database\Ids;
use App\Database\Pace;
use App\Facts\Records\SectionVersions;
use App\Models\Change;
use App\Models\FormerRecord;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\LogEntry;
use App\Models\Party;
use App\Models\SectionState;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes an import of people and companies back, the last that was taken first: what it changed is as it was, what it added goes.
 * What was changed since stays.
 */
final readonly class TakeBackLines
{
    private const FEW = 5;

    private const MOST = 50;

    public function __construct(
        private Sections $sections,
        private DeleteParty $delete,
        private SaveSection $save,
        private PositionsSection $positions,
        private KeepBankDetails $bank,
        private DeleteDocuments $documents,
        private KeepStandings $standings,
        private WriteLogEntry $notes,
        private IndexParties $index,
    ) {
    }

    public function handle(Import $import): void
    {
        $pace = new Pace(self::FEW, self::MOST);
        $pace->steps(fn () => $this->step($import->refresh(), $pace));
    }

    /** @return bool whether there is more to do */
    private function step(Import $import, Pace $pace): bool
    {
        if ($import->state !== ImportState::TakingBack) {
            return false;
        }
        $by = InTheirName::of($import->user_id);
        // Those that were changed were taken last, and companies first.
        $lines = $import->importLines()
            ->reorder('done', 'desc')->orderByDesc('turn')->orderByDesc('line')->whereIn('done', [LineDone::Added, LineDone::Changed])->limit($pace->many())->get();
        if ($lines->isEmpty()) {
            $import->update(['state' => ImportState::TakenBack]);

            return false;
        }
        $count = 0;
        foreach ($lines as $line) {
            if ($count > 0 && $pace->isSpent()) {
                break;
            }
            $done = $this->takenBack($import, $line, $by);
            DB::table('import_lines')->where('import_id', $import->id)->where('line', $line->line)->update($done);
            $count++;
        }
        $import->update(['taken' => max(0, $import->taken - $count)]);

        return true;
    }

    /** @return array<string, mixed> what came of it */
    private function takenBack(Import $import, ImportLine $line, User $by): array
    {
        try {
            DB::transaction(fn () => $line->done === LineDone::Added
                ? $this->gone($import, $this->added($line->record_id), $by)
                : $this->asItWas(Party::query()->find($line->record_id), $line->way_back ?? [], $by));
        } catch (StaleSection) {
            return ['done' => LineDone::Kept->value, 'message' => BulkRefused::changedSince()->getMessage()];
        } catch (\Throwable $why) {
            return ['done' => LineDone::Kept->value, 'message' => RunBulkChange::words($why)];
        }
        foreach ($line->way_back['made'] ?? [] as $id) {
            $this->goneIfUnused($import, $id, $by);
        }

        return ['done' => LineDone::TakenBack->value, 'message' => ''];
    }

    /** Nobody where it was deleted since; what was made one with another is part of that. */
    private function added(?int $id): ?Party
    {
        return FormerRecord::query()->whereKey($id)->exists() ? throw BulkRefused::changedSince() : Party::query()->find($id);
    }

    /** A company that was made on the way goes with the last who works there. */
    private function goneIfUnused(Import $import, int $id, User $by): void
    {
        try {
            DB::transaction(fn () => $this->gone($import, Party::query()->find($id), $by));
        } catch (\Throwable $why) {
            RunBulkChange::words($why);
        }
    }

    private function gone(Import $import, ?Party $party, User $by): void
    {
        if ($party === null) {
            return;
        }
        if ($party->files()->exists()) {
            throw BulkRefused::hasFiles();
        }
        $this->mustBeUnchanged($import, $party);
        if ($party->isPerson() && $party->heldPositions()->exists()) {
            $this->save->handle($this->positions, $party, ['positions' => []], SectionVersions::of($party, SectionName::Positions), $by);
        }
        $this->openingsOf($party);
        $this->delete->handle($party, $by);
        $this->index->these([$party->id]);
    }

    private function mustBeUnchanged(Import $import, Party $party): void
    {
        $since = Change::query()->where('subject_id', $party->id)->where('key', '!=', Change::SEEN)
            ->where(
                fn ($changes) => $changes->where('user_id', '!=', $import->user_id)->orWhere(
                    'id',
                    '>',
                    $import->last_change_id ?? PHP_INT_MAX,
                ),
            )
            // That somebody of the file who worked there has gone again is no change of theirs.
            ->where('section', '!=', SectionName::Positions->value);
        foreach ($since->distinct()->pluck('section') as $section) {
            $states = SectionState::query()->where('subject_id', $party->id)->where('section', $section)->orderBy('version')->get()
                ->map(fn (SectionState $one) => $one->state)->all();
            // What was changed and taken back is as it came in.
            if ($states === [] || reset($states) !== end($states)) {
                throw BulkRefused::changedSince();
            }
        }
    }

    /** @param  array{states?: list<int>, after?: int}  $wayBack */
    private function asItWas(?Party $party, array $wayBack, User $by): void
    {
        if ($party === null) {
            throw BulkRefused::isGone();
        }
        // What colleagues and companies show of it follows from their own: others of the file have come to them since.
        $made = SectionState::query()->where('subject_id', $party->id)
            ->where(fn ($states) => $states->whereIn('id', $wayBack['states'] ?? [])->orWhereIn('cause_id', $wayBack['states'] ?? []));
        foreach ($made->orderBy('id')->get() as $state) {
            $section = $this->sections->named(SectionName::from($state->section)) ?? throw BulkRefused::isGone();
            $this->save->restore(
                $section, $party, $state->former() ?? throw BulkRefused::isGone(), $this->versionOf($section, $party, $state), $by,
            );
        }
        $changes = Change::query()
            ->where('subject_id', $party->id)->where('user_id', $by->id)
            ->where('id', '>', $wayBack['after'] ?? PHP_INT_MAX);
        foreach ($party->bankDetails()->where('state', BankState::OnHold)->where('user_id', $by->id)->get() as $detail) {
            if ((clone $changes)->where('section', SectionName::Bank->value)->where('to', "$detail->masked, on hold")->exists()) {
                $this->bank->refuse($detail, 'The import was taken back.', $by);
            }
        }
        foreach (LogEntry::query()->whereIn('id', (clone $changes)->whereNotNull('log_entry_id')->pluck('log_entry_id'))->get() as $entry) {
            $this->notes->remove($party, $entry, $by);
        }
    }

    /**
     * From which the section goes back: where it is what the line made of it, from now, though another line of the file may
     * have changed it and been taken back; else from what the line made, and whoever changed it since is in the way.
     */
    private function versionOf(Section $section, Party $party, SectionState $made): int
    {
        $now = SectionOf::party($section, $party);
        $now->reload();

        return $now->state() === $made->state ? SectionVersions::of($party, $section->name()) : $made->version;
    }

    /** What was owed when the books began goes with a record to which nothing else has happened. */
    private function openingsOf(Party $party): void
    {
        if ($party->payments()->exists() || $party->documents()->whereNotIn('id', $party->openings()->select('id'))->exists()) {
            return;
        }
        $ids = $party->openings()->where('state', DocumentState::Issued)->whereColumn('open_minor', 'total_minor')->pluck('id');
        $this->documents->handle(Ids::of($ids));
        $this->standings->refresh($party->id);
    }
}
