<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Merging\MergeRefused;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\SectionName;
use App\Actions\Ledger\TakeNewDetails;
use App\Models\Merge;
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
        private KeepSection $keep,
        private Sections $sections,
        private SectionEffects $effects,
        private TakeNewDetails $take,
    ) {
    }

    /**
     * @param int $version that the save made
     * @param Following|null $following the documents that take over what is so again
     *
     * @throws MergeRefused when it was saved as records were made one
     * @throws ArchivedRecord when the record is archived
     * @throws StaleSection when one of the sections has been saved since
     * @throws ValidationException when what it was cannot be any more
     */
    public function handle(Party $party, SectionName $name, int $version, User $by, ?Following $following): void
    {
        DB::transaction(function () use ($party, $name, $version, $by, $following): void {
            $was = $party->refresh()->getAttributes();
            if (Merge::query()->whereIn('cause_id', SectionState::query()->selectRaw('coalesce(cause_id, id)')
                ->where(['subject_id' => $party->id, 'section' => $name->value, 'version' => $version]))->exists()) {
                throw MergeRefused::ownMerge();
            }
            [$changed, $undone] = $this->keep->undo(
                $party, $name, $version, $by, fn (SectionState $state) => $this->sections->kept($state, $party),
            );
            foreach ($undone as $section) {
                $other = $section->subject;
                if ($other instanceof Party) {
                    // Of another record only its last change is known: those columns were something else.
                    $this->effects->handle($by, new SavedSections(
                        [$section->name],
                        $other,
                        $other === $party ? $was : array_fill_keys(array_keys($other->getChanges()), false) + $other->getAttributes(),
                        $other === $party ? $changed : Changed::nothing(),
                    ));
                }
            }
            if ($following !== null) {
                $this->take->handle($party, $following->documentIds, $following->withTerms, $by);
            }
        });
        $party->refresh();
    }
}
