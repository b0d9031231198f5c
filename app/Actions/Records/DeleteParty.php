<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\ArchiveRefused;
use App\Actions\Files\KeepFiles;
use App\Models\AddressUse;
use App\Models\BankDetail;
use App\Models\Party;
use App\Models\SectionState;
use App\Models\User;
use App\Register\PartyReferences;
use App\Register\References;
use Illuminate\Support\Facades\DB;

/** Deletes a record that nothing refers to. One that something refers to can only be archived. */
final readonly class DeleteParty
{
    public function __construct(private KeepFiles $files, private ReachSection $reach, private ChangeSections $change)
    {
    }

    /** @throws ArchiveRefused when something refers to it, saying what */
    public function handle(Party $party, User $by): void
    {
        DB::transaction(function () use ($party, $by): void {
            $references = [...References::binding(PartyReferences::all(), $party->id), ...$this->sharing($party)];
            if ($references !== []) {
                throw ArchiveRefused::stillUsed($references);
            }
            $contents = $party->files()->pluck('sha256')->all();
            DB::afterCommit(fn () => array_map($this->files->letGo(...), $contents));
            // Whoever has a phone or an email of it by link keeps it as their own.
            $this->change->around($this->reach->neighbours($party, []), $by, fn () => $party->contactPoints()->delete());
            SectionState::query()
                ->where('subject_id', $party->id)
                ->update(['cause_id' => null]);
            SectionState::query()
                ->whereIn('cause_id', SectionState::query()->select('id')->where('subject_id', $party->id))
                ->update(['cause_id' => null]);
            BankDetail::query()
                ->where('party_id', $party->id)
                ->update(['replaces_id' => null]);
            References::release(PartyReferences::all(), $party->id);
            $party->delete();
        });
    }

    /** @return list<string> */
    private function sharing(Party $party): array
    {
        $sharing = AddressUse::query()
            ->where('party_id', '!=', $party->id)
            ->whereIn('address_id', $party->ownAddresses()->select('id'))
            ->distinct()->count('party_id');

        return References::words(['record with the same address' => [$sharing, 'records with the same address']]);
    }
}
