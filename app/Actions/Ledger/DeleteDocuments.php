<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Models\Document;
use Illuminate\Support\Facades\DB;

/** Removes documents with which nothing has happened, and what belongs to them; whoever calls has made sure of that. */
final class DeleteDocuments
{
    /** @param  list<int>  $ids */
    public function handle(array $ids): void
    {
        foreach (['document_lines', 'document_dues', 'document_events'] as $table) {
            DB::table($table)->whereIntegerInRaw('document_id', $ids)->delete();
        }
        Document::query()->withoutGlobalScope(Document::KEPT)->whereIntegerInRaw('id', $ids)->delete();
    }
}
