<?php

declare(strict_types=1);

namespace App\Database;

use Almanac\Finding\Fold;
use Illuminate\Database\Connectors\SQLiteConnector;
use PDO;

/** Connects to SQLite with transactions that lock when they begin, and with fold(text), as the core folds it. */
final class ImmediateConnector extends SQLiteConnector
{
    /**
     * @param string $dsn
     * @param string|null $username
     * @param string|null $password
     * @param array<int, mixed> $options
     */
    protected function createPdoConnection($dsn, $username, #[\SensitiveParameter] $password, $options): PDO
    {
        $pdo = new ImmediatePdo($dsn, $username, $password, $options);
        // Lists are sorted and asked as search compares: without case and accents.
        $pdo->sqliteCreateFunction('fold', fn (?string $text) => $text === null ? null : Fold::text($text), 1, PDO::SQLITE_DETERMINISTIC);

        return $pdo;
    }
}
