<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use Almanac\Names\CompanyName;
use Almanac\Names\NamePart;
use Almanac\Names\PersonName;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Models\Party;
use App\Time\TypedDates;
use App\Validation\FieldProblems;

/** What the party is called, and whether we bill it, it bills us, or both. */
final readonly class IdentitySection implements SectionOfNew
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

    public function reads(): array
    {
        return [];
    }

    public function facts(Party $party): array
    {
        $facts = $party->isPerson() ? [
            'prefix' => new LoggedFact('Title before the name', $party->prefix),
            'given' => new LoggedFact('Given name', $party->given),
            'middle' => new LoggedFact('Middle name', $party->middle),
            'family' => new LoggedFact('Family name', $party->family),
            'suffix' => new LoggedFact('Suffix', $party->suffix),
            'preferred' => new LoggedFact('Preferred name', $party->preferred),
            'pronouns' => new LoggedFact('Pronouns', $party->pronouns),
            'postNominals' => new LoggedFact('After the name', $party->post_nominals),
            'birthDate' => LoggedFact::private('Birth date', $party->born_on ?? ''),
            'informal' => new LoggedFact('On first-name terms', $party->is_informal ? 'yes' : 'no'),
            'deceased' => new LoggedFact('Deceased', match (true) {
                ! $party->is_deceased => 'no',
                $party->deceased_on === null => 'yes',
                default => 'on '.$party->deceased_on->toText(),
            }),
        ] : [
            'name' => new LoggedFact('Name', $party->company_name),
            'legal' => new LoggedFact('Legal name', $party->legal_name),
            'payee' => new LoggedFact('Payee name', $party->payee_name),
            'legalForm' => new LoggedFact('Legal form', $party->legal_form),
            'registrationNumber' => new LoggedFact('Registration number', $party->registration_number),
            'industry' => new LoggedFact('Industry', $party->industry),
        ];

        return $facts + [
            'client' => new LoggedFact('Client', $party->is_client ? 'yes' : 'no'),
            'vendor' => new LoggedFact('Vendor', $party->is_vendor ? 'yes' : 'no'),
        ];
    }

    public function state(Party $party): array
    {
        return [
            ...$party->isPerson()
                ? [
                    'prefix' => $party->prefix,
                    'given' => $party->given,
                    'middle' => $party->middle,
                    'family' => $party->family,
                    'suffix' => $party->suffix,
                    'preferred' => $party->preferred,
                    'pronouns' => $party->pronouns,
                    'postNominals' => $party->post_nominals,
                    'isInformal' => $party->is_informal,
                    'isDeceased' => $party->is_deceased,
                    'deceasedOn' => $party->deceased_on?->toIso() ?? '',
                    'birthDate' => $party->born_on ?? '',
                ]
                : [
                    'name' => $party->company_name,
                    'legal' => $party->legal_name,
                    ...array_map(fn (string $column) => $party->getAttribute($column), self::FIRM),
                ],
            'isClient' => $party->is_client,
            'isVendor' => $party->is_vendor,
        ];
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        /** @var array<string, string> $named */
        $named = $state;
        if ($then->isPerson()) {
            $then->fill([
                'born_on' => $named['birthDate'] === '' ? null : $named['birthDate'],
                'is_informal' => $state['isInformal'],
                'is_deceased' => $state['isDeceased'],
                'deceased_on' => Past::day($named['deceasedOn']),
            ])->namePerson(PersonName::of(
                $named['given'],
                $named['family'],
                $named['prefix'],
                $named['middle'],
                $named['suffix'],
                $named['preferred'],
                $named['pronouns'],
                $named['postNominals'],
            ));
        } else {
            foreach (self::FIRM as $field => $column) {
                $then->setAttribute($column, $named[$field]);
            }
            $then->nameCompany(CompanyName::of($named['name'], $named['legal']));
        }
        $then->fill(['is_client' => $state['isClient'], 'is_vendor' => $state['isVendor']]);
    }

    public function isPrivate(array $state): bool
    {
        return ($state['birthDate'] ?? '') !== '';
    }

    public function neighbours(Party $party, array $input): array
    {
        return [];
    }

    public function begin(Party $new, array $input, NewRecords $records): void
    {
        $this->fill($new, $input);
    }

    public function write(Party $party, array $input): void
    {
        $this->fill($party, $input);
        $party->save();
    }

    /** @param  array<string, mixed>  $input */
    private function fill(Party $party, array $input): void
    {
        $problems = new FieldProblems;
        $this->naming->handle($party, $input, $problems);
        $party->isPerson()
            ? $this->life($party, $input, $problems)
            : $this->firm($party, $input, $problems);
        $problems->throwIfAny();
        $party->fill(['is_client' => $input['isClient'], 'is_vendor' => $input['isVendor']]);
    }

    /** @param  array<string, mixed>  $input */
    private function life(Party $party, array $input, FieldProblems $problems): void
    {
        $day = $this->pastDay($input['deceasedOn'] ?? '', 'deceasedOn', $problems);
        // Null leaves it as it is: whoever may not see it cannot send it back.
        if (isset($input['birthDate'])) {
            $party->born_on = $this->pastDay($input['birthDate'], 'birthDate', $problems)?->toIso();
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
