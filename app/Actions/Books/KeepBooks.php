<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Almanac\Interchange\CsvTable;
use Almanac\Interchange\HolidayCalendar;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Ledger\AccountKind;
use Almanac\Ledger\AgeingBy;
use Almanac\Ledger\LedgerRefused;
use Almanac\Ledger\Side;
use Almanac\Money\ExchangeRates;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Records\WordingRefused;
use Almanac\Refusal;
use Almanac\Terms\SideField;
use App\Actions\Ledger\KeepStandings;
use App\Models\CostCentre;
use App\Models\CurrencyRate;
use App\Models\Document;
use App\Models\LedgerAccount;
use App\Models\Office;
use App\Models\TaxRate;
use App\Support\FieldProblems;
use App\Support\ListedNames;
use App\Support\SideDefaults;
use App\Support\SideFieldValues;
use App\Support\TypedDates;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Once;
use Illuminate\Validation\ValidationException;

/** Keeps what the office has set for its books. Entries that are used are retired, never deleted. */
final readonly class KeepBooks
{
    private const CODE_LENGTH = 20;

    private const MOST_DAYS = 3650;

    public function __construct(private TypedDates $dates, private KeepStandings $standings)
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

    /**
     * @param array{name: string, percent: string, side: string, since: string, until: string, isRetired: bool} $input
     *
     * @throws ValidationException
     */
    public function taxRate(TaxRate $rate, array $input): void
    {
        $problems = new FieldProblems;
        $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
        $percent = $problems->at('percent', fn () => (string) Percent::of($input['percent']));
        $period = $this->dates->read($input['since'], $input['until'], '', $problems);
        if ($rate->exists && $percent !== null && $percent !== $rate->percent && DB::table('document_lines')->where('tax_rate_id', $rate->id)->exists()) {
            $problems->add('percent', 'Documents have been written at this rate. Let it end on a day, and add the new rate from the next.');
        }
        $same = TaxRate::query()->where('name', $name)->where('side', $input['side'])->whereKeyNot($rate->id ?? 0)->get();
        if ($period !== null && ! $input['isRetired'] && $same->contains(fn (TaxRate $other) => ! $other->is_retired && $other->period()->overlaps($period))) {
            $problems->add('since', "Another “{$name}” holds at that time. Let it end on the day before.");
        }
        $problems->throwIfAny();
        $rate->fill(['name' => $name, 'percent' => $percent, 'side' => Side::from($input['side']), 'since' => $period?->since, 'until' => $period?->until, 'is_retired' => $input['isRetired']])->save();
    }

    /**
     * @param array{code: string, name: string, kind: string, isRetired: bool} $input
     *
     * @throws ValidationException
     */
    public function account(LedgerAccount $account, array $input): void
    {
        $problems = new FieldProblems;
        $code = $problems->at('code', fn () => ListedNames::tidy($input['code']));
        if (mb_strlen((string) $code) > self::CODE_LENGTH) {
            $problems->add('code', WordingRefused::tooLong(mb_strlen((string) $code), self::CODE_LENGTH)->getMessage());
        }
        $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
        if (LedgerAccount::query()->where('code', $code)->whereKeyNot($account->id ?? 0)->exists()) {
            $problems->add('code', WordingRefused::taken((string) $code)->getMessage());
        }
        $problems->throwIfAny();
        $account->fill(['code' => $code, 'name' => $name, 'kind' => AccountKind::from($input['kind']), 'is_retired' => $input['isRetired']])->save();
    }

    /**
     * Reads a chart of accounts: code, name, kind. What has a code that is known is renamed.
     *
     * @return int how many were read
     *
     * @throws ValidationException with every line that cannot be read; then nothing is taken
     */
    public function readAccounts(string $csv): int
    {
        return DB::transaction(function () use ($csv): int {
            $problems = [];
            $count = 0;
            $columns = null;
            foreach ($this->rows($csv) as $line => $cells) {
                if ($columns === null) {
                    $columns = array_flip(array_map(fn (string $cell) => mb_strtolower($cell), $cells));
                    $missing = array_values(array_diff(['code', 'name', 'kind'], array_keys($columns)));
                    if ($missing !== []) {
                        throw ValidationException::withMessages(['text' => InterchangeRefused::columnsMissing($missing)->getMessage()]);
                    }

                    continue;
                }
                $kind = AccountKind::tryFrom(mb_strtolower($cells[$columns['kind']] ?? ''));
                try {
                    if ($kind === null) {
                        throw ValidationException::withMessages(['kind' => 'The kind is income, expense, asset, liability or equity.']);
                    }
                    $code = $cells[$columns['code']] ?? '';
                    $this->account(LedgerAccount::query()->firstOrNew(['code' => trim($code)]), ['code' => $code, 'name' => $cells[$columns['name']] ?? '', 'kind' => $kind->value, 'isRetired' => false]);
                    $count++;
                } catch (ValidationException $refused) {
                    $problems[] = "Line $line: ".implode(' ', array_merge(...array_values($refused->errors())));
                }
            }
            if ($problems !== []) {
                throw ValidationException::withMessages(['text' => $problems]);
            }

            return $count;
        });
    }

    public function writeAccounts(): string
    {
        return CsvTable::write([['code', 'name', 'kind'], ...LedgerAccount::query()->orderBy('code')->get()
            ->map(fn (LedgerAccount $account) => [$account->code, $account->name, $account->kind->value])->all()]);
    }

    /**
     * @param array{group: string, name: string, isRetired: bool} $input
     *
     * @throws ValidationException
     */
    public function costCentre(CostCentre $centre, array $input): void
    {
        $problems = new FieldProblems;
        $group = $problems->at('group', fn () => ListedNames::tidy($input['group']));
        $name = $problems->at('name', fn () => ListedNames::tidy($input['name']));
        if (CostCentre::query()->where('group', $group)->where('name', $name)->whereKeyNot($centre->id ?? 0)->exists()) {
            $problems->add('name', WordingRefused::taken((string) $name)->getMessage());
        }
        $problems->throwIfAny();
        $centre->fill(['group' => $group, 'name' => $name, 'is_retired' => $input['isRetired']])->save();
    }

    /**
     * @param array{currency: string, day: string, rate: string} $input
     *
     * @throws ValidationException
     */
    public function currencyRate(array $input): void
    {
        DB::transaction(function () use ($input): void {
            $problems = new FieldProblems;
            $currency = $problems->at('currency', fn () => Money::zero(mb_strtoupper(trim($input['currency'])))->currency);
            if ($currency === Office::current()->currency()) {
                $problems->add('currency', 'That is the office’s own.');
            }
            $day = $this->dates->day($input['day'] === '' ? 'today' : $input['day'], 'day', $problems);
            $rate = $problems->at('rate', fn () => ExchangeRates::readRate($input['rate'], Office::current()->decimalSign()));
            $problems->throwIfAny();
            $kept = CurrencyRate::query()->where('currency', $currency)->where('day', $day?->toIso())->firstOrNew();
            $kept->fill(['currency' => $currency, 'day' => $day, 'rate' => (string) $rate])->save();
            $this->recount((string) $currency);
        });
    }

    /** @throws LedgerRefused when documents need it */
    public function removeRate(CurrencyRate $rate): void
    {
        DB::transaction(function () use ($rate): void {
            $rate->delete();
            $isNeeded = Document::query()->where('currency', $rate->currency)->exists()
                && ! CurrencyRate::query()->where('currency', $rate->currency)->where('day', '<=', Document::query()->where('currency', $rate->currency)->min('date'))->exists();
            if ($isNeeded) {
                throw LedgerRefused::neededRate($rate->currency);
            }
            $this->recount($rate->currency);
        });
    }

    /**
     * Reads holidays from an iCalendar file: its events of a whole day.
     *
     * @return int how many
     *
     * @throws ValidationException when it is no calendar, or holds no such day
     */
    public function readHolidays(string $text): int
    {
        try {
            $days = HolidayCalendar::read($text, $this->dates->today());
        } catch (Refusal $refusal) {
            throw ValidationException::withMessages(['text' => $refusal->getMessage()]);
        }
        DB::table('holidays')->upsert(array_map(fn (array $day) => ['day' => $day[0]->toIso(), 'name' => mb_substr($day[1], 0, 100)], $days), ['day'], ['name']);
        Once::flush();

        return count($days);
    }

    public function forgetHolidays(): void
    {
        DB::table('holidays')->delete();
        Once::flush();
    }

    /** What is worth another amount in the office's currency now. */
    private function recount(string $currency): void
    {
        Once::flush();
        $this->standings->refresh(...DB::table('standings')->where('currency', $currency)->distinct()->pluck('party_id')->all());
    }

    /** @return iterable<int, list<string>> */
    private function rows(string $csv): iterable
    {
        try {
            return iterator_to_array(CsvTable::rows($csv), true);
        } catch (Refusal $refusal) {
            throw ValidationException::withMessages(['text' => $refusal->getMessage()]);
        }
    }
}
