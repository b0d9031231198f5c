<?php

declare(strict_types=1);

namespace App\Models;

/**
 * One of the records that were made one, as it was called then.
 *
 * @property int $merge_id
 * @property int $party_id
 * @property int $number
 * @property string $name
 */
final class MergeSide extends Model
{
    protected $table = 'merge_sides';

    public $timestamps = false;

    public $incrementing = false;

    public function called(): string
    {
        return "no. $this->number $this->name";
    }
}
