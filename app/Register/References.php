<?php

declare(strict_types=1);

namespace App\Register;

use Illuminate\Support\Facades\DB;

/** What is done with all that points to something: it is counted, or taken away. */
final class References
{
    /**
     * What is part of a subject, whatever it is.
     *
     * @return list<Reference>
     */
    public static function ofSubject(): array
    {
        return [
            Reference::owned('section_states', 'subject_id', AtUniqueKey::Goes, AtMerge::Stays),
            Reference::owned('section_versions', 'subject_id', AtUniqueKey::Goes, AtMerge::Stays),
            Reference::owned('changes', 'subject_id', atMerge: AtMerge::Stays),
            Reference::owned('log_entries', 'subject_id'),
            Reference::owned('cautions', 'subject_id'),
            Reference::owned('reminders', 'subject_id'),
            Reference::owned('files', 'subject_id'),
            Reference::owned('meetings', 'subject_id'),
            Reference::owned('detail_values', 'subject_id', AtUniqueKey::Goes, AtMerge::Settles),
        ];
    }

    /**
     * @param list<Reference> $all
     *
     * @return list<string> what binds the one with that number, in words: "2 positions"
     */
    public static function binding(array $all, int $id): array
    {
        $counts = [];
        foreach ($all as $reference) {
            if ($reference->hold === Hold::Binding) {
                $counts[$reference->one] ??= [0, $reference->many];
                $counts[$reference->one][0] += DB::table($reference->table)->where($reference->column, $id)->count();
            }
        }

        return self::words($counts);
    }

    /**
     * @param array<string, array{int, string}> $counts how many there are, and what several are called; by what one is called
     *
     * @return list<string>
     */
    public static function words(array $counts): array
    {
        $words = [];
        foreach ($counts as $one => [$count, $many]) {
            if ($count > 0) {
                $words[] = $count === 1 ? "1 $one" : "$count $many";
            }
        }

        return $words;
    }

    /**
     * Takes away what is part of the one with that number, and what is worked out from it.
     *
     * @param list<Reference> $all
     */
    public static function release(array $all, int $id): void
    {
        foreach ($all as $reference) {
            if ($reference->hold !== Hold::Binding) {
                DB::table($reference->table)->where($reference->column, $id)->delete();
            }
        }
    }
}
