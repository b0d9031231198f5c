<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\SectionName;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Conflicts\RepeatSearches;
use App\Actions\Finding\IndexEngagements;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Facts\Records\Ancestors;
use App\Models\User;
use App\Time\Clock;

/** What follows from sections that have been saved: a payee on hold, other terms for its branches, what is kept over all records. */
final readonly class SectionEffects
{
    public function __construct(
        private IndexParties $index,
        private IndexEngagements $engagements,
        private KeepBankDetails $bank,
        private KeepStandings $standings,
        private RepeatSearches $searches,
        private Clock $clock,
    ) {
    }

    public function handle(User $by, SavedSections ...$saves): void
    {
        $related = $heirs = $also = $found = [];
        foreach ($saves as $save) {
            $party = $save->party;
            if ($save->isOf(SectionName::Identity) && $party->is_vendor && $save->isOther('payee_name')) {
                $this->bank->holdPayee($party, $party->payee(), $by);
            }
            if ($save->isOf(SectionName::Identity) && $save->changed->subjectIds !== []) {
                $this->engagements->ofParty($party->id);
            }
            if ($save->isOf(SectionName::Relations, SectionName::Positions)) {
                array_push($related, ...$save->changed->subjectIds);
            }
            $its = $this->heirs($save);
            array_push($heirs, ...$its);
            array_push($also, ...$save->changed->lookedUpIds, ...$its, ...$this->whoFollow($save, $its));
            // Its people are found by its name, and whoever shares its addresses by their places; by the rest only itself.
            if ($save->isOf(SectionName::Identity, SectionName::Addresses)) {
                $found[] = $party->id;
            }
        }
        if ($related !== []) {
            $this->searches->forWhoeverIsRelated(array_values(array_unique($related)), $by);
        }
        if ($heirs !== []) {
            // The credit limit, and whether there are terms, may be others.
            $this->standings->refresh(...$heirs);
        }
        $this->index->changed(array_map(fn (SavedSections $save) => $save->party->id, array_values($saves)), $found, $also);
    }

    /**
     * Those for whom other terms may hold now: the party itself, and the companies that inherit from it.
     *
     * @return list<int>
     */
    private function heirs(SavedSections $save): array
    {
        $from = array_values(array_unique([
            ...$save->isOf(SectionName::ClientTerms, SectionName::VendorTerms) ? [$save->party->id] : [],
            ...$save->isOf(SectionName::Relations) ? $save->changed->subjectIds : [],
        ]));

        return $from === [] ? [] : [...$from, ...Ancestors::below($from, $this->clock->today())];
    }

    /**
     * Those besides the heirs whom somebody else may look after now: who takes the owner over from it.
     *
     * @param list<int> $heirs for whom other terms may hold
     *
     * @return list<int>
     */
    private function whoFollow(SavedSections $save, array $heirs): array
    {
        return [
            ...$save->isOf(SectionName::Relations) ? Ancestors::peopleAt($heirs) : [],
            ...$save->isOf(SectionName::Classification) && $save->isOther('owner_id')
                ? Ancestors::heirs([$save->party->id], $this->clock->today())
                : [],
        ];
    }
}
