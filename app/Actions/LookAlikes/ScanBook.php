<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use Almanac\LookAlikes\Likeness;
use Almanac\LookAlikes\LookAlikesRefused;
use Almanac\LookAlikes\PairState;
use Almanac\LookAlikes\Scan;
use Almanac\LookAlikes\ScanState;
use Almanac\Records\PartyKind;
use App\Background\ScanLookAlikes;
use App\Database\Ids;
use App\Database\LongWork;
use App\Facts\LookAlikes\PartyLikeness;
use App\Models\LookAlikePair;
use App\Models\LookAlikeScan;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Goes through the whole book for records that look alike. It reads without holding anybody up, and writes in short steps:
 * a scan that ends in the middle leaves what it had found, and the next one finds the same again.
 */
final readonly class ScanBook
{
    private const EVERY_DAYS = 7;

    private const READ = 1000;

    private const WRITTEN = 200;

    private const KEYS = 20_000;

    /** Of how many keys each record has, to tell how far it is. */
    private const KEYS_OF_EACH = 10;

    public function __construct(private GroupPairs $group, private Clock $clock)
    {
    }

    /** @throws LookAlikesRefused while one is under way */
    public function begin(?User $by): LookAlikeScan
    {
        return DB::transaction(function () use ($by): LookAlikeScan {
            if (LookAlikeScan::query()->whereIn('state', [ScanState::Waiting, ScanState::Running])->exists()) {
                throw LookAlikesRefused::isUnderWay();
            }
            $scan = LookAlikeScan::query()->create(['user_id' => $by?->id]);
            ScanLookAlikes::dispatch($scan->id);

            return $scan;
        });
    }

    /** Once the book has been gone through, that is done again each week: some of what makes two alike stands in no key. */
    public function beginAgain(): void
    {
        $last = LookAlikeScan::query()->latest('id')->first();
        if ($last?->ended_at?->lt($this->clock->now()->subDays(self::EVERY_DAYS)) === true) {
            $this->begin(null);
        }
    }

    /** What it has found stays. */
    public function stop(LookAlikeScan $scan): void
    {
        DB::transaction(function () use ($scan): void {
            if ($scan->refresh()->state->isUnderWay()) {
                $scan->update(['state' => ScanState::Stopped, 'ended_at' => $this->clock->now()]);
            }
        });
    }

    public function handle(LookAlikeScan $scan): void
    {
        if (! $scan->refresh()->state->isUnderWay()) {
            return;
        }
        $scan->update(['state' => ScanState::Running, 'done' => 0, 'records' => 0, 'compared' => 0, 'found' => 0]);
        try {
            foreach (PartyKind::cases() as $at => $kind) {
                $this->ofKind($scan, $kind, 50 * $at);
            }
            $this->forgetCounts($scan);
            $this->end($scan, ScanState::Done);
        } catch (ScanStopped) {
            $this->end($scan, ScanState::Stopped);
        } catch (\Throwable $failure) {
            report($failure);
            $scan->update(['failure' => 'Something went wrong. Try again.']);
            $this->end($scan, ScanState::Failed);
        }
    }

    private function end(LookAlikeScan $scan, ScanState $state): void
    {
        $scan->update(['state' => $state, 'ended_at' => $this->clock->now(), ...$state === ScanState::Done ? ['done' => 100] : []]);
    }

    private function ofKind(LookAlikeScan $scan, PartyKind $kind, int $from): void
    {
        // What changes from now on is compared again by itself.
        $book = $this->read($scan, $kind);
        $this->tell($scan, $from + 10);
        $all = max(1, count($book) * self::KEYS_OF_EACH);
        $found = Scan::of($book, $this->keys($kind), fn (int $keys) => $this->tell($scan, $from + 10 + min(25, intdiv(25 * $keys, $all))));
        $scan->increment('records', count($book));
        $scan->increment('compared', $found->compared);
        $this->keepWeights($scan, $kind, count($book), $found);
        $this->tell($scan, $from + 38);
        $this->keepPairs($kind, $found, fn () => $this->tell($scan, $from + 40));
        $this->keepGroups($kind, $book);
        $scan->increment('found', count($found->alike));
        $this->tell($scan, $from + 50);
    }

    /** @return array<int, Likeness> those that are in use */
    private function read(LookAlikeScan $scan, PartyKind $kind): array
    {
        $book = [];
        foreach (DB::table('parties')->where('kind', $kind->value)->whereNull('archived_on')->pluck('id')->chunk(self::READ) as $ids) {
            $book += PartyLikeness::ofKept(Ids::of($ids));
            $this->assertGoesOn($scan);
        }

        return $book;
    }

    /** @return \Generator<array{string, int}> keys and records, in the order of keys */
    private function keys(PartyKind $kind): \Generator
    {
        [$key, $id] = [$kind->value[0], 0];
        do {
            $rows = DB::select(
                'select key, party_id from look_alike_keys where (key, party_id) > (?, ?) and key < ? order by key, party_id limit '.self::KEYS,
                [$key, $id, $kind->value[0].'~~'],
            );
            foreach ($rows as $row) {
                [$key, $id] = [(string) $row->key, (int) $row->party_id];
                yield [$key, $id];
            }
        } while (count($rows) === self::KEYS);
    }

    private function keepWeights(LookAlikeScan $scan, PartyKind $kind, int $records, Scan $found): void
    {
        LongWork::step(fn () => DB::table('look_alike_weights')->upsert(
            [[
                'kind' => $kind->value,
                'records' => $records,
                'rates' => json_encode($found->weights->rates, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            ]],
            ['kind'],
        ));
        $counts = $found->weights->frequencies->counts();
        foreach (array_chunk(array_keys($counts), self::READ) as $values) {
            LongWork::step(fn () => DB::table('look_alike_counts')->upsert(
                array_map(
                    fn (int|string $value) => ['value' => (string) $value, 'records' => $counts[$value], 'scan_id' => $scan->id],
                    $values,
                ),
                ['value'],
                // A phone that people and companies have is counted for both.
                [
                    'records' => DB::raw(
                        'iif(look_alike_counts.scan_id = excluded.scan_id, look_alike_counts.records, 0) + excluded.records',
                    ),
                    'scan_id',
                ],
            ));
        }
    }

    /** What stood in the book at the last scan, and does not any more. */
    private function forgetCounts(LookAlikeScan $scan): void
    {
        do {
            $gone = 0;
            LongWork::step(function () use ($scan, &$gone): void {
                $gone = DB::table('look_alike_counts')->whereIn('value', DB::table('look_alike_counts')
                    ->where('scan_id', '<>', $scan->id)->limit(self::READ)->select('value'))->delete();
            });
        } while ($gone === self::READ);
    }

    /** @param  \Closure(): mixed  $goesOn */
    private function keepPairs(PartyKind $kind, Scan $found, \Closure $goesOn): void
    {
        $kept = [];
        foreach ($this->pairsOf($kind)->get(['id', 'first_id', 'second_id', 'score', 'verdict', 'state']) as $pair) {
            $kept["$pair->first_id $pair->second_id"] = $pair;
        }
        foreach (array_chunk($found->alike, self::WRITTEN) as $some) {
            $goesOn();
            LongWork::step(function () use ($some, $kept): void {
                $there = DB::table('parties')->whereIntegerInRaw(
                    'id',
                    array_merge(...array_map(fn (array $one) => [$one[0], $one[1]], $some)),
                )
                    ->whereNull('archived_on')->pluck('id')->flip();
                $rows = [];
                foreach ($some as [$one, $other, $comparison]) {
                    $pair = $kept["$one $other"] ?? null;
                    $isOld = $pair !== null
                        && $pair->verdict === $comparison->verdict->value
                        && (float) $pair->score === round($comparison->score, 1);
                    if (! $isOld && $there->has([$one, $other])) {
                        $rows[] = ['first_id' => $one, 'second_id' => $other, 'created_at' => now(), 'updated_at' => now()]
                            + LookAlikePair::columnsOf($comparison);
                    }
                }
                DB::table('look_alike_pairs')->upsert(
                    $rows,
                    ['first_id', 'second_id'],
                    ['verdict', 'score', 'signs', 'reasons', 'updated_at'],
                );
            });
        }
        foreach ($found->alike as [$one, $other]) {
            unset($kept["$one $other"]);
        }
        $gone = array_filter($kept, fn (\stdClass $pair) => PairState::from($pair->state)->isToSettle());
        foreach (array_chunk(array_column($gone, 'id'), self::WRITTEN) as $ids) {
            LongWork::step(fn () => LookAlikePair::toSettle()->whereIntegerInRaw('id', $ids)->delete());
        }
    }

    /** @param  array<int, Likeness>  $book */
    private function keepGroups(PartyKind $kind, array $book): void
    {
        $pairs = LookAlikePair::toSettle()->whereIn('id', $this->pairsOf($kind)->select('look_alike_pairs.id'))
            ->get(['id', 'first_id', 'second_id', 'score', 'verdict', 'group_id']);
        LongWork::step(fn () => $this->group->group($pairs, $book));
    }

    private function pairsOf(PartyKind $kind): Builder
    {
        return DB::table('look_alike_pairs')->whereIn('first_id', DB::table('parties')->where('kind', $kind->value)->select('id'));
    }

    private function tell(LookAlikeScan $scan, int $done): void
    {
        $this->assertGoesOn($scan);
        if ($scan->done < $done) {
            $scan->update(['done' => $done]);
        }
    }

    /** @throws ScanStopped when somebody has stopped it */
    private function assertGoesOn(LookAlikeScan $scan): void
    {
        if ($scan->refresh()->state !== ScanState::Running) {
            throw new ScanStopped;
        }
    }
}
