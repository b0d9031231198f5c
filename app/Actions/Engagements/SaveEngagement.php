<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Records\ArchivedRecord;
use Almanac\Records\SectionName;
use App\Actions\Conflicts\RepeatSearches;
use App\Actions\Finding\IndexEngagements;
use App\Actions\Records\CompareDays;
use App\Actions\Records\KeepSection;
use App\Actions\Records\StaleSection;
use App\Models\Engagement;
use App\Models\SectionState;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Saves one section of a case or a project, or takes the last save of it back. */
final readonly class SaveEngagement
{
    public function __construct(
        private EngagementSections $sections,
        private KeepSection $keep,
        private IndexEngagements $index,
        private CompareDays $days,
        private RepeatSearches $searches,
    ) {
    }

    /**
     * @param array<string, mixed> $input
     * @param int $version the version that the person who saves has seen
     *
     * @throws ArchivedRecord when it is archived
     * @throws StaleSection when the section has been saved since that version
     * @throws ValidationException when the core refuses a value
     */
    public function handle(SectionName $name, Engagement $engagement, array $input, int $version, User $by): void
    {
        DB::transaction(function () use ($name, $engagement, $input, $version, $by): void {
            $engagement->refresh();
            $section = $this->sections->of($name, $engagement);
            if ($section !== null) {
                $this->repeated($name, $engagement, $by, fn () => $this->keep->save(
                    $section,
                    $this->sections->neighbours($name, $engagement, $input),
                    $input,
                    $version,
                    $by,
                ));
                $this->index->keep($engagement);
            }
        });
        $engagement->refresh();
    }

    /**
     * The section is again what it was on a past day.
     *
     * @param string $day typed
     * @param int $version that the person who brings it back has seen
     *
     * @throws ArchivedRecord when it is archived
     * @throws StaleSection when the section has been saved since that version
     * @throws ValidationException when what it was cannot be any more
     */
    public function bringBack(SectionName $name, Engagement $engagement, string $day, int $version, User $by): void
    {
        DB::transaction(function () use ($name, $engagement, $day, $version, $by): void {
            $engagement->refresh();
            $section = $this->sections->of($name, $engagement);
            $then = $this->sections->of($name, clone $engagement);
            $former = $then === null ? null : $this->days->kept($engagement, $day, $then)->kept;
            if ($section !== null && $former !== null) {
                $this->repeated($name, $engagement, $by, fn () => $this->keep->bringBack(
                    $section,
                    $this->sections->neighbours($name, $engagement, $former->state),
                    $former,
                    $version,
                    $by,
                ));
                $this->index->keep($engagement);
            }
        });
        $engagement->refresh();
    }

    /**
     * @param int $version that the save made
     *
     * @throws ArchivedRecord when it is archived
     * @throws StaleSection when it has been saved since
     * @throws ValidationException when what it was cannot be any more
     */
    public function undo(SectionName $name, Engagement $engagement, int $version, User $by): void
    {
        DB::transaction(function () use ($name, $engagement, $version, $by): void {
            $engagement->refresh();
            $this->keep->undo($engagement, $name, $version, $by, fn (SectionState $state) => $this->sections->kept($state, $engagement));
            $this->index->keep($engagement);
        });
        $engagement->refresh();
    }

    /** @param  \Closure(): mixed  $save */
    private function repeated(SectionName $name, Engagement $engagement, User $by, \Closure $save): void
    {
        $former = $name === SectionName::Parties ? $engagement->parties()->pluck('party_id')->all() : [];
        $save();
        if ($name === SectionName::Parties) {
            $this->searches->forWhoeverCame($engagement, array_values($former), $by);
        }
    }
}
