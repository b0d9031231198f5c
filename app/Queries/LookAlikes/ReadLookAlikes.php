<?php

declare(strict_types=1);

namespace App\Queries\LookAlikes;

use Almanac\LookAlikes\PairState;
use Almanac\LookAlikes\Reason;
use Almanac\LookAlikes\Verdict;
use Almanac\Money\Money;
use App\Database\Ids;
use App\Http\Data\LookAlikes\DecidedData;
use App\Http\Data\LookAlikes\DecidedPageData;
use App\Http\Data\LookAlikes\LookAlikeGroupData;
use App\Http\Data\LookAlikes\LookAlikeGroupRowData;
use App\Http\Data\LookAlikes\LookAlikePageData;
use App\Http\Data\LookAlikes\LookAlikePairData;
use App\Http\Data\LookAlikes\LookAlikeScanData;
use App\Http\Data\Merging\MergeData;
use App\Http\Data\Records\PartyRowData;
use App\Models\LookAlikePair;
use App\Models\LookAlikeScan;
use App\Models\Merge;
use App\Models\Office;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection as Rows;
use Illuminate\Support\Facades\DB;

/** Reads the look-alikes: what is to settle, the surest and where most money is at stake first, and what was decided. */
final readonly class ReadLookAlikes
{
    private const PAGE = 25;

    public function __construct(private Clock $clock, private SideBySide $sides, private ReadSharedLines $lines)
    {
    }

    /** @param  bool  $withPrivate  whether whoever asks sees private values */
    public function page(int $page, ?Reason $reason, bool $withPrivate): LookAlikePageData
    {
        $reason = $withPrivate || $reason?->isPrivate() !== true ? $reason : null;
        $groups = fn (): Builder => $this->toSettle()->when(
            $reason !== null,
            fn (Builder $pairs) => $pairs->whereRaw('p.reasons & ? <> 0', [$reason?->bit()]),
        );
        $counted = $groups()->selectRaw(
            "count(distinct p.group_id) as many, count(distinct iif(p.verdict = 'same', p.group_id, null)) as sure",
        )->first();
        $total = (int) ($counted->many ?? 0);
        $pages = max(1, (int) ceil($total / self::PAGE));
        $page = min(max(1, $page), $pages);
        $stake = fn (string $of) => "coalesce($of.receivable_minor, 0) + coalesce($of.payable_minor, 0)";
        $ids = $groups()
            ->leftJoin('record_values as a', 'a.party_id', '=', 'p.first_id')
            ->leftJoin('record_values as b', 'b.party_id', '=', 'p.second_id')
            ->groupBy('p.group_id')
            ->orderByRaw(
                "min(p.state = 'later'), max(p.verdict = 'same') desc, max({$stake('a')} + {$stake('b')}) desc, max(p.score) desc, p.group_id",
            )
            ->offset(($page - 1) * self::PAGE)->limit(self::PAGE)->pluck('p.group_id');

        return new LookAlikePageData(
            $total,
            (int) ($counted->sure ?? 0),
            $page,
            $pages,
            $this->rows(Ids::of($ids), $withPrivate),
            $this->reasons($withPrivate),
            $this->lastScan()[0] ?? null,
        );
    }

    /** @return list<LookAlikeScanData> the last one; none while the book was never gone through */
    public function lastScan(): array
    {
        return array_values(
            LookAlikeScan::query()->latest('id')->limit(1)->get()->map(fn (LookAlikeScan $scan) => LookAlikeScanData::of($scan))->all(),
        );
    }

    /** Null where it has been settled meanwhile. */
    public function group(int $id, bool $withPrivate): ?LookAlikeGroupData
    {
        $row = $this->rows([$id], $withPrivate)[0] ?? null;
        $pairs = LookAlikePair::toSettle()->where('group_id', $id)->orderByDesc('score')->get();

        if ($row === null) {
            return null;
        }
        $ids = array_map(fn (PartyRowData $one) => $one->id, $row->records);

        return new LookAlikeGroupData(
            $row,
            $this->sides->of($ids),
            array_values($pairs->map(fn (LookAlikePair $pair) => LookAlikePairData::of($pair, $withPrivate))->all()),
            $this->lines->among($ids),
        );
    }

    /** @return list<LookAlikeGroupRowData> the groups in which a record stands, the surest first */
    public function ofRecord(Party $party, bool $withPrivate): array
    {
        $ids = LookAlikePair::toSettle()->ofAny([$party->id])->orderByDesc('score')->pluck('group_id')->unique();

        return $this->rows(Ids::of($ids), $withPrivate);
    }

    /** Who is different and who was made one, the latest first. */
    public function decided(int $page): DecidedPageData
    {
        $decided = DB::query()->fromSub(
            DB::table('look_alike_pairs')
                ->where('state', PairState::Different)->selectRaw("'pair' as kind, id, decided_at as at")->unionAll(
                    DB::table('merges')->whereNotNull('done_at')->selectRaw("'merge', id, done_at"),
                ),
            'decided',
        )->orderByDesc('at')->orderByDesc('kind')->orderByDesc('id')->paginate(self::PAGE, page: max(1, $page));
        $ids = fn (string $kind) => Ids::of((new Rows($decided->items()))->where('kind', $kind)->pluck('id'));
        $pairs = LookAlikePair::query()->with('first', 'second', 'decidedBy')->findMany($ids('pair'))->keyBy('id');
        $merges = Merge::query()->with(MergeData::RELATIONS)->findMany($ids('merge'))->keyBy('id');
        $rows = [];
        foreach ($decided->items() as $one) {
            $pair = $one->kind === 'pair' ? $pairs->get($one->id) : null;
            $merge = $one->kind === 'merge' ? $merges->get($one->id) : null;
            $rows[] = $pair === null ? ($merge === null ? null : DecidedData::ofMerge($merge)) : DecidedData::ofPair($pair);
        }

        return new DecidedPageData($decided->total(), $decided->currentPage(), $decided->lastPage(), array_values(array_filter($rows)));
    }

    private function toSettle(): Builder
    {
        return DB::table('look_alike_pairs as p')->whereRaw(LookAlikePair::TO_SETTLE);
    }

    /** @return list<array{code: string, name: string, count: int}> */
    private function reasons(bool $withPrivate): array
    {
        $shown = array_values(array_filter(Reason::cases(), fn (Reason $one) => $withPrivate || ! $one->isPrivate()));
        $counts = (array) $this->toSettle()->selectRaw(implode(', ', array_map(
            fn (Reason $one) => "count(distinct iif(p.reasons & {$one->bit()} <> 0, p.group_id, null)) as {$one->value}",
            $shown,
        )))->first();

        return array_values(array_filter(array_map(
            fn (Reason $one) => ['code' => $one->value, 'name' => $one->title(), 'count' => (int) ($counts[$one->value] ?? 0)],
            $shown,
        ), fn (array $one) => $one['count'] > 0));
    }

    /**
     * @param list<int> $ids of groups
     *
     * @return list<LookAlikeGroupRowData> in that order
     */
    private function rows(array $ids, bool $withPrivate): array
    {
        $pairs = LookAlikePair::toSettle()->whereIntegerInRaw('group_id', $ids)->with('addedBy')->orderByDesc('score')->get();
        $parties = Party::query()->with([...PartyRowData::RELATIONS, 'balance'])
            ->findMany([...$pairs->pluck('first_id')->all(), ...$pairs->pluck('second_id')->all()])->keyBy('id');
        $rows = [];
        foreach ($ids as $id) {
            $of = $pairs->where('group_id', $id)->values();
            if ($of->isNotEmpty()) {
                $rows[] = $this->row($id, $of, $parties, $withPrivate);
            }
        }

        return $rows;
    }

    /**
     * @param Collection<int, LookAlikePair> $pairs the likeliest first
     * @param Collection<int, Party> $parties
     */
    private function row(int $id, Collection $pairs, Collection $parties, bool $withPrivate): LookAlikeGroupRowData
    {
        $ids = array_unique([...$pairs->pluck('first_id')->all(), ...$pairs->pluck('second_id')->all()]);
        sort($ids);
        $records = array_values(array_filter(array_map(fn (int $one) => $parties->get($one), $ids)));
        $stake = array_sum(array_map(
            fn (Party $one) => ($one->balance->receivable_minor ?? 0) + ($one->balance->payable_minor ?? 0),
            $records,
        ));
        $reasons = [];
        foreach ($pairs[0]?->evidence() ?? [] as [$sign, $bits]) {
            if ($bits > 0 && ($withPrivate || ! $sign->isPrivate())) {
                $reasons[] = $sign->words();
            }
        }

        return new LookAlikeGroupRowData(
            $id,
            $pairs->contains('verdict', Verdict::Same),
            $pairs->every(fn (LookAlikePair $pair) => $pair->state === PairState::Later),
            array_map(fn (Party $one) => PartyRowData::of($one, $this->clock->today()), $records),
            $reasons,
            $stake === 0 ? '' : Money::ofMinor($stake, Office::current()->currency())->toText(),
            $pairs->first(fn (LookAlikePair $pair) => $pair->addedBy !== null)?->addedBy->name ?? '',
        );
    }
}
