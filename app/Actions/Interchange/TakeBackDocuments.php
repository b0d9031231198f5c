<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Bulk\BulkRefused;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\LineDone;
use App\Actions\Ledger\DeleteDocuments;
use App\Actions\Ledger\KeepStandings;
use App\Database\LongWork;
use App\Models\Document;
use App\Models\Import;
use App\Models\ImportLine;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Takes an import of documents back, the last document first. What something was done with since stays. */
final readonly class TakeBackDocuments
{
    private const FEW = 50;

    public function __construct(private DeleteDocuments $delete, private KeepStandings $standings)
    {
    }

    public function handle(Import $import): void
    {
        LongWork::steps(fn () => $this->step($import->refresh()));
    }

    /** @return bool whether there is more to do */
    private function step(Import $import): bool
    {
        if ($import->state !== ImportState::TakingBack) {
            return false;
        }
        $heads = $import->importLines()->reorder('line', 'desc')->whereColumn('line', 'head')
            ->where('done', LineDone::Added)->limit(self::FEW)->get();
        if ($heads->isEmpty()) {
            $import->update(['state' => ImportState::TakenBack]);

            return false;
        }
        $documents = $heads->mapWithKeys(fn (ImportLine $line): array => [$line->head => $line->way_back['document'] ?? 0])->all();
        $there = $this->there($documents)->pluck('party_id', 'id');
        $untouched = $this->untouched($documents)->pluck('id')->flip();
        $this->delete->handle(array_values(array_intersect($documents, $untouched->keys()->all())));
        $this->standings->refresh(...$there->intersectByKeys($untouched)->unique()->values()->all());
        foreach ($documents as $head => $id) {
            // One that is gone already is taken back, too.
            $isBack = isset($untouched[$id]) || ! isset($there[$id]);
            DB::table('import_lines')->where('import_id', $import->id)->where('head', $head)->update([
                'done' => ($isBack ? LineDone::TakenBack : LineDone::Kept)->value,
                'message' => $isBack ? '' : BulkRefused::changedSince()->getMessage(),
            ]);
        }
        $import->update(['taken' => max(0, $import->taken - $heads->count())]);

        return true;
    }

    /**
     * @param array<int> $ids
     *
     * @return Builder<Document>
     */
    private function there(array $ids): Builder
    {
        return Document::query()->withoutGlobalScope(Document::KEPT)->whereIntegerInRaw('id', $ids);
    }

    /**
     * Nothing happened with them but that they were imported.
     *
     * @param array<int> $ids
     *
     * @return Builder<Document>
     */
    private function untouched(array $ids): Builder
    {
        $none = fn (string $table, string $column) => fn ($query) => $query->from($table)->whereColumn("$table.$column", 'documents.id');

        return $this->there($ids)
            ->where('version', 1)
            ->whereNull('engagement_id')
            ->whereRaw('(select count(*) from document_events where document_id = documents.id) = 1')
            ->whereNotExists($none('allocations', 'document_id'))
            ->whereNotExists($none('allocations', 'credit_id'))
            ->whereNotExists($none('messages', 'document_id'))
            ->whereNotIn('id', fn ($others) => $others->from('documents')->select('source_id')->whereNotNull('source_id'))
            ->whereNotIn('id', fn ($others) => $others->from('documents')->select('replaces_id')->whereNotNull('replaces_id'));
    }
}
