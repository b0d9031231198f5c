<?php

declare(strict_types=1);

namespace App\Queries\Finding;

use App\Facts\Finding\RecordLine;
use App\Models\Office;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Reads the kept lines of records; one that is no longer so is read from the record itself. */
final readonly class ReadLines
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, RecordLine> by record, in that order
     */
    public function handle(array $ids): array
    {
        $kept = DB::table('record_lines')->whereIn('party_id', $ids)->pluck('line', 'party_id');
        $today = $this->clock->today();
        $home = Office::current()->country;
        $lines = $stale = [];
        foreach ($ids as $id) {
            $text = $kept->get($id);
            $line = is_string($text) ? RecordLine::read($text) : null;
            $lines[$id] = $line;
            if ($line?->holds($today, $home) !== true) {
                $stale[] = $id;
            }
        }
        foreach ($stale === [] ? [] : Party::query()->with(RecordLine::READS)->findMany($stale) as $party) {
            $lines[$party->id] = RecordLine::of($party, $today);
        }

        return array_filter($lines);
    }
}
