<?php

declare(strict_types=1);

namespace App\Database;

use Closure;
use Illuminate\Database\SQLiteConnection;

/** A write that stands alone waits for its turn as a transaction does; SQLite would let long work pass it again and again. */
final class OfficeConnection extends SQLiteConnection
{
    private const WRITE = '/^\s*(insert|update|delete|replace)\b/i';

    /**
     * @param string $query
     * @param array<mixed> $bindings
     */
    protected function runQueryCallback($query, $bindings, Closure $callback): mixed
    {
        if ($this->transactionLevel() > 0 || $this->pretending() || preg_match(self::WRITE, $query) !== 1) {
            return parent::runQueryCallback($query, $bindings, $callback);
        }
        $pdo = $this->getPdo();
        $pdo->beginTransaction();
        try {
            $result = parent::runQueryCallback($query, $bindings, $callback);
            $pdo->commit();
        } catch (\Throwable $error) {
            $pdo->rollBack();
            throw $error;
        }

        return $result;
    }
}
