<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\ImportState;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\PartyReader;
use App\Actions\Bulk\InTheirName;
use App\Actions\Finding\IndexParties;
use App\Database\LongWork;
use App\Database\Pace;
use App\Facts\Interchange\Meanwhile;
use App\Facts\Interchange\OfficeReading;
use App\Models\Change;
use App\Models\Import;
use App\Models\ImportLine;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Takes the lines of a file into the book: a few at a time, each few a transaction of its own, so that others get in between.
 * A line that was taken says what came of it in the same transaction, and is not taken again.
 */
final readonly class TakeLines
{
    private const FEW = 10;

    private const MOST = 100;

    /** Milliseconds. */
    private const STEP = 140.0;

    public function __construct(
        private AddLines $add,
        private ChangeLines $change,
        private OfficeReading $office,
        private IndexParties $index,
    ) {
    }

    public function handle(Import $import): void
    {
        $meanwhile = new Meanwhile($import->checked_to);
        // Each kind by itself: what is read for a step is read for as many as possible.
        foreach ([LineOutcome::New, LineOutcome::Changes] as $outcome) {
            $after = [0, -1];
            $pace = new Pace(self::FEW, self::MOST, self::STEP);
            $pace->steps(function () use ($import, $outcome, $pace, $meanwhile, &$after): bool {
                return $this->step($import->refresh(), $outcome, $pace, $meanwhile, $after);
            });
        }
        LongWork::step(fn () => $import->refresh()->state === ImportState::Taking ? $import->update([
            'state' => ImportState::Taken, 'last_change_id' => (int) Change::query()->max('id'),
        ]) : null);
    }

    /**
     * @param array{int, int} $after turn and line up to which all are taken: they are not looked through again
     *
     * @return bool whether there is more to do
     */
    private function step(Import $import, LineOutcome $outcome, Pace $pace, Meanwhile $meanwhile, array &$after): bool
    {
        $by = InTheirName::of($import->user_id);
        $lines = $import->state !== ImportState::Taking ? new Collection : $import->importLines()
            ->where('outcome', $outcome)->whereNull('done')->whereRaw('(turn, line) > (?, ?)', $after)
            ->reorder('turn')->orderBy('line')->limit($pace->many())->get();
        if ($lines->isEmpty()) {
            return false;
        }
        $reader = PartyReader::of($import->settings->read(), $this->office->of($import->settings));
        $rows = array_filter($lines->mapWithKeys(
            fn (ImportLine $line): array => [$line->line => $reader->read($line->cells())->row],
        )->all());
        $done = [];
        $this->index->together(function () use ($import, $outcome, $lines, $rows, $by, $meanwhile, &$done): void {
            $done = $outcome === LineOutcome::New
                ? $this->add->handle($import, $lines, $rows, $meanwhile->ids(), $by)
                : $this->change->handle($import, $lines, $rows, $by);
        });
        DB::table('import_lines')->upsert(
            array_values($lines->whereIn('line', array_keys($done))->map(fn (ImportLine $line) => $done[$line->line] + $line->getAttributes())->all()),
            ['import_id', 'line'], ['done', 'record_id', 'message', 'way_back'],
        );
        $last = $lines->takeUntil(fn (ImportLine $line) => ! isset($done[$line->line]))->last();
        $after = $last === null ? $after : [$last->turn, $last->line];
        $import->update(['taken' => $import->taken + count($done)]);
        $meanwhile->seen();

        return true;
    }
}
