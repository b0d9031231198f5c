<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Money\Money;
use Brick\Math\BigDecimal;

/**
 * What a party owes and is owed, in the currency of the office; kept by KeepStandings.
 *
 * @property int $party_id
 * @property int $receivable_minor
 * @property int $payable_minor
 * @property int $overdue_minor of what is receivable
 * @property int|null $days_to_pay_tenths
 * @property bool $is_over_limit
 * @property int|null $limit_minor what a client may owe
 * @property int|null $left_minor what is left of it
 * @property string|null $limit_currency ISO 4217, of these two
 */
final class Balance extends Model
{
    protected $table = 'balances';

    public $timestamps = false;

    protected $primaryKey = 'party_id';

    /** @param  string  $column  receivable, payable or overdue; null where it is nothing */
    public function amount(string $column): ?Money
    {
        $minor = $this->getAttribute("{$column}_minor");

        return is_int($minor) && $minor !== 0 ? Money::ofMinor($minor, Office::current()->currency()) : null;
    }

    /** @param  string  $column  limit or left; null where there is no limit */
    public function ofLimit(string $column): ?Money
    {
        $minor = $this->getAttribute("{$column}_minor");

        return is_int($minor) && $this->limit_currency !== null ? Money::ofMinor($minor, $this->limit_currency) : null;
    }

    /** To one decimal. */
    public function daysToPay(): ?BigDecimal
    {
        return $this->days_to_pay_tenths === null ? null : BigDecimal::ofUnscaledValue($this->days_to_pay_tenths, 1);
    }

    protected function casts(): array
    {
        return ['is_over_limit' => 'boolean'];
    }
}
