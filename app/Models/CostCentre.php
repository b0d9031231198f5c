<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A department, location or region that amounts are reported under.
 *
 * @property int $id
 * @property string $group such as Department
 * @property string $name
 * @property bool $is_retired
 */
final class CostCentre extends Model
{
    protected $table = 'cost_centres';

    protected $attributes = ['is_retired' => false];

    protected function casts(): array
    {
        return ['is_retired' => 'boolean'];
    }
}
