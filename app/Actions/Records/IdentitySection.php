<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Fact;
use App\Models\Party;
use App\Support\FieldProblems;
use App\Support\SectionName;
use App\Support\TypedDates;

/** What the party is called, and whether we bill it, it bills us, or both. */
final readonly class IdentitySection implements Section
{
    public function __construct(private NameParty $naming, private TypedDates $days)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Identity;
    }

    public function snapshot(Party $party): array
    {
        $facts = $party->isPerson() ? [
            'prefix' => new Fact('Title before the name', $party->prefix),
            'given' => new Fact('Given name', $party->given),
            'middle' => new Fact('Middle name', $party->middle),
            'family' => new Fact('Family name', $party->family),
            'suffix' => new Fact('Suffix', $party->suffix),
            'preferred' => new Fact('Preferred name', $party->preferred),
            'pronouns' => new Fact('Pronouns', $party->pronouns),
            'postNominals' => new Fact('After the name', $party->post_nominals),
            'informal' => new Fact('On first-name terms', $party->is_informal ? 'yes' : 'no'),
            'deceased' => new Fact('Deceased', match (true) {
                ! $party->is_deceased => 'no',
                $party->deceased_on === null => 'yes',
                default => 'on '.$party->deceased_on->toText(),
            }),
        ] : [
            'name' => new Fact('Name', $party->company_name),
            'legal' => new Fact('Legal name', $party->legal_name),
        ];

        return $facts + [
            'client' => new Fact('Client', $party->is_client ? 'yes' : 'no'),
            'vendor' => new Fact('Vendor', $party->is_vendor ? 'yes' : 'no'),
        ];
    }

    public function neighbours(Party $party): array
    {
        return [];
    }

    public function write(Party $party, array $input): void
    {
        $problems = new FieldProblems;
        $this->naming->handle($party, $input, $problems);
        if ($party->isPerson()) {
            $this->life($party, $input, $problems);
        }
        $problems->throwIfAny();
        $party->fill(['is_client' => $input['isClient'], 'is_vendor' => $input['isVendor']])->save();
    }

    /** @param  array<string, mixed>  $input */
    private function life(Party $party, array $input, FieldProblems $problems): void
    {
        $typed = $input['deceasedOn'] ?? '';
        $day = $this->days->day(is_string($typed) ? $typed : '', 'deceasedOn', $problems);
        if ($day?->isAfter($this->days->today())) {
            $problems->add('deceasedOn', 'That day is still to come. Check the year.');
        }
        $party->fill([
            'is_informal' => $input['isInformal'] ?? false,
            // Who gives the day means it, ticked or not.
            'is_deceased' => ($input['isDeceased'] ?? false) || $day !== null,
            'deceased_on' => $day,
        ]);
    }
}
