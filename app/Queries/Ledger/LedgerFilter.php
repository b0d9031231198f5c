<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

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
        $owed = DocumentKind::owed();
        match ($this->wanted['state'] ?? '') {
            'open' => $documents->whereIn('kind', DocumentKind::counted())->open(),
            'overdue' => $documents->whereIn('kind', $owed)->open()->where('next_due', '<', $this->today->toIso()),
            'due-this-week' => $documents->whereIn('kind', $owed)->open()->whereBetween('next_due', [$this->today->toIso(), $this->today->plusDays(7)->toIso()]),
            'draft', 'issued', 'part-paid', 'settled', 'void' => $documents->where('state', $this->wanted['state']),
            default => $documents,
        };
        $bucket = AgeingBucket::tryFrom($this->wanted['bucket'] ?? '');
        if ($bucket !== null) {
            $column = Office::current()->ageing_by === AgeingBy::DueDate ? 'next_due' : 'date';
            [$least, $most] = $bucket->days();
            $documents->whereIn('kind', $owed)->open()
                ->when($least !== null, fn (Builder $query) => $query->where($column, '<=', $this->today->plusDays(-(int) $least)->toIso()))
                ->when($most !== null, fn (Builder $query) => $query->where($column, '>=', $this->today->plusDays(-(int) $most)->toIso()));
        }
    }

    /** @param  Builder<Payment>  $payments */
    public function payments(Builder $payments): void
    {
        $this->common($payments, 'day');
        $payments
            ->when(Side::tryFrom($this->wanted['side'] ?? ''), fn (Builder $query, Side $side) => $query->where('side', $side))
            ->when(($this->wanted['state'] ?? '') === 'open', fn (Builder $query) => $query->where('unallocated_minor', '>', 0)->where('is_void', false));
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
            $like = '%'.addcslashes($q, '%_\\').'%';
            $query->where(fn ($any) => $any->where('reference', 'like', $like)
                ->when($day === 'date', fn ($numbered) => $numbered->orWhere('number', 'like', $like))
                ->orWhereIn('party_id', fn ($parties) => $parties->select('id')->from('parties')->where('display_name', 'like', $like)));
        }
    }
}
