<?php

declare(strict_types=1);

namespace App\Upgrade;

/** A database can't be carried to the schema of this version; it is as it was. */
final class CarryOverRefused extends \RuntimeException
{
    /** @param  list<string>  $what  tables, or columns of tables */
    public static function unknown(array $what): self
    {
        return new self('This database holds data that this version does not know: '.implode(', ', $what)
            .'. The database was not changed. Ask for help, or restore a backup.');
    }

    /** @param  list<string>  $rows */
    public static function broken(array $rows): self
    {
        return new self('Rows of this database refer to rows that are missing: '.implode(', ', array_slice($rows, 0, 10))
            .'. The database was not changed. Restore a backup, or ask for help.');
    }
}
