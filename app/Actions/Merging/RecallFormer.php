<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\SectionParts;
use Almanac\Records\LoggedFact;
use Almanac\Records\PartyKind;
use Almanac\Records\SectionName;
use App\Actions\Records\IdentitySection;
use App\Actions\Records\Past;
use App\Actions\Records\SectionOf;
use App\Actions\Records\Sections;
use App\Models\Merge;
use App\Models\MergedSection;
use App\Models\MergeSide;
use App\Models\Party;
use App\Time\Clock;

/** Reads what a record said before it was made one with another. */
final readonly class RecallFormer
{
    /** Addresses come before reach, and classification before details: the one is read from the other. */
    private const ORDER = [
        SectionName::Identity, SectionName::Addresses, SectionName::Reach, SectionName::Positions, SectionName::Relations,
        SectionName::Classification, SectionName::Details, SectionName::TaxNumbers, SectionName::ClientTerms, SectionName::VendorTerms,
    ];

    public function __construct(private Sections $sections, private IdentitySection $identity, private Clock $clock)
    {
    }

    /** @return list<array{SectionName, list<LoggedFact>}> without what said nothing */
    public function handle(Merge $merge, MergeSide $side): array
    {
        $states = $merge->sections()->where('party_id', $side->party_id)->get()->keyBy('section');
        $name = $states->get(SectionName::Identity->value)->state ?? [];
        $then = new Party([
            'id' => $side->party_id,
            'number' => $side->number,
            'kind' => isset($name['given']) ? PartyKind::Person : PartyKind::Company,
        ]);
        $past = new Past($side->party_id, $merge->done_at?->toImmutable() ?? $this->clock->now(), $this->identity);
        $told = [];
        foreach (self::ORDER as $which) {
            $state = $states->get($which->value);
            $section = $this->sections->named($which);
            if (! $state instanceof MergedSection || $section === null) {
                continue;
            }
            $of = SectionOf::party($section, $then);
            $of->recall($state->state, $past);
            $empty = array_filter(SectionParts::of($which)->singles($state->state), SectionParts::isEmpty(...));
            $facts = array_values(array_filter(array_diff_key($of->facts(), $empty), fn (LoggedFact $one) => $one->value !== ''));
            if ($facts !== []) {
                $told[] = [$which, $facts];
            }
        }

        return $told;
    }
}
