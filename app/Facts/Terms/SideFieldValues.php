<?php

declare(strict_types=1);

namespace App\Facts\Terms;

use Almanac\Banking\PayBy;
use Almanac\Ledger\CreditPolicy;
use Almanac\Ledger\Delivery;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Names\NamePart;
use Almanac\Records\WordingRefused;
use Almanac\Refusal;
use Almanac\Terms\SideField;
use Almanac\Titled;
use App\Models\CostCentre;
use App\Models\LedgerAccount;
use App\Models\Office;
use App\Models\TaxRate;

/** Reads the values of a side as they are sent, and tells them again: to be changed, and to be read. */
final class SideFieldValues
{
    private const MOST_ACCOUNTS = 3;

    /**
     * @param string $currency of the side
     *
     * @throws Refusal when it cannot be taken
     */
    public static function read(SideField $field, string $typed, string $currency): mixed
    {
        return match ($field) {
            SideField::Treatment => TaxTreatment::tryFrom($typed) ?? throw WordingRefused::notListed($typed),
            SideField::Delivery => Delivery::tryFrom($typed) ?? throw WordingRefused::notListed($typed),
            SideField::CreditPolicy => CreditPolicy::tryFrom($typed) ?? throw WordingRefused::notListed($typed),
            SideField::PayBy => PayBy::tryFrom($typed) ?? throw WordingRefused::notListed($typed),
            SideField::TaxRate => TaxRate::query()->find((int) $typed)->id ?? throw WordingRefused::notListed($typed),
            SideField::Accounts => self::ids($typed, LedgerAccount::class, self::MOST_ACCOUNTS),
            SideField::CostCentres => self::ids($typed, CostCentre::class, PHP_INT_MAX),
            SideField::Discount => (string) Percent::of($typed),
            SideField::Currency => Money::zero(mb_strtoupper(trim($typed)))->currency,
            SideField::Limit => Money::fromTyped($typed, $currency, Office::current()->decimalSign())->minor,
            SideField::SendTo, SideField::Reference, SideField::AccountNumber => NamePart::tidy($typed),
        };
    }

    /** As it is sent: read() takes it back. */
    public static function typed(SideField $field, mixed $value, string $currency): string
    {
        return match (true) {
            $value instanceof \BackedEnum => (string) $value->value,
            is_array($value) => implode(',', array_filter($value, is_int(...))),
            $field === SideField::Limit && is_int($value) => Office::current()
                ->decimalSign()
                ->write(Money::ofMinor($value, $currency)->toDecimal()),
            is_scalar($value) => (string) $value,
            default => '',
        };
    }

    /** For reading. */
    public static function text(SideField $field, mixed $value, string $currency): string
    {
        return match (true) {
            $value instanceof PayBy => $value->titleIn(Office::current()->country),
            $value instanceof Titled => $value->title(),
            $field === SideField::TaxRate && is_int($value) => ($rate = TaxRate::query()->find($value)) === null
                ? ''
                : $rate->name.', '.$rate->rate()->toText(),
            $field === SideField::Limit && is_int($value) => Money::ofMinor($value, $currency)->toText(),
            $field === SideField::Accounts && is_array($value) => LedgerAccount::query()
                ->findMany($value)
                ->map(fn (LedgerAccount $one) => $one->display())
                ->implode(', '),
            $field === SideField::CostCentres && is_array($value) => CostCentre::query()
                ->findMany($value)
                ->map(fn (CostCentre $one) => $one->group.': '.$one->name)
                ->implode(', '),
            is_scalar($value) => (string) $value,
            default => '',
        };
    }

    /**
     * @param class-string<LedgerAccount>|class-string<CostCentre> $model
     *
     * @return list<int>
     *
     * @throws Refusal when one is not kept, two cost centres are of one group, or they are too many
     */
    private static function ids(string $typed, string $model, int $most): array
    {
        $ids = array_map(intval(...), array_values(array_filter(explode(',', $typed), fn (string $id) => trim($id) !== '')));
        $kept = $model::query()->findMany($ids);
        if ($kept->count() !== count(array_unique($ids)) || count($ids) !== $kept->count()) {
            throw WordingRefused::notListed($typed);
        }
        if (count($ids) > $most) {
            throw WordingRefused::tooMany($most);
        }
        if ($model === CostCentre::class && $kept->pluck('group')->unique()->count() !== $kept->count()) {
            throw WordingRefused::oneAGroup();
        }

        return $ids;
    }
}
