<?php

declare(strict_types=1);

namespace App\Acts;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Titled;
use BackedEnum;
use DateTimeInterface;
use Illuminate\Database\Eloquent\Model;

/** What the log of the office calls the columns of a table, and how it writes what is in them: as the screens do. */
final class ActLabels
{
    private const LABELS = [
        'late_rate' => 'Late interest, %',
        'late_per_month' => 'Late interest by the month',
        'keeps_us_holidays' => 'US federal holidays',
        'month_first' => 'Month first',
        'decimal_comma' => 'Decimal comma',
        'warn_after' => 'Warn after, days',
        'ageing_by' => 'Ageing by',
        'how_to_pay' => 'How to pay us',
        'card_places' => 'Address books elsewhere',
        'clerks_make_one' => 'Clerks make records one',
        'logo_path' => 'Logo',
        'host' => 'Mail server',
        'user_name' => 'Signs in as',
        'sender' => 'Sends from',
        'lines' => 'Street',
        'locality' => 'City',
        'region' => 'State',
        'retired_at' => 'Retired',
        'is_retired' => 'Retired',
        'is_client_default' => 'By default when we bill',
        'is_vendor_default' => 'By default when we pay',
        'shorthand' => 'Terms',
        'inverse' => 'Seen from the other',
        'party_kind' => 'For',
        'treatment' => 'Tax on amounts',
        'discount_percent' => 'Early-payment discount, %',
        'discount_until' => 'Discount until',
        'account_number' => 'Our account number',
        'pay_by' => 'Paid by',
        'void_reason' => 'Why void',
        'display_name' => 'Name',
        'is_client' => 'Client',
        'is_vendor' => 'Vendor',
        'is_deceased' => 'Has died',
        'deceased_on' => 'Died on',
        'is_informal' => 'On first-name terms',
        'is_attorney' => 'Attorney',
        'form_on' => 'Form W-9 on',
        'form_by' => 'Form W-9 signed by',
        'report_choice' => 'Tax report',
        'problem_count' => 'Bad lines',
        'bank_name' => 'Bank',
        'masked' => 'Number',
        'settled_on' => 'Settled on',
        'is_void' => 'Void',
        'dated_on' => 'Date',
        'due_on' => 'Due',
        'paid_on' => 'Day',
        'quoted_on' => 'Day',
        'born_on' => 'Birth date',
    ];

    private const LONGEST = 200;

    public static function label(string $column): string
    {
        return self::LABELS[$column] ?? ucfirst(str_replace('_', ' ', preg_replace('/_(id|minor|at)$/', '', $column) ?? $column));
    }

    /** @param  mixed  $value as the database has it, or the model */
    public static function value(Model $model, string $column, mixed $value): string
    {
        $text = match (true) {
            $value === null || $value === '' => '',
            ($titled = self::titled($model, $column, $value)) !== null => $titled->title(),
            $value instanceof BackedEnum => (string) $value->value,
            $value instanceof Day => $value->toText(),
            $value instanceof DateTimeInterface => $value->format('Y-m-d H:i'),
            is_bool($value) || $model->hasCast($column, 'boolean') => (bool) $value ? 'yes' : 'no',
            str_ends_with($column, '_minor') && is_int($value) => self::amount($model, $value),
            is_string($value) && preg_match('/^\d{4}-\d\d-\d\d( 00:00:00)?$/', $value) === 1 => Day::fromIso(
                substr($value, 0, 10),
            )->toText(),
            is_scalar($value) => (string) $value,
            default => '',
        };

        return mb_strimwidth($text, 0, self::LONGEST, '…');
    }

    private static function amount(Model $model, int $minor): string
    {
        $currency = $model->getAttributes()['currency'] ?? null;

        return is_string($currency) ? Money::ofMinor($minor, $currency)->toText() : (string) $minor;
    }

    private static function titled(Model $model, string $column, mixed $value): ?Titled
    {
        $cast = $model->getCasts()[$column] ?? '';

        return match (true) {
            $value instanceof Titled => $value,
            is_string($value) && is_subclass_of($cast, Titled::class) => $cast::tryFrom($value),
            default => null,
        };
    }
}
