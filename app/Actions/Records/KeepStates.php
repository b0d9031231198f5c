<?php

declare(strict_types=1);

namespace App\Actions\Records;

use App\Database\ManyRows;
use App\Facts\Records\SectionVersions;
use App\Models\SectionState;
use App\Models\User;
use App\Time\Clock;

/** Keeps what sections are after a change, each at its next version. Runs inside the transaction of the change. */
final readonly class KeepStates
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * Several changes: of each, the first section is the cause of the others.
     *
     * @template K of array-key
     *
     * @param array<K, non-empty-list<ChangedSection>> $changes
     * @param int|null $causeId the state to which all of them belong; without it, each has its own
     *
     * @return array<K, Changed>
     */
    public function ofChanges(array $changes, ?int $causeId, User $by): array
    {
        $versions = $this->advance(array_merge([], ...array_values($changes)));
        $kept = $rows = [];
        foreach ($changes as $at => $sections) {
            $cause = $causeId;
            foreach ($sections as $one) {
                $made = $this->made($one, $versions, $cause, $by);
                if ($cause === null) {
                    $made->save();
                    $cause = $made->id;
                } else {
                    $rows[] = $made->getAttributes();
                }
            }
            $kept[$at] = Changed::of($cause, $sections);
        }
        ManyRows::insert('section_states', $rows);

        return $kept;
    }

    /**
     * The same section of many subjects, each without a cause.
     *
     * @param list<ChangedSection> $changed
     */
    public function each(array $changed, User $by): void
    {
        $versions = $this->advance($changed);
        ManyRows::insert('section_states', array_map(fn (ChangedSection $one) => $this->made($one, $versions, null, $by)->getAttributes(), $changed));
    }

    /**
     * The same, of which is asked what was kept.
     *
     * @param list<ChangedSection> $changed
     *
     * @return array<int, int> the state that is kept, by subject
     */
    public function ofEach(array $changed, User $by): array
    {
        $this->each($changed, $by);
        $ids = array_map(fn (ChangedSection $one) => $one->section->subject->id, $changed);

        /** @var array<int, int> */
        return $changed === [] ? [] : SectionState::query()->where('section', $changed[0]->section->name->value)
            ->whereIntegerInRaw('subject_id', $ids)->whereNotNull('user_id')
            ->selectRaw('max(id) as id, subject_id')->groupBy('subject_id')->pluck('id', 'subject_id')->all();
    }

    /**
     * Each is at its next version; of one that was never saved, what it was is kept first.
     *
     * @param list<ChangedSection> $changed
     *
     * @return array<string, int> the new versions, by the keys of the sections
     */
    private function advance(array $changed): array
    {
        if ($changed === []) {
            return [];
        }
        $subjects = array_values(array_unique(array_map(fn (ChangedSection $one) => $one->section->subject->id, $changed)));
        $known = SectionState::query()->whereIntegerInRaw('subject_id', $subjects)->distinct()->toBase()->get(['subject_id', 'section'])
            ->mapWithKeys(fn (\stdClass $one): array => ["$one->subject_id $one->section" => true]);
        $versions = SectionVersions::advance(
            array_map(fn (ChangedSection $one) => [$one->section->subject->id, $one->section->name], $changed),
        );
        $first = array_filter($changed, fn (ChangedSection $one) => ! isset($known[$one->section->key()]));
        ManyRows::insert('section_states', array_map(fn (ChangedSection $one) => $this->first($one, $versions)->getAttributes(), array_values($first)));

        return $versions;
    }

    /**
     * What it was before it was saved for the first time.
     *
     * @param array<string, int> $versions
     */
    private function first(ChangedSection $one, array $versions): SectionState
    {
        $section = $one->section;

        return (new SectionState([
            'subject_id' => $section->subject->id,
            'section' => $section->name->value,
            'version' => $versions[$section->key()] - 1,
            'at' => $section->subject->created_at ?? $this->clock->now(),
        ]))->setState($one->was, $section->isPrivate($one->was));
    }

    /** @param  array<string, int>  $versions */
    private function made(ChangedSection $one, array $versions, ?int $causeId, User $by): SectionState
    {
        $section = $one->section;

        return (new SectionState([
            'subject_id' => $section->subject->id,
            'section' => $section->name->value,
            'version' => $versions[$section->key()],
            'cause_id' => $causeId,
            'user_id' => $by->id,
            'at' => $this->clock->now(),
        ]))->setState($one->is, $section->isPrivate($one->is));
    }
}
