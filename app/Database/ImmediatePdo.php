<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * Takes SQLite's write lock when a transaction begins, so that two people who save at once wait
 * for each other. A transaction that reads first and locks later fails with "database is locked"
 * when somebody else has written in between; PDO begins all its transactions that way, and does
 * not notice one that was begun by hand, so the state is kept here.
 *
 * SQLite waits with pauses of up to 100 ms, in which the lock is free and taken again; here it is
 * asked for every other millisecond.
 */
final class ImmediatePdo extends PDO
{
    private const BUSY = 5;

    private const PAUSE_US = 2000;

    private bool $isInTransaction = false;

    private readonly Door $door;

    /**
     * @param string $dsn
     * @param string|null $username
     * @param string|null $password
     * @param array<int, mixed>|null $options
     */
    public function __construct($dsn, $username = null, #[\SensitiveParameter] $password = null, $options = null)
    {
        parent::__construct($dsn, $username, $password, $options);
        $path = substr($dsn, strlen('sqlite:'));
        $this->door = new Door(str_starts_with($path, ':memory:') ? '' : $path);
    }

    public function door(): Door
    {
        return $this->door;
    }

    /**
     * For a connection that outlives the request: a request that ends within a transaction, by a fault or for
     * having taken too long, leaves no lock behind.
     */
    public function endWithRequest(): void
    {
        register_shutdown_function(function (): void {
            if ($this->isInTransaction) {
                $this->rollBack();
            }
        });
    }

    /** @throws PDOException when somebody else has written for longer than the time that the connection waits */
    public function beginTransaction(): bool
    {
        $asked = $this->query('PRAGMA busy_timeout');
        $patience = $asked === false ? 0 : (int) $asked->fetchColumn();
        $this->exec('PRAGMA busy_timeout = 0');
        try {
            $this->begin(hrtime(true) + $patience * 1_000_000);
        } finally {
            $this->exec("PRAGMA busy_timeout = $patience");
        }

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

    private function begin(int $end): void
    {
        $isWaiting = false;
        try {
            while (true) {
                try {
                    $this->exec('BEGIN IMMEDIATE');

                    return;
                } catch (PDOException $error) {
                    if (($error->errorInfo[1] ?? 0) !== self::BUSY || hrtime(true) >= $end) {
                        throw $error;
                    }
                }
                if (! $isWaiting) {
                    $isWaiting = true;
                    $this->door->wait();
                }
                usleep(self::PAUSE_US);
            }
        } finally {
            if ($isWaiting) {
                $this->door->leave();
            }
        }
    }
}
