<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Encryption\Encrypter;

/** What one office consists of, in the folder of its storage: the database, the key, and the files of the disk. */
final readonly class Installation
{
    public const DATABASE = 'almanac.sqlite';

    public const KEY = 'key';

    /** Kept a day or less, and made again on request. */
    private const PASSING = ['jobs', 'backups'];

    public function __construct(public string $folder)
    {
    }

    public static function current(): self
    {
        return new self(storage_path());
    }

    /** The key as it is in the environment; in the file where an installation has one. */
    public function key(): string
    {
        return is_file("$this->folder/".self::KEY) ? trim((string) file_get_contents("$this->folder/".self::KEY)) : (string) config('app.key');
    }

    /** Tells keys apart without telling them. */
    public static function keyMark(#[\SensitiveParameter] string $key): string
    {
        return substr(hash_hmac('sha256', 'Neat Almanac key', $key), 0, 16);
    }

    /** @return list<string> paths of files, from the folder on */
    public function files(): array
    {
        $root = "$this->folder/app";
        if (! is_dir($root)) {
            return [];
        }
        $files = [];
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            $path = substr($file->getPathname(), strlen($root) + 1);
            if ($file->isFile() && ! $file->isLink() && ! in_array(explode('/', $path)[0], self::PASSING, true)) {
                $files[] = "app/$path";
            }
        }
        sort($files);

        return $files;
    }

    /**
     * Values of a database that this key does not open, of some that are looked at.
     *
     * @return array{int, int} how many of how many
     */
    public static function unreadable(\PDO $database, #[\SensitiveParameter] string $key): array
    {
        $raw = str_starts_with($key, 'base64:') ? (string) base64_decode(substr($key, 7), true) : $key;
        $encrypter = new Encrypter($raw, 'AES-256-CBC');
        $looked = $unreadable = 0;
        foreach (['tax_numbers' => 'value', 'bank_details' => 'value', 'parties' => 'born_on', 'mail_servers' => 'password'] as $table => $column) {
            $values = $database->query("SELECT $column FROM $table WHERE $column LIKE 'eyJpdiI6%' ORDER BY rowid DESC LIMIT 20");
            foreach ($values === false ? [] : $values->fetchAll(\PDO::FETCH_COLUMN) as $value) {
                $looked++;
                try {
                    $encrypter->decryptString((string) $value);
                } catch (DecryptException) {
                    $unreadable++;
                }
            }
        }

        return [$unreadable, $looked];
    }
}
