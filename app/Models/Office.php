<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The office whose book this is. There is one.
 *
 * @property int $id
 * @property string $name
 * @property string $country ISO 3166-1 alpha-2
 * @property string $lines of its address
 * @property string $locality
 * @property string $region
 * @property string $postcode
 * @property bool|null $month_first whether 3/4 means March 4; null for as the country does
 */
final class Office extends Model
{
    private const MONTH_FIRST = ['US'];

    protected $fillable = ['name', 'country', 'lines', 'locality', 'region', 'postcode', 'month_first'];

    protected $attributes = ['lines' => '', 'locality' => '', 'region' => '', 'postcode' => '', 'month_first' => null];

    protected function casts(): array
    {
        return ['month_first' => 'boolean'];
    }

    public static function current(): self
    {
        return once(fn () => self::query()->firstOrFail());
    }

    /** Of amounts that are typed without one: ISO 4217, by the country. */
    public function currency(): string
    {
        $code = (new \NumberFormatter('en_'.$this->country, \NumberFormatter::CURRENCY))->getTextAttribute(\NumberFormatter::CURRENCY_CODE);

        return strlen($code) === 3 && $code !== 'XXX' ? $code : 'USD';
    }

    /** Whether 3/4 means March 4 here. */
    public function writesMonthFirst(): bool
    {
        return $this->month_first ?? in_array($this->country, self::MONTH_FIRST, true);
    }
}
