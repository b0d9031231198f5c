<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Lists\ListOf;
use Almanac\Money\Money;
use App\Facts\Ledger\LedgerFilter;
use App\Facts\Lists\DocumentRegister;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\Narrowed;
use App\Facts\Lists\Wanted;
use App\Http\Data\Ledger\DocumentPageData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\PaymentPageData;
use App\Http\Data\Ledger\PaymentRowData;
use App\Http\Data\Ledger\SumData;
use App\Http\Data\Lists\ListFilterData;
use App\Http\Data\Lists\SortData;
use App\Http\Data\Records\ColumnData;
use App\Models\Document;
use App\Models\Office;
use App\Models\Payment;
use App\Models\User;
use App\Queries\Lists\Cells;
use App\Queries\Lists\ReadLook;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Reads the ledger: documents or payments, the newest first, with what the whole list comes to. */
final readonly class ListLedger
{
    private const PAGE = 50;

    /** All that sums need: an index may have it. */
    private const ADDED_UP = ['currency', 'kind', 'state', 'total_minor', 'net_minor', 'open_minor'];

    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  array{
     *     partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null,
     *     currency?: string|null, from?: string|null, to?: string|null, q?: string|null, engagementId?: int|null,
     * }  $wanted
     * @param Wanted $listed what a sentence narrows it by, its columns and its order
     */
    public function documents(array $wanted, Wanted $listed, User $reader): DocumentPageData
    {
        $today = $this->clock->today();
        $narrowed = new Narrowed(new DocumentRegister, $listed, $this->clock, $reader);
        $filter = new LedgerFilter($wanted, $today, $narrowed->isEmpty() ? null : $narrowed->asked());
        $documents = Document::query()->tap($filter->documents(...));
        $sums = $this->sumsOf($filter, $documents);
        if ($filter->isByPart()) {
            $documents->select('documents.*')->selectRaw($filter->partColumns());
        }
        $total = (int) $sums->sum('documents');
        $isByDue = $filter->isByDue() && $listed->sort === [];
        foreach ($listed->sort === [] ? [] : $narrowed->orders() as [$order, $way]) {
            $documents->orderByRaw("$order $way");
        }
        $rows = $documents
            ->with('party')
            ->when($isByDue, fn ($query) => $query->orderBy('next_due_on')->orderBy('id'))
            ->when(! $isByDue && $listed->sort === [], fn ($query) => $query->orderByDesc('dated_on'))
            ->when(! $isByDue, fn ($query) => $query->orderByDesc('id'))
            ->forPage($listed->page, self::PAGE)
            ->get();
        $look = ReadLook::of(ListOf::Documents, $reader);
        $columns = $narrowed->columns(array_keys($look));
        $totals = [];
        // What credits take off, and what promises nothing yet; drafts and what is void come to nothing.
        foreach ($sums->where('is_issued', 1) as $sum) {
            $kind = DocumentKind::from((string) $sum->kind);
            $sign = $kind->isCredit() ? -1 : 1;
            $totals[$sum->currency][0] = ($totals[$sum->currency][0] ?? 0) + $sign * (int) $sum->total;
            $totals[$sum->currency][1] = ($totals[$sum->currency][1] ?? 0) + ($kind->isPromise() ? 0 : $sign * (int) $sum->open);
            $totals[$sum->currency][2] = ($totals[$sum->currency][2] ?? 0) + $sign * (int) $sum->net;
        }

        return new DocumentPageData(
            $total,
            $listed->page,
            max(1, (int) ceil($total / self::PAGE)),
            array_values($rows->map(fn (Document $document) => DocumentRowData::of($document, $today))->all()),
            $this->sums($totals),
            Cells::of($columns, $rows, $today),
            Office::current()->currency(),
            array_map(fn (ListedField $one) => ColumnData::of($one, $look[$one->field->key] ?? null), $columns),
            $isByDue
                ? [SortData::of(DocumentRegister::byDue(), true)]
                : array_map(fn (array $one) => SortData::of($one[0]->field, $one[1]), $narrowed->sort()),
            ListFilterData::of($narrowed->reading, $narrowed->words),
        );
    }

    /**
     * How many documents of the list there are and what they come to, by currency and kind.
     *
     * @param Builder<Document> $listed
     *
     * @return Collection<int, \stdClass>
     */
    private function sumsOf(LedgerFilter $filter, Builder $listed): Collection
    {
        // A row of the kept sums has the columns that the filter asks for, so it is filtered as a document is.
        [$source, $count] = $filter->isOfSums()
            ? [Document::query()->from('document_sums as documents'), 'sum(documents)']
            : [Document::query()->select(self::ADDED_UP), 'count(*)'];
        if (! $filter->isByPart()) {
            return $this->summed($source->tap($filter->documents(...)), $count, 'open_minor');
        }

        // What is due on one day is added up as a whole; what is due on several, part by part.
        return $this->summed($source->tap($filter->dueAtOnce(...)), $count, 'open_minor')->merge(
            $this->summed(
                $listed
                    ->clone()
                    ->whereIn('documents.id', LedgerFilter::dueOnSeveralDays(...))
                    ->select('documents.*')
                    ->selectRaw($filter->partColumns()),
                'count(*)',
                'part_open',
            ),
        );
    }

    /**
     * @param Builder<Document> $documents
     *
     * @return Collection<int, \stdClass>
     */
    private function summed(Builder $documents, string $count, string $open): Collection
    {
        return DB::query()
            ->fromSub($documents->toBase(), 'listed')
            ->groupBy('currency', 'kind', 'is_issued')
            ->selectRaw(
                "currency, kind, state in ('issued', 'part-paid', 'settled') as is_issued, $count as documents,"
                ." sum(total_minor) as total, sum(net_minor) as net, sum($open) as open",
            )
            ->get();
    }

    /**
     * @param  array{
     *     partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null,
     *     currency?: string|null, from?: string|null, to?: string|null, q?: string|null, engagementId?: int|null,
     * }  $wanted
     */
    public function payments(array $wanted, int $page): PaymentPageData
    {
        $payments = Payment::query()->tap((new LedgerFilter($wanted, $this->clock->today()))->payments(...));
        $sums = $payments
            ->clone()
            ->toBase()
            ->where('is_void', false)
            ->groupBy('currency')
            ->selectRaw('currency, sum(amount_minor) as total, sum(unallocated_minor) as open')
            ->get();
        $rows = $payments
            ->with('party', 'bankDetail')
            ->orderByDesc('paid_on')
            ->orderByDesc('id')
            ->paginate(self::PAGE, page: max(1, $page));

        return new PaymentPageData(
            $rows->total(),
            $rows->currentPage(),
            $rows->lastPage(),
            array_values(array_map(fn (Payment $payment) => PaymentRowData::of($payment), $rows->items())),
            $this->sums(
                $sums
                    ->mapWithKeys(fn ($sum) => [(string) $sum->currency => [(int) $sum->total, (int) $sum->open, (int) $sum->total]])
                    ->all(),
            ),
        );
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
            fn (string $currency, array $sum) => new SumData(
                MoneyData::of(Money::ofMinor($sum[0], $currency)),
                MoneyData::of(Money::ofMinor($sum[1], $currency)),
                MoneyData::of(Money::ofMinor($sum[2], $currency)),
            ),
            array_keys($totals),
            $totals,
        );
    }
}
