<?php

declare(strict_types=1);

namespace App\Facts\Records;

use Almanac\Records\SectionName;
use App\Models\SubjectModel;
use Illuminate\Support\Facades\DB;

/** How often a section of a subject has been saved; a save that starts from an older version is refused. */
final class SectionVersions
{
    /** @return array<string, int> by section; a section that was never saved is missing, and counts as 0 */
    public static function all(SubjectModel $subject): array
    {
        /** @var array<string, int> */
        return DB::table('section_versions')->where('subject_id', $subject->id)->pluck('version', 'section')->all();
    }

    public static function of(SubjectModel $subject, SectionName $section): int
    {
        return self::all($subject)[$section->value] ?? 0;
    }

    /** @return int the new one */
    public static function advance(SubjectModel $subject, SectionName $section): int
    {
        DB::table('section_versions')->upsert(
            ['subject_id' => $subject->id, 'section' => $section->value, 'version' => 1],
            ['subject_id', 'section'],
            ['version' => DB::raw('version + 1')],
        );

        return self::of($subject, $section);
    }
}
