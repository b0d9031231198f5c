<?php

declare(strict_types=1);

namespace App\Database;

use Almanac\Addresses\CountryNames;
use Almanac\Finding\Fold;
use Almanac\Lists\Point;
use Illuminate\Database\Connectors\SQLiteConnector;
use PDO;

/** Connects to SQLite with transactions that lock when they begin, and with fold(text), as the core folds it. */
final class ImmediateConnector extends SQLiteConnector
{
    /** Bytes of the book that a process which keeps it open reads as its own memory: 2 GiB less a little, SQLite's most. */
    private const MOST_MAPPED = 2_147_418_112;

    /**
     * @param string $dsn
     * @param string|null $username
     * @param string|null $password
     * @param array<int, mixed> $options
     */
    protected function createPdoConnection($dsn, $username, #[\SensitiveParameter] $password, $options): PDO
    {
        $kept = self::fileToKeepOpen($dsn);
        $pdo = new ImmediatePdo($dsn, $username, $password, $kept === null ? $options : [PDO::ATTR_PERSISTENT => $kept] + $options);
        if ($kept !== null) {
            $pdo->endWithRequest();
            $pdo->exec('PRAGMA mmap_size = '.self::MOST_MAPPED);
        }
        // Lists are sorted and asked as search compares: without case and accents.
        $pdo->sqliteCreateFunction('fold', fn (?string $text) => $text === null ? null : Fold::text($text), 1, PDO::SQLITE_DETERMINISTIC);

        $pdo->sqliteCreateFunction(
            'country_name',
            fn (?string $code) => $code === null ? null : Fold::text(CountryNames::of($code)),
            1,
            PDO::SQLITE_DETERMINISTIC,
        );

        // As the core measures it.
        $pdo->sqliteCreateFunction(
            'kilometres',
            fn (?float $a, ?float $b, float $c, float $d) => $a === null || $b === null ? null : Point::of($a, $b)->distanceTo(Point::of($c, $d)),
            4,
            PDO::SQLITE_DETERMINISTIC,
        );

        return $pdo;
    }

    /**
     * What a server's process keeps open from request to request: reading the tables' definitions takes a new
     * connection 3 ms, and what was read of the book stays in its memory. It is told by the file, not by its
     * name, so that a book put in the place of another is opened anew. Null where a process does one thing only.
     */
    private static function fileToKeepOpen(string $dsn): ?string
    {
        $file = in_array(PHP_SAPI, ['cli-server', 'fpm-fcgi'], true) ? @stat(substr($dsn, strlen('sqlite:'))) : false;

        return $file === false ? null : "file $file[dev] $file[ino]";
    }
}
