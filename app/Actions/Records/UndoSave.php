<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\ArchivedRecord;
use Almanac\Records\SectionName;
use App\Actions\Ledger\TakeNewDetails;
use App\Facts\Records\SectionVersions;
use App\Models\Party;
use App\Models\SectionState;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Takes the last save of a section back: the section, and whatever was changed with it elsewhere, is again what it
 * was, with its links. What has been saved again since is left alone, and nothing is taken back then.
 */
final readonly class UndoSave
{
    public function __construct(
        private Sections $sections,
        private ChangeSections $change,
        private SectionEffects $effects,
        private TakeNewDetails $take,
    ) {
    }

    /**
     * @param int $version that the save made
     * @param Following|null $following the documents that take over what is so again
     *
     * @throws ArchivedRecord when the record is archived
     * @throws StaleSection when one of the sections has been saved since
     * @throws ValidationException when what it was cannot be any more
     */
    public function handle(Party $party, SectionName $name, int $version, User $by, ?Following $following): void
    {
        DB::transaction(function () use ($party, $name, $version, $by, $following): void {
            $party->refresh();
            $party->assertInUse();
            $saved = SectionState::query()->where('subject_id', $party->id)->where('section', $name->value)->where('version', $version)
                ->whereNull('cause_id')->first() ?? throw $this->stale($name, $party);
            $undone = [];
            foreach ([$saved, ...SectionState::query()->where('cause_id', $saved->id)->orderBy('id')->get()] as $state) {
                $section = $this->sections->named(SectionName::from($state->section));
                $whose = $state->subject_id === $party->id ? $party : Party::query()->findOrFail($state->subject_id);
                $former = $state->former();
                if ($section === null || $former === null || SectionVersions::of($whose, $section->name()) !== $state->version) {
                    throw $this->stale($section?->name() ?? $name, $whose);
                }
                $undone[] = [$section, $whose, $former->state];
            }
            $changed = $this->change->around(
                array_map(fn (array $one) => [$one[0], $one[1]], $undone),
                $by,
                fn () => array_map($this->restore(...), $undone),
            );
            foreach ($undone as [$section, $whose]) {
                $this->effects->handle($section->name(), $whose, $section->name() === $name ? $changed->partyIds : [], $by);
            }
            if ($following !== null) {
                $this->take->handle($party, $following->documentIds, $following->withTerms, $by);
            }
        });
        $party->refresh();
    }

    /** @param  array{Section, Party, array<string, mixed>}  $one */
    private function restore(array $one): void
    {
        [$section, $party, $former] = $one;
        $party->unsetRelations()->load($section->reads());
        if ($section->state($party) !== $former) {
            $section->write($party, ['isRestored' => true] + $former);
        }
    }

    private function stale(SectionName $section, Party $party): StaleSection
    {
        return StaleSection::of($section, $party, SectionVersions::of($party, $section), []);
    }
}
