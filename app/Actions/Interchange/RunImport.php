<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Refusal;
use App\Actions\Ledger\ImportDocuments;
use App\Background\ReadImport;
use App\Models\Change;
use App\Models\Import;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Works on a file as far as its state says; begins it, stops it, takes it back, forgets it. */
final readonly class RunImport
{
    public function __construct(
        private ImportDocuments $documents,
        private ReadLines $read,
        private CheckLines $check,
        private TakeLines $take,
        private TakeBackLines $back,
    ) {
    }

    public function handle(Import $import): void
    {
        if (! $import->isOfRecords()) {
            match ($import->state) {
                ImportState::Checking => $this->documents->check($import),
                ImportState::Taking, ImportState::Counting => $this->documents->take($import),
                default => null,
            };

            return;
        }
        try {
            match ($import->state) {
                ImportState::Reading => $this->read->handle($import),
                ImportState::Checking => $this->check->handle($import),
                ImportState::Taking => $this->take->handle($import),
                ImportState::TakingBack => $this->back->handle($import),
                default => null,
            };
        } catch (\Throwable $why) {
            $this->failed($import->refresh(), $why);
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
            if ($import->isOfRecords()) {
                if ($import->importLines()->whereIn('outcome', [LineOutcome::New, LineOutcome::Changes])->whereNull('done')->doesntExist()) {
                    throw InterchangeRefused::nothingToTake();
                }
                Storage::delete($import->path);
                $import->update([
                    'state' => ImportState::Taking,
                    'failure' => '',
                    'taken' => $import->importLines()->whereNotNull('done')->count(),
                ]);
            } elseif (! $this->documents->begin($import)) {
                throw InterchangeRefused::nothingToTake();
            }
            ReadImport::dispatch($import->id);
        });
    }

    /** What is taken stays taken. */
    public function stop(Import $import): void
    {
        DB::transaction(function () use ($import): void {
            if ($import->refresh()->isOfRecords() && $import->state === ImportState::Taking) {
                $import->update(['state' => ImportState::Stopped, 'last_change_id' => (int) Change::query()->max('id')]);
            }
        });
    }

    /** @throws InterchangeRefused when there is nothing to take back */
    public function takeBack(Import $import): void
    {
        DB::transaction(function () use ($import): void {
            if (! $import->refresh()->isOfRecords() || ! $import->state->mayBeTakenBack()) {
                throw InterchangeRefused::notNow($import->state->title());
            }
            $import->update([
                'state' => ImportState::TakingBack, 'failure' => '',
                'taken' => $import->importLines()->whereIn('done', [LineDone::Added, LineDone::Changed])->count(),
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
        if (! $import->isOfRecords()) {
            $this->documents->forget($import);

            return;
        }
        DB::transaction(function () use ($import): void {
            if ($import->refresh()->state === ImportState::Taking || $import->state === ImportState::TakingBack) {
                throw InterchangeRefused::notNow($import->state->title());
            }
            Storage::delete($import->path);
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
                ImportState::Taking, ImportState::TakingBack => ImportState::Stopped,
                ImportState::Checking => ImportState::Columns,
                default => ImportState::Failed,
            },
            'failure' => $why instanceof Refusal
                    ? $why->getMessage()
                    : 'Something went wrong. Try again; if it happens again, tell your administrator.',
        ]);
    }
}
