<?php

declare(strict_types=1);

namespace Tests\Attack;

use Illuminate\Support\Facades\Route;
use Tests\TestCase;

/** Numbers and texts in the addresses of requests, and bodies that are too large: told, quickly, and never a fault. */
final class AddressesOfRequestsTest extends TestCase
{
    private const NUMBERS = ['0', '00', '99999999999999999999', '9223372036854775807', '9223372036854775808', '18446744073709551617'];

    private const VALUES = ['', ' ', '1', '-1', '0', '1.5', '99999999999999999999', 'x', '%00', 'true', '١', '1e9'];

    /** Seconds that this process has worked, whoever else is busy. */
    private function worked(): float
    {
        $usage = getrusage() ?: throw new \LogicException;

        return $usage['ru_utime.tv_sec'] + $usage['ru_utime.tv_usec'] / 1e6;
    }

    public function test_no_number_in_an_address_makes_it_fail(): void
    {
        $tried = 0;
        $this->withoutVite();
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (! str_contains($route->uri(), '{') || in_array('HEAD', $route->methods(), true) === false && $route->methods()[0] === 'OPTIONS') {
                continue;
            }
            foreach (self::NUMBERS as $number) {
                $uri = '/'.preg_replace('/\{\w+\??\}/', $number, $route->uri());
                $method = $route->methods()[0];
                $status = $this->asAdministrator()->call($method, $uri, server: ['HTTP_ACCEPT' => 'application/json'])->status();
                $this->assertLessThan(500, $status, "$method $uri");
                $tried++;
            }
        }
        $this->assertGreaterThan(500, $tried);
    }

    public function test_no_value_of_a_query_makes_it_fail(): void
    {
        /** @var array{paths: array<string, array<string, array{parameters?: list<array{name: string, in: string}>}>>} $contract */
        $contract = json_decode((string) file_get_contents(base_path('docs/openapi.json')), true, flags: JSON_THROW_ON_ERROR);
        $company = $this->addCompany('Brass', ['isClient' => true, 'isVendor' => true]);
        $this->issued($company, 'invoice', '100');
        $tried = 0;
        foreach ($contract['paths'] as $path => $operations) {
            $names = array_column(array_filter($operations['get']['parameters'] ?? [], fn (array $one) => $one['in'] === 'query'), 'name');
            foreach ([...$names, ...str_contains($path, '{') ? [] : ['partyId', 'mostDays', 'most', 'page']] as $name) {
                foreach (self::VALUES as $value) {
                    $uri = preg_replace('/\{\w+\}/', '1', $path).'?'.http_build_query([$name => $value]);
                    $response = $this->asAdministrator()->getJson($uri);
                    $this->assertLessThan(500, $response->getStatusCode(), $uri.' '.substr((string) $response->baseResponse->getContent(), 0, 300));
                    $tried++;
                }
            }
        }
        $this->assertGreaterThan(1000, $tried);
    }

    public function test_a_list_that_is_too_long_is_refused_before_it_is_looked_at(): void
    {
        $this->asAdministrator();
        $begun = $this->worked();
        $this->postJson('/api/look-alikes', ['kind' => 'company', 'phones' => array_fill(0, 90_000, '802')])
            ->assertStatus(422)->assertJsonPath('errors.0.field', 'phones')->assertJsonPath('errors.0.message', 'At most 50 entries fit here. Take some out.');
        $this->postJson('/api/bulk-changes/preview', ['chosen' => ['ids' => range(1, 120_000)]])->assertStatus(422);
        $this->putJson('/api/parties/1/reach', ['version' => 0, 'contactPoints' => [['uses' => array_fill(0, 100_000, 'x')]]])->assertStatus(404);
        $this->postJson('/api/look-alikes', ['phones' => array_fill(0, 400_000, '802')])->assertStatus(413);
        $this->assertLessThan(2.0, $this->worked() - $begun, 'seconds');
    }

    public function test_as_many_records_as_may_be_chosen_are_checked_at_once(): void
    {
        $party = $this->addCompany('Brass');
        $begun = $this->worked();
        $this->postJson('/api/bulk-changes/preview', [
            'chosen' => ['isAll' => true, 'filter' => '', 'withArchived' => true, 'ids' => range($party->id + 1, $party->id + 19_999)],
            'change' => ['kind' => 'add-tags', 'values' => ['spring']],
        ])->assertOk();
        $this->postJson('/api/bulk-changes/preview', [
            'chosen' => ['isAll' => true, 'filter' => '', 'withArchived' => true, 'ids' => ['1']], 'change' => ['kind' => 'add-tags', 'values' => ['spring']],
        ])->assertStatus(422);
        $this->assertLessThan(2.0, $this->worked() - $begun, 'seconds');
    }
}
