<?php

declare(strict_types=1);

namespace App\Facts\Terms;

use Almanac\Banking\PayBy;
use Almanac\Calendar\Day;
use Almanac\Ledger\CreditPolicy;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Money;
use Almanac\Records\Inherited;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Facts\Records\Ancestors;
use App\Models\ClientTerms;
use App\Models\ListedTerms;
use App\Models\Office;
use App\Models\Party;
use App\Models\SideTerms;
use App\Models\VendorTerms;
use Illuminate\Database\Eloquent\Collection;

/** What holds for a party on one side: its own, else the nearest parent company's, else the office's. */
final readonly class SideDefaults
{
    private const COLUMNS = [
        'treatment' => 'tax_treatment', 'tax-rate' => 'tax_rate_id', 'accounts' => 'account_ids', 'cost-centres' => 'cost_centre_ids',
        'discount' => 'discount', 'currency' => 'currency', 'delivery' => 'delivery', 'send-to' => 'send_to', 'reference' => 'reference',
        'limit' => 'limit_minor', 'credit-policy' => 'credit_policy', 'account-number' => 'account_number', 'pay-by' => 'pay_by',
    ];

    public const OFFICE = 'the office';

    /** @param  list<array{string, SideTerms}>  $above the nearest first, the office last */
    private function __construct(public Side $side, public ?SideTerms $own, private array $above)
    {
    }

    public static function of(Party $party, Side $side, Day $today): self
    {
        $above = [];
        foreach (Ancestors::companiesAbove($party, $today) as $company) {
            $terms = $company->load($side === Side::Client ? 'clientTerms.listed' : 'vendorTerms.listed')->sideTerms($side);
            if ($terms !== null) {
                $above[] = [$company->display_name, $terms];
            }
        }

        return new self($side, $party->sideTerms($side), [...$above, [self::OFFICE, self::ofOffice($side)]]);
    }

    /** Of one who is known to have no company above. */
    public static function ofAlone(Party $party, Side $side): self
    {
        return new self($side, $party->sideTerms($side), [[self::OFFICE, self::ofOffice($side)]]);
    }

    /** The office's own defaults. */
    public static function ofOffice(Side $side): SideTerms
    {
        return once(fn (): SideTerms => $side === Side::Client
            ? ClientTerms::query()->whereNull('party_id')->firstOrNew()
            : VendorTerms::query()->whereNull('party_id')->firstOrNew());
    }

    public static function column(SideField $field): string
    {
        return self::COLUMNS[$field->value];
    }

    /** @return Inherited<mixed> */
    public function get(SideField $field): Inherited
    {
        if (! in_array($field, SideField::of($this->side), true)) {
            return Inherited::nearest(null, []);
        }
        $column = self::column($field);

        return Inherited::nearest(
            $this->own?->getAttribute($column),
            array_map(fn (array $one) => [$one[0], $one[1]->getAttribute($column)], $this->above),
        );
    }

    /** @return Inherited<mixed> what would hold if it had none of its own */
    public function inherited(SideField $field): Inherited
    {
        $column = self::column($field);

        return Inherited::nearest(null, array_map(fn (array $one) => [$one[0], $one[1]->getAttribute($column)], $this->above));
    }

    /** @return Inherited<array{string, string}> shorthand and the name in the office's list; null when there is none */
    public function terms(): Inherited
    {
        $listed = self::listedByDefault()->firstWhere($this->side === Side::Client ? 'is_client_default' : 'is_vendor_default', true);

        return Inherited::nearest(self::termsOf($this->own), [
            ...array_map(fn (array $one) => [$one[0], self::termsOf($one[1])], array_slice($this->above, 0, -1)),
            [self::OFFICE, $listed === null ? null : [$listed->shorthand, $listed->name]],
        ]);
    }

    /** The terms that a new document has, in shorthand; empty where there are none. */
    public function shorthand(): string
    {
        return $this->terms()->value[0] ?? '';
    }

    public function treatment(): TaxTreatment
    {
        $value = $this->get(SideField::Treatment)->value;

        return $value instanceof TaxTreatment ? $value : TaxTreatment::None;
    }

    public function currency(): string
    {
        $value = $this->get(SideField::Currency)->value;

        return is_string($value) ? $value : Office::current()->currency();
    }

    public function limit(): ?Money
    {
        $value = $this->get(SideField::Limit)->value;

        return is_int($value) ? Money::ofMinor($value, $this->currency()) : null;
    }

    public function creditPolicy(): CreditPolicy
    {
        $value = $this->get(SideField::CreditPolicy)->value;

        return $value instanceof CreditPolicy ? $value : CreditPolicy::Ask;
    }

    public function payBy(): PayBy
    {
        $value = $this->get(SideField::PayBy)->value;

        return $value instanceof PayBy ? $value : PayBy::Transfer;
    }

    public function text(SideField $field): string
    {
        $value = $this->get($field)->value;

        return is_string($value) ? $value : '';
    }

    /** @return list<int> */
    public function ids(SideField $field): array
    {
        $value = $this->get($field)->value;

        return is_array($value) ? array_values(array_filter($value, is_int(...))) : [];
    }

    public function taxRateId(): ?int
    {
        $value = $this->get(SideField::TaxRate)->value;

        return is_int($value) ? $value : null;
    }

    /** @return array{string, string}|null */
    private static function termsOf(?SideTerms $terms): ?array
    {
        return match (true) {
            $terms?->listed !== null => [$terms->listed->shorthand, $terms->listed->name],
            $terms?->shorthand !== null => [$terms->shorthand, ''],
            default => null,
        };
    }

    /** @return Collection<int, ListedTerms> what the office has by default on either side: the same for every party */
    private static function listedByDefault(): Collection
    {
        return once(fn () => ListedTerms::query()->where('is_client_default', true)->orWhere('is_vendor_default', true)->get());
    }
}
