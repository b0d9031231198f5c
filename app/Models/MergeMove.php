<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Rows that came from a record to the one that stays.
 *
 * @property int $id
 * @property int $merge_id
 * @property string $table
 * @property string $column that names the record
 * @property int $from_id
 * @property list<int> $ids
 */
final class MergeMove extends Model
{
    protected $table = 'merge_moves';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['ids' => 'array'];
    }
}
