<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Engagements\EngagementRefused;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Records\Wording;
use App\Actions\Files\KeepFiles;
use App\Actions\Records\LogChanges;
use App\Models\Engagement;
use App\Models\File;
use App\Models\SectionState;
use App\Models\User;
use App\Register\EngagementReferences;
use App\Register\References;
use App\Time\Clock;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Takes a case or a project out of use, back into it, or away, where nothing refers to it. */
final readonly class EngagementLife
{
    private const LONGEST_REASON = 200;

    public function __construct(private LogChanges $log, private KeepFiles $files, private Clock $clock)
    {
    }

    /** @throws ValidationException when no reason is given */
    public function archive(Engagement $engagement, string $reason, User $by): void
    {
        $problems = new FieldProblems;
        $why = $problems->at(
            'reason',
            fn () => Wording::line($reason, self::LONGEST_REASON, 'Say in a few words why, such as “entered twice”.'),
        );
        $problems->throwIfAny();
        $this->change($engagement, fn () => ['archived_on' => $this->clock->today(), 'archive_reason' => $why ?? ''], false, $by);
    }

    public function restore(Engagement $engagement, User $by): void
    {
        $this->change($engagement, fn () => ['archived_on' => null, 'archive_reason' => ''], true, $by);
    }

    /** @throws EngagementRefused when something refers to it */
    public function delete(Engagement $engagement): void
    {
        DB::transaction(function () use ($engagement): void {
            $engagement->refresh();
            $binding = References::binding(EngagementReferences::all(), $engagement->id);
            if ($binding !== []) {
                throw EngagementRefused::stillReferredTo(implode(', ', $binding));
            }
            $contents = File::query()->where('subject_id', $engagement->id)->pluck('sha256')->all();
            DB::afterCommit(fn () => array_map($this->files->letGo(...), $contents));
            SectionState::query()->where('subject_id', $engagement->id)->update(['cause_id' => null]);
            References::release(EngagementReferences::all(), $engagement->id);
            $engagement->delete();
        });
    }

    /** @param  \Closure(): array<string, mixed>  $columns */
    private function change(Engagement $engagement, \Closure $columns, bool $wasArchived, User $by): void
    {
        DB::transaction(function () use ($engagement, $columns, $wasArchived, $by): void {
            $engagement->refresh();
            if ($engagement->isArchived() !== $wasArchived) {
                return;
            }
            $words = fn () => $engagement->isArchived() ? 'archived: '.$engagement->archive_reason : 'in use';
            $before = $words();
            $engagement->update($columns());
            $this->log->handle($engagement, SectionName::Engagement, Difference::between(
                ['engagement' => new LoggedFact('Record', $before)],
                ['engagement' => new LoggedFact('Record', $words())],
            ), $by);
        });
    }
}
