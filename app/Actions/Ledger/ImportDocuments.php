<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Interchange\DocumentTable;
use Almanac\Interchange\ReadDocument;
use Almanac\Interchange\UblInvoice;
use Almanac\Ledger\DocumentKind;
use Almanac\Refusal;
use Almanac\Terms\Shorthand;
use App\Models\Import;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Queries\Ledger\MatchParties;
use App\Support\Clock;
use App\Support\OfficeCalendar;
use App\Support\PartyCopy;
use App\Support\Rates;
use App\Support\SideDefaults;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Reads documents in from a file: CSV, or a UBL invoice. First everything is checked and every bad
 * line told; nothing is taken before somebody says so, and then all of it or nothing. The work is
 * done apart from the request, so that whoever started it can leave.
 */
final class ImportDocuments
{
    private const CHUNK = 500;

    /** @var array<string, array{string, string}> details and terms by party and side, of the file at hand */
    private array $known = [];

    public function __construct(private readonly Clock $clock, private readonly KeepStandings $standings)
    {
    }

    public function receive(UploadedFile $file, User $by): Import
    {
        $path = 'imports/'.Str::uuid();
        Storage::putFileAs('imports', $file, basename($path));

        return Import::query()->create(['name' => mb_substr($file->getClientOriginalName(), 0, 200), 'path' => $path, 'state' => 'checking', 'user_id' => $by->id]);
    }

    /** Reads the file and says what is wrong with it. */
    public function check(Import $import): void
    {
        try {
            [$found, $problems] = $this->read($import);
            $import->update(['state' => 'checked', 'found' => count($found), 'problems' => $problems]);
        } catch (Refusal $refusal) {
            $import->update(['state' => 'failed', 'failure' => $refusal->getMessage()]);
        }
    }

    /** Whether somebody may have it taken; from then on it is being taken. */
    public function begin(Import $import): bool
    {
        return Import::query()->whereKey($import->id)->where('state', 'checked')->where('found', '>', 0)->update(['state' => 'taking', 'taken' => 0]) === 1;
    }

    /** Takes every document that can be taken, in one transaction. */
    public function take(Import $import): void
    {
        $this->known = [];
        try {
            [$found] = $this->read($import);
            DB::transaction(function () use ($import, $found): void {
                $parties = [];
                $next = (int) DB::table('documents')->max('id') + 1;
                foreach (array_chunk($found, self::CHUNK) as $at => $chunk) {
                    $this->insert($chunk, $next, $import);
                    $next += count($chunk);
                    foreach ($chunk as [, $partyId]) {
                        $parties[$partyId] = true;
                    }
                    self::tellProgress($import, min(count($found), ($at + 1) * self::CHUNK));
                }
                $this->standings->refresh(...array_keys($parties));
                $import->update(['state' => 'taken', 'taken' => count($found)]);
            });
        } catch (\Throwable $error) {
            $import->update(['state' => 'checked', 'failure' => $error instanceof Refusal ? $error->getMessage() : 'It was stopped; nothing was taken. Try again.']);
            if (! $error instanceof Refusal) {
                throw $error;
            }
        } finally {
            Storage::delete($import->path.'.progress');
        }
    }

    /** How many are done while it is being taken; the database does not show them before all are. */
    public static function progress(Import $import): int
    {
        return $import->state === 'taking' ? (int) Storage::get($import->path.'.progress') : $import->taken;
    }

    public function forget(Import $import): void
    {
        Storage::delete($import->path);
        $import->delete();
    }

    private static function tellProgress(Import $import, int $done): void
    {
        Storage::put($import->path.'.progress', (string) $done);
    }

    /**
     * @return array{list<array{ReadDocument, int}>, list<array{line: int, field: string, message: string}>}
     *
     * @throws Refusal when it cannot be read at all
     */
    private function read(Import $import): array
    {
        $content = (string) Storage::get($import->path);
        $office = Office::current();
        if (preg_match('/^(\xEF\xBB\xBF)?\s*</', $content) === 1) {
            [$documents, $wrong] = [[1 => UblInvoice::read($content)], []];
        } else {
            [$documents, $wrong] = DocumentTable::read($content, $this->clock->reader($office), $office->currency(), $office->decimalSign());
        }
        $problems = [];
        foreach ($wrong as $line => $messages) {
            foreach ($messages as [$field, $message]) {
                $problems[] = ['line' => $line, 'field' => $field, 'message' => $message];
            }
        }
        $match = MatchParties::ofBook();
        $rates = Rates::ofOffice();
        $kept = DB::table('documents')->where('state', '!=', 'void')->whereNotNull('number')->get(['kind', 'number', 'party_id'])
            ->mapWithKeys(fn ($row) => ["{$row->kind}|{$row->number}|".(DocumentKind::from((string) $row->kind)->isTheirs() ? $row->party_id : '') => true])->all();
        $found = [];
        foreach ($documents as $line => $document) {
            [$partyId, $problem] = $match->find($document);
            $key = "{$document->kind->value}|{$document->number}|".($document->kind->isTheirs() ? $partyId : '');
            $reason = match (true) {
                $partyId === null => ['party', $problem],
                isset($kept[$key]) => ['number', "{$document->kind->title()} {$document->number} is in the book already, or twice in the file."],
                ! $rates->has($document->currency, $document->date) => ['currency', "There is no rate for {$document->currency} on {$document->date->toText()}. Add one under Office, Currencies."],
                default => null,
            };
            if ($reason !== null) {
                $problems[] = ['line' => $line, 'field' => $reason[0], 'message' => $reason[1]];

                continue;
            }
            $kept[$key] = true;
            $found[] = [$document, (int) $partyId];
        }
        usort($problems, fn (array $one, array $other) => $one['line'] <=> $other['line']);

        return [$found, $problems];
    }

    /**
     * Many at once: the numbers of their rows are given here, since nobody else writes meanwhile.
     *
     * @param list<array{ReadDocument, int}> $chunk
     */
    private function insert(array $chunk, int $next, Import $import): void
    {
        $parties = Party::query()->with('addressUses.address', 'taxNumbers', 'clientTerms.listed', 'vendorTerms.listed')->findMany(array_unique(array_column($chunk, 1)))->keyBy('id');
        $documents = $lines = $events = [];
        $now = $this->clock->now();
        foreach ($chunk as $at => [$document, $partyId]) {
            $party = $parties->get($partyId) ?? throw new \LogicException('What was matched is there.');
            [$copy, $terms] = $this->details($party, $document->kind);
            $documents[] = $this->row($document, $party->id, $copy, $terms, $import) + ['id' => $next + $at, 'created_at' => $now, 'updated_at' => $now];
            foreach ($document->lines as $rank => $line) {
                $lines[] = [
                    'document_id' => $next + $at, 'rank' => $rank, 'text' => $line->text, 'quantity' => (string) $line->quantity, 'price' => (string) $line->price,
                    'discount' => (string) $line->discount, 'tax' => (string) $line->tax, 'cost_centre_ids' => '[]', 'amount_minor' => $line->amount($document->currency)->minor,
                ];
            }
            $events[] = ['document_id' => $next + $at, 'text' => mb_strimwidth("read in from {$import->name}", 0, 500, '…'), 'user_id' => $import->user_id, 'at' => $now];
        }
        DB::table('documents')->insert($documents);
        foreach (array_chunk($lines, self::CHUNK) as $some) {
            DB::table('document_lines')->insert($some);
        }
        DB::table('document_events')->insert($events);
    }

    /** @return array<string, mixed> */
    private function row(ReadDocument $document, int $partyId, string $copy, string $terms, Import $import): array
    {
        $totals = $document->totals();
        $due = $document->kind->isOwed() ? $document->due ?? $this->due($terms, $document->date) : null;
        $isNothing = $totals->gross->isZero();

        return [
            'party_id' => $partyId, 'kind' => $document->kind->value, 'state' => $isNothing ? 'settled' : 'issued', 'number' => $document->number,
            'date' => $document->date->toIso(), 'due' => $due?->toIso(), 'next_due' => $isNothing ? null : $due?->toIso(), 'terms' => $document->due === null && $due !== null ? $terms : '',
            'treatment' => $document->treatment->value, 'currency' => $document->currency,
            'net_minor' => $totals->net->minor, 'tax_minor' => $totals->tax->minor, 'total_minor' => $totals->gross->minor, 'open_minor' => $totals->gross->minor,
            'settled_on' => $isNothing ? $document->date->toIso() : null, 'reference' => mb_substr($document->reference, 0, 255), 'note' => '', 'copy' => $copy,
            'version' => 1, 'user_id' => $import->user_id, 'import_id' => $import->id,
        ];
    }

    /** @return array{string, string} the party's details as JSON, and its terms; worked out once for all its documents of a kind */
    private function details(Party $party, DocumentKind $kind): array
    {
        $side = $kind->side();

        return $this->known["{$party->id} {$side->value}"] ??= [
            (string) json_encode(PartyCopy::of($party, $side, $this->clock->today())),
            SideDefaults::of($party, $side, $this->clock->today())->terms()->value[0] ?? '',
        ];
    }

    private function due(string $terms, Day $date): Day
    {
        return $terms === '' ? $date : Shorthand::read($terms)->applyTo($date, OfficeCalendar::of(Office::current()))->due();
    }
}
