<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Banking\PayBy;
use Almanac\Calendar\Day;
use Almanac\Ledger\AgeingBucket;
use Almanac\Ledger\AgeingBy;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\ListedState;
use Almanac\Terms\Side;
use App\Facts\Lists\Asked;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Office;
use App\Models\Payment;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;

/** Which documents or payments somebody wants to see. */
final readonly class LedgerFilter
{
    private const WEEK = 7;

    /**
     * @param  array{
     *     partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null,
     *     currency?: string|null, from?: string|null, to?: string|null, q?: string|null, engagementId?: int|null,
     * }  $wanted
     * @param Asked|null $asked what a sentence asks of documents besides; null for nothing
     */
    public function __construct(private array $wanted, private Day $today, private ?Asked $asked = null)
    {
    }

    /** Whether it asks for nothing but what the sums of documents are kept by: kinds, states, currencies and when they are due. */
    public function isOfSums(): bool
    {
        $asked = array_filter($this->wanted, fn (mixed $one) => $one !== null && trim((string) $one) !== '');

        $kept = ['side', 'kind', 'state', 'currency', ...$this->isByPart() ? ['bucket'] : []];

        return $this->asked === null && array_diff(array_keys($asked), $kept) === [];
    }

    /** @param  Builder<Document>  $documents */
    public function documents(Builder $documents): void
    {
        $this->ofKinds($documents);
        $days = $this->days();
        $bucket = AgeingBucket::tryFrom($this->wanted['bucket'] ?? '');
        if ($days !== null) {
            $this->dueWithin($documents, ...$days);
        } elseif ($bucket !== null) {
            [$least, $most] = $bucket->days();
            $documents->whereIn('kind', DocumentKind::owed())->open()
                ->when($least !== null, fn (Builder $query) => $query->where('dated_on', '<=', $this->ago((int) $least)->toIso()))
                ->when($most !== null, fn (Builder $query) => $query->where('dated_on', '>=', $this->ago((int) $most)->toIso()));
        }
    }

    /**
     * The same, of those that are due on one day only.
     *
     * @param Builder<Document> $documents
     */
    public function dueAtOnce(Builder $documents): void
    {
        [$from, $to] = $this->days() ?? [null, null];
        $this->ofKinds($documents);
        $documents->whereIn('kind', DocumentKind::owed())->open();
        self::within($documents->getQuery(), 'next_due_on', $from, $to);
        $documents->where('is_in_parts', false);
    }

    /** The few open documents that are due on several days. */
    public static function dueOnSeveralDays(QueryBuilder $ids): void
    {
        // Word for word as their index has it.
        $ids->select('id')->from('documents')->whereRaw('is_in_parts = 1 and '.Document::IS_OPEN);
    }

    private static function within(QueryBuilder $query, string $column, ?Day $from, ?Day $to): QueryBuilder
    {
        return $query
            ->when($from !== null, fn (QueryBuilder $some) => $some->where($column, '>=', $from?->toIso()))
            ->when($to !== null, fn (QueryBuilder $some) => $some->where($column, '<=', $to?->toIso()));
    }

    /** @param  Builder<Document>  $documents */
    private function ofKinds(Builder $documents): void
    {
        $this->common($documents, 'dated_on');
        if ($this->asked !== null) {
            $documents->whereRaw($this->asked->sql, $this->asked->bindings);
        }
        $side = Side::tryFrom($this->wanted['side'] ?? '');
        if ($side !== null) {
            $documents->whereIn('kind', DocumentKind::ofSide($side));
        }
        $kind = DocumentKind::tryFrom($this->wanted['kind'] ?? '');
        if ($kind !== null) {
            $documents->where('kind', $kind);
        }
        $state = $this->state();
        match ($state) {
            ListedState::Open => $documents->whereIn('kind', DocumentKind::counted())->open(),
            ListedState::Owed => $documents->whereIn('kind', DocumentKind::owed())->open(),
            ListedState::Billed => $documents
                ->whereIn('kind', array_filter(DocumentKind::counted(), fn (DocumentKind $one) => ! $one->isOpening()))
                ->issued(),
            // Word for word as their indexes have it.
            ListedState::Draft => $documents->whereRaw("state = 'draft'"),
            ListedState::Void => $documents->whereRaw("state = 'void'"),
            ListedState::Issued, ListedState::PartPaid, ListedState::Settled => $documents->where('state', $state->value),
            default => $documents,
        };
    }

    private function ago(int $days): Day
    {
        return $this->today->plusDays(-$days);
    }

    private function state(): ?ListedState
    {
        return ListedState::tryFrom($this->wanted['state'] ?? '');
    }

    /** Whether only what is due on certain days of a document belongs to the list. */
    public function isByPart(): bool
    {
        return $this->days() !== null;
    }

    /** Whether the list begins with what is due first. */
    public function isByDue(): bool
    {
        return $this->isByPart()
            || in_array($this->state(), [ListedState::Open, ListedState::Owed], true)
            || ($this->wanted['bucket'] ?? '') !== '';
    }

    /** What of each document belongs to the list, where it is only a part: its open amount and its first day. */
    public function partColumns(): string
    {
        [$from, $to] = $this->days() ?? [null, null];
        $which = 'from document_dues as part where part.document_id = documents.id and part.open_minor > 0'
            .($from === null ? '' : " and part.due_on >= '{$from->toIso()}'").($to === null ? '' : " and part.due_on <= '{$to->toIso()}'");

        return "(select sum(part.open_minor) $which) as part_open, (select min(part.due_on) $which) as part_due";
    }

    /**
     * @return array{
     *     Day|null, Day|null,
     * }|null the first and the last day on which something has to be due; null where that does not matter
     */
    private function days(): ?array
    {
        $bucket = AgeingBucket::tryFrom($this->wanted['bucket'] ?? '');
        if ($bucket !== null && Office::current()->ageing_by === AgeingBy::DueDate) {
            [$least, $most] = $bucket->days();

            return [$most === null ? null : $this->ago($most), $least === null ? null : $this->ago($least)];
        }

        return match ($this->state()) {
            ListedState::Overdue => [null, $this->ago(1)],
            ListedState::NewlyOverdue => [$this->ago(self::WEEK), $this->ago(1)],
            ListedState::DueThisWeek => [$this->today, $this->today->plusDays(self::WEEK)],
            default => null,
        };
    }

    /** @param  Builder<Document>  $documents */
    private function dueWithin(Builder $documents, ?Day $from, ?Day $to): void
    {
        $documents->whereIn('kind', DocumentKind::owed())->open();
        if ($from !== null) {
            // Those whose next day it is, by its index; and of the few that are due on several days, those with such a part.
            $documents->whereIn(
                'documents.id',
                fn (QueryBuilder $ids) => self::within(
                    $ids->select('id')->from('documents')->whereRaw(Document::IS_OPEN),
                    'next_due_on',
                    $from,
                    $to,
                )->union(
                    self::within(
                        DB::table('document_dues')
                            ->select('document_id')
                            ->whereIn('document_id', self::dueOnSeveralDays(...))
                            ->where('open_minor', '>', 0),
                        'due_on',
                        $from,
                        $to,
                    ),
                ),
            );

            return;
        }
        // Where any part is due by then, the next one is.
        self::within($documents->getQuery(), 'next_due_on', null, $to);
    }

    /** @param  Builder<Payment>  $payments */
    public function payments(Builder $payments): void
    {
        $this->common($payments, 'paid_on');
        $state = $this->state();
        $payments
            ->when(Side::tryFrom($this->wanted['side'] ?? ''), fn (Builder $query, Side $side) => $query->where('side', $side))
            ->when(
                $state === ListedState::Open,
                fn (Builder $query) => $query->where('unallocated_minor', '>', 0)->where('is_void', false),
            )
            ->when($state === ListedState::Counted, fn (Builder $query) => $query->where('is_void', false))
            ->when(
                $state === ListedState::Reported,
                fn (Builder $query) => $query->where('is_void', false)->whereIn('pay_by', PayBy::reported()),
            );
    }

    /** @param  Builder<Document>|Builder<Payment>  $query */
    private function common(Builder $query, string $day): void
    {
        foreach (['partyId' => 'party_id', 'currency' => 'currency'] as $wanted => $column) {
            if (($this->wanted[$wanted] ?? '') !== '') {
                $query->where($column, $this->wanted[$wanted]);
            }
        }
        if (($this->wanted['from'] ?? '') !== '') {
            $query->where($day, '>=', $this->wanted['from']);
        }
        if (($this->wanted['to'] ?? '') !== '') {
            $query->where($day, '<=', $this->wanted['to']);
        }
        if (($this->wanted['engagementId'] ?? '') !== '') {
            // Of one that whoever asks may not see, nothing is listed.
            $query->whereIn('engagement_id', Engagement::query()->select('id')->whereKey($this->wanted['engagementId']));
        }
        $q = trim($this->wanted['q'] ?? '');
        if ($q !== '') {
            $like = '%'.preg_replace('/[%_!]/', '!$0', $q).'%';
            $query->where(
                fn ($any) => $any
                    ->whereRaw("reference like ? escape '!'", [$like])
                    ->when($day === 'dated_on', fn ($numbered) => $numbered->orWhereRaw("number like ? escape '!'", [$like]))
                    ->orWhereIn(
                        'party_id',
                        fn ($parties) => $parties
                            ->select('id')
                            ->from('parties')
                            ->whereRaw("display_name like ? escape '!'", [$like]),
                    ),
            );
        }
    }
}
