<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A row that was made, changed or taken away when records were made one.
 *
 * @property int $id
 * @property int $merge_id
 * @property string $table
 * @property array<string, scalar> $key the values of its primary key
 * @property array<string, scalar|null>|null $before
 * @property array<string, scalar|null>|null $after
 */
final class MergeRow extends Model
{
    protected $table = 'merge_rows';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['key' => 'array', 'before' => 'array', 'after' => 'array'];
    }
}
