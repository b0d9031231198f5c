<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\ArchivedRecord;
use Almanac\Refusal;
use App\Actions\Ledger\TakeNewDetails;
use App\Models\Party;
use App\Models\SectionState;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Saves one section of a record: all of it or nothing, never over somebody else's change, and logged. */
final readonly class SaveSection
{
    public function __construct(
        private KeepSection $keep,
        private ChangeSections $change,
        private SectionEffects $effects,
        private TakeNewDetails $take,
        private CompareDays $days,
    ) {
    }

    /**
     * @param array<string, mixed> $input
     * @param int $version the version that the person who saves has seen
     * @param Following|null $following the documents that take over what is new
     *
     * @return int|null the state that is kept of it; null when nothing is different
     *
     * @throws ArchivedRecord when the record is archived
     * @throws StaleSection when the section has been saved since that version
     * @throws ValidationException when the core refuses a value
     */
    public function handle(Section $section, Party $party, array $input, int $version, User $by, ?Following $following = null): ?int
    {
        return $this->kept($section, $party, $by, $following, fn () => $this->keep->save(
            SectionOf::party($section, $party),
            $section->neighbours($party, $input),
            $input,
            $version,
            $by,
        ));
    }

    /**
     * Saves several sections of each of several records: of each as one change, which is taken back as one. They are written
     * as they are now, in this order. Runs inside a transaction, in which the records were read and found to be in use.
     *
     * @template K of array-key
     *
     * @param array<K, array{Party, non-empty-list<array{Section, array<string, mixed>}>}> $saves
     *
     * @return array<K, int|Refusal|ValidationException|null> the state that is kept of it; null when nothing is different.
     *                                                        Those are missing that touch what one before them does: to be saved after it
     */
    public function several(array $saves, User $by): array
    {
        $changes = $seen = [];
        foreach ($saves as $at => [$party, $inputs]) {
            $touched = [
                ...array_map(fn (array $one) => SectionOf::party($one[0], $party), $inputs),
                ...array_merge([], ...array_map(fn (array $one) => $one[0]->neighbours($party, $one[1]), $inputs)),
            ];
            $subjects = array_fill_keys(array_map(fn (SectionOf $one) => $one->subject->id, $touched), true);
            if (array_intersect_key($seen, $subjects) === []) {
                $changes[$at] = [$touched, function () use ($party, $inputs): void {
                    foreach ($inputs as [$section, $input]) {
                        $section->write($party, $input);
                    }
                }];
            }
            $seen += $subjects;
        }
        $was = array_map(fn (array $one) => $one[0]->getAttributes(), $saves);
        $came = $saved = [];
        foreach ($this->change->several($changes, $by) as $at => $changed) {
            if ($changed instanceof Changed) {
                [$party, $inputs] = $saves[$at];
                $names = array_map(fn (array $one) => $one[0]->name(), $inputs);
                $saved[] = new SavedSections($names, $party->unsetRelations(), $was[$at], $changed);
            }
            $came[$at] = $changed instanceof Changed ? $changed->causeId : $changed;
        }
        $this->effects->handle($by, ...$saved);

        return $came;
    }

    /**
     * The section is again what it was on a past day.
     *
     * @param string $day typed
     * @param int $version that the person who brings it back has seen
     *
     * @throws ArchivedRecord when the record is archived
     * @throws StaleSection when the section has been saved since that version
     * @throws ValidationException when what it was cannot be any more
     */
    public function bringBack(Section $section, Party $party, string $day, int $version, User $by): void
    {
        $this->kept($section, $party, $by, null, function () use ($section, $party, $day, $version, $by): Changed {
            $former = $this->days->kept($party, $day, SectionOf::party($section, clone $party))->kept;

            return $former === null
                ? Changed::nothing()
                : $this->former($section, $party, $former, $version, $by);
        });
    }

    /**
     * The section is again what it was in a former state.
     *
     * @param int $version that it has to be at still
     *
     * @throws ArchivedRecord when the record is archived
     * @throws StaleSection when the section has been saved since that version
     * @throws ValidationException when what it was cannot be any more
     */
    public function restore(Section $section, Party $party, SectionState $former, int $version, User $by): void
    {
        $this->kept($section, $party, $by, null, fn () => $this->former($section, $party, $former, $version, $by));
    }

    private function former(Section $section, Party $party, SectionState $former, int $version, User $by): Changed
    {
        return $this->keep->bringBack(
            SectionOf::party($section, $party), $section->neighbours($party, $former->state), $former, $version, $by,
        );
    }

    /** @param  \Closure(): Changed  $change */
    private function kept(Section $section, Party $party, User $by, ?Following $following, \Closure $change): ?int
    {
        $state = DB::transaction(function () use ($section, $party, $by, $following, $change): ?int {
            // What is read of it is read as it is now; the rest need not be.
            $was = $party->unsetRelations()->refresh()->getAttributes();
            $changed = $change();
            $this->effects->handle($by, new SavedSections([$section->name()], $party, $was, $changed));
            if ($following !== null) {
                $this->take->handle($party, $following->documentIds, $following->withTerms, $by);
            }

            return $changed->causeId;
        });
        $party->unsetRelations()->refresh();

        return $state;
    }
}
