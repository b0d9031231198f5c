<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Money\Percent;
use Almanac\Records\Period;
use Almanac\Terms\Side;
use App\Models\Values\DayCast;

/**
 * A rate of tax on sales or on purchases, for a time.
 *
 * @property int $id
 * @property string $name
 * @property string $percent
 * @property Side $side
 * @property Day|null $since
 * @property Day|null $until
 * @property bool $is_retired
 */
final class TaxRate extends Model
{
    protected $table = 'tax_rates';

    protected $attributes = ['is_retired' => false];

    protected function casts(): array
    {
        return ['side' => Side::class, 'since' => DayCast::class, 'until' => DayCast::class, 'is_retired' => 'boolean'];
    }

    public function rate(): Percent
    {
        return Percent::of($this->percent);
    }

    public function period(): Period
    {
        return Period::of($this->since, $this->until);
    }
}
