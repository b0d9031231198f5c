<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Finding\Fold;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineOutcome;
use App\Background\ReadImport;
use App\Facts\Interchange\OfficeReading;
use App\Models\Import;
use App\Models\ImportLine;
use Illuminate\Support\Facades\DB;

/**
 * What somebody says of one document of a file: of all its lines alike. Whose it is holds of all documents of the file that are
 * of the same name, where the book has nobody who is called so. Runs inside a transaction.
 */
final readonly class DecideDocuments
{
    /** More lines than that are checked behind the screen. */
    private const AT_ONCE = 500;

    public function __construct(private CheckDocuments $check, private OfficeReading $office)
    {
    }

    /** @throws InterchangeRefused when a document cannot be that */
    public function handle(Import $import, ImportLine $line, ?string $decision, ?int $recordId): void
    {
        if ($decision === ImportLine::NEW) {
            throw InterchangeRefused::noNewOfDocuments();
        }
        $beside = $this->beside($import, $line);
        $alike = [];
        $before = DB::table('import_lines')->where('import_id', $import->id)->where('line', $line->head)->first(['decision', 'record_id']);
        DB::table('import_lines')->where('import_id', $import->id)->where('head', $line->head)->update([
            'decision' => $decision, 'record_id' => $decision === ImportLine::RECORD ? $recordId : null,
        ]);
        $was = $before?->decision === ImportLine::RECORD ? (int) $before->record_id : null;
        $is = $decision === ImportLine::RECORD ? $recordId : null;
        if ($was !== $is) {
            $this->mean($import, $line, $was, $is);
            $alike = $this->perhapsAlike($import, array_values(array_filter([$was, $is])));
            if (count($alike) > self::AT_ONCE) {
                $import->update(['state' => ImportState::Checking, 'taken' => 0]);
                ReadImport::dispatch($import->id);

                return;
            }
        }
        $this->check->again($import, $beside, array_values(array_diff($alike, $beside)));
    }

    /**
     * Its own document, and those beside it: with other cells it may belong to one of them.
     *
     * @return list<int>
     */
    private function beside(Import $import, ImportLine $line): array
    {
        $heads = $import->importLines()->whereColumn('line', 'head');
        $before = (clone $heads)->where('line', '<', $line->head)->max('line');
        $after = $heads->where('line', '>', $line->head)->min('line');

        return array_map(intval(...), array_values(array_filter([$before, $line->head, $after], fn ($one) => $one !== null)));
    }

    private function mean(Import $import, ImportLine $line, ?int $was, ?int $is): void
    {
        $name = Fold::text($this->office->documents($import->settings)->party($line->cells()));
        $meant = $import->settings->meant;
        $ids = array_diff($meant[$name] ?? [], [$was]);
        if ($is !== null) {
            $ids = [...$ids, $is];
        }
        $meant[$name] = array_values(array_unique($ids));
        $import->update(['settings' => $import->settings->with(['meant' => array_filter($meant)])]);
    }

    /**
     * Documents that may be of that name, too.
     *
     * @param list<int> $ids whom the name means, or meant
     *
     * @return list<int> the lines on which they begin, one more than are checked at once at the most
     */
    private function perhapsAlike(Import $import, array $ids): array
    {
        return array_values($import->importLines()->whereColumn('line', 'head')->whereNull('decision')
            ->where(fn ($some) => $some->where('outcome', LineOutcome::Doubtful)->orWhereIn('record_id', $ids))
            ->limit(self::AT_ONCE + 1)->pluck('head')->all());
    }
}
