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
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;

/** What follows from a section that has been saved: a payee on hold, other terms for its branches, what is kept over all records. */
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

    /**
     * @param list<SectionName> $sections that were saved together
     * @param Party $party as it was saved
     * @param array<string, mixed> $was its columns before
     * @param list<int> $seen whose sections are different
     */
    public function handle(array $sections, Party $party, array $was, array $seen, User $by): void
    {
        $isIn = fn (SectionName ...$names): bool => array_filter($names, fn (SectionName $name) => in_array($name, $sections, true)) !== [];
        $isOther = fn (string $column): bool => $party->getAttribute($column) !== ($was[$column] ?? null);
        if ($isIn(SectionName::Identity) && $party->is_vendor && $isOther('payee_name')) {
            $this->bank->holdPayee($party, $party->payee(), $by);
        }
        if ($isIn(SectionName::Identity) && $seen !== []) {
            $this->engagements->ofParty($party->id);
        }
        if ($isIn(SectionName::Relations, SectionName::Positions) && $seen !== []) {
            $this->searches->forWhoeverIsRelated($seen, $by);
        }
        $heirs = $this->heirs($isIn(...), $party, $seen);
        if ($heirs !== []) {
            // The credit limit, and whether there are terms, may be others.
            $this->standings->refresh(...$heirs);
        }
        $also = [...$seen, ...$heirs, ...$this->whoFollow($isIn(...), $party, $heirs, $isOther('owner_id'))];
        // Its people are found by its name, and whoever shares its addresses by their places; by the rest only itself.
        $isIn(SectionName::Identity, SectionName::Addresses)
            ? $this->index->withNeighbours($party, $also)
            : $this->index->alone($party, $also);
    }

    /**
     * Those for whom other terms may hold now: the party itself, and the companies that inherit from it.
     *
     * @param \Closure(SectionName...): bool $isIn whether one of these was saved
     * @param list<int> $seen
     *
     * @return list<int>
     */
    private function heirs(\Closure $isIn, Party $party, array $seen): array
    {
        $from = array_values(array_unique([
            ...$isIn(SectionName::ClientTerms, SectionName::VendorTerms) ? [$party->id] : [],
            ...$isIn(SectionName::Relations) ? $seen : [],
        ]));

        return $from === [] ? [] : [...$from, ...Ancestors::below($from, $this->clock->today())];
    }

    /**
     * Those besides the heirs whom somebody else may look after now: who takes the owner over from it.
     *
     * @param \Closure(SectionName...): bool $isIn whether one of these was saved
     * @param list<int> $heirs for whom other terms may hold
     * @param bool $hasOther whether it has another owner
     *
     * @return list<int>
     */
    private function whoFollow(\Closure $isIn, Party $party, array $heirs, bool $hasOther): array
    {
        return [
            ...$isIn(SectionName::Relations) ? Ancestors::peopleAt($heirs) : [],
            ...$isIn(SectionName::Classification) && $hasOther ? Ancestors::heirs([$party->id], $this->clock->today()) : [],
        ];
    }
}
