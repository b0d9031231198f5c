<?php

declare(strict_types=1);

namespace Tests\Attack;

use App\Actions\Office\MakeBackup;
use App\Backup\BackupFile;
use App\Backup\BackupRefused;
use App\Backup\CheckInstallation;
use App\Backup\Installation;
use App\Backup\Restore;
use App\Backup\Sealed;
use App\Backup\SealKey;
use App\Models\Backup;
use App\Models\Party;
use Illuminate\Encryption\Encrypter;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Backups while others save, and what is refused when one is put back. */
final class BackupsTest extends TestCase
{
    use OfficeInAFile;

    private string $folder;

    /** Its files lie in a storage of its own. */
    protected function refreshApplication(): void
    {
        parent::refreshApplication();
        $this->folder = sys_get_temp_dir().'/almanac-storage-'.bin2hex(random_bytes(6));
        foreach (['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $part) {
            mkdir("$this->folder/$part", 0700, true);
        }
        $this->app->useStoragePath($this->folder);
        config(['filesystems.disks.local.root' => "$this->folder/app"]);
        Storage::forgetDisk('local');
        $folder = $this->folder;
        $this->beforeApplicationDestroyed(function () use ($folder): void {
            foreach (glob("$folder*") ?: [] as $made) {
                is_dir($made) ? (new \Illuminate\Filesystem\Filesystem)->deleteDirectory($made) : unlink($made);
            }
        });
    }

    public function test_backups_during_saves_are_each_of_one_moment(): void
    {
        $company = $this->addCompany('Brass');
        $this->upload($company, 'Survey');
        $writer = proc_open(
            [PHP_BINARY, __DIR__.'/writer.php', $this->database, (string) $company->id, 'Save', '100000'],
            [1 => ['pipe', 'w'], 2 => STDERR],
            $pipes,
        );
        $this->assertIsResource($writer);
        fgets($pipes[1]);
        $versions = [];
        for ($n = 1; $n <= 4; $n++) {
            $versions[] = $this->restoredVersion($this->backUp("during-$n"), $company);
        }
        proc_terminate($writer, SIGKILL);
        $told = substr_count((string) stream_get_contents($pipes[1]), "saved\n");
        proc_close($writer);

        $this->assertSame($versions, array_values(array_unique($versions)), 'saves went on meanwhile');
        $this->assertSame($versions, array_values(collect($versions)->sort()->all()));
        $this->assertGreaterThan(end($versions) - 3, $told);
    }

    public function test_what_is_restored_is_what_was_backed_up_and_what_was_there_is_aside(): void
    {
        $company = $this->addCompany('Brass');
        $this->upload($company, 'Survey');
        $rows = $this->everyRow($this->database);
        $file = $this->backUp('one', 'over the hills');
        $office = "$this->folder-office";
        mkdir($office);
        file_put_contents("$office/almanac.sqlite", 'what was there');

        $this->assertRefused('is encrypted. Enter its passphrase', fn () => (new Restore($office))->handle($file, ''));
        $this->assertRefused('passphrase does not open', fn () => (new Restore($office))->handle($file, 'over the hill'));
        $this->assertSame('what was there', file_get_contents("$office/almanac.sqlite"));
        $done = (new Restore($office))->handle($file, 'over the hills');

        $this->assertSame('what was there', file_get_contents($done['aside'].'/almanac.sqlite'));
        // But for the note of the backup itself, which was still running.
        $this->assertSame($rows, $this->everyRow("$office/almanac.sqlite"));
        $this->assertSame((string) config('app.key'), file_get_contents("$office/key"));
        $path = DB::table('files')->value('sha256');
        $this->assertSame($path, hash_file('sha256', "$office/app/files/".substr((string) $path, 0, 2).'/'.substr((string) $path, 2)));
        $this->assertSame('0600', substr(sprintf('%o', fileperms("$office/key")), -4));
    }

    public function test_a_restore_that_was_killed_after_the_check_is_finished_at_the_next_start(): void
    {
        $file = $this->backUp('one');
        $office = "$this->folder-office";
        (new Restore($office))->handle($file, '');
        rename($office, "$office.restoring");
        touch("$office.restoring/ready");
        Restore::finish($office);
        $this->assertFileExists("$office/almanac.sqlite");
        $this->assertDirectoryDoesNotExist("$office.restoring");
    }

    /** @return iterable<string, array{\Closure(string): mixed, string}> */
    public static function spoiled(): iterable
    {
        yield 'cut off' => [fn (string $file) => file_put_contents($file, substr((string) file_get_contents($file), 0, -200)), 'damaged or cut off'];
        yield 'one byte changed' => [self::flipped(...), 'damaged'];
        yield 'another file' => [fn (string $file) => file_put_contents($file, 'Dear Mr. Wren,'), 'no backup of Neat Almanac'];
        yield 'another archive' => [fn (string $file) => self::rezip($file, fn (\ZipArchive $zip) => $zip->deleteName('manifest.json')), 'no backup of Neat Almanac'];
        yield 'a file is missing' => [fn (string $file) => self::rezip($file, fn (\ZipArchive $zip) => $zip->deleteName('key')), 'does not hold what its list says'];
        yield 'a file too many' => [fn (string $file) => self::rezip($file, fn (\ZipArchive $zip) => $zip->addFromString('app/more', '1')), 'does not hold what its list says'];
        yield 'a path that leads out' => [fn (string $file) => self::rezip($file, function (\ZipArchive $zip): void {
            $zip->addFromString('app/../../evil', '1');
            self::manifest($zip, fn (array $manifest) => array_replace_recursive($manifest, ['files' => ['app/../../evil' => ['size' => 1, 'sha256' => hash('sha256', '1')]]]));
        }), 'does not hold what its list says'];
        yield 'other contents' => [fn (string $file) => self::rezip($file, fn (\ZipArchive $zip) => $zip->addFromString('key', 'base64:other')), 'is not what its list says'];
        yield 'of a later version' => [fn (string $file) => self::rezip($file, fn (\ZipArchive $zip) => self::manifest($zip, fn (array $manifest) => ['version' => '7.0.0'] + $manifest)), 'made with Neat Almanac 7.0.0'];
        yield 'under another key' => [fn (string $file) => self::rezip($file, function (\ZipArchive $zip): void {
            $other = 'base64:'.base64_encode(str_repeat('k', 32));
            $zip->addFromString('key', $other);
            self::manifest($zip, fn (array $manifest) => array_replace_recursive($manifest, [
                'key' => Installation::keyMark($other), 'files' => ['key' => ['size' => strlen($other), 'sha256' => hash('sha256', $other)]],
            ]));
        }), 'is not the key that its database was written with: 1 of 1'];
    }

    /** @param  \Closure(string): mixed  $spoil */
    #[DataProvider('spoiled')]
    public function test_a_backup_that_is_not_whole_is_refused_and_nothing_is_touched(\Closure $spoil, string $why): void
    {
        $person = $this->addPerson('Ada', 'Finch');
        $this->saveSection($person, 'tax-numbers', ['taxNumbers' => [['kind' => 'SSN', 'country' => '', 'value' => '123-45-6789', 'id' => null]], 'w9On' => '', 'reportChoice' => 'by-rule'])->assertSuccessful();
        $file = $this->backUp('one');
        $spoil($file);
        $office = "$this->folder-office";
        mkdir($office);
        file_put_contents("$office/almanac.sqlite", 'what was there');
        $this->assertRefused($why, fn () => (new Restore($office))->handle($file, ''));
        $this->assertSame('what was there', file_get_contents("$office/almanac.sqlite"));
        $this->assertDirectoryDoesNotExist("$office.restoring");
    }

    public function test_a_sealed_file_is_opened_whole_or_not_at_all(): void
    {
        $plain = "$this->folder/plain";
        file_put_contents($plain, random_bytes(2_500_000));
        Sealed::seal($plain, "$plain.sealed", SealKey::ofPassphrase('over the hills'));
        Sealed::unseal("$plain.sealed", "$plain.open", SealKey::ofPassphrase('over the hills'));
        $this->assertSame(hash_file('sha256', $plain), hash_file('sha256', "$plain.open"));
        $sealed = (string) file_get_contents("$plain.sealed");
        // Cut off exactly behind its second part.
        file_put_contents("$plain.sealed", substr($sealed, 0, 29 + 16 + 24 + 2 * (1_048_576 + 17)));
        $this->assertRefused('damaged or cut off', fn () => Sealed::unseal("$plain.sealed", "$plain.open", SealKey::ofPassphrase('over the hills')));
    }

    public function test_a_backup_that_fails_says_so_and_is_kept(): void
    {
        $this->assertRefused('cannot be written to /nowhere', fn () => $this->app->make(MakeBackup::class)->handle(Backup::MANUAL, '/nowhere/one'));
        $this->assertSame('failed', Backup::last()?->state);
        $this->assertStringContainsString('Check that the folder exists', Backup::last()->failure);
        $this->assertSame([], glob("$this->folder/framework/backup-*"));
    }

    public function test_nightly_backups_are_kept_as_many_as_the_office_says(): void
    {
        DB::table('offices')->update(['backups_kept' => 2]);
        $made = [];
        for ($n = 0; $n < 4; $n++) {
            $made[] = (string) $this->app->make(MakeBackup::class)->handle(Backup::NIGHTLY, "$this->folder/backups-$n")->path;
        }
        $this->assertSame([false, false, true, true], array_map(is_file(...), $made));
    }

    public function test_a_check_finds_what_is_wrong_and_is_silent_otherwise(): void
    {
        $company = $this->addCompany('Brass', ['isClient' => true]);
        $this->issued($company, 'invoice', '100');
        $this->issued($company, 'invoice', '200');
        $this->upload($company, 'Survey');
        $this->assertSame([], $this->found());

        DB::table('balances')->update(['receivable_minor' => 7]);
        $this->assertSame(['What is stored in balances differs from what the rules compute. Run ./almanac check --repair.'], $this->found());
        $this->assertSame(0, Artisan::call('almanac:check', ['--repair' => true]));
        $this->assertSame(30000, DB::table('balances')->value('receivable_minor'));

        $hash = (string) DB::table('files')->value('sha256');
        $path = 'files/'.substr($hash, 0, 2).'/'.substr($hash, 2);
        $contents = (string) Storage::get($path);
        Storage::put($path, 'something else');
        $this->assertStringContainsString('is not what was uploaded', $this->found()[0]);
        Storage::delete($path);
        $this->assertStringContainsString('is missing', $this->found()[0]);
        Storage::put($path, $contents);

        DB::table('documents')->where('number', 'I2026-0001')->update(['number' => 'I2026-0009']);
        $this->assertSame(['The number I2026-0001 was given to a document that is missing.'], $this->found());
        DB::table('documents')->where('number', 'I2026-0009')->update(['number' => 'I2026-0001']);

        DB::table('parties')->update(['born_on' => (new Encrypter(str_repeat('x', 32), 'AES-256-CBC'))->encryptString('1970-01-01')]);
        $this->assertStringContainsString('The key does not fit the database: 1 of 1', $this->found()[0]);
        $this->assertSame(1, Artisan::call('almanac:check', ['--repair' => true]));
    }

    /** @return list<string> */
    private function found(): array
    {
        return array_map(fn ($one) => $one->sentence, $this->app->make(CheckInstallation::class)->handle());
    }

    private function backUp(string $name, string $passphrase = ''): string
    {
        return (string) $this->app->make(MakeBackup::class)->handle(Backup::MANUAL, "$this->folder-$name".BackupFile::ENDING, $passphrase)->path;
    }

    private function upload(Party $party, string $name): void
    {
        $this->asAdministrator()->post("/api/parties/$party->id/files", [
            'file' => UploadedFile::fake()->createWithContent("$name.txt", "$name, as it was."), 'kind' => 'other', 'expiresOn' => '', 'isPrivate' => '0',
        ], ['Accept' => 'application/json'])->assertSuccessful();
    }

    /** The version that a restored record is at, when it and all that was written with it are of the same moment. */
    private function restoredVersion(string $file, Party $company): int
    {
        $office = "$this->folder-restored";
        (new Restore($office))->handle($file, '');
        $restored = new \PDO("sqlite:$office/almanac.sqlite");
        $one = fn (string $sql): string => (string) $this->read($restored, str_replace('?', (string) $company->id, $sql))->fetchColumn();
        $version = (int) $one("SELECT version FROM section_versions WHERE subject_id = ? AND section = 'identity'");
        $this->assertSame($version, (int) $one("SELECT max(version) FROM section_states WHERE subject_id = ? AND section = 'identity'"));
        $name = $one('SELECT company_name FROM parties WHERE id = ?');
        $this->assertSame("$name Ltd", $one('SELECT legal_name FROM parties WHERE id = ?'));
        $this->assertSame($name, json_decode($one("SELECT state FROM section_states WHERE subject_id = ? AND section = 'identity' ORDER BY version DESC LIMIT 1"), true)['name']);
        $this->assertSame($name, json_decode($one('SELECT line FROM record_lines WHERE party_id = ?'), true)['row']['displayName'], 'and found by it');

        return $version;
    }

    /** @return array<string, list<string>> */
    private function everyRow(string $database): array
    {
        $file = new \PDO("sqlite:$database");
        $rows = [];
        foreach (array_diff($this->tables(), ['backups']) as $table) {
            $rows[$table] = array_values(array_map(
                fn (array $row) => (string) json_encode($row, JSON_INVALID_UTF8_SUBSTITUTE),
                $this->read($file, "SELECT * FROM \"$table\"")->fetchAll(\PDO::FETCH_NUM),
            ));
        }

        return $rows;
    }

    private function read(\PDO $database, string $sql): \PDOStatement
    {
        $read = $database->query($sql);
        $this->assertInstanceOf(\PDOStatement::class, $read);

        return $read;
    }

    private function assertRefused(string $why, \Closure $work): void
    {
        try {
            $work();
            $this->fail("Not refused: $why");
        } catch (BackupRefused $refusal) {
            $this->assertStringContainsString($why, $refusal->getMessage());
        }
    }

    private static function flipped(string $file): void
    {
        $bytes = (string) file_get_contents($file);
        $at = intdiv(strlen($bytes), 3);
        $bytes[$at] = chr(ord($bytes[$at]) ^ 1);
        file_put_contents($file, $bytes);
    }

    /** @param  \Closure(\ZipArchive): mixed  $change */
    private static function rezip(string $file, \Closure $change): void
    {
        $zip = new \ZipArchive;
        $zip->open($file);
        $change($zip);
        $zip->close();
    }

    /** @param  \Closure(array<string, mixed>): array<string, mixed>  $change */
    private static function manifest(\ZipArchive $zip, \Closure $change): void
    {
        /** @var array<string, mixed> $read */
        $read = json_decode((string) $zip->getFromName('manifest.json'), true);
        $zip->addFromString('manifest.json', (string) json_encode($change($read)));
    }
}
