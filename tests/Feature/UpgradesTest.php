<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\CheckInstallation;
use App\Models\Party;
use App\Models\User;
use App\Upgrade\CarryOver;
use App\Upgrade\CarryOverRefused;
use App\Upgrade\NewerDatabase;
use App\Upgrade\ReleasedMigrations;
use App\Upgrade\UpgradeDatabase;
use App\Upgrade\Version;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\OwnDatabase;
use Tests\TestCase;

/** Databases of every landed state come to the schema of today, with all that was in them. */
final class UpgradesTest extends TestCase
{
    use OwnDatabase;

    /** The landed states of which a seeded database is kept, and what stands in it. */
    public const STATES = [
        '5bc850d' => ['parties' => 21, 'documents' => 123], 'c8e984a' => ['parties' => 21, 'documents' => 123],
        '21b705a' => ['parties' => 21, 'documents' => 123], '4a925d5' => ['parties' => 91, 'documents' => 154],
        '06f48ec' => ['parties' => 91, 'documents' => 154], 'b20e09b' => ['parties' => 91, 'documents' => 154],
        '4c6bafd' => ['parties' => 91, 'documents' => 154],
    ];

    /** @return array<string, array{string}> */
    public static function states(): array
    {
        return array_combine(array_keys(self::STATES), array_map(fn (string $state) => [$state], array_keys(self::STATES)));
    }

    public function test_no_landed_migration_is_edited(): void
    {
        $listed = file(base_path(ReleasedMigrations::HASHES), FILE_IGNORE_NEW_LINES) ?: [];
        $now = array_map(
            fn (string $name) => hash_file('sha256', database_path("migrations/$name.php"))."  $name",
            ReleasedMigrations::all(),
        );
        $this->assertSame($listed, $now, 'A landed migration is never edited. A new one gets a line in '.ReleasedMigrations::HASHES.'.');
    }

    #[DataProvider('states')]
    public function test_a_database_of_a_landed_state_comes_to_the_fresh_schema_with_all_that_was_in_it(string $state): void
    {
        $fresh = CarryOver::schema(DB::connection());
        $path = $this->useOwnDatabase($this->fixture($state));
        $before = $this->rows(array_keys(self::STATES[$state]));
        $said = [];
        $this->app->make(UpgradeDatabase::class)->handle(function (string $step) use (&$said): void {
            $said[] = $step;
        });

        $this->assertSame($fresh, CarryOver::schema(DB::connection()));
        $this->assertSame(self::STATES[$state], $before);
        $this->assertSame($before, $this->rows(array_keys($before)));
        // Projections are what the core computes; the files of the demo office are not among the fixtures.
        $this->assertSame([], array_filter(
            array_map(fn ($one) => $one->sentence, $this->app->make(CheckInstallation::class)->handle()),
            fn (string $sentence) => ! str_contains($sentence, 'is missing'),
        ));
        $this->assertStringContainsString('Backing up the database', $said[0]);
        $backup = substr($said[1], strlen('Backup: '));
        $this->assertFileExists($backup);
        unlink($backup);
        $this->assertSame(Version::CURRENT, DB::table('upgrades')->value('version'));
        // Once more, nothing is left to do.
        $this->app->make(UpgradeDatabase::class)->handle(fn (string $step) => $this->fail($step));
        array_map(unlink(...), glob("$path.before-*") ?: []);
        $this->readEveryScreen();
    }

    public function test_values_are_written_as_they_are_written_now(): void
    {
        $this->useOwnDatabase($this->fixture('c8e984a'));
        $this->assertSame(0, Artisan::call('migrate', ['--force' => true]));

        $this->assertSame(['administrator', 'clerk', 'approver', 'reader'], DB::table('users')->orderBy('id')->pluck('role')->all());
        $this->assertSame(['iban', 'us'], DB::table('bank_details')->distinct()->orderBy('kind')->pluck('kind')->filter(fn ($kind) => in_array($kind, ['iban', 'us'], true))->values()->all());
        $this->assertSame([], array_diff(DB::table('bank_details')->distinct()->pluck('state')->all(), ['on-hold', 'confirmed', 'ending', 'ended', 'refused', 'replaced']));
        $this->assertSame(DB::table('parties')->count(), DB::table('subjects')->where('kind', 'party')->count());
        // A number that was given is given to nobody else.
        $this->assertSame(22, DB::table('subjects')->insertGetId(['kind' => 'party']));
    }

    public function test_what_is_not_known_is_refused_and_nothing_is_changed(): void
    {
        $path = $this->useOwnDatabase($this->fixture('4a925d5'));
        DB::statement('ALTER TABLE parties ADD COLUMN shoe_size INTEGER');
        DB::purge();
        $before = hash_file('sha256', $path);
        try {
            $this->app->make(UpgradeDatabase::class)->handle(fn () => null);
            $this->fail('It was carried over.');
        } catch (CarryOverRefused $refusal) {
            $this->assertStringContainsString('parties.shoe_size', $refusal->getMessage());
        }
        DB::purge();
        $this->assertSame($before, hash_file('sha256', $path));
        $this->assertFileDoesNotExist("$path.new");
    }

    public function test_a_database_of_a_later_version_is_refused_by_its_version(): void
    {
        DB::table('upgrades')->insert(['version' => '9.1.0', 'at' => now()]);
        $this->expectException(NewerDatabase::class);
        $this->expectExceptionMessage('last used with Neat Almanac 9.1.0. This is version '.Version::CURRENT);
        $this->app->make(UpgradeDatabase::class)->handle(fn () => null);
    }

    public function test_a_migration_that_this_version_does_not_have_is_of_a_later_one(): void
    {
        DB::table('migrations')->insert(['migration' => '2031_01_01_000001_create_flying_machines', 'batch' => 9]);
        $this->expectException(NewerDatabase::class);
        $this->app->make(UpgradeDatabase::class)->handle(fn () => null);
    }

    private function readEveryScreen(): void
    {
        $this->actingAs(User::query()->firstOrFail());
        foreach (['session', 'choices', 'today', 'parties', 'documents', 'payments', 'engagements', 'gaps', 'look-alikes', 'messages', 'letters', 'imports',
            'bulk-changes', 'tax-report', 'office', 'users', 'acts', 'books', 'terms', 'sheets', 'lists', 'jobs', 'conflict-searches', 'letter-templates',
            'find?q=penhallow', 'long-lists/parties/fields'] as $screen) {
            $this->assertSame(200, $this->getJson("/api/$screen")->status(), $screen);
        }
        DB::table('parties')->update(['created_at' => '2026-01-02 12:00:00']);
        foreach (Party::query()->orderBy('id')->limit(25)->get() as $party) {
            foreach (['', '/stream', '/changes', '/merges', '/as-of?day=2026-11-24'] as $part) {
                $this->assertSame(200, $this->getJson("/api/parties/$party->id$part")->status(), "$party->id$part");
            }
        }
        foreach (DB::table('engagements')->limit(5)->pluck('id') as $id) {
            $this->getJson("/api/engagements/$id")->assertOk();
        }
    }

    /**
     * @param list<string> $tables
     *
     * @return array<string, int>
     */
    private function rows(array $tables): array
    {
        return array_combine($tables, array_map(fn (string $table) => DB::table($table)->count(), $tables));
    }

    /** A copy of its own of the database of a landed state. */
    private function fixture(string $state): string
    {
        $folder = sys_get_temp_dir().'/almanac-fixtures-'.getmypid();
        if (! is_dir($folder)) {
            mkdir($folder);
            exec('tar -xJf '.escapeshellarg(base_path('tests/Fixtures/databases.tar.xz')).' -C '.escapeshellarg($folder), result_code: $code);
            $this->assertSame(0, $code);
            register_shutdown_function(fn () => (new Filesystem)->deleteDirectory($folder));
        }

        return "$folder/$state.sqlite";
    }
}
