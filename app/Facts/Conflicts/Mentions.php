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
use App\Models\SubjectModel;
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

    private function __construct(public string $sentence, public SubjectModel $subject)
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

        return array_values(array_filter(array_map(self::read(...), $found)));
    }

    private static function read(int $row): ?self
    {
        $id = intdiv($row, 3);
        [$what, $on] = match ($row % 3) {
            0 => self::entry(LogEntry::query()->find($id)),
            1 => self::file(File::everyOne()->find($id)),
            default => self::meeting(Meeting::everyOne()->find($id)),
        };
        $subject = $on === null ? null : self::subject($on);

        return $subject === null ? null : new self("Mentioned in $what", $subject);
    }

    /** @return array{string, int|null} */
    private static function entry(?LogEntry $entry): array
    {
        return ["a {$entry?->kind->value} of {$entry?->happened_on->toText()}", $entry?->subject_id];
    }

    /** @return array{string, int|null} */
    private static function file(?File $file): array
    {
        return ["the file “{$file?->name}”", $file?->subject_id];
    }

    /** @return array{string, int|null} */
    private static function meeting(?Meeting $meeting): array
    {
        return ["a meeting of {$meeting?->held_on->toText()}", $meeting?->subject_id];
    }

    private static function subject(int $id): ?SubjectModel
    {
        return Party::query()->find($id) ?? Engagement::everyOne()->with('kind', 'readers')->find($id);
    }
}
