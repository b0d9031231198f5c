<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Money\Money;
use App\Http\Data\Ledger\DocumentPageData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\PaymentPageData;
use App\Http\Data\Ledger\PaymentRowData;
use App\Http\Data\Ledger\SumData;
use App\Models\Document;
use App\Models\Payment;
use App\Support\Clock;
use Illuminate\Support\Facades\DB;

/** Reads the ledger: documents or payments, the newest first, with what the whole list comes to. */
final readonly class ListLedger
{
    private const PAGE = 50;

    public function __construct(private Clock $clock)
    {
    }

    /** @param  array{partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null, currency?: string|null, from?: string|null, to?: string|null, q?: string|null}  $wanted */
    public function documents(array $wanted, int $page): DocumentPageData
    {
        $today = $this->clock->today();
        $filter = new LedgerFilter($wanted, $today);
        $documents = Document::query()->tap($filter->documents(...));
        $isByDue = $filter->isByPart() || in_array($wanted['state'] ?? '', ['open', 'owed'], true) || ($wanted['bucket'] ?? '') !== '';
        if ($filter->isByPart()) {
            $documents->select('documents.*')->selectRaw($filter->partColumns());
        }
        // What credits take off, and what promises nothing yet.
        $sums = DB::query()->fromSub($documents->clone()->issued()->toBase(), 'listed')->groupBy('currency', 'kind')
            ->selectRaw('currency, kind, sum(total_minor) as total, sum(net_minor) as net, sum('.($filter->isByPart() ? 'part_open' : 'open_minor').') as open')->get();
        $rows = $documents->with('party')
            ->when($isByDue, fn ($query) => $query->orderByRaw('next_due is null')->orderBy('next_due')->orderBy('id'), fn ($query) => $query->orderByDesc('date')->orderByDesc('id'))
            ->paginate(self::PAGE, page: max(1, $page));
        $totals = [];
        foreach ($sums as $sum) {
            $kind = DocumentKind::from((string) $sum->kind);
            $sign = $kind->isCredit() ? -1 : 1;
            $totals[$sum->currency][0] = ($totals[$sum->currency][0] ?? 0) + $sign * (int) $sum->total;
            $totals[$sum->currency][1] = ($totals[$sum->currency][1] ?? 0) + ($kind->isPromise() ? 0 : $sign * (int) $sum->open);
            $totals[$sum->currency][2] = ($totals[$sum->currency][2] ?? 0) + $sign * (int) $sum->net;
        }

        return new DocumentPageData($rows->total(), $rows->currentPage(), $rows->lastPage(), array_values(array_map(
            fn (Document $document) => DocumentRowData::of($document, $today),
            $rows->items(),
        )), $this->sums($totals));
    }

    /** @param  array{partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null, currency?: string|null, from?: string|null, to?: string|null, q?: string|null}  $wanted */
    public function payments(array $wanted, int $page): PaymentPageData
    {
        $payments = Payment::query()->tap((new LedgerFilter($wanted, $this->clock->today()))->payments(...));
        $sums = $payments->clone()->toBase()->where('is_void', false)->groupBy('currency')->selectRaw('currency, sum(amount_minor) as total, sum(unallocated_minor) as open')->get();
        $rows = $payments->with('party', 'bankDetail')->orderByDesc('day')->orderByDesc('id')->paginate(self::PAGE, page: max(1, $page));

        return new PaymentPageData($rows->total(), $rows->currentPage(), $rows->lastPage(), array_values(array_map(
            fn (Payment $payment) => PaymentRowData::of($payment),
            $rows->items(),
        )), $this->sums($sums->mapWithKeys(fn ($sum) => [(string) $sum->currency => [(int) $sum->total, (int) $sum->open, (int) $sum->total]])->all()));
    }

    /**
     * @param array<string, array{int, int, int}> $totals
     *
     * @return list<SumData>
     */
    private function sums(array $totals): array
    {
        ksort($totals);

        return array_map(
            fn (string $currency, array $sum) => new SumData(MoneyData::of(Money::ofMinor($sum[0], $currency)), MoneyData::of(Money::ofMinor($sum[1], $currency)), MoneyData::of(Money::ofMinor($sum[2], $currency))),
            array_keys($totals),
            $totals,
        );
    }
}
