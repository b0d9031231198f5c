<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use App\Background\CompareChangedRecords;
use App\Database\Ids;
use App\Database\LongWork;
use App\Models\Party;
use Illuminate\Support\Facades\DB;

/**
 * Compares records again that have changed in what is compared: behind the screen, a few at a time. After a file of
 * thousands it goes on when nobody waits for other work.
 */
final readonly class CompareChanged
{
    private const FEW = 10;

    /** Seconds: whoever has begun other work waits no longer for it. */
    private const MOST = 5;

    public function __construct(private KeepPairs $pairs)
    {
    }

    /** Has it done, where some wait and it was not asked for yet. */
    public static function askFor(): void
    {
        if (DB::table('look_alike_due')->exists()) {
            CompareChangedRecords::dispatch();
        }
    }

    /** @param  int  $seconds  after which it ends, though some may wait still */
    public function handle(int $seconds = self::MOST): void
    {
        $end = hrtime(true) + $seconds * 1_000_000_000;
        do {
            $ids = Ids::of(DB::table('look_alike_due')->limit(self::FEW)->pluck('party_id'));
            LongWork::step(function () use ($ids): void {
                foreach (Party::query()->findMany($ids) as $party) {
                    $this->pairs->of($party);
                }
                DB::table('look_alike_due')->whereIntegerInRaw('party_id', $ids)->delete();
            });
        } while ($ids !== [] && hrtime(true) < $end);
    }
}
