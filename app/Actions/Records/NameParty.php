<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Names\CompanyName;
use Almanac\Names\NamePart;
use Almanac\Names\PersonName;
use App\Models\Party;
use App\Validation\FieldProblems;

/** Gives a party its name, each refusal at the part of the name that is at fault. */
final class NameParty
{
    private const PERSON_PARTS = ['given', 'family', 'prefix', 'middle', 'suffix', 'preferred', 'pronouns', 'postNominals'];

    /** @param  array<string, mixed>  $input */
    public function handle(Party $party, array $input, FieldProblems $problems): void
    {
        $party->isPerson()
            ? $this->person($party, $input, $problems)
            : $this->company($party, $input, $problems);
    }

    /** @param  array<string, mixed>  $input */
    private function person(Party $party, array $input, FieldProblems $problems): void
    {
        $parts = $this->tidy(self::PERSON_PARTS, $input, $problems);
        $name = $parts === null ? null : $problems->at('given', fn () => PersonName::of(...$parts));
        if ($name !== null) {
            $party->namePerson($name);
        }
    }

    /** @param  array<string, mixed>  $input */
    private function company(Party $party, array $input, FieldProblems $problems): void
    {
        $parts = $this->tidy(['name', 'legal'], $input, $problems);
        $name = $parts === null ? null : $problems->at('name', fn () => CompanyName::of(...$parts));
        if ($name !== null) {
            $party->nameCompany($name);
        }
    }

    /**
     * @param list<string> $fields
     * @param array<string, mixed> $input
     *
     * @return array<string, string>|null null when one was refused
     */
    private function tidy(array $fields, array $input, FieldProblems $problems): ?array
    {
        $parts = [];
        foreach ($fields as $field) {
            $typed = $input[$field] ?? '';
            $parts[$field] = $problems->at($field, fn () => NamePart::tidy(is_string($typed) ? $typed : ''));
        }
        $taken = array_filter($parts, fn (?string $part) => $part !== null);

        return count($taken) === count($parts) ? $taken : null;
    }
}
