<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * Something that somebody did. It keeps names of its own, since what it tells of may be gone.
 *
 * @property int $id
 * @property Carbon $at
 * @property int $user_id
 * @property string $user_name
 * @property string $what
 * @property string $subject the kind of thing it was done to
 * @property int|null $subject_id
 * @property string $name
 * @property list<array{label: string, from: string, to: string}> $differences
 */
final class Act extends Model
{
    protected $table = 'acts';

    public $timestamps = false;

    protected function casts(): array
    {
        return ['at' => 'datetime', 'differences' => 'array'];
    }
}
