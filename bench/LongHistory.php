<?php

declare(strict_types=1);

namespace Bench;

use Almanac\Calendar\Day;
use Almanac\Records\LogKind;
use App\Models\Change;
use App\Models\LogEntry;
use Illuminate\Support\Facades\DB;

/** Gives one record a history of years, entries and changes of many days; and every third a call, as an office notes them. */
final class LongHistory
{
    public const ENTRIES = 5000;

    private const CHUNK = 500;

    private const CALL = 'They called about the clock';

    /** @return int whose it is: the company of many people */
    public function fill(string $today): int
    {
        $party = 1;
        $this->calls($today);
        if (Change::query()->where('subject_id', $party)->count() >= self::ENTRIES) {
            return $party;
        }
        mt_srand(29);
        $day = new \DateTimeImmutable($today);
        DB::transaction(function () use ($party, $day): void {
            for ($n = self::ENTRIES; $n > 0; $n -= self::CHUNK) {
                for ($at = $n; $at > $n - self::CHUNK; $at--) {
                    $this->one($party, $day->modify('-'.intdiv($at, 2).' days')->format('Y-m-d'), $at);
                }
            }
        });
        DB::statement('ANALYZE');

        return $party;
    }

    private function calls(string $today): void
    {
        if (LogEntry::query()->where('kind', LogKind::Call)->where('text', self::CALL)->exists()) {
            return;
        }
        DB::transaction(function () use ($today): void {
            DB::insert(
                'insert into log_entries (subject_id, kind, happened_on, text, user_id)'
                ." select id, ?, date(?, '-' || (id % 900) || ' days'), ?, 1 from parties where id % 3 = 0",
                [LogKind::Call->value, $today, self::CALL],
            );
            DB::insert(
                'insert into changes (subject_id, section, label, "from", "to", user_id, at, log_entry_id)'
                ." select subject_id, 'log', 'Log entry', '', '', 1, happened_on || ' 15:00:00', id from log_entries where text = ?",
                [self::CALL],
            );
        });
        DB::statement('ANALYZE');
    }

    private function one(int $party, string $day, int $n): void
    {
        $entry = $n % 3 === 0 ? LogEntry::query()->create([
            'subject_id' => $party, 'kind' => LogKind::cases()[$n % 5], 'happened_on' => Day::fromIso($day),
            'text' => "Entry $n, about the clock",
            'user_id' => 1,
        ]) : null;
        Change::query()->create([
            'subject_id' => $party, 'section' => $entry === null ? 'reach' : 'log', 'label' => $entry === null ? 'Phone' : 'Log entry',
            'from' => '', 'to' => $entry === null ? "number $n" : '', 'user_id' => 1, 'at' => "$day 15:00:00",
            'log_entry_id' => $entry?->id,
        ]);
    }
}
