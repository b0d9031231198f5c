<?php

declare(strict_types=1);

namespace App\Database;

/** A row before a piece of work and after it. */
final readonly class RowChange
{
    /**
     * @param array<string, scalar> $key the values of its primary key
     * @param array<string, scalar|null>|null $before null where it was not there
     * @param array<string, scalar|null>|null $after null where it is gone
     */
    public function __construct(public string $table, public array $key, public ?array $before, public ?array $after)
    {
    }
}
