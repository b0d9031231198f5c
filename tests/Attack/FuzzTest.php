<?php

declare(strict_types=1);

namespace Tests\Attack;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Once;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\Feature\BeginsEngagements;
use Tests\Seeds;
use Tests\TestCase;

/**
 * Every route of the contract, with input of every wrong shape: it is told, and is never a fault of the server.
 * Bounded, with fixed seeds.
 */
final class FuzzTest extends TestCase
{
    use BeginsEngagements;
    use SameOffice;

    private int $engagementId = 1;

    /** Of each share of the seeds. */
    private const ROUNDS = 5;

    private const MOST_DEPTH = 6;

    /** @return iterable<string, array{string, string}> method and path of each operation */
    public static function operations(): iterable
    {
        foreach (self::contract()['paths'] as $path => $operations) {
            foreach (array_keys(array_intersect_key($operations, array_flip(['get', 'post', 'put', 'delete']))) as $method) {
                yield strtoupper($method)." $path" => [$method, $path];
            }
        }
    }

    #[DataProvider('operations')]
    public function test_nothing_makes_it_fail(string $method, string $path): void
    {
        config(['almanac.sign_in_attempts' => 100_000]);
        Storage::fake('local');
        Queue::fake();
        $this->engagementId = (int) DB::table('engagements')->value('id');
        $operation = self::contract()['paths'][$path][$method];
        foreach (Seeds::shared(self::ROUNDS) as $round) {
            mt_srand(crc32("$method $path $round"));
            $address = $this->at($path, $operation, $round);
            $content = $operation['requestBody']['content'] ?? [];
            $input = match (true) {
                isset($content['application/json']) => $round === 0
                    ? $this->sample($content['application/json']['schema'])
                    : $this->spoil($this->sample($content['application/json']['schema'])),
                isset($content['multipart/form-data']) => [
                    'file' => $round % 3 === 0
                            ? 'no file'
                            : UploadedFile::fake()->createWithContent($this->junk(true), (string) $this->junk(true)),
                    'kind' => $this->junk(true),
                ],
                default => [],
            };
            DB::beginTransaction();
            $this->asAdministrator()->actingAs($this->administrator->refresh());
            $response = isset($content['multipart/form-data'])
                ? $this->post($address, $input, ['Accept' => 'application/json'])
                : $this->json($method, $address, is_array($input) ? $input : ['x' => $input]);
            $said =
                "$method $address ".
                substr((string) json_encode($input, JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 1500).
                ' gave '.
                substr((string) $response->getContent(), 0, 600);
            $failed = $response->baseResponse->exception ?? null;
            $why = $failed instanceof \Throwable ? "\n{$failed->getMessage()} {$failed->getFile()}:{$failed->getLine()}" : '';
            $this->assertLessThan(500, $response->getStatusCode(), $said.$why);
            if ($response->baseResponse instanceof StreamedResponse) {
                // What goes wrong while it is written goes wrong here.
                $response->streamedContent();
            }
            if ($response->getStatusCode() === 422) {
                $this->assertNotSame('', $response->json('detail'), $said);
            }
            // Each finds the office as it was.
            DB::rollBack();
            Once::flush();
        }
    }

    /** One of everything that an address can name. */
    protected function makeOffice(): void
    {
        $company = $this->addCompany('Brass Lantern', ['isClient' => true, 'isVendor' => true]);
        $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->issued($company, 'invoice', '100');
        $this->pay($company, '10', [1 => '10'])->assertCreated();
        $this->begin('case', 'Reported', 'Flood', ['parties' => [$this->inRole($company, $this->roleId('case', 'insured'))]]);
    }

    /** @param  array<string, mixed>  $operation */
    private function at(string $path, array $operation, int $round): string
    {
        $query = [];
        foreach ((array) ($operation['parameters'] ?? []) as $parameter) {
            if (is_array($parameter) && $parameter['in'] === 'query' && mt_rand(0, 2) > 0) {
                $query[$parameter['name']] = $this->junk();
            }
        }

        $ids = $round % 5 === 4 ? ['99999', '99999'] : [(string) $this->engagementId, '1'];

        return preg_replace(['/\{engagement\}/', '/\{\w+\}/'], $ids, $path).($query === [] ? '' : '?'.http_build_query($query));
    }

    /**
     * Something of the shape that a schema asks for.
     *
     * @param array<string, mixed> $schema
     */
    private function sample(array $schema, int $depth = 0): mixed
    {
        if (isset($schema['$ref'])) {
            $schema = self::contract()['components']['schemas'][basename((string) $schema['$ref'])];
        }
        if ($depth > self::MOST_DEPTH) {
            return null;
        }

        return match (true) {
            isset($schema['enum']) => $schema['enum'][mt_rand(0, count($schema['enum']) - 1)],
            isset($schema['properties']) => array_map(fn (array $property) => $this->sample($property, $depth + 1), $schema['properties']),
            default => match ($schema['type'] ?? '') {
                'array' => array_map(fn () => $this->sample($schema['items'] ?? [], $depth + 1), range(1, mt_rand(1, 2))),
                'integer' => mt_rand(0, 2),
                'boolean' => mt_rand(0, 1) === 1,
                'number' => 1.5,
                default => ['', 'today', '12,50', 'USD', 'US', 'net 30', 'a@b.example', 'Work', '802-555-0142', '1'][mt_rand(0, 9)],
            },
        };
    }

    /** With one value, at any depth, replaced or taken away. */
    private function spoil(mixed $input, int $depth = 0): mixed
    {
        if (! is_array($input) || $input === [] || $depth > self::MOST_DEPTH) {
            return $this->junk();
        }
        $key = array_rand($input);
        if (mt_rand(0, 6) === 0) {
            unset($input[$key]);
        } else {
            $input[$key] = is_array($input[$key]) && mt_rand(0, 3) > 0 ? $this->spoil($input[$key], $depth + 1) : $this->junk();
        }

        return $input;
    }

    private function junk(bool $isText = false): mixed
    {
        $texts = [
            '',
            ' ',
            'x',
            '0',
            '-1',
            'ZZ',
            "\u{0}",
            "a\u{0}b",
            "\u{202e}\u{feff}",
            '🦉',
            'صافي',
            str_repeat('x', 70_000),
            "a\nb",
            '31 February',
            '9999-12-31',
            '31.12.9999',
            '1e9000000000000000',
            '1,2,3',
            str_repeat('9', 400),
            '%',
            '\'"; --',
            '<b>',
            '=1+1',
            '../../etc/passwd',
            "BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:soon\nRRULE:FREQ=SECONDLY\nEND:VEVENT\nEND:VCALENDAR",
            '<Invoice xmlns="urn:oasis:names:specification:ubl:schema:xsd:Invoice-2"/>',
            "kind,number,party,date,amount\ninvoice,1,1,soon,1e30\n",
            'FREQ=SECONDLY',
            '"very odd"@b.example',
            'a@b',
            'net 999999',
            '100% net 99999999',
        ];
        $others = [null, 0, -1, 1.5, 1e308, PHP_INT_MAX, true, false, [], [[]], ['a' => 1], [null], [1, [2, [3]]], ['x', 'y']];
        $all = $isText ? $texts : [...$texts, ...$others];

        return $all[mt_rand(0, count($all) - 1)];
    }

    /**
     * @return array{
     *     paths: array<string, array<string, array<string, mixed>>>,
     *     components: array{schemas: array<string, array<string, mixed>>},
     * }
     */
    private static function contract(): array
    {
        static $contract = null;

        return $contract ??= json_decode((string) file_get_contents(__DIR__.'/../../docs/openapi.json'), true, flags: JSON_THROW_ON_ERROR);
    }
}
