<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\KindCountData;
use App\Http\Data\Ledger\RecordDocumentsData;
use App\Models\Document;
use App\Models\Party;

/** Reads the documents of a record: counts by kind and state, and the newest of them. */
final class ReadRecordDocuments
{
    private const NEWEST = 8;

    public function handle(Party $party, Day $today): RecordDocumentsData
    {
        $counts = [];
        $live = 0;
        foreach ($party->documents()->toBase()->groupBy('kind', 'state')->selectRaw('kind, state, count(*) as many')->get() as $row) {
            $kind = DocumentKind::from((string) $row->kind);
            $state = DocumentState::from((string) $row->state);
            $counts[array_search($kind, DocumentKind::cases(), true) * 10 + (int) array_search($state, DocumentState::cases(), true)]
                = new KindCountData($kind->value, $kind->title(), $state->value, $state->words($kind), (int) $row->many);
            $live += $state === DocumentState::Draft || $state->isOpen() ? (int) $row->many : 0;
        }
        ksort($counts);
        $newest = $party
            ->documents()
            ->orderByDesc('dated_on')
            ->orderByDesc('id')
            ->limit(self::NEWEST)
            ->get()
            ->each(fn (Document $document) => $document->setRelation('party', $party));

        return new RecordDocumentsData(
            array_values($counts),
            array_values($newest->map(fn (Document $document) => DocumentRowData::of($document, $today))->all()),
            $live,
        );
    }
}
