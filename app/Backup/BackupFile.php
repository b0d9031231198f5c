<?php

declare(strict_types=1);

namespace App\Backup;

use App\Upgrade\Version;

/**
 * One backup: a ZIP archive of the database, the key and the files, with a manifest of their sizes and SHA-256 hashes,
 * under a passphrase when one is given.
 */
final readonly class BackupFile
{
    public const ENDING = '.almanac-backup';

    private const MANIFEST = 'manifest.json';

    private const FORMAT = 1;

    /** What somebody could put into an archive to fill a disk; a book of 100,000 records is a hundredth of it. */
    private const MOST_BYTES = 200_000_000_000;

    public function __construct(public string $path)
    {
    }

    /**
     * Writes it whole or not at all: under another name first.
     *
     * @param array<string, string> $files where each lies, by its path in the backup
     *
     * @throws BackupRefused when there is no room, or no folder
     */
    public static function write(string $path, array $files, string $keyMark, string $passphrase = ''): self
    {
        $passing = "$path.part";
        $zip = new \ZipArchive;
        if (! is_dir(dirname($path)) || $zip->open($passing, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw new BackupRefused('The backup cannot be written to '.dirname($path).'. Check that the folder exists and can be written.');
        }
        $listed = [];
        foreach ($files as $name => $file) {
            $listed[$name] = ['size' => filesize($file), 'sha256' => hash_file('sha256', $file)];
            $zip->addFile($file, $name);
        }
        $zip->addFromString(self::MANIFEST, json_encode([
            'program' => 'Neat Almanac', 'format' => self::FORMAT, 'version' => Version::CURRENT, 'madeAt' => gmdate('c'),
            'key' => $keyMark, 'files' => $listed,
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));
        if (! @$zip->close()) {
            @unlink($passing);
            throw new BackupRefused('There is no room on the disk for the backup. Make room and try again.');
        }
        if ($passphrase !== '') {
            Sealed::seal($passing, "$passing.sealed", SealKey::ofPassphrase($passphrase));
            rename("$passing.sealed", $passing);
        }
        chmod($passing, 0600);
        rename($passing, $path);

        return new self($path);
    }

    /**
     * Unpacks it into an empty folder and checks all of it.
     *
     * @return array{version: string, madeAt: string, key: string} what the manifest says
     *
     * @throws BackupRefused when anything is missing, damaged, not meant to be there, or of a later version
     */
    public function unpack(string $folder, string $passphrase = ''): array
    {
        $archive = $this->path;
        if (Sealed::is($archive)) {
            if ($passphrase === '') {
                throw new BackupRefused('This backup is encrypted. Enter its passphrase.');
            }
            $archive = "$folder/backup.zip";
            Sealed::unseal($this->path, $archive, SealKey::ofPassphrase($passphrase));
        }
        $zip = new \ZipArchive;
        if (! is_file($archive) || $zip->open($archive, \ZipArchive::CHECKCONS) !== true) {
            throw new BackupRefused('This is no backup of Neat Almanac, or it is damaged or cut off. Take another backup.');
        }
        $manifest = $this->manifest($zip);
        foreach ($manifest['files'] as $name => $one) {
            $this->extract($zip, $name, $one, $folder);
        }
        $zip->close();
        $archive === $this->path ?: unlink($archive);

        return ['version' => $manifest['version'], 'madeAt' => $manifest['madeAt'], 'key' => $manifest['key']];
    }

    /** @return array{version: string, madeAt: string, key: string, files: array<string, array{size: int, sha256: string}>} */
    private function manifest(\ZipArchive $zip): array
    {
        $read = json_decode((string) $zip->getFromName(self::MANIFEST, 50_000_000), true);
        if (! is_array($read) || ($read['program'] ?? '') !== 'Neat Almanac' || ! is_array($read['files'] ?? null)) {
            throw new BackupRefused('This is no backup of Neat Almanac. Choose a file that ./almanac backup has written.');
        }
        $version = is_string($read['version'] ?? null) ? $read['version'] : '';
        if (($read['format'] ?? 0) !== self::FORMAT || Version::isNewer($version)) {
            throw new BackupRefused("This backup was made with Neat Almanac $version. This is version ".Version::CURRENT.". Install version $version or later, then restore it.");
        }
        $names = [];
        for ($at = 0; $at < $zip->numFiles; $at++) {
            $names[] = (string) $zip->getNameIndex($at);
        }
        /** @var array<string, array{size: int, sha256: string}> $files */
        $files = $read['files'];
        $expected = [...array_keys($files), self::MANIFEST];
        sort($names);
        sort($expected);
        $isKnown = fn (string $name): bool => preg_match('#^(almanac\.sqlite|key|app/[A-Za-z0-9._/ -]+)$#', $name) === 1
            && ! str_contains($name, '..') && ! str_contains($name, '//');
        if ($names !== $expected || array_filter(array_keys($files), fn (string $name) => ! $isKnown($name)) !== []
            || ! isset($files[Installation::DATABASE], $files[Installation::KEY])
            || array_sum(array_column($files, 'size')) > self::MOST_BYTES) {
            throw new BackupRefused('This backup does not hold what its list says. Take another backup.');
        }

        return ['version' => $version, 'madeAt' => (string) ($read['madeAt'] ?? ''), 'key' => (string) ($read['key'] ?? ''), 'files' => $files];
    }

    /** @param  array{size: int, sha256: string}  $listed */
    private function extract(\ZipArchive $zip, string $name, array $listed, string $folder): void
    {
        $to = "$folder/$name";
        is_dir(dirname($to)) || mkdir(dirname($to), 0700, true);
        $in = $zip->getStream($name);
        $out = fopen($to, 'wb');
        // One byte more than it says tells that it is longer.
        $copied = $in === false || $out === false ? -1 : @stream_copy_to_stream($in, $out, $listed['size'] + 1);
        $in === false ?: fclose($in);
        $out === false ?: fclose($out);
        if ($copied !== $listed['size'] || hash_file('sha256', $to) !== $listed['sha256']) {
            throw new BackupRefused("The backup is damaged: $name is not what its list says. Take another backup.");
        }
        chmod($to, 0600);
    }
}
