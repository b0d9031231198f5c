<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Almanac\Ledger\AgeingBy;
use Almanac\Money\Percent;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Actions\Ledger\KeepStandings;
use App\Facts\Terms\SideDefaults;
use App\Facts\Terms\SideFieldValues;
use App\Models\Office;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Once;
use Illuminate\Validation\ValidationException;

/** Keeps how the office ages, warns and asks for interest, and what both sides begin with. */
final readonly class KeepBookSettings
{
    private const MOST_DAYS = 3650;

    public function __construct(private KeepStandings $standings)
    {
    }

    /**
     * @param array{ageingBy: string, warnAfter: int, lateRate: string, latePerMonth: bool, keepsUsHolidays: bool} $input
     *
     * @throws ValidationException
     */
    public function settings(array $input): void
    {
        $problems = new FieldProblems;
        $rate = trim($input['lateRate']) === '' ? '' : $problems->at('lateRate', fn () => (string) Percent::of($input['lateRate']));
        if ($input['warnAfter'] < 1 || $input['warnAfter'] > self::MOST_DAYS) {
            $problems->add('warnAfter', 'Type a number of days from 1 to 3650.');
        }
        $problems->throwIfAny();
        Office::current()->fill([
            'ageing_by' => AgeingBy::from($input['ageingBy']), 'warn_after' => $input['warnAfter'],
            'late_rate' => $rate, 'late_per_month' => $input['latePerMonth'], 'keeps_us_holidays' => $input['keepsUsHolidays'],
        ])->save();
        Once::flush();
    }

    /**
     * @param list<array{name: string, value: string|null}> $fields
     *
     * @throws ValidationException
     */
    public function defaults(Side $side, array $fields): void
    {
        $problems = new FieldProblems;
        $kept = SideDefaults::ofOffice($side);
        $typed = array_column($fields, 'value', 'name');
        $currency = $typed['currency'] ?? Office::current()->currency();
        foreach (SideField::of($side) as $field) {
            if (array_key_exists($field->value, $typed)) {
                $value = $typed[$field->value];
                $kept->setAttribute(SideDefaults::column($field), $value === null || trim($value) === ''
                    ? null
                    : $problems->at("fields.{$field->value}", fn () => SideFieldValues::read($field, $value, $currency)));
            }
        }
        $problems->throwIfAny();
        DB::transaction(function () use ($kept): void {
            $kept->save();
            Once::flush();
            // A credit limit may hold now for many.
            $this->standings->refresh(...DB::table('standings')->where('side', Side::Client)->distinct()->pluck('party_id')->all());
        });
    }
}
