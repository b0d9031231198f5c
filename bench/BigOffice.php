<?php

declare(strict_types=1);

namespace Bench;

use App\Actions\Access\SetUpOffice;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Models\Party;
use Illuminate\Support\Facades\DB;

/**
 * An office with very many records, made the same way each time: people and companies straight into the tables, and
 * what is kept over all of them by the application itself.
 */
final class BigOffice
{
    public const EMAIL = 'bench@almanac.example';

    public const PASSWORD = 'bench-password';

    /** The first record is a company where so many work. */
    public const STAFF_OF_THE_FIRST = 500;

    private const TRADES = [
        'Foundry',
        'Timber',
        'Gilding',
        'Freight',
        'Optics',
        'Bells',
        'Leather',
        'Glass',
        'Survey',
        'Insurance',
        'Inc.',
        'LLC',
        '& Sons',
        'Associates',
    ];

    private const TITLES = ['Site manager', 'Bookkeeper', 'Adjuster', 'Foreman', 'Owner', 'Secretary'];

    private const DOCUMENTS_EACH = 5;

    private const CHUNK = 1000;

    private const DAYS = 12 * 365;

    private int $records = 0;

    /** @var array<string, list<array<string, mixed>>> rows to be written, by table */
    private array $rows = [];

    private int $documents = 0;

    public function __construct(
        private readonly SetUpOffice $setUp,
        private readonly IndexParties $index,
        private readonly KeepStandings $standings,
    ) {
    }

    public function fill(int $records, string $today): void
    {
        $this->records = $records;
        mt_srand(17);
        $this->setUp->handle('Bench', 'US', 'Bench', self::EMAIL, self::PASSWORD);
        $day = new \DateTimeImmutable($today);
        for ($from = 1; $from <= $records; $from += self::CHUNK) {
            for ($id = $from; $id < min($records + 1, $from + self::CHUNK); $id++) {
                $this->record($id, $day);
            }
            DB::transaction($this->write(...));
        }
        DB::statement('ANALYZE');
        $this->standings->everything();
        $this->index->everything();
        DB::statement('ANALYZE');
    }

    private function record(int $id, \DateTimeImmutable $day): void
    {
        $isStaff = $id > 1 && $id <= 1 + self::STAFF_OF_THE_FIRST;
        $isPerson = $isStaff || ($id > 1 && mt_rand(1, 10) <= 6);
        $party = new Party([
            'kind' => $isPerson ? 'person' : 'company',
            'number' => 1000 + $id,
            'is_client' => $id % 2 === 1,
            'is_vendor' => $id % 2 === 0,
        ]);
        [$given, $family] = [Names::given(), Names::family()];
        $company = Names::companyWord().' '.Names::companyWord().' '.self::TRADES[mt_rand(0, 13)];
        $isPerson
            ? $party->fill([
                'given' => $given,
                'family' => $family,
                'display_name' => "$given $family",
                'file_as' => "$family, $given",
                'sort_key' => mb_strtolower("$family, $given"),
            ])
            : $party->fill([
                'company_name' => $company,
                'display_name' => $company,
                'file_as' => $company,
                'sort_key' => mb_strtolower($company),
            ]);
        $this->rows['subjects'][] = ['id' => $id, 'kind' => 'party'];
        $this->rows['parties'][] =
            ['id' => $id, 'archived_on' => mt_rand(1, 25) === 1 && ! $isStaff ? '2026-01-31' : null, 'created_at' => $this->addedAt($id)] +
            $party->getAttributes();
        $this->reach($id, $isPerson ? "$given.$family" : $company);
        $employer = match (true) {
            $isStaff => 1,
            $isPerson && mt_rand(1, 10) <= 4 => mt_rand(1, $id - 1),
            default => null,
        };
        $this->address($id, $employer);
        if ($employer !== null && $employer !== $id) {
            $this->rows['employed'][] = [
                'person_id' => $id,
                'company_id' => $employer,
                'title' => self::TITLES[mt_rand(0, 5)],
                'department' => '',
                'is_primary' => 0,
                'since' => null,
            ];
        }
        if ($isPerson && mt_rand(1, 20) === 1 && $id > 600) {
            $this->rows['relations'][] = ['from_id' => $id, 'to_id' => $id - 1, 'kind' => 'referred by', 'together' => 'alone'];
        }
        for ($n = 0; $n < self::DOCUMENTS_EACH; $n++) {
            $this->document($id, $day);
        }
    }

    /** One after the other over twelve years: what was added this year is a twelfth of the book. */
    private function addedAt(int $id): string
    {
        return date('Y-m-d 08:00:00', (int) strtotime('2026-11-20') - intdiv(($this->records - $id) * self::DAYS, $this->records) * 86400);
    }

    private function reach(int $id, string $name): void
    {
        $mailbox = preg_replace('/[^a-z]+/', '.', strtolower($name));
        foreach (
            [
                ['phone', '+1802'.sprintf('%07d', 2_000_000 + $id)],
                ['email', "$mailbox@".strtolower(Names::companyWord()).'.example'],
                ['phone', '+1603'.sprintf('%07d', 2_000_000 + mt_rand(1, 900_000))],
            ] as $rank => [$kind, $value]
        ) {
            $this->rows['contact_points'][] = [
                'party_id' => $id,
                'kind' => $kind,
                'typed' => $value,
                'value' => $value,
                'label' => 'office',
                'uses' => '[]',
                'is_primary' => (int) ($rank < 2),
                'is_unusual' => 0,
                'rank' => $rank,
            ];
        }
    }

    /** Its own, or that of where they work. */
    private function address(int $id, ?int $employer): void
    {
        $isShared = $employer !== null && mt_rand(1, 3) === 1;
        if (! $isShared || $employer === $id) {
            [$town, $state, $postcode] = Names::town();
            $this->rows['addresses'][] = [
                'id' => $id,
                'owner_id' => $id,
                'country' => 'US',
                'lines' => mt_rand(1, 400).' '.Names::companyWord().' Road',
                'locality' => $town,
                'region' => $state,
                'postcode' => $postcode,
            ];
        }
        $this->rows['address_uses'][] = [
            'party_id' => $id,
            'address_id' => $isShared ? $employer : $id,
            'uses' => '["postal"]',
            'is_primary' => 1,
            'rank' => 0,
        ];
    }

    private function document(int $id, \DateTimeImmutable $day): void
    {
        $document = ++$this->documents;
        $date = $day->modify('-'.mt_rand(1, 700).' days');
        $due = $date->modify('+30 days')->format('Y-m-d');
        $total = mt_rand(1000, 900000);
        $isOpen = mt_rand(1, 12) === 1;
        $this->rows['documents'][] = [
            'id' => $document,
            'party_id' => $id,
            'kind' => $id % 2 === 1 ? 'invoice' : 'bill',
            'state' => $isOpen ? 'issued' : 'settled',
            'number' => "N$document",
            'dated_on' => $date->format('Y-m-d'),
            'due_on' => $due,
            'next_due_on' => $isOpen ? $due : null,
            'terms' => 'net 30',
            'treatment' => 'exclusive',
            'currency' => mt_rand(1, 40) === 1 ? 'EUR' : 'USD',
            'net_minor' => $total,
            'tax_minor' => 0,
            'total_minor' => $total,
            'open_minor' => $isOpen ? $total : 0,
            'settled_on' => $isOpen ? null : $due,
            'copy' => '{"name":"x","payee":"","address":[],"taxNumber":""}',
            'user_id' => 1,
        ];
        $this->rows['document_dues'][] = [
            'document_id' => $document,
            'rank' => 0,
            'due_on' => $due,
            'amount_minor' => $total,
            'open_minor' => $isOpen ? $total : 0,
        ];
        $this->rows['document_lines'][] = [
            'document_id' => $document,
            'rank' => 0,
            'text' => 'Work',
            'quantity' => '1',
            'price' => (string) ($total / 100),
            'discount' => '0',
            'tax' => '0',
            'cost_centre_ids' => '[]',
            'amount_minor' => $total,
        ];
    }

    private function write(): void
    {
        foreach (
            [
                'subjects',
                'parties',
                'contact_points',
                'addresses',
                'address_uses',
                'relations',
                'documents',
                'document_dues',
                'document_lines',
            ] as $table
        ) {
            $rows = $this->rows[$table] ?? [];
            if ($table === 'address_uses') {
                // Where they work shares an address itself: then theirs is their own.
                $kept = array_column(
                    DB::table('addresses')->whereIn('id', array_column($rows, 'address_id'))->get('id')->all(),
                    'id',
                    'id',
                );
                $rows = array_values(array_filter($rows, fn (array $row) => isset($kept[$row['address_id']])));
            }
            foreach (array_chunk($rows, 500) as $part) {
                DB::table($table)->insert($part);
            }
        }
        $companies = DB::table('parties')
            ->whereIn('id', array_column($this->rows['employed'] ?? [], 'company_id'))
            ->where('kind', 'company')
            ->pluck('id', 'id');
        $positions = array_values(array_filter($this->rows['employed'] ?? [], fn (array $row) => $companies->has($row['company_id'])));
        foreach (array_chunk($positions, 500) as $part) {
            DB::table('positions')->insert($part);
        }
        $this->rows = [];
    }
}
