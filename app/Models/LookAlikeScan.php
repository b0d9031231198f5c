<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\LookAlikes\ScanState;
use Illuminate\Support\Carbon;

/**
 * A scan of the whole book for records that look alike.
 *
 * @property int $id
 * @property int|null $user_id who asked for it; null where nobody did
 * @property ScanState $state
 * @property int $done of a hundred
 * @property int $records that were looked at
 * @property int $compared pairs
 * @property int $found pairs that look alike
 * @property string $failure
 * @property Carbon|null $ended_at
 */
final class LookAlikeScan extends Model
{
    protected $table = 'look_alike_scans';

    protected $attributes = ['state' => 'waiting', 'done' => 0, 'records' => 0, 'compared' => 0, 'found' => 0, 'failure' => ''];

    protected function casts(): array
    {
        return ['state' => ScanState::class, 'ended_at' => 'datetime'];
    }
}
