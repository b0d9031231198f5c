<?php

declare(strict_types=1);

namespace Tests;

use Almanac\Access\Role;
use App\Actions\Access\SetUpOffice;
use App\Actions\Office\KeepUsers;
use App\Models\Document;
use App\Models\Party;
use App\Models\User;
use App\Outside\NoTransaction;
use Database\Seeders\Demo\DemoOffice;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Once;
use Illuminate\Testing\TestResponse;

/** An office in Vermont with one user of each role, and the requests that most tests make. */
abstract class TestCase extends LaravelTestCase
{
    use RefreshDatabase;

    protected const PASSWORD = 'correct-horse-battery';

    protected User $administrator;

    protected function setUp(): void
    {
        parent::setUp();
        NoTransaction::$around = DB::transactionLevel();
        $this->setUpOffice();
    }

    protected function setUpOffice(): void
    {
        $this->administrator = $this->app->make(SetUpOffice::class)
            ->handle('Orrery & Vane', 'US', 'Maud Ferris', 'maud@orreryvane.example', self::PASSWORD);
    }

    protected function user(Role $role): User
    {
        return $this->app->make(KeepUsers::class)
            ->add(ucfirst($role->value), $role->value.'@orreryvane.example', self::PASSWORD, $role);
    }

    /** @return list<string> */
    protected function tables(): array
    {
        return array_column(DB::select("select name from sqlite_master where type = 'table' and name not like 'sqlite_%'"), 'name');
    }

    protected function asAdministrator(): static
    {
        return $this->actingAs($this->administrator);
    }

    /** @param  array<string, mixed>  $more */
    protected function addCompany(string $name, array $more = []): Party
    {
        return $this->add(['kind' => 'company', 'name' => $name] + $more);
    }

    /** @param  array<string, mixed>  $more */
    protected function addPerson(string $given, string $family, array $more = []): Party
    {
        return $this->add(['kind' => 'person', 'given' => $given, 'family' => $family] + $more);
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function saveSection(Party $party, string $section, array $input, int $version = 0): TestResponse
    {
        return $this->putJson("/api/parties/{$party->id}/$section", ['version' => $version] + $input);
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    protected function contact(string $kind, string $value, array $more = []): array
    {
        return $more + [
            'id' => null,
            'kind' => $kind,
            'value' => $value,
            'label' => 'office',
            'uses' => [],
            'isPrimary' => false,
            'sameAsId' => null,
            'addressUseId' => null,
        ];
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    protected function address(array $more = []): array
    {
        return $more + [
            'id' => null,
            'linkedAddressId' => null,
            'country' => 'US',
            'lines' => '14 Meridian Lane',
            'locality' => 'Brattleboro',
            'region' => 'VT',
            'postcode' => '05301',
            'attention' => '',
            'careOf' => '',
            'uses' => [],
            'isPrimary' => false,
            'since' => '',
            'until' => '',
        ];
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    protected function position(Party $other, array $more = []): array
    {
        return $more + [
            'id' => null, 'partyId' => $other->id, 'title' => '', 'department' => '', 'duties' => [], 'firstFor' => [],
            'isPrimary' => false, 'since' => '', 'until' => '',
        ];
    }

    /** @return list<string> the change log of a record, the newest first: "Label: from -> to" */
    protected function changesOf(Party $party): array
    {
        /** @var list<array{label: string, from: string, to: string}> $changes */
        $changes = $this->asAdministrator()->getJson("/api/parties/{$party->id}/changes")->assertOk()->json('changes');

        return array_map(fn (array $change) => "{$change['label']}: {$change['from']} -> {$change['to']}", $changes);
    }

    /**
     * A document of one line.
     *
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    protected function documentInput(string $kind, string $price, array $more = []): array
    {
        return $more + [
            'kind' => $kind,
            'date' => '',
            'due' => '',
            'terms' => 'net 30',
            'treatment' => 'exclusive',
            'currency' => 'USD',
            'number' => '',
            'reference' => '',
            'note' => '',
            'lines' => [$this->line($price)],
        ];
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    protected function line(string $price, array $more = []): array
    {
        return $more + [
            'text' => 'Work',
            'quantity' => '',
            'price' => $price,
            'discount' => '',
            'taxRateId' => null,
            'accountId' => null,
            'costCentreIds' => [],
        ];
    }

    /**
     * A document that counts.
     *
     * @param array<string, mixed> $more
     */
    protected function issued(Party $party, string $kind, string $price, array $more = []): Document
    {
        $id = $this->postJson("/api/parties/{$party->id}/documents", $this->documentInput($kind, $price, $more))
            ->assertCreated()
            ->json('row.id');
        $this->issue(is_int($id) ? $id : 0, true)->assertOk();

        return Document::query()->findOrFail(is_int($id) ? $id : 0);
    }

    /**
     * As somebody does it who has just read it.
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function issue(int|Document $document, bool $isConfirmed = false): TestResponse
    {
        $id = $document instanceof Document ? $document->id : $document;

        return $this->postJson("/api/documents/$id/issue", [
            'isConfirmed' => $isConfirmed,
            'version' => Document::query()->find($id)->version ?? 0,
        ]);
    }

    /**
     * Money that came or went.
     *
     * @param array<int, string|array{string, string}> $uses by document: the amount, or the amount and the discount
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function pay(Party $party, string $amount, array $uses = [], array $more = []): TestResponse
    {
        return $this->postJson(
            "/api/parties/{$party->id}/payments",
            $more + [
                'side' => 'client',
                'day' => '',
                'amount' => $amount,
                'currency' => 'USD',
                'payBy' => ($more['side'] ?? 'client') === 'client' ? 'transfer' : 'cheque',
                'reference' => '',
                'allocations' => array_map(
                    fn (int $id, string|array $use) => [
                        'documentId' => $id,
                        'amount' => ((array) $use)[0],
                        'discount' => ((array) $use)[1] ?? '',
                    ],
                    array_keys($uses),
                    $uses,
                ),
            ],
        );
    }

    /** The demo office in place of the one that tests begin with: seeded once, and copied for each test that asks for it. */
    protected function demo(): void
    {
        // What the test has begun with is in memory, within a transaction that is no longer needed.
        DB::rollBack();
        $of = sys_get_temp_dir().'/almanac-demo-'.getmypid();
        if (! is_file("$of.sqlite")) {
            $this->useDatabase("$of.new");
            Artisan::call('migrate', ['--force' => true]);
            $this->app->make(DemoOffice::class)->seed();
            DB::statement("vacuum into '$of.sqlite'");
            $this->forgetDatabase("$of.new");
            register_shutdown_function(unlink(...), "$of.sqlite");
        }
        $copy = $of.'-'.bin2hex(random_bytes(4));
        copy("$of.sqlite", $copy);
        $this->useDatabase($copy);
        $this->beforeApplicationDestroyed(fn () => $this->forgetDatabase($copy));
    }

    protected function useDatabase(string $path): void
    {
        touch($path);
        config(['database.connections.sqlite.database' => $path]);
        DB::purge();
        Once::flush();
    }

    protected function forgetDatabase(string $path): void
    {
        DB::purge();
        foreach (['', '-wal', '-shm'] as $part) {
            @unlink($path.$part);
        }
    }

    /** @param  array<string, mixed>  $input */
    private function add(array $input): Party
    {
        /** @var int $id */
        $id = $this->asAdministrator()
            ->postJson('/api/parties', $input + ['isClient' => false, 'isVendor' => false])
            ->assertCreated()->json('party.id');

        return Party::query()->findOrFail($id);
    }
}
