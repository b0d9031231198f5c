<?php

declare(strict_types=1);

namespace App\Facts\Conflicts;

use Almanac\Conflicts\AlikeName;
use App\Database\Ids;
use App\Models\Engagement;
use App\Models\File;
use App\Models\LogEntry;
use App\Models\Meeting;
use App\Models\Party;
use Illuminate\Support\Facades\DB;

/**
 * Where a name is mentioned without being a party's: in entries of logs, names of files, and meetings. All telling words
 * of it have to stand there; whoever may see it is asked later.
 */
final readonly class Mentions
{
    private const MOST = 10;

    /** A single word says too little to be looked for in all that was ever written. */
    private const LEAST_WORDS = 2;

    /** @param  string  $sentence  "Mentioned in a call of 3 Mar 2026 of Brass Lantern Foundry" */
    private function __construct(public string $sentence, public Party|Engagement $subject)
    {
    }

    /** @return list<self> the newest first */
    public static function of(string $typed): array
    {
        $name = AlikeName::of($typed);
        if (count($name->words) < self::LEAST_WORDS) {
            return [];
        }
        $words = array_map(fn (string $word) => '"'.str_replace('"', '', $word).'"', $name->words);
        $found = Ids::of(DB::table('mention_words')->whereRaw('mention_words match ?', [implode(' AND ', $words)])
            ->orderByDesc('rowid')->limit(self::MOST)->pluck('rowid'));
        $told = self::told($found);
        $subjectIds = array_column($told, 1);
        $parties = Party::query()->findMany($subjectIds)->keyBy('id');
        $engagements = Engagement::everyOne()->with('kind', 'readers')->findMany($subjectIds)->keyBy('id');
        $mentions = [];
        foreach ($found as $row) {
            [$what, $subjectId] = $told[$row] ?? ['', 0];
            $subject = $parties->get($subjectId) ?? $engagements->get($subjectId);
            if ($subject !== null) {
                $whose = $subject instanceof Party ? $subject->display_name : "{$subject->kind->name} {$subject->shownTitle()}";
                $mentions[] = new self("Mentioned in $what of $whose", $subject);
            }
        }

        return $mentions;
    }

    /**
     * @param list<int> $rows of the index: three times the number of what it is of, and which of the three that is
     *
     * @return array<int, array{string, int}> in what it is mentioned, and whose that is, by row
     */
    private static function told(array $rows): array
    {
        $ids = [[], [], []];
        foreach ($rows as $row) {
            $ids[$row % 3][] = intdiv($row, 3);
        }
        $told = [];
        foreach (LogEntry::query()->findMany($ids[0]) as $entry) {
            $told[$entry->id * 3] = ["a {$entry->kind->value} of {$entry->happened_on->toText()}", $entry->subject_id];
        }
        foreach (File::everyOne()->findMany($ids[1]) as $file) {
            $told[$file->id * 3 + 1] = ["the file “{$file->name}”", $file->subject_id];
        }
        foreach (Meeting::everyOne()->findMany($ids[2]) as $meeting) {
            $told[$meeting->id * 3 + 2] = ["a meeting of {$meeting->held_on->toText()}", $meeting->subject_id];
        }

        return $told;
    }
}
