<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\ReadDocument;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Dues;
use Almanac\Ledger\Totals;
use Almanac\Money\Money;
use Almanac\Terms\PaymentTerms;
use Almanac\Terms\Shorthand;
use App\Database\Ids;
use App\Database\ManyRows;
use App\Facts\Ledger\PartyCopy;
use App\Facts\Terms\SideDefaults;
use App\Models\Import;
use App\Models\Office;
use App\Models\Party;
use App\Models\Relation;
use App\Time\Clock;
use App\Time\OfficeCalendar;
use Illuminate\Support\Facades\DB;

/** Keeps documents of a file, many at once, where nothing counts them yet. Runs inside a transaction. */
final class StageDocuments
{
    private const ROWS = 200;

    /** @var array<string, array{string, string}> details as JSON and terms, by party and side, of the file at hand */
    private array $known = [];

    /** @var array<string, PaymentTerms> by shorthand, of the file at hand */
    private array $read = [];

    /** @var array<int, true> those of the documents at hand who may have a company above, as keys */
    private array $tied = [];

    public function __construct(private readonly Clock $clock)
    {
    }

    /** By which a document is the same as another: ours by its number, theirs by whose it is too. */
    public static function key(ReadDocument $document, int $partyId): string
    {
        return "{$document->kind->value}|{$document->number}|".($document->kind->isTheirs() ? $partyId : '');
    }

    /** By which it is told whether what the book has under the same key says the same: whose it is, its day and its amount. */
    public static function sign(ReadDocument $document, int $partyId): string
    {
        $total = $document->totals()->gross;

        return "$partyId|{$document->date->toIso()}|$total->minor|$total->currency";
    }

    /**
     * Of these documents, those that the book has already.
     *
     * @param array<ReadDocument> $documents
     *
     * @return array<string, string> their signs by their keys
     */
    public function kept(array $documents): array
    {
        $kept = [];
        $kinds = array_unique(array_map(fn (ReadDocument $document) => $document->kind->value, $documents));
        foreach (array_chunk(array_values(array_unique(array_column($documents, 'number'))), self::ROWS) as $numbers) {
            $rows = DB::table('documents')->whereIn('kind', $kinds)->whereIn('number', $numbers)
                ->get(['kind', 'number', 'party_id', 'state', 'dated_on', 'total_minor', 'currency']);
            foreach ($rows as $row) {
                $kind = DocumentKind::from((string) $row->kind);
                // A number of ours is never given again; theirs is free once the document is void.
                if (! $kind->isTheirs() || $row->state !== DocumentState::Void->value) {
                    $kept["{$row->kind}|{$row->number}|".($kind->isTheirs() ? $row->party_id : '')]
                        = "$row->party_id|$row->dated_on|$row->total_minor|$row->currency";
                }
            }
        }

        return $kept;
    }

    /**
     * The numbers of their rows are given here, since nobody else writes meanwhile.
     *
     * @param array<int, array{ReadDocument, int}> $chunk each with its party
     *
     * @return array<int, int|string> by the same keys: the document that was made, or why none could be
     */
    public function handle(array $chunk, Import $import): array
    {
        $kept = $this->kept(array_column($chunk, 0));
        $parties = Party::query()
            ->with('addressUses.address', 'taxNumbers', 'clientTerms.listed', 'vendorTerms.listed')
            ->findMany(array_unique(array_column($chunk, 1)))
            ->keyBy('id');
        $this->tied = [];
        foreach (Relation::ofAny(Ids::of($parties->keys()))->get(['id', 'from_id', 'to_id', 'list_item_id']) as $relation) {
            $this->tied[$relation->from_id] = $this->tied[$relation->to_id] = true;
        }
        $id = (int) DB::table('documents')->max('id');
        $rows = ['documents' => [], 'document_dues' => [], 'document_lines' => [], 'document_events' => []];
        $made = [];
        $now = $this->clock->now();
        foreach ($chunk as $at => [$document, $partyId]) {
            $party = $parties->get($partyId);
            $key = self::key($document, $partyId);
            if (! $party instanceof Party || $party->isArchived() || isset($kept[$key])) {
                $made[$at] = InterchangeRefused::changedMeanwhile($document->kind->title().' '.$document->number)->getMessage();

                continue;
            }
            $kept[$key] = '';
            $made[$at] = ++$id;
            $totals = $document->totals();
            $dues = $this->dues($document, $party, $totals->gross);
            $rows['documents'][] = $this->row($document, $party, $totals, $dues, $import) + [
                'id' => $id,
                'created_at' => $now,
                'updated_at' => $now,
            ];
            foreach ($dues->parts as $rank => [$due, $amount]) {
                $rows['document_dues'][] = [
                    'document_id' => $id,
                    'rank' => $rank,
                    'due_on' => $due->toIso(),
                    'amount_minor' => $amount->minor,
                    'open_minor' => $amount->minor,
                ];
            }
            foreach ($document->lines as $rank => $line) {
                $rows['document_lines'][] = [
                    'document_id' => $id,
                    'rank' => $rank,
                    'text' => $line->text,
                    'quantity' => (string) $line->quantity,
                    'price' => (string) $line->price,
                    'discount' => (string) $line->discount,
                    'tax' => (string) $line->tax,
                    'cost_centre_ids' => '[]',
                    'amount_minor' => $line->amount($document->currency)->minor,
                ];
            }
            $rows['document_events'][] = [
                'document_id' => $id,
                'text' => mb_strimwidth("imported from {$import->name}", 0, 500, '…'),
                'user_id' => $import->user_id,
                'at' => $now,
            ];
            $this->advanceSeries($document);
        }
        foreach ($rows as $table => $all) {
            ManyRows::insert($table, $all);
        }

        return $made;
    }

    /** A number of ours that a file brings is not given out again. */
    private function advanceSeries(ReadDocument $document): void
    {
        $place = $document->kind->placeOf($document->number);
        if ($place !== null) {
            DB::table('series')->insertOrIgnore(['kind' => $document->kind->value, 'year' => $place[0], 'last' => 0]);
            DB::table('series')
                ->where('kind', $document->kind->value)
                ->where('year', $place[0])
                ->where('last', '<', $place[1])
                ->update(['last' => $place[1]]);
        }
    }

    private function dues(ReadDocument $document, Party $party, Money $total): Dues
    {
        $terms = $document->terms === '' ? $this->details($party, $document)[1] : $document->terms;

        return Dues::of(
            $document->kind,
            $total,
            $document->date,
            $document->due,
            $terms === '' ? null : $this->read[$terms] ??= Shorthand::read($terms),
            OfficeCalendar::of(Office::current()),
        );
    }

    /** @return array<string, mixed> */
    private function row(ReadDocument $document, Party $party, Totals $totals, Dues $dues, Import $import): array
    {
        return [
            'party_id' => $party->id,
            'kind' => $document->kind->value,
            'state' => DocumentState::Staged->value,
            'number' => $document->number,
            'dated_on' => $document->date->toIso(),
            'due_on' => $dues->due()?->toIso(),
            'next_due_on' => ($dues->parts[0][0] ?? null)?->toIso(),
            'is_in_parts' => $dues->areSeveral(),
            'terms' => $dues->terms,
            'discount_percent' => $dues->discount === null ? null : (string) $dues->discount->percent,
            'discount_until' => $dues->discount?->lastDay->toIso(),
            'treatment' => $document->treatment->value,
            'currency' => $document->currency,
            'net_minor' => $totals->net->minor,
            'tax_minor' => $totals->tax->minor,
            'total_minor' => $totals->gross->minor,
            'open_minor' => $totals->gross->minor,
            'reference' => $document->reference,
            'note' => '',
            'copy' => $this->details($party, $document)[0],
            'version' => 1,
            'user_id' => $import->user_id,
            'import_id' => $import->id,
        ];
    }

    /** @return array{string, string} the party's details as JSON, and its terms; worked out once for all its documents of a side */
    private function details(Party $party, ReadDocument $document): array
    {
        $side = $document->kind->side();

        return $this->known["{$party->id} {$side->value}"] ??= [
            (string) json_encode(PartyCopy::of($party, $side, $this->clock->today())),
            (isset($this->tied[$party->id]) ? SideDefaults::of($party, $side, $this->clock->today()) : SideDefaults::ofAlone($party, $side))
                ->shorthand(),
        ];
    }
}
