<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;

/** The installation as it was at one moment, in a folder of its own, while others go on working. */
final class Snapshot
{
    /** @var array<string, string> */
    private array $files = [];

    public function __construct(private readonly Installation $of, private readonly string $folder)
    {
    }

    /**
     * Files are never changed once they are written, only added before the row that names them and removed after it. So
     * those from before the moment and those from after it together hold all that the database names.
     *
     * @return array<string, string> where each file lies, by its path in the backup
     *
     * @throws BackupRefused when there is no room
     */
    public function take(): array
    {
        $this->link();
        $database = "$this->folder/".Installation::DATABASE;
        try {
            DB::statement('VACUUM INTO ?', [$database]);
        } catch (\PDOException $error) {
            throw new BackupRefused("The database cannot be copied: {$error->getMessage()}. Check that there is room on the disk.", previous: $error);
        }
        self::verify($database);
        $this->link();
        file_put_contents("$this->folder/".Installation::KEY, $this->of->key());

        return [
            Installation::DATABASE => $database,
            Installation::KEY => "$this->folder/".Installation::KEY,
            ...$this->files,
        ];
    }

    /** @throws BackupRefused when SQLite finds a fault in it */
    public static function verify(string $database): void
    {
        try {
            $copy = new \PDO("sqlite:$database");
            $found = $copy->query('PRAGMA integrity_check(1)');
            $said = $found === false ? 'no answer' : (string) $found->fetchColumn();
            $rows = $copy->query('PRAGMA foreign_key_check');
            $broken = $rows === false ? [] : $rows->fetchAll(\PDO::FETCH_ASSOC);
        } catch (\PDOException $error) {
            [$said, $broken] = [$error->getMessage(), []];
        }
        if ($said !== 'ok' || $broken !== []) {
            throw new BackupRefused('The database in it is damaged: '.($said !== 'ok' ? $said : count($broken).' rows refer to missing rows').'. Take another backup.');
        }
    }

    private function link(): void
    {
        foreach ($this->of->files() as $name) {
            $from = "{$this->of->folder}/$name";
            $to = "$this->folder/$name";
            if (isset($this->files[$name])) {
                continue;
            }
            is_dir(dirname($to)) || mkdir(dirname($to), 0700, true);
            // On another disk there are no links.
            if (@link($from, $to) || @copy($from, $to)) {
                $this->files[$name] = $to;
            }
        }
    }
}
