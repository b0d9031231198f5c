<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\SectionName;
use App\Models\Party;
use App\Models\SectionState;

/** The sections of a record that are saved as one, by name. */
final readonly class Sections
{
    /** @var array<string, Section> */
    private array $byName;

    public function __construct(
        IdentitySection $identity,
        ReachSection $reach,
        AddressesSection $addresses,
        PositionsSection $positions,
        RelationsSection $relations,
        ClassificationSection $classification,
        DetailsSection $details,
        TaxNumbersSection $taxNumbers,
    ) {
        $sections = [
            $identity,
            $reach,
            $addresses,
            $positions,
            $relations,
            TermsSection::whenWeBillThem(),
            TermsSection::whenWePayThem(),
            $classification,
            $details,
            $taxNumbers,
        ];
        $this->byName = array_combine(array_map(fn (Section $section) => $section->name()->value, $sections), $sections);
    }

    /** Null for what is not saved as one, like the log. */
    public function named(SectionName $name): ?Section
    {
        return $this->byName[$name->value] ?? null;
    }

    /** The section that a state is kept of; null when it is of none that is saved as one. */
    public function kept(SectionState $state, Party $near): ?SectionOf
    {
        $name = SectionName::from($state->section);
        $subject = $state->subject_id === $near->id ? $near : Party::query()->find($state->subject_id);
        $section = $this->named($name);

        return $section !== null && $subject instanceof Party ? SectionOf::party($section, $subject) : null;
    }

    /** @return list<SectionOf> */
    public function of(Party $party): array
    {
        return array_map(fn (Section $section) => SectionOf::party($section, $party), $this->all());
    }

    /** @return list<string> the relations from which all of them are read */
    public function reads(): array
    {
        return array_values(array_unique(array_merge(...array_map(fn (Section $section) => $section->reads(), $this->all()))));
    }

    /** @return list<Section> */
    public function all(): array
    {
        return array_values($this->byName);
    }
}
