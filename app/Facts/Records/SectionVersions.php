<?php

declare(strict_types=1);

namespace App\Facts\Records;

use Almanac\Records\SectionName;
use App\Models\Party;
use Illuminate\Support\Facades\DB;

/** How often a section of a record has been saved; a save that starts from an older version is refused. */
final class SectionVersions
{
    /** @return array<string, int> by section; a section that was never saved is missing, and counts as 0 */
    public static function all(Party $party): array
    {
        /** @var array<string, int> */
        return DB::table('section_versions')->where('subject_id', $party->id)->pluck('version', 'section')->all();
    }

    public static function of(Party $party, SectionName $section): int
    {
        return self::all($party)[$section->value] ?? 0;
    }

    /** @return int the new one */
    public static function advance(Party $party, SectionName $section): int
    {
        DB::table('section_versions')->upsert(
            ['subject_id' => $party->id, 'section' => $section->value, 'version' => 1],
            ['subject_id', 'section'],
            ['version' => DB::raw('version + 1')],
        );

        return self::of($party, $section);
    }
}
