<?php

declare(strict_types=1);

namespace App\Facts\Records;

use Almanac\Records\SectionName;
use App\Models\SubjectModel;
use Illuminate\Support\Facades\DB;

/** How often a section of a subject has been saved; a save that starts from an older version is refused. */
final class SectionVersions
{
    /** Of one statement. */
    private const ROWS = 2000;

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

    /**
     * @param list<array{int, SectionName}> $sections subject and section
     *
     * @return array<string, int> the new ones, by both
     */
    public static function advance(array $sections): array
    {
        $rows = array_map(fn (array $one) => ['subject_id' => $one[0], 'section' => $one[1]->value, 'version' => 1], $sections);
        foreach (array_chunk($rows, self::ROWS) as $some) {
            DB::table('section_versions')->upsert($some, ['subject_id', 'section'], ['version' => DB::raw('version + 1')]);
        }

        /** @var array<string, int> */
        return DB::table('section_versions')->whereIntegerInRaw('subject_id', array_column($sections, 0))->get()
            ->mapWithKeys(fn (object $row): array => ["$row->subject_id $row->section" => (int) $row->version])->all();
    }
}
