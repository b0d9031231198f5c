<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use Almanac\Names\NamePart;
use Almanac\Records\Fact;
use App\Models\Party;
use App\Support\FieldProblems;
use App\Support\SectionName;
use App\Support\TypedDates;

/** What the party is called, and whether we bill it, it bills us, or both. */
final readonly class IdentitySection implements Section
{
    private const FIRM = [
        'payee' => 'payee_name',
        'legalForm' => 'legal_form',
        'registrationNumber' => 'registration_number',
        'industry' => 'industry',
    ];

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
            'birthDate' => Fact::private('Birth date', $party->birth_date ?? ''),
            'informal' => new Fact('On first-name terms', $party->is_informal ? 'yes' : 'no'),
            'deceased' => new Fact('Deceased', match (true) {
                ! $party->is_deceased => 'no',
                $party->deceased_on === null => 'yes',
                default => 'on '.$party->deceased_on->toText(),
            }),
        ] : [
            'name' => new Fact('Name', $party->company_name),
            'legal' => new Fact('Legal name', $party->legal_name),
            'payee' => new Fact('Payee name', $party->payee_name),
            'legalForm' => new Fact('Legal form', $party->legal_form),
            'registrationNumber' => new Fact('Registration number', $party->registration_number),
            'industry' => new Fact('Industry', $party->industry),
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
        $party->isPerson()
            ? $this->life($party, $input, $problems)
            : $this->firm($party, $input, $problems);
        $problems->throwIfAny();
        $party->fill(['is_client' => $input['isClient'], 'is_vendor' => $input['isVendor']])->save();
    }

    /** @param  array<string, mixed>  $input */
    private function life(Party $party, array $input, FieldProblems $problems): void
    {
        $day = $this->pastDay($input['deceasedOn'] ?? '', 'deceasedOn', $problems);
        // Null leaves it as it is: whoever may not see it cannot send it back.
        if (isset($input['birthDate'])) {
            $party->birth_date = $this->pastDay($input['birthDate'], 'birthDate', $problems)?->toIso();
        }
        $party->fill([
            'is_informal' => $input['isInformal'] ?? false,
            // Who gives the day means it, ticked or not.
            'is_deceased' => ($input['isDeceased'] ?? false) || $day !== null,
            'deceased_on' => $day,
        ]);
    }

    private function pastDay(mixed $typed, string $field, FieldProblems $problems): ?Day
    {
        $day = $this->days->day(is_string($typed) ? $typed : '', $field, $problems);
        if ($day?->isAfter($this->days->today())) {
            $problems->add($field, 'That day is still to come. Check the year.');
        }

        return $day;
    }

    /** @param  array<string, mixed>  $input */
    private function firm(Party $party, array $input, FieldProblems $problems): void
    {
        foreach (self::FIRM as $field => $column) {
            $typed = $input[$field] ?? $party->getAttribute($column);
            $party->setAttribute($column, $problems->at($field, fn () => NamePart::tidy(is_string($typed) ? $typed : '')));
        }
    }
}
