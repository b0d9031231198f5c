<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\ArchivedRecord;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Facts\Records\SectionVersions;
use App\Models\SectionState;
use App\Models\SubjectModel;
use App\Models\User;
use Illuminate\Validation\ValidationException;

/** Writes one section of a subject, whatever it is, or what it was before its last save. Runs inside a transaction. */
final readonly class KeepSection
{
    public function __construct(private ChangeSections $change)
    {
    }

    /**
     * @param list<SectionOf> $neighbours whatever else shows some of the same things
     * @param array<string, mixed> $input
     * @param int $version the version that the person who saves has seen
     *
     * @throws ArchivedRecord when the subject is archived
     * @throws StaleSection when the section has been saved since that version
     * @throws ValidationException when the core refuses a value
     */
    public function save(SectionOf $section, array $neighbours, array $input, int $version, User $by): Changed
    {
        return $this->from($version, $section, $neighbours, $by, fn () => $section->write($input));
    }

    /**
     * The section is again what it was in a former state, whatever has been saved since.
     *
     * @param list<SectionOf> $neighbours whatever else shows some of the same things
     * @param int $version that the person who brings it back has seen
     *
     * @throws ArchivedRecord when the subject is archived
     * @throws StaleSection when the section has been saved since that version
     * @throws ValidationException when what it was cannot be any more
     */
    public function bringBack(SectionOf $section, array $neighbours, SectionState $former, int $version, User $by): Changed
    {
        return $this->from($version, $section, $neighbours, $by, fn () => $this->restore($section, $former->state));
    }

    /**
     * The section, and whatever was changed with it elsewhere, is again what it was, with its links. What has been saved
     * again since is left alone, and nothing is taken back then.
     *
     * @param int $version that the save made
     * @param \Closure(SectionState): (SectionOf|null) $sectionOf what a state is kept of
     *
     * @return array{Changed, list<SectionOf>} what is different, and what was written
     *
     * @throws ArchivedRecord when the subject is archived
     * @throws StaleSection when one of the sections has been saved since
     * @throws ValidationException when what it was cannot be any more
     */
    public function undo(SubjectModel $subject, SectionName $name, int $version, User $by, \Closure $sectionOf): array
    {
        $subject->assertInUse();
        $saved = SectionState::query()->where('subject_id', $subject->id)->where('section', $name->value)->where('version', $version)
            ->whereNull('cause_id')->first() ?? throw $this->stale($name, $subject);
        $undone = $former = [];
        foreach ([$saved, ...SectionState::query()->where('cause_id', $saved->id)->orderBy('id')->get()] as $state) {
            $section = $sectionOf($state);
            $was = $state->former();
            if ($section === null || $was === null || SectionVersions::of($section->subject, $section->name) !== $state->version) {
                throw $this->stale($section->name ?? $name, $section->subject ?? $subject);
            }
            $undone[] = $section;
            $former[] = $was->state;
        }
        $changed = $this->change->around($undone, $by, fn () => array_map($this->restore(...), $undone, $former));

        return [$changed, $undone];
    }

    /**
     * @param list<SectionOf> $neighbours
     * @param \Closure(): mixed $write
     */
    private function from(int $version, SectionOf $section, array $neighbours, User $by, \Closure $write): Changed
    {
        $section->subject->assertInUse();
        $kept = SectionVersions::of($section->subject, $section->name);

        return $this->change->around([$section, ...$neighbours], $by, function (array $theirs) use ($section, $version, $kept, $write): void {
            $write();
            if ($kept !== $version) {
                throw $this->notBefore($section, $theirs, $kept);
            }
        });
    }

    /** @param  array<string, mixed>  $former */
    private function restore(SectionOf $section, array $former): void
    {
        $section->reload();
        if ($section->state() !== $former) {
            $section->write(['isRestored' => true] + $former);
        }
    }

    private function stale(SectionName $section, SubjectModel $subject): StaleSection
    {
        return StaleSection::of($section, $subject, SectionVersions::of($subject, $section), []);
    }

    /** @param  array<string, LoggedFact>  $theirs */
    private function notBefore(SectionOf $section, array $theirs, int $kept): StaleSection
    {
        $section->reload();

        return StaleSection::of($section->name, $section->subject, $kept, Difference::between($theirs, $section->facts()));
    }
}
