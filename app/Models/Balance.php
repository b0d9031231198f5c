<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a party owes and is owed, in the currency of the office; kept by KeepStandings.
 *
 * @property int $party_id
 * @property int $receivable minor units
 * @property int $payable minor units
 * @property int $overdue minor units of what is receivable
 * @property float|null $days_to_pay
 * @property bool $is_over_limit
 */
final class Balance extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'party_id';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['is_over_limit' => 'boolean'];
    }
}
