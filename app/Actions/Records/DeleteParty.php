<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\ArchiveRefused;
use App\Actions\Files\KeepFiles;
use App\Actions\Finding\IndexParties;
use App\Models\AddressUse;
use App\Models\Change;
use App\Models\LogEntry;
use App\Models\Party;
use App\Models\Relation;
use Illuminate\Support\Facades\DB;

/** Deletes a record that nothing refers to. One that something refers to can only be archived. */
final readonly class DeleteParty
{
    public function __construct(private IndexParties $index, private KeepFiles $files)
    {
    }

    /** @throws ArchiveRefused when something refers to it, saying what */
    public function handle(Party $party): void
    {
        DB::transaction(function () use ($party): void {
            $references = $this->references($party);
            if ($references !== []) {
                throw ArchiveRefused::stillUsed($references);
            }
            Change::query()->where('party_id', $party->id)->delete();
            $party->logEntries()->delete();
            $party->cautions()->delete();
            $party->contactPoints()->delete();
            $party->reminders()->delete();
            $contents = $party->files()->pluck('sha256')->all();
            $party->files()->delete();
            DB::afterCommit(fn () => array_map($this->files->letGo(...), $contents));
            $party->bankDetails()->update(['replaces_id' => null]);
            $party->bankDetails()->delete();
            $party->cards()->delete();
            $party->codes()->delete();
            $party->taxNumbers()->delete();
            $party->listItems()->detach();
            $party->detailValues()->delete();
            $party->addressUses()->delete();
            $party->ownAddresses()->delete();
            $party->clientTerms()->delete();
            $party->vendorTerms()->delete();
            DB::table('section_versions')->where('party_id', $party->id)->delete();
            $party->delete();
            $this->index->forget($party->id);
        });
    }

    /** @return list<string> */
    private function references(Party $party): array
    {
        $positions = $party->eitherPositions()->count();
        $sharing = AddressUse::query()
            ->where('party_id', '!=', $party->id)
            ->whereIn('address_id', $party->ownAddresses()->select('id'))
            ->distinct()->count('party_id');

        $entries = LogEntry::query()->where('with_party_id', $party->id)->count();

        $relations = Relation::of($party)->count();

        $documents = $party->documents()->withoutGlobalScopes()->count() + $party->payments()->count();

        return array_values(array_filter([
            $documents === 0 ? '' : ($documents === 1 ? '1 document or payment' : "$documents documents and payments"),
            $positions === 0 ? '' : ($positions === 1 ? '1 position' : "$positions positions"),
            $sharing === 0 ? '' : ($sharing === 1 ? '1 record with the same address' : "$sharing records with the same address"),
            $relations === 0 ? '' : ($relations === 1 ? '1 relation' : "$relations relations"),
            $entries === 0 ? '' : ($entries === 1 ? '1 log entry' : "$entries log entries"),
        ]));
    }
}
