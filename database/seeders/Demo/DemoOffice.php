<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Almanac\Access\Role;
use Almanac\LookAlikes\LineKind;
use App\Actions\Access\SetUpOffice;
use App\Actions\LookAlikes\CompareChanged;
use App\Actions\LookAlikes\KeepSharedLines;
use App\Actions\LookAlikes\ScanBook;
use App\Actions\Office\KeepSheets;
use App\Actions\Office\KeepUsers;
use App\Actions\Office\SaveOffice;
use App\Actions\Records\AddParty;
use App\Actions\Records\AddressesSection;
use App\Actions\Records\ArchiveParty;
use App\Actions\Records\ClassificationSection;
use App\Actions\Records\DetailsSection;
use App\Actions\Records\IdentitySection;
use App\Actions\Records\PositionsSection;
use App\Actions\Records\ReachSection;
use App\Actions\Records\RelationsSection;
use App\Actions\Records\SaveSection;
use App\Actions\Records\Section;
use App\Actions\Records\TaxNumbersSection;
use App\Actions\Records\TermsSection;
use App\Facts\Records\SectionVersions;
use App\Models\DetailField;
use App\Models\DetailSheet;
use App\Models\LookAlikeScan;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ReadRecord;
use App\Time\Clock;

/** Fills the book of Orrery & Vane through the same actions that the screens use. Everything is made up. */
final class DemoOffice
{
    use TellsDaysAgo;

    public const PASSWORD = 'pendulum-1742';

    public const USERS = [
        ['Maud Ferris', 'maud@orreryvane.example', Role::Administrator],
        ['Tobias Reed', 'tobias@orreryvane.example', Role::Clerk],
        ['Cordelia Vane', 'cordelia@orreryvane.example', Role::Approver],
        ['Jonas Pike', 'jonas@orreryvane.example', Role::Reader],
    ];

    /** Who has a past in the book was added then, and changed since. */
    private const ADDED_DAYS_AGO = 420;

    private const MOVED_DAYS_AGO = 160;

    /** @var array<string, Party> by the name in DemoRecords */
    private array $parties = [];

    private User $by;

    public function __construct(
        private readonly SetUpOffice $setUp,
        private readonly KeepUsers $keep,
        private readonly SaveOffice $office,
        private readonly AddParty $add,
        private readonly SaveSection $save,
        private readonly ReachSection $reach,
        private readonly AddressesSection $addresses,
        private readonly PositionsSection $positions,
        private readonly RelationsSection $relations,
        private readonly IdentitySection $identity,
        private readonly ClassificationSection $classification,
        private readonly DetailsSection $details,
        private readonly TaxNumbersSection $taxNumbers,
        private readonly KeepSheets $sheets,
        private readonly ReadRecord $read,
        private readonly ArchiveParty $archive,
        private readonly DemoBooks $books,
        private readonly DemoPapers $papers,
        private readonly DemoEngagements $engagements,
        private readonly DemoLists $lists,
        private readonly DemoLetters $letters,
        private readonly KeepSharedLines $lines,
        private readonly CompareChanged $compare,
        private readonly ScanBook $scan,
        private readonly Clock $clock,
    ) {
    }

    public function seed(): void
    {
        [$name, $email] = self::USERS[0];
        $administrator = $this->setUp->handle('Orrery & Vane', 'US', $name, $email, self::PASSWORD);
        $this->office->handle([
            'name' => 'Orrery & Vane',
            'country' => 'US',
            'lines' => '3 Escapement Lane',
            'locality' => 'Brattleboro',
            'region' => 'VT',
            'postcode' => '05301',
            'monthFirst' => true,
            'decimalComma' => null,
            'timeZone' => '',
            'phone' => '(802) 555-0100',
            'email' => 'office@orreryvane.example',
            'howToPay' => "Check to Orrery & Vane, or by transfer:\nFirst Valley Bank, routing number 123456780, account 000123456789",
        ]);
        $users = [$administrator];
        foreach (array_slice(self::USERS, 1) as [$name, $email, $role]) {
            $users[] = $this->keep->add($name, $email, self::PASSWORD, $role);
        }

        foreach (DemoRecords::COMPANIES as $key => $company) {
            $this->by = $users[count($this->parties) % 2];
            if (isset($company['formerly'])) {
                $this->doneDaysAgo(self::ADDED_DAYS_AGO, fn () => $this->addCompany($key, $company, $company['formerly']));
                $this->doneDaysAgo(self::MOVED_DAYS_AGO, fn () => $this->fill($key, $company));
            } else {
                $this->addCompany($key, $company, $company);
            }
        }
        foreach (DemoRecords::PEOPLE as $key => $person) {
            $this->by = $users[count($this->parties) % 2];
            $this->addPerson($key, $person);
        }
        $this->placePeople();
        $this->section('edith', $this->relations, [
            'relations' => [
                [
                    'id' => null,
                    'partyId' => $this->parties['walter']->id,
                    'kind' => 'spouse',
                    'together' => 'names',
                    'since' => '',
                    'until' => '',
                ],
            ],
        ]);
        $this->section('timber', $this->relations, [
            'relations' => [
                [
                    'id' => null,
                    'partyId' => $this->parties['crane']->id,
                    'kind' => 'parent company',
                    'together' => 'alone',
                    'since' => '',
                    'until' => '',
                ],
            ],
        ]);
        $this->addNeighbours($users);
        $this->classify($users);
        $this->fillSheets();
        // Before a caution stops some of it.
        $this->books->seed($this->parties, $users);
        $this->papers->seed($this->parties, $users, $this->by);
        $this->engagements->seed($this->parties, $users);
        $this->archive->archive($this->parties['crane'], 'sold its cranes and closed', $administrator);
        $this->lists->seed($users);
        $this->letters->seed($administrator);
        $this->lines->name(LineKind::Phone, '+18025550190', 'Larkin household', $administrator);
        $this->compare->handle();
        $this->scan->handle(LookAlikeScan::query()->create(['user_id' => $administrator->id]));
    }

    /**
     * @param array<string, mixed> $company
     * @param array<string, mixed> $filled with what it is filled
     */
    private function addCompany(string $key, array $company, array $filled): void
    {
        $this->parties[$key] = $this->add->handle(['kind' => 'company'] + $this->roles($company['roles']) + $company['name'], $this->by);
        $this->fill($key, $filled);
    }

    /** @param  array<string, mixed>  $person */
    private function addPerson(string $key, array $person): void
    {
        $this->parties[$key] = $this->add->handle([
            'kind' => 'person',
            'companyId' => isset($person['at']) ? $this->parties[$person['at']]->id : null,
            'title' => $person['title'] ?? '',
        ] + $this->roles($person['roles']) + $person['name'], $this->by);
        $this->fill($key, $person);
    }

    /**
     * The rest of the book, come together over the last fourteen months.
     *
     * @param list<User> $users
     */
    private function addNeighbours(array $users): void
    {
        $days = self::ADDED_DAYS_AGO;
        foreach (DemoNeighbours::companies() as $key => $company) {
            $this->by = $users[count($this->parties) % 2];
            $this->doneDaysAgo($days -= 4, fn () => $this->addCompany($key, $company, $company));
        }
        foreach (DemoNeighbours::people() as $key => $person) {
            $this->by = $users[count($this->parties) % 2];
            $this->doneDaysAgo($days -= 4, fn () => $this->addPerson($key, $person));
        }
        foreach (['museum-studio', 'museum-annex'] as $branch) {
            $this->doneDaysAgo($days, fn () => $this->section($branch, $this->relations, ['relations' => [[
                'id' => null, 'partyId' => $this->parties['museum']->id, 'kind' => 'parent company', 'together' => 'alone',
                'since' => '', 'until' => '',
            ]]]));
        }
    }

    /** @param  array<string, mixed>  $record */
    private function fill(string $key, array $record): void
    {
        if (isset($record['address'])) {
            $kept = $this->parties[$key]->addressUses()->first();
            $this->section($key, $this->addresses, ['addresses' => [['id' => $kept?->id] + $this->address($record['address'])]]);
        }
        if (isset($record['sameAddressAs'])) {
            $this->section($key, $this->addresses, ['addresses' => [
                ['linkedAddressId' => $this->parties[$record['sameAddressAs']]->addressUses()->firstOrFail()->address_id]
                + $this->address(['US', '', '', '', '', ['home']]),
            ]]);
        }
        if (isset($record['reach'])) {
            $kept = $this->parties[$key]->contactPoints()->pluck('id');
            $this->section($key, $this->reach, ['contactPoints' => array_map(fn (array $point, int|string $rank) => [
                'id' => $kept[$rank] ?? null,
                'kind' => $point[0],
                'value' => $point[1],
                'label' => $point[2],
                'uses' => $point[3] ?? [],
                'isPrimary' => false,
                'sameAsId' => null,
                'addressUseId' => null,
            ], $record['reach'], array_keys($record['reach']))]);
        }
        if (isset($record['clientTerms'])) {
            $this->section($key, TermsSection::whenWeBillThem(), ['listedId' => null, 'shorthand' => $record['clientTerms']]);
        }
        if (isset($record['vendorTerms'])) {
            $this->section($key, TermsSection::whenWePayThem(), ['listedId' => null, 'shorthand' => $record['vendorTerms']]);
        }
    }

    /** Positions with more to them than a title: duties, dates, a second company. */
    private function placePeople(): void
    {
        foreach (DemoRecords::POSITIONS as $person => $positions) {
            $kept = $this->parties[$person]->heldPositions()->get();
            $this->section($person, $this->positions, ['positions' => array_map(fn (array $position) => [
                'id' => $kept->firstWhere('company_id', $this->parties[$position['at']]->id)?->id,
                'partyId' => $this->parties[$position['at']]->id,
                'title' => $position['title'],
                'department' => $position['department'] ?? '',
                'duties' => $position['duties'] ?? [],
                'firstFor' => [],
                'isPrimary' => $position['primary'] ?? false,
                'since' => $this->daysAgo($position['since']),
                'until' => $this->daysAgo($position['until'] ?? null),
            ], $positions)]);
        }
    }

    /** @param  list<User>  $users */
    private function classify(array $users): void
    {
        $id = fn (?int $user) => $user === null ? null : $users[$user]->id;
        foreach ([...DemoRecords::CLASSIFICATIONS, ...DemoNeighbours::CLASSIFICATIONS] as $key => [$types, $tags, $owner, $manager, $buyer, $source, $language, $grade, $codes]) {
            $this->section($key, $this->classification, [
                'types' => $types,
                'tags' => $tags,
                'source' => $source,
                'language' => $language,
                'grade' => $grade,
                'noLettersOn' => $this->daysAgo(DemoNeighbours::NO_LETTERS[$key][0] ?? null),
                'noLettersHow' => DemoNeighbours::NO_LETTERS[$key][1] ?? '',
                'ownerId' => $id($owner),
                'accountManagerId' => $id($manager),
                'buyerId' => $id($buyer),
                'codes' => array_map(
                    fn (string $system, string $value) => ['id' => null, 'system' => $system, 'value' => $value],
                    array_keys($codes),
                    $codes,
                ),
            ]);
        }
        foreach (DemoRecords::TAX_NUMBERS as [$key, $kind, $country, $value]) {
            $this->section($key, $this->taxNumbers, [
                'taxNumbers' => [['id' => null, 'kind' => $kind, 'country' => $country, 'value' => $value]],
            ]);
        }
        foreach ([...DemoRecords::BIRTH_DATES, ...DemoNeighbours::BIRTH_DATES] as $key => $day) {
            $kept = json_decode((string) json_encode($this->read->handle($this->parties[$key])->identity), true);
            $this->section($key, $this->identity, ['birthDate' => $day] + (array) $kept);
        }
    }

    private function fillSheets(): void
    {
        foreach (DemoRecords::SHEETS as [$name, $kind, $fields]) {
            $this->sheets->save(new DetailSheet(), [
                'name' => $name,
                'partyKind' => $kind,
                'type' => '',
                'engagementKindId' => null,
                'isRetired' => false,
                'fields' => array_values(
                    array_map(
                        fn (array $field) => [
                            'id' => null,
                            'name' => $field[0],
                            'kind' => $field[1],
                            'options' => $field[2],
                            'help' => $field[3],
                            'requiredFor' => $field[4],
                            'isRetired' => false,
                        ],
                        $fields,
                    ),
                ),
            ]);
        }
        $ids = DetailField::query()->pluck('id', 'name');
        foreach ([...DemoRecords::DETAILS, ...DemoNeighbours::DETAILS] as $key => $values) {
            $this->section($key, $this->details, ['values' => array_map(
                fn (string $field, string $value) => ['fieldId' => $ids[$field], 'value' => $value],
                array_keys($values),
                $values,
            )]);
        }
    }

    /**
     * @param array{string, string, string, string, string, list<string>} $address
     *
     * @return array<string, mixed>
     */
    private function address(array $address): array
    {
        [$country, $lines, $locality, $region, $postcode, $uses] = $address;

        return [
            'id' => null,
            'linkedAddressId' => null,
            'country' => $country,
            'lines' => $lines,
            'locality' => $locality,
            'region' => $region,
            'postcode' => $postcode,
            'attention' => '',
            'careOf' => '',
            'uses' => $uses,
            'isPrimary' => true,
            'since' => '',
            'until' => '',
        ];
    }

    /** @return array{isClient: bool, isVendor: bool} */
    private function roles(string $roles): array
    {
        return ['isClient' => str_contains($roles, 'client'), 'isVendor' => str_contains($roles, 'vendor')];
    }

    /** @param  array<string, mixed>  $input */
    private function section(string $key, Section $section, array $input): void
    {
        $party = $this->parties[$key];
        $this->save->handle($section, $party, $input, SectionVersions::of($party, $section->name()), $this->by);
    }
}
