<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use App\Models\Values\DayCast;

/**
 * That somebody had a record open.
 *
 * @property int $user_id
 * @property int $party_id
 * @property Day $used_on by the office's clock
 */
final class RecordUse extends Model
{
    protected $table = 'record_uses';

    public $timestamps = false;

    public $incrementing = false;

    protected function casts(): array
    {
        return ['used_on' => DayCast::class];
    }
}
