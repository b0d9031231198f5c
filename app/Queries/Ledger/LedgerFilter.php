<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Banking\PayBy;
use Almanac\Calendar\Day;
use Almanac\Ledger\AgeingBucket;
use Almanac\Ledger\AgeingBy;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Side;
use App\Models\Document;
use App\Models\Office;
use App\Models\Payment;
use Illuminate\Database\Eloquent\Builder;

/** Which documents or payments somebody wants to see. */
final readonly class LedgerFilter
{
    private const WEEK = 7;

    /** @param  array{partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null, currency?: string|null, from?: string|null, to?: string|null, q?: string|null}  $wanted */
    public function __construct(private array $wanted, private Day $today)
    {
    }

    /** @param  Builder<Document>  $documents */
    public function documents(Builder $documents): void
    {
        $this->common($documents, 'date');
        $side = Side::tryFrom($this->wanted['side'] ?? '');
        if ($side !== null) {
            $documents->whereIn('kind', DocumentKind::ofSide($side));
        }
        $kind = DocumentKind::tryFrom($this->wanted['kind'] ?? '');
        if ($kind !== null) {
            $documents->where('kind', $kind);
        }
        $days = $this->days();
        match ($this->wanted['state'] ?? '') {
            'open' => $documents->whereIn('kind', DocumentKind::counted())->open(),
            'owed' => $documents->whereIn('kind', DocumentKind::owed())->open(),
            'billed' => $documents->whereIn('kind', array_filter(DocumentKind::counted(), fn (DocumentKind $one) => ! $one->isOpening()))->issued(),
            'draft', 'issued', 'part-paid', 'settled', 'void' => $documents->where('state', $this->wanted['state']),
            default => $documents,
        };
        $bucket = AgeingBucket::tryFrom($this->wanted['bucket'] ?? '');
        if ($days !== null) {
            $this->dueWithin($documents, ...$days);
        } elseif ($bucket !== null) {
            [$least, $most] = $bucket->days();
            $documents->whereIn('kind', DocumentKind::owed())->open()
                ->when($least !== null, fn (Builder $query) => $query->where('date', '<=', $this->today->plusDays(-(int) $least)->toIso()))
                ->when($most !== null, fn (Builder $query) => $query->where('date', '>=', $this->today->plusDays(-(int) $most)->toIso()));
        }
    }

    /** Whether only what is due on certain days of a document belongs to the list. */
    public function isByPart(): bool
    {
        return $this->days() !== null;
    }

    /** What of each document belongs to the list, where it is only a part: its open amount and its first day. */
    public function partColumns(): string
    {
        [$from, $to] = $this->days() ?? [null, null];
        $which = 'from document_dues as part where part.document_id = documents.id and part.open_minor > 0'
            .($from === null ? '' : " and part.due >= '{$from->toIso()}'").($to === null ? '' : " and part.due <= '{$to->toIso()}'");

        return "(select sum(part.open_minor) $which) as part_open, (select min(part.due) $which) as part_due";
    }

    /** @return array{Day|null, Day|null}|null the first and the last day on which something has to be due; null where that does not matter */
    private function days(): ?array
    {
        $bucket = AgeingBucket::tryFrom($this->wanted['bucket'] ?? '');
        $state = $this->wanted['state'] ?? '';
        if ($bucket !== null && Office::current()->ageing_by === AgeingBy::DueDate) {
            [$least, $most] = $bucket->days();

            return [$most === null ? null : $this->today->plusDays(-$most), $least === null ? null : $this->today->plusDays(-$least)];
        }

        return match ($state) {
            'overdue' => [null, $this->today->plusDays(-1)],
            'newly-overdue' => [$this->today->plusDays(-self::WEEK), $this->today->plusDays(-1)],
            'due-this-week' => [$this->today, $this->today->plusDays(self::WEEK)],
            default => null,
        };
    }

    /** @param  Builder<Document>  $documents */
    private function dueWithin(Builder $documents, ?Day $from, ?Day $to): void
    {
        $documents->whereIn('kind', DocumentKind::owed())->open()
            // The first open part is due no later: an index leads to it.
            ->when($to !== null, fn (Builder $query) => $query->where('next_due', '<=', $to?->toIso()))
            ->whereExists(fn ($parts) => $parts->from('document_dues')->whereColumn('document_dues.document_id', 'documents.id')->where('document_dues.open_minor', '>', 0)
                ->when($from !== null, fn ($query) => $query->where('document_dues.due', '>=', $from?->toIso()))
                ->when($to !== null, fn ($query) => $query->where('document_dues.due', '<=', $to?->toIso())));
    }

    /** @param  Builder<Payment>  $payments */
    public function payments(Builder $payments): void
    {
        $this->common($payments, 'day');
        $payments
            ->when(Side::tryFrom($this->wanted['side'] ?? ''), fn (Builder $query, Side $side) => $query->where('side', $side))
            ->when(($this->wanted['state'] ?? '') === 'open', fn (Builder $query) => $query->where('unallocated_minor', '>', 0)->where('is_void', false))
            ->when(($this->wanted['state'] ?? '') === 'counted', fn (Builder $query) => $query->where('is_void', false))
            ->when(($this->wanted['state'] ?? '') === 'reported', fn (Builder $query) => $query->where('is_void', false)->whereIn('pay_by', PayBy::reported()));
    }

    /** @param  Builder<Document>|Builder<Payment>  $query */
    private function common(Builder $query, string $day): void
    {
        foreach (['partyId' => 'party_id', 'currency' => 'currency'] as $wanted => $column) {
            if (($this->wanted[$wanted] ?? null) !== null) {
                $query->where($column, $this->wanted[$wanted]);
            }
        }
        if (($this->wanted['from'] ?? '') !== '') {
            $query->where($day, '>=', $this->wanted['from']);
        }
        if (($this->wanted['to'] ?? '') !== '') {
            $query->where($day, '<=', $this->wanted['to']);
        }
        $q = trim($this->wanted['q'] ?? '');
        if ($q !== '') {
            $like = '%'.preg_replace('/[%_!]/', '!$0', $q).'%';
            $query->where(fn ($any) => $any->whereRaw("reference like ? escape '!'", [$like])
                ->when($day === 'date', fn ($numbered) => $numbered->orWhereRaw("number like ? escape '!'", [$like]))
                ->orWhereIn('party_id', fn ($parties) => $parties->select('id')->from('parties')->whereRaw("display_name like ? escape '!'", [$like])));
        }
    }
}
