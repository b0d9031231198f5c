<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\ArchivedRecord;
use App\Actions\Ledger\TakeNewDetails;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Saves one section of a record: all of it or nothing, never over somebody else's change, and logged. */
final readonly class SaveSection
{
    public function __construct(private KeepSection $keep, private SectionEffects $effects, private TakeNewDetails $take)
    {
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
        $state = DB::transaction(function () use ($section, $party, $input, $version, $by, $following): ?int {
            $party->refresh();
            $changed = $this->keep->save(SectionOf::party($section, $party), $section->neighbours($party, $input), $input, $version, $by);
            $this->effects->handle($section->name(), $party, $changed->subjectIds, $by);
            if ($following !== null) {
                $this->take->handle($party, $following->documentIds, $following->withTerms, $by);
            }

            return $changed->causeId;
        });
        $party->refresh();

        return $state;
    }
}
