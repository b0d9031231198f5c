<?php

declare(strict_types=1);

namespace App\Database;

use PDO;

/**
 * Takes SQLite's write lock when a transaction begins, so that two people who save at once wait
 * for each other. A transaction that reads first and locks later fails with "database is locked"
 * when somebody else has written in between; PDO begins all its transactions that way, and does
 * not notice one that was begun by hand, so the state is kept here.
 */
final class ImmediatePdo extends PDO
{
    private bool $isInTransaction = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE');

        return $this->isInTransaction = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->isInTransaction = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->isInTransaction = false;
        $this->exec('ROLLBACK');

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->isInTransaction;
    }
}
