<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Route;
use Tests\TestCase;

/** What the API answers is what docs/openapi.json says. */
final class ContractTest extends TestCase
{
    /** @var array<string, mixed> */
    private array $contract;

    protected function setUp(): void
    {
        parent::setUp();
        $this->contract = json_decode((string) file_get_contents(base_path('docs/openapi.json')), true, flags: JSON_THROW_ON_ERROR);
    }

    public function test_every_route_is_in_it_and_nothing_else(): void
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/')) {
                $routes[] = strtolower($route->methods()[0]).' /'.str_replace('{party}', '{id}', $route->uri());
            }
        }
        $described = [];
        foreach ($this->contract['paths'] as $path => $operations) {
            foreach (array_keys($operations) as $method) {
                $described[] = "$method $path";
            }
        }
        sort($routes);
        sort($described);
        $this->assertSame($routes, $described);
    }

    public function test_answers_have_the_shape_it_promises(): void
    {
        $company = $this->addCompany('Brass Lantern Foundry', ['isVendor' => true]);
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address(['until' => '+30'])]])->assertOk();
        $this->saveSection($company, 'reach', [
            'contactPoints' => [$this->contact('email', 'a@b.example', ['uses' => ['orders']])],
        ])->assertOk();
        $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => '2/10 net 30'])->assertOk();
        $person = $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $this->postJson("/api/parties/{$company->id}/reminders", [
            'text' => 'T',
            'day' => '',
            'time' => '',
            'rule' => 'every day',
            'userId' => 1,
        ])->assertCreated();
        $this->postJson('/api/sheets', [
            'name' => 'Own',
            'partyKind' => null,
            'type' => '',
            'isRetired' => false,
            'fields' => [
                [
                    'id' => null,
                    'name' => 'Colour',
                    'kind' => 'choice',
                    'options' => ['blue'],
                    'help' => '',
                    'requiredFor' => 'pay',
                    'isRetired' => false,
                ],
            ],
        ])->assertCreated();

        $this->postJson('/api/tax-rates', [
            'name' => 'Sales',
            'percent' => '6',
            'side' => 'client',
            'since' => '',
            'until' => '2027-01-01',
            'isRetired' => false,
        ])->assertCreated();
        $this->postJson('/api/accounts', ['code' => '1', 'name' => 'A', 'kind' => 'income', 'isRetired' => false])->assertCreated();
        $this->postJson('/api/cost-centres', ['group' => 'G', 'name' => 'N', 'isRetired' => false])->assertCreated();
        $this->postJson('/api/currency-rates', ['currency' => 'EUR', 'day' => '2026-01-01', 'rate' => '1.1'])->assertCreated();
        $this->saveSection(
            $company,
            'client-terms',
            ['listedId' => null, 'shorthand' => 'net 30', 'fields' => [['name' => 'limit', 'value' => '5']]],
            1,
        )->assertOk();
        $this->postJson("/api/parties/{$company->id}/bank-details", [
            'kind' => 'iban',
            'iban' => 'DE89370400440532013000',
            'bic' => '',
            'routing' => '',
            'sortCode' => '',
            'account' => '',
            'use' => 'checking',
            'holder' => '',
            'bankName' => '',
        ])->assertCreated();
        $this->postJson("/api/parties/{$company->id}/cards", [
            'number' => '4111111111111111',
            'expires' => '04/28',
            'holder' => '',
            'postcode' => '',
        ])->assertCreated();
        $invoice = $this->issued($company, 'invoice', '100', [
            'terms' => '2/10 net 30',
            'date' => '2026-10-01',
            'lines' => [$this->line('100', ['taxRateId' => 1, 'accountId' => 1, 'costCentreIds' => [1]])],
        ]);
        $this->issued($company, 'bill', '10', ['number' => '1', 'currency' => 'EUR']);
        $payment = $this->pay($company, '20', [$invoice->id => '10'])->json('row.id');
        $this->pay($company, '9', [], ['side' => 'vendor', 'payBy' => 'cash'])->assertCreated();

        foreach (
            [
                ['Document', "/api/documents/{$invoice->id}"],
                ['DocumentPage', '/api/documents'],
                ['Payment', "/api/payments/$payment"],
                ['PaymentPage', '/api/payments'],
                ['Books', '/api/books'],
                ['DocumentDefaults', "/api/parties/{$company->id}/document-defaults?kind=bill"],
                ['Statement', "/api/parties/{$company->id}/statement?side=client&currency=USD"],
                ['TaxReport', '/api/tax-report?year=2026'],
                ['Record', "/api/parties/{$company->id}"],
                ['Record', "/api/parties/{$person->id}"],
                ['PartyPage', '/api/parties'],
                ['Changes', "/api/parties/{$company->id}/changes"],
                ['Found', '/api/find?q=wren'],
                ['Choices', '/api/choices'],
                ['Session', '/api/session'],
                ['OfficeList', '/api/lists', '0'],
                ['Sheet', '/api/sheets', '0'],
                ['Today', '/api/today'],
                ['ListedTermsUses', '/api/terms', '0'],
                ['Office', '/api/office'],
                ['Reminder', '/api/reminders', '0'],
                ['PersonName', '/api/names?typed=Silas+Wren'],
            ] as $expected
        ) {
            [$schema, $path, $key] = $expected + [2 => null];
            $this->assertShape(['$ref' => "#/components/schemas/$schema"], $this->getJson($path)->assertOk()->json($key), $path);
        }
        $this->assertShape(
            ['$ref' => '#/components/schemas/TermsAnswer'],
            $this->postJson('/api/terms/preview', ['terms' => 'EOM', 'documentDate' => 'today'])->json(),
            'preview',
        );
        $this->assertShape(
            ['$ref' => '#/components/schemas/PaymentPreview'],
            $this->postJson("/api/parties/{$company->id}/payment-preview", [
                'side' => 'client',
                'day' => '',
                'amount' => '5',
                'currency' => '',
                'firstId' => null,
                'allocations' => null,
            ])
                ->assertOk()
                ->json(),
            'payment preview',
        );
        $this->assertShape(
            ['$ref' => '#/components/schemas/Problem'],
            $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => 'x'])->json(),
            '422',
        );
        $this->assertShape(
            ['$ref' => '#/components/schemas/Problem'],
            $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => null])->json(),
            '409',
        );
    }

    /** @param  array<string, mixed>  $schema */
    private function assertShape(array $schema, mixed $value, string $at): void
    {
        if ($value === null) {
            $this->assertTrue($schema['nullable'] ?? false, "$at may be null");

            return;
        }
        $schema = $schema['oneOf'][0] ?? $schema;
        if (isset($schema['$ref'])) {
            $schema = $this->contract['components']['schemas'][basename($schema['$ref'])];
        }
        switch ($schema['type']) {
            case 'object':
                $this->assertSame([], array_diff($schema['required'] ?? [], array_keys($value)), "$at lacks something");
                $this->assertSame([], array_diff(array_keys($value), array_keys($schema['properties'])), "$at has more");
                foreach ($value as $name => $inner) {
                    $this->assertShape($schema['properties'][$name], $inner, "$at.$name");
                }
                break;
            case 'array':
                $this->assertTrue(array_is_list($value), $at);
                foreach ($value as $index => $inner) {
                    $this->assertShape($schema['items'], $inner, "$at.$index");
                }
                break;
            case 'string':
                $this->assertIsString($value, $at);
                if (isset($schema['enum'])) {
                    $this->assertContains($value, $schema['enum'], $at);
                }
                break;
            case 'integer':
                $this->assertIsInt($value, $at);
                break;
            case 'boolean':
                $this->assertIsBool($value, $at);
                break;
            default:
                $this->fail("$at has a type of its own: {$schema['type']}");
        }
    }
}
