<?php

declare(strict_types=1);

namespace Tests\Attack;

use App\Models\Party;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Whatever is sent, in whatever type, is taken or refused with problem details that name a field;
 * nothing makes the server stumble.
 */
final class WrongInputTest extends TestCase
{
    private const ROUNDS = 60;

    /** @return iterable<string, array{string, string, array<string, mixed>}> method, address and a good input */
    public static function requests(): iterable
    {
        $address = [
            'id' => null,
            'linkedAddressId' => null,
            'country' => 'US',
            'lines' => '1 Street',
            'locality' => 'Putney',
            'region' => 'VT',
            'postcode' => '05346',
            'attention' => 'A',
            'careOf' => 'B',
            'uses' => ['postal'],
            'isPrimary' => true,
            'since' => '1 Mar',
            'until' => '+30',
        ];
        $contact = [
            'id' => null,
            'kind' => 'email',
            'value' => 'a@b.example',
            'label' => 'office',
            'uses' => ['invoices'],
            'isPrimary' => true,
            'sameAsId' => null,
            'addressUseId' => null,
        ];
        $position = [
            'id' => null,
            'partyId' => 2,
            'title' => 'T',
            'department' => 'D',
            'duties' => ['site'],
            'firstFor' => ['site'],
            'isPrimary' => true,
            'since' => '',
            'until' => '',
        ];

        yield 'identity' => [
            'PUT',
            '/api/parties/2/identity',
            [
                'version' => 0,
                'prefix' => 'Mr.',
                'given' => 'A',
                'middle' => 'B',
                'family' => 'C',
                'suffix' => 'Jr.',
                'preferred' => 'D',
                'pronouns' => 'he/him',
                'postNominals' => 'CPA',
                'isClient' => true,
                'isVendor' => false,
                'isInformal' => true,
                'isDeceased' => true,
                'deceasedOn' => '1 Nov 2026',
                'birthDate' => '1 Feb 1950',
            ],
        ];
        yield 'reach' => [
            'PUT',
            '/api/parties/1/reach',
            ['version' => 0, 'contactPoints' => [$contact, ['kind' => 'phone', 'value' => '802-555-0142'] + $contact]],
        ];
        yield 'addresses' => ['PUT', '/api/parties/1/addresses', ['version' => 0, 'addresses' => [$address]]];
        yield 'what moving touches' => [
            'POST',
            '/api/parties/1/touched/addresses/1',
            [
                'since' => '+9',
                'everybody' => true,
                'country' => 'US',
                'lines' => '2 Street',
                'locality' => 'Putney',
                'region' => 'VT',
                'postcode' => '05346',
                'documentIds' => [],
            ],
        ];
        yield 'move' => [
            'POST',
            '/api/parties/1/addresses/1/move',
            [
                'since' => '+9',
                'everybody' => true,
                'country' => 'US',
                'lines' => '2 Street',
                'locality' => 'Putney',
                'region' => 'VT',
                'postcode' => '05346',
                'documentIds' => [],
            ],
        ];
        yield 'positions' => ['PUT', '/api/parties/1/positions', ['version' => 0, 'positions' => [$position]]];
        yield 'relations' => [
            'PUT',
            '/api/parties/1/relations',
            [
                'version' => 0,
                'relations' => [['id' => null, 'partyId' => 2, 'kind' => 'ward', 'together' => 'alone', 'since' => '', 'until' => '']],
            ],
        ];
        yield 'classification' => [
            'PUT',
            '/api/parties/1/classification',
            [
                'version' => 0,
                'types' => ['doctor'],
                'tags' => ['bells', 'new one'],
                'ownerId' => 1,
                'accountManagerId' => null,
                'buyerId' => 1,
                'source' => 'web',
                'language' => 'de',
                'grade' => 3,
                'codes' => [['id' => null, 'system' => 'our number with them', 'value' => '77']],
            ],
        ];
        yield 'details' => [
            'PUT',
            '/api/parties/1/details',
            ['version' => 0, 'values' => [['fieldId' => 1, 'value' => '12'], ['fieldId' => 2, 'value' => '1 Mar']]],
        ];
        yield 'tax numbers' => [
            'PUT',
            '/api/parties/1/tax-numbers',
            [
                'version' => 0,
                'taxNumbers' => [
                    ['id' => null, 'kind' => 'VAT', 'country' => 'DE', 'value' => 'DE136695976'],
                    ['id' => null, 'kind' => 'EIN', 'country' => '', 'value' => '91-1144442'],
                ],
            ],
        ];
        yield 'reveal' => ['POST', '/api/parties/2/reveal', ['fieldId' => 1, 'taxNumberId' => 1]];
        yield 'sheet' => [
            'POST',
            '/api/sheets',
            [
                'name' => 'S',
                'partyKind' => 'person',
                'type' => 'doctor',
                'isRetired' => false,
                'fields' => [
                    [
                        'id' => null,
                        'name' => 'F',
                        'kind' => 'choice',
                        'options' => ['a', 'b'],
                        'help' => 'H',
                        'requiredFor' => 'bill',
                        'isRetired' => false,
                    ],
                ],
            ],
        ];
        yield 'listed terms' => [
            'POST',
            '/api/terms',
            ['name' => 'N', 'shorthand' => '2/10 net 30', 'isClientDefault' => true, 'isVendorDefault' => false, 'isRetired' => false],
        ];
        yield 'list item' => ['POST', '/api/lists/relation-kinds', ['name' => 'N', 'inverse' => 'I']];
        yield 'terms' => ['PUT', '/api/parties/1/client-terms', ['version' => 0, 'listedId' => 1, 'shorthand' => '2/10 net 30']];
        yield 'adding' => [
            'POST',
            '/api/parties',
            [
                'kind' => 'person',
                'given' => 'New',
                'family' => 'One',
                'isClient' => true,
                'isVendor' => true,
                'companyId' => 1,
                'companyName' => '',
                'title' => 'T',
            ],
        ];
        yield 'adding a company' => [
            'POST',
            '/api/parties',
            [
                'kind' => 'company',
                'name' => 'New',
                'isClient' => true,
                'isVendor' => true,
                'people' => [['name' => 'Ada Finch', 'title' => 'T']],
            ],
        ];
        yield 'replacing' => ['POST', '/api/positions/1/replace', ['successorId' => 2, 'since' => '+9', 'contactPointIds' => [1]]];
        yield 'look-alikes' => [
            'POST',
            '/api/look-alikes',
            [
                'kind' => 'person',
                'given' => 'A',
                'family' => 'B',
                'name' => 'C',
                'phones' => ['1'],
                'emails' => ['a@b'],
                'taxNumbers' => [['kind' => 'EIN', 'country' => '', 'value' => '91-1144442']],
                'exceptId' => 1,
            ],
        ];
        yield 'log entry' => [
            'POST',
            '/api/parties/1/entries',
            ['kind' => 'call', 'day' => 'today', 'withPartyId' => 2, 'text' => 'T', 'isPinned' => true],
        ];
        yield 'caution' => [
            'POST',
            '/api/parties/1/cautions',
            ['level' => 'stop', 'use' => 'any', 'text' => 'T', 'since' => '', 'until' => '+9'],
        ];
        yield 'reminder' => [
            'POST',
            '/api/parties/1/reminders',
            ['text' => 'T', 'day' => '+3', 'time' => '9:30', 'rule' => 'FREQ=MONTHLY;BYDAY=2TU', 'userId' => 1],
        ];
        yield 'done' => ['POST', '/api/reminders/1/done', ['day' => '2026-11-24']];
        yield 'putting off' => ['PUT', '/api/reminders/1', ['day' => '+3', 'time' => '14']];
        yield 'file' => ['PUT', '/api/files/1', ['name' => 'N', 'kind' => 'photo', 'expiresOn' => '+90', 'isPrivate' => true]];
        yield 'archive' => ['PUT', '/api/parties/2/archive', ['reason' => 'R']];
        yield 'user' => ['POST', '/api/users', ['name' => 'N', 'email' => 'n@b.example', 'role' => 'clerk', 'password' => 'long-enough-1']];
        yield 'office' => [
            'PUT',
            '/api/office',
            [
                'name' => 'N',
                'country' => 'US',
                'lines' => '1 Street',
                'locality' => 'Putney',
                'region' => 'VT',
                'postcode' => '05346',
                'monthFirst' => true,
                'decimalComma' => null,
                'timeZone' => '',
                'phone' => '',
                'email' => '',
                'howToPay' => '',
            ],
        ];
        yield 'token' => ['POST', '/api/tokens', ['email' => 'n@b.example', 'password' => 'wrong', 'name' => 'N']];
    }

    /** @param  array<string, mixed>  $good */
    #[DataProvider('requests')]
    public function test_nothing_makes_it_stumble(string $method, string $address, array $good): void
    {
        config(['almanac.sign_in_attempts' => 1000]);
        $this->addCompany('Brass');
        $this->addPerson('Silas', 'Wren');
        $this->addPerson('Ada', 'Finch', ['companyId' => 1]);
        $this->saveSection(Party::query()->findOrFail(1), 'addresses', ['addresses' => [$this->address()]]);
        $field = fn (string $name, string $kind) => [
            'id' => null,
            'name' => $name,
            'kind' => $kind,
            'options' => [],
            'help' => '',
            'requiredFor' => null,
            'isRetired' => false,
        ];
        $this->postJson('/api/sheets', [
            'name' => 'Own',
            'partyKind' => null,
            'type' => '',
            'isRetired' => false,
            'fields' => [$field('A', 'number'), $field('B', 'date')],
        ])->assertCreated();
        $this->postJson('/api/parties/1/reminders', [
            'text' => 'T',
            'day' => '',
            'time' => '',
            'rule' => '',
            'userId' => 1,
        ])->assertCreated();
        Storage::fake('local');
        $this->post(
            '/api/parties/1/files',
            ['file' => UploadedFile::fake()->createWithContent('a.txt', 'Ring twice.'), 'kind' => 'photo'],
            ['Accept' => 'application/json'],
        )->assertCreated();
        mt_srand(crc32($address));
        $refused = 0;
        for ($n = 0; $n < self::ROUNDS; $n++) {
            $input = $this->spoil($good);
            $response = $this->asAdministrator()->json($method, $address, $input);
            $said = json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR).' gave '.$response->getContent();
            $this->assertContains($response->status(), [200, 201, 204, 409, 422, 423], substr($said, 0, 2000));
            if ($response->status() === 422) {
                $refused++;
                $this->assertNotEmpty($response->json('errors'), $said);
                $this->assertNotSame('', $response->json('errors.0.message'));
            }
        }
        $this->assertGreaterThan(self::ROUNDS / 4, $refused);
        $this->assertNotNull(Party::query()->find(1), 'the record is still there');
        $this->getJson('/api/parties/1')->assertOk();
        $this->getJson('/api/parties/2')->assertOk();
        $this->getJson('/api/parties')->assertOk();
    }

    public function test_no_address_makes_it_stumble(): void
    {
        $this->addCompany('Brass');
        foreach (
            [
                'find?q[]=x',
                'find?q=x&kind[]=person',
                'find?q=x&archived[]=1',
                'find?q=%ff%fe',
                'find?q=%00',
                'find',
                'names?typed[]=x',
                'names',
                'parties?page[]=1',
                'parties?page=-1',
                'parties?page=x',
                'parties?page=99999999999999999999',
                'parties/1/addresses?typed[]=x',
                'parties/1/addresses',
                'parties/1/changes?before[]=x&show[]=y',
                'parties/1/changes?before=x',
                'parties/0',
                'parties/99999999999999999999',
                'gaps?page[]=1',
                'gaps?page=0',
            ] as $address
        ) {
            $status = $this->asAdministrator()
                ->getJson("/api/$address")
                ->status();
            $this->assertContains($status, [200, 404, 422], $address);
        }
    }

    public function test_what_is_no_json_is_refused_too(): void
    {
        $this->addCompany('Brass');
        foreach (['', '{', '[1,2', 'null', '"text"', "\xff\xfe"] as $body) {
            $this->call('PUT', '/api/parties/1/reach', server: [
                'CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json',
            ], content: $body)->assertUnprocessable();
        }
    }

    /**
     * The input with one value, at any depth, replaced or taken away.
     *
     * @param array<array-key, mixed> $input
     *
     * @return array<array-key, mixed>
     */
    private function spoil(array $input): array
    {
        $key = array_rand($input);
        if (is_array($input[$key]) && $input[$key] !== [] && mt_rand(0, 3) > 0) {
            return [$key => $this->spoil($input[$key])] + $input;
        }
        $wrong = [
            null,
            0,
            -1,
            1.5,
            99999999999999999999,
            PHP_INT_MAX,
            true,
            false,
            '',
            ' ',
            'x',
            '0',
            'ZZ',
            [],
            [[]],
            ['a' => 1],
            [null],
            [1, [2, [3]]],
            "\u{0}",
            "\u{202e}\u{feff}",
            '🦉',
            'صافي',
            str_repeat('x', 5000),
            "a\nb",
            '31 February',
            '9999-12-31',
            '-5',
            '%',
            '\'"; --',
            '<b>',
        ];
        if (mt_rand(0, 5) === 0) {
            unset($input[$key]);

            return $input;
        }

        return [$key => $wrong[mt_rand(0, count($wrong) - 1)]] + $input;
    }
}
