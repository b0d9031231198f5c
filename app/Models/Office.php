<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Ledger\AgeingBy;
use Almanac\Money\Percent;
use Almanac\Terms\LateInterest;
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
 * @property AgeingBy $ageing_by
 * @property int $warn_after days after which an open document is worth a warning
 * @property string $late_rate percent of interest on what is late; empty for none
 * @property bool $late_per_month a flat rate for each month begun, rather than a yearly one by the day
 * @property bool|null $keeps_us_holidays null for as the country does
 * @property bool|null $month_first whether 3/4 means March 4; null for as the country does
 */
final class Office extends Model
{
    private const MONTH_FIRST = ['US'];

    protected $fillable = ['name', 'country', 'lines', 'locality', 'region', 'postcode', 'month_first', 'ageing_by', 'warn_after', 'late_rate', 'late_per_month', 'keeps_us_holidays'];

    protected $attributes = [
        'lines' => '', 'locality' => '', 'region' => '', 'postcode' => '', 'month_first' => null,
        'ageing_by' => 'due date', 'warn_after' => 30, 'late_rate' => '', 'late_per_month' => false, 'keeps_us_holidays' => null,
    ];

    protected function casts(): array
    {
        return ['month_first' => 'boolean', 'ageing_by' => AgeingBy::class, 'late_per_month' => 'boolean', 'keeps_us_holidays' => 'boolean'];
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

    public function keepsUsHolidays(): bool
    {
        return $this->keeps_us_holidays ?? $this->country === 'US';
    }

    /** Null where nothing is asked for being late. */
    public function lateInterest(): ?LateInterest
    {
        return match (true) {
            $this->late_rate === '' => null,
            $this->late_per_month => LateInterest::perMonthBegun(Percent::of($this->late_rate)),
            default => LateInterest::perYear(Percent::of($this->late_rate)),
        };
    }

    /** Whether 3/4 means March 4 here. */
    public function writesMonthFirst(): bool
    {
        return $this->month_first ?? in_array($this->country, self::MONTH_FIRST, true);
    }
}
