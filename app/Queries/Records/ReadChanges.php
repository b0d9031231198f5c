<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Facts\Merging\Origins;
use App\Http\Data\Records\ChangeData;
use App\Http\Data\Records\ChangesData;
use App\Models\Change;
use App\Models\SubjectModel;

/** Reads the change log of a subject backwards, a stretch at a time. */
final class ReadChanges
{
    private const AT_ONCE = 30;

    /** @param  'all'|'entries'|'changes'  $show */
    public function handle(SubjectModel $subject, ?int $before, string $show = 'all'): ChangesData
    {
        $origins = Origins::of($subject);
        $changes = Change::query()->with('user', 'logEntry.user', 'logEntry.withParty')
            ->whereIn('subject_id', $origins->subjectIds())
            ->when($show === 'entries', fn ($query) => $query->whereNotNull('log_entry_id'))
            ->when($show === 'changes', fn ($query) => $query->whereNull('log_entry_id'))
            ->when($before !== null, fn ($query) => $query->where('id', '<', $before))
            ->orderByDesc('id')
            ->limit(self::AT_ONCE + 1)
            ->get();
        $shown = $changes->take(self::AT_ONCE);

        return new ChangesData(
            array_values($shown->map(fn (Change $change) => ChangeData::of($change, $origins->ofSubject($change->subject_id)))->all()),
            $changes->count() > self::AT_ONCE ? $shown->last()?->id : null,
        );
    }
}
