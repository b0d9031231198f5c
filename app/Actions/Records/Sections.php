<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\SectionName;

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

    /** @return list<Section> */
    public function all(): array
    {
        return array_values($this->byName);
    }
}
