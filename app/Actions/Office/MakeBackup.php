<?php

declare(strict_types=1);

namespace App\Actions\Office;

use App\Backup\BackupFile;
use App\Backup\BackupPlan;
use App\Backup\BackupRefused;
use App\Backup\Installation;
use App\Backup\Snapshot;
use App\Models\Backup;
use App\Models\Office;
use App\Time\Clock;
use App\Upgrade\Version;
use Illuminate\Support\Facades\File;

/** Backs up the whole installation while others work in it. Writes to the database only before and after, never meanwhile. */
final readonly class MakeBackup
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param string $to the file; empty for one in the office's backup folder
     *
     * @throws BackupRefused when it fails; the failure is kept as well
     */
    public function handle(string $kind, string $to = '', #[\SensitiveParameter] string $passphrase = ''): Backup
    {
        $backup = Backup::query()->create([
            'kind' => $kind,
            'night_on' => $kind === Backup::NIGHTLY ? $this->clock->today()->toIso() : null,
            'is_encrypted' => $passphrase !== '',
            'begun_at' => now(),
        ]);
        try {
            $path = $to === '' ? BackupPlan::folder().'/'.self::name($kind) : $to;
            $this->write($path, $passphrase);
            $backup->update(['state' => Backup::DONE, 'path' => $path, 'bytes' => filesize($path), 'ended_at' => now()]);
        } catch (\Throwable $failure) {
            $refused = $failure instanceof BackupRefused ? $failure
                : new BackupRefused('The backup failed: '.$failure->getMessage().'. Check the disk and try again.', previous: $failure);
            $backup->update(['state' => Backup::FAILED, 'failure' => mb_substr($refused->getMessage(), 0, 500), 'ended_at' => now()]);
            throw $refused;
        }
        if ($kind === Backup::NIGHTLY) {
            $this->removeOld();
        }

        return $backup;
    }

    /**
     * The database may be of any earlier version: nothing is written into it.
     *
     * @return string the file
     *
     * @throws BackupRefused
     */
    public function beforeUpgrade(): string
    {
        $path = BackupPlan::ownFolder().'/'.self::name('before-'.Version::CURRENT);
        $this->write($path, '');

        return $path;
    }

    private static function name(string $what): string
    {
        return 'almanac-'.gmdate('Ymd-His').'-'.bin2hex(random_bytes(2))."-$what".BackupFile::ENDING;
    }

    private function write(string $path, #[\SensitiveParameter] string $passphrase): void
    {
        $installation = Installation::current();
        $passing = storage_path('framework/backup-'.bin2hex(random_bytes(6)));
        mkdir($passing, 0700, true);
        try {
            $files = (new Snapshot($installation, $passing))->take();
            BackupFile::write($path, $files, Installation::keyMark($installation->key()), $passphrase);
        } finally {
            File::deleteDirectory($passing);
        }
    }

    /** Nightly ones only: what somebody made by hand, or an upgrade made, stays. */
    private function removeOld(): void
    {
        $kept = max(1, Office::query()->first()->backups_kept ?? 14);
        $old = Backup::query()->where(['kind' => Backup::NIGHTLY, 'state' => Backup::DONE])->orderByDesc('id')->skip($kept)->take(1000)->get();
        foreach ($old as $backup) {
            $backup->path === null ?: @unlink($backup->path);
            $backup->delete();
        }
    }
}
