<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Names\CompanyName;
use Almanac\Names\TypedPersonName;
use Almanac\Records\PartyKind;
use App\Actions\Finding\IndexParties;
use App\Actions\LookAlikes\KeepPairs;
use App\Facts\Records\RecordNumbers;
use App\Models\Party;
use App\Models\Position;
use App\Models\User;
use App\Time\Clock;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Adds a person or a company; a person added from a company's page gets a position and its address by link. */
final readonly class AddParty
{
    public function __construct(
        private NameParty $naming,
        private KeepPairs $pairs,
        private PositionsSection $positions,
        private KeepOnePrimary $primaries,
        private AddressesSection $addresses,
        private ChangeSections $change,
        private LogChanges $log,
        private IndexParties $index,
        private Clock $clock,
    ) {
    }

    /**
     * @param array<string, mixed> $input
     *
     * @throws ValidationException when the core refuses the name, or the company does not exist
     */
    public function handle(array $input, User $by): Party
    {
        return DB::transaction(function () use ($input, $by): Party {
            $problems = new FieldProblems;
            $party = new Party(['kind' => PartyKind::from(is_string($input['kind']) ? $input['kind'] : '')]);
            $people = $this->people($party, $input, $problems);
            $this->naming->handle($party, $input, $problems);
            $company = $this->company($party, $input['companyId'] ?? null, $problems) ?? $this->newCompany($party, $input, $problems, $by);
            $problems->throwIfAny();

            $party->fill([
                'number' => RecordNumbers::last() + 1,
                'is_client' => $input['isClient'],
                'is_vendor' => $input['isVendor'],
                'created_at' => $this->clock->now(),
            ])->save();
            if ($company !== null) {
                $this->tie($party, $company, is_string($input['title'] ?? null) ? $input['title'] : '', $by);
            }
            $this->index->withNeighbours($party);
            $this->logAdded($party, $this->pairs->ofAdded($party, $by), $by);
            foreach ($people as $person) {
                $this->handle($person + ['companyId' => $party->id], $by);
            }

            return $party;
        });
    }

    /**
     * The people who are added with a company, their names taken apart.
     *
     * @param array<string, mixed> $input
     *
     * @return list<array<string, mixed>>
     */
    private function people(Party $party, array $input, FieldProblems $problems): array
    {
        /** @var list<array{name: string, title: string}> $rows */
        $rows = $party->isPerson() ? [] : $input['people'] ?? [];
        $people = [];
        foreach ($rows as $at => ['name' => $name, 'title' => $title]) {
            $read = $problems->at("people.$at.name", fn () => TypedPersonName::read($name)->name);
            if ($read !== null) {
                $people[] = [
                    'kind' => PartyKind::Person->value,
                    'prefix' => $read->prefix,
                    'given' => $read->given,
                    'middle' => $read->middle,
                    'family' => $read->family,
                    'suffix' => $read->suffix,
                    'postNominals' => $read->postNominals,
                    'isClient' => false,
                    'isVendor' => false,
                    'title' => $title,
                ];
            }
        }

        return $people;
    }

    /**
     * The company that is added on the way, with a person who works there.
     *
     * @param array<string, mixed> $input
     */
    private function newCompany(Party $party, array $input, FieldProblems $problems, User $by): ?Party
    {
        $name = $input['companyName'] ?? '';
        if (! $party->isPerson() || ! is_string($name) || trim($name) === '') {
            return null;
        }
        $problems->at('companyName', fn () => CompanyName::of($name));
        // Nothing is added while anything else is to be corrected.
        $problems->throwIfAny();

        return $this->handle(['kind' => PartyKind::Company->value, 'name' => $name, 'isClient' => false, 'isVendor' => false], $by);
    }

    private function company(Party $party, mixed $id, FieldProblems $problems): ?Party
    {
        if ($id === null || ! $party->isPerson()) {
            return null;
        }
        $company = Party::query()->where('kind', PartyKind::Company)->find($id);
        if (! $company instanceof Party || $company->isArchived()) {
            $problems->add('companyId', 'That company is no longer in use. Add the person by itself.');

            return null;
        }

        return $company;
    }

    private function tie(Party $person, Party $company, string $title, User $by): void
    {
        $touched = [
            SectionOf::party($this->positions, $person),
            ...$this->positions->neighbours($person, ['positions' => [['partyId' => $company->id]]]),
            SectionOf::party($this->addresses, $person),
        ];
        $this->change->around($touched, $by, function () use ($person, $company, $title): void {
            Position::query()->create([
                'person_id' => $person->id,
                'company_id' => $company->id,
                'title' => trim($title),
                'is_primary' => false,
            ]);
            $this->primaries->handle($company->id);
            $this->linkAddress($person, $company);
        });
    }

    private function linkAddress(Party $person, Party $company): void
    {
        $use = $company->load('addressUses')->addressFor(Purpose::Postal, $this->clock->today());
        if ($use !== null) {
            $person->addressUses()->create([
                'address_id' => $use->address_id,
                'uses' => [],
                'is_primary' => true,
                'rank' => 0,
            ]);
        }
    }

    /** @param  list<string>  $alike names of records that it looks like */
    private function logAdded(Party $party, array $alike, User $by): void
    {
        $though = $alike === [] ? '' : ', though much like '.implode(' and ', $alike);
        $this->log->ofRecord($party, 'added as '.$party->display_name.$though, $by);
    }
}
