<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Refusal;
use App\Background\ReadImport;
use App\Models\Change;
use App\Models\Import;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Works on a file as far as its state says; begins it, stops it, takes it back, forgets it. */
final readonly class RunImport
{
    public function __construct(
        private ReadLines $read,
        private CheckLines $check,
        private TakeLines $take,
        private TakeBackLines $back,
        private CheckDocuments $checkDocuments,
        private TakeDocuments $takeDocuments,
        private TakeBackDocuments $documentsBack,
    ) {
    }

    public function handle(Import $import): void
    {
        try {
            $this->work($import);
        } catch (\Throwable $why) {
            $this->failed($import->refresh(), $why);
        }
    }

    private function work(Import $import): void
    {
        $isOfRecords = $import->isOfRecords();
        $state = $import->state;
        match ($state) {
            ImportState::Reading => $this->read->handle($import),
            ImportState::Checking => $isOfRecords ? $this->check->handle($import) : $this->checkDocuments->handle($import),
            ImportState::Taking => $isOfRecords ? $this->take->handle($import) : $this->takeDocuments->handle($import),
            ImportState::Counting => $this->takeDocuments->count($import),
            ImportState::TakingBack => $isOfRecords ? $this->back->handle($import) : $this->documentsBack->handle($import),
            default => null,
        };
        // Of a table of documents whose columns are understood, nobody is asked.
        if ($state === ImportState::Reading && $import->refresh()->state === ImportState::Checking) {
            $this->work($import);
        }
    }

    /**
     * Somebody has it taken, or gone on with.
     *
     * @throws InterchangeRefused when it cannot be, or nothing would come of it
     */
    public function begin(Import $import): void
    {
        DB::transaction(function () use ($import): void {
            if ($import->refresh()->state === ImportState::Taking) {
                return;
            }
            if (! $import->state->mayBeTaken()) {
                throw InterchangeRefused::notNow($import->state->title());
            }
            $left = $import->importLines()->whereIn('outcome', [LineOutcome::New, LineOutcome::Changes])->whereNull('done');
            if ($import->state === ImportState::Checked && $left->doesntExist()) {
                throw InterchangeRefused::nothingToTake();
            }
            Storage::delete($import->path);
            $import->update([
                'state' => ImportState::Taking,
                'failure' => '',
                'taken' => $import->importLines()->whereNotNull('done')->whereColumn('line', 'head')->count(),
            ]);
            ReadImport::dispatch($import->id);
        });
    }

    /** What is taken stays taken. */
    public function stop(Import $import): void
    {
        DB::transaction(function () use ($import): void {
            if ($import->refresh()->state !== ImportState::Taking) {
                return;
            }
            if ($import->isOfRecords()) {
                $import->update(['state' => ImportState::Stopped, 'last_change_id' => (int) Change::query()->max('id')]);
            } else {
                $this->takeDocuments->letCount($import);
                ReadImport::dispatch($import->id);
            }
        });
    }

    /** @throws InterchangeRefused when there is nothing to take back */
    public function takeBack(Import $import): void
    {
        DB::transaction(function () use ($import): void {
            if (! $import->refresh()->state->mayBeTakenBack()) {
                throw InterchangeRefused::notNow($import->state->title());
            }
            $import->update([
                'state' => ImportState::TakingBack, 'failure' => '',
                'taken' => $import->importLines()->whereIn('done', [LineDone::Added, LineDone::Changed])->whereColumn('line', 'head')->count(),
            ]);
            ReadImport::dispatch($import->id);
        });
    }

    /** Work that was left half-way begins again. */
    public function again(Import $import): void
    {
        if ($import->isStuck()) {
            $import->touch();
            ReadImport::dispatch($import->id);
        }
    }

    /** @throws InterchangeRefused when it is being worked on */
    public function forget(Import $import): void
    {
        DB::transaction(function () use ($import): void {
            if (in_array($import->refresh()->state, [ImportState::Taking, ImportState::Counting, ImportState::TakingBack], true)) {
                throw InterchangeRefused::notNow($import->state->title());
            }
            Storage::delete($import->path);
            // What it brought stays.
            DB::table('documents')->where('import_id', $import->id)->update(['import_id' => null]);
            $import->delete();
        });
    }

    /** What could not be read is as if it had not been handed in; what is half-way may be gone on with. */
    private function failed(Import $import, \Throwable $why): void
    {
        if (! $why instanceof Refusal) {
            report($why);
        }
        $import->update([
            'state' => match ($import->state) {
                ImportState::Taking, ImportState::Counting, ImportState::TakingBack => ImportState::Stopped,
                ImportState::Checking => ImportState::Columns,
                default => ImportState::Failed,
            },
            'failure' => $why instanceof Refusal
                    ? $why->getMessage()
                    : 'Something went wrong. Try again; if it happens again, tell your administrator.',
        ]);
    }
}
