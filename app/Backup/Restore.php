<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\File;

/**
 * Puts a backup in the place of an installation. Everything is checked before anything is touched; what was there stays
 * aside. Killed between the last two steps, finish() ends it at the next start.
 */
final readonly class Restore
{
    public function __construct(private string $folder)
    {
    }

    /**
     * @return array{version: string, madeAt: string, aside: string} aside is empty where nothing was there
     *
     * @throws BackupRefused when the backup can't be trusted; nothing is changed then
     */
    public function handle(string $file, #[\SensitiveParameter] string $passphrase): array
    {
        if (! is_file($file)) {
            throw new BackupRefused("There is no file $file.");
        }
        $new = $this->waiting();
        File::deleteDirectory($new);
        mkdir($new, 0700, true);
        try {
            $manifest = (new BackupFile($file))->unpack($new, $passphrase);
            Snapshot::verify("$new/".Installation::DATABASE);
            $this->assertKeyFits($new, $manifest['key']);
        } catch (\Throwable $refusal) {
            File::deleteDirectory($new);
            throw $refusal;
        }
        foreach (['app', 'logs', 'framework/cache/data', 'framework/sessions', 'framework/views'] as $part) {
            is_dir("$new/$part") || mkdir("$new/$part", 0700, true);
        }
        $aside = is_dir($this->folder) ? "$this->folder.before-restore-".gmdate('Ymd-His').'-'.bin2hex(random_bytes(2)) : '';
        touch("$new/ready");
        $aside === '' || rename($this->folder, $aside);
        self::finish($this->folder);
        // Earlier backups stay where the office looks for them.
        if ($aside !== '' && is_dir("$aside/backups")) {
            rename("$aside/backups", "$this->folder/backups");
        }

        return ['version' => $manifest['version'], 'madeAt' => $manifest['madeAt'], 'aside' => $aside];
    }

    /** Ends a restore that was interrupted when everything was checked and the old installation was aside. */
    public static function finish(string $folder): void
    {
        $new = (new self($folder))->waiting();
        if (! is_dir($folder) && is_file("$new/ready")) {
            unlink("$new/ready");
            rename($new, $folder);
        }
    }

    private function waiting(): string
    {
        return "$this->folder.restoring";
    }

    private function assertKeyFits(string $new, string $mark): void
    {
        $key = trim((string) file_get_contents("$new/".Installation::KEY));
        [$unreadable, $looked] = Installation::unreadable(new \PDO("sqlite:$new/".Installation::DATABASE), $key);
        if (Installation::keyMark($key) !== $mark || $unreadable > 0) {
            throw new BackupRefused(
                "The key in this backup is not the key that its database was written with: $unreadable of $looked private values that were tried cannot be read."
                .' Take another backup, or put the right key into it.',
            );
        }
    }
}
