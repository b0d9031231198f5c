<?php

declare(strict_types=1);

namespace App\Upgrade;

use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Migrations\DatabaseMigrationRepository;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;

/**
 * Brings a database of a version before 0.3 to the schema of 0.3. The new database is built beside the old one from the
 * released migrations, every row is copied into it, and it takes the place of the old one in one step: a process that
 * is killed leaves the old database as it was. The old file is kept.
 */
final readonly class CarryOver
{
    private const NEW = 'carry_over';

    public function __construct(private Application $app)
    {
    }

    /**
     * Runs before migrations do; does nothing to a database that is empty, up to date or in memory.
     *
     * @return string|null the file in which the database is kept as it was; null when nothing was to be done
     *
     * @throws CarryOverRefused when it holds something that is not known here; nothing is changed then
     */
    public function ifNeeded(): ?string
    {
        $path = DB::connection()->getDatabaseName();
        if ($path === ':memory:' || ! is_file($path) || ! $this->isEarlier()) {
            return null;
        }
        $new = "$path.new";
        self::forget($new);
        touch($new);
        chmod($new, 0600);
        config(['database.connections.'.self::NEW => ['database' => $new] + (array) config('database.connections.sqlite')]);
        try {
            $this->build();
            if (self::schema(DB::connection(self::NEW)) === self::schema(DB::connection())) {
                return null;
            }
            $this->copy($path);
            DB::connection(self::NEW)->statement('PRAGMA wal_checkpoint(TRUNCATE)');
            DB::purge(self::NEW);

            return $this->swap($path, $new);
        } finally {
            DB::purge(self::NEW);
            self::forget($new);
        }
    }

    /**
     * What a schema consists of: tables with their columns and foreign keys, indexes, triggers.
     *
     * @return array<string, string> the statement by kind and name, white space folded
     */
    public static function schema(ConnectionInterface $connection): array
    {
        $schema = [];
        /** @var list<object{type: string, name: string, sql: string}> $rows */
        $rows = $connection->select("SELECT type, name, sql FROM sqlite_master WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite_%' ORDER BY type, name");
        foreach ($rows as $row) {
            $schema["$row->type $row->name"] = (string) preg_replace('/\s+/', ' ', $row->sql);
        }

        return $schema;
    }

    /** The migrations that 0.3 was released with are the schema that everything is carried to. */
    private function isEarlier(): bool
    {
        $tables = self::tables(DB::connection(), 'main');
        if (! in_array('offices', $tables, true) || ! in_array('migrations', $tables, true)) {
            return false;
        }

        return DB::table('migrations')->where('migration', '>=', ReleasedMigrations::FIRST_KEPT)->doesntExist();
    }

    private function build(): void
    {
        $repository = new DatabaseMigrationRepository($this->app->make('db'), 'migrations');
        $repository->setSource(self::NEW);
        $repository->createRepository();
        $migrator = new Migrator($repository, $this->app->make('db'), $this->app->make('files'));
        $files = array_map(fn (string $name) => database_path("migrations/$name.php"), ReleasedMigrations::before(ReleasedMigrations::FIRST_KEPT));
        $migrator->usingConnection(self::NEW, fn () => $migrator->run($files));
    }

    private function copy(string $path): void
    {
        $new = DB::connection(self::NEW);
        $new->statement('PRAGMA foreign_keys = OFF');
        $new->statement('ATTACH DATABASE ? AS was', [$path]);
        $rows = new CopiedRows($new);
        $new->transaction(fn () => $rows->copyAll());
        $new->statement('DETACH DATABASE was');
        $new->statement('PRAGMA foreign_keys = ON');
        $broken = $new->select('PRAGMA foreign_key_check');
        if ($broken !== []) {
            throw CarryOverRefused::broken(array_values(array_map(fn (\stdClass $row) => "$row->table {$row->rowid}", $broken)));
        }
    }

    /** The old file stays beside it, under the hour at which it was carried over. */
    private function swap(string $path, string $new): string
    {
        $kept = $path.'.before-0.3-'.gmdate('Ymd-His');
        DB::connection()->statement('PRAGMA wal_checkpoint(TRUNCATE)');
        DB::purge();
        foreach (['-wal', '-shm'] as $part) {
            @unlink($path.$part);
        }
        link($path, $kept);
        rename($new, $path);

        return $kept;
    }

    /** @return list<string> */
    public static function tables(ConnectionInterface $connection, string $database): array
    {
        $shadow = '/_(data|idx|content|docsize|config)$/';
        /** @var list<object{name: string}> $rows */
        $rows = $connection->select("SELECT name FROM $database.sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name");

        return array_values(array_filter(array_map(fn (object $row) => $row->name, $rows), fn (string $name) => preg_match($shadow, $name) !== 1));
    }

    private static function forget(string $path): void
    {
        foreach (['', '-wal', '-shm', '-door'] as $part) {
            @unlink($path.$part);
        }
    }
}
