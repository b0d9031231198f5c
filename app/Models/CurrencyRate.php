<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use App\Models\Values\DayCast;
use Brick\Math\BigDecimal;

/**
 * What one unit of another currency is worth in the office’s own, from a day on.
 *
 * @property int $id
 * @property string $currency ISO 4217
 * @property Day $quoted_on
 * @property string $rate
 */
final class CurrencyRate extends Model
{
    protected $table = 'currency_rates';

    protected function casts(): array
    {
        return ['quoted_on' => DayCast::class];
    }

    public function value(): BigDecimal
    {
        return BigDecimal::of($this->rate);
    }
}
