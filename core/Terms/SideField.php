<?php

declare(strict_types=1);

namespace Almanac\Terms;

/** What is set for a side beside the payment terms; each is a record's own, its parent company's or the office's. */
enum SideField: string
{
    case Treatment = 'treatment';
    case TaxRate = 'tax-rate';
    case Accounts = 'accounts';
    case CostCentres = 'cost-centres';
    case Discount = 'discount';
    case Currency = 'currency';
    case Delivery = 'delivery';
    case SendTo = 'send-to';
    case Reference = 'reference';
    case Limit = 'limit';
    case CreditPolicy = 'credit-policy';
    case AccountNumber = 'account-number';
    case PayBy = 'pay-by';

    /** @return list<self> */
    public static function of(Side $side): array
    {
        return array_values(array_filter(self::cases(), fn (self $field) => match ($field) {
            self::CreditPolicy => $side === Side::Client,
            self::AccountNumber, self::PayBy => $side === Side::Vendor,
            default => true,
        }));
    }

    public function title(Side $side): string
    {
        $isClient = $side === Side::Client;

        return match ($this) {
            self::Treatment => 'Tax on amounts',
            self::TaxRate => 'Tax rate',
            self::Accounts => 'Accounts',
            self::CostCentres => 'Cost centers',
            self::Discount => $isClient ? 'Discount we give, %' : 'Discount they give, %',
            self::Currency => 'Currency',
            self::Delivery => $isClient ? 'How invoices reach them' : 'How orders reach them',
            self::SendTo => 'For whose attention',
            self::Reference => $isClient ? 'Reference they want on it' : 'Our reference on it',
            self::Limit => $isClient ? 'Credit limit' : 'The limit they give us',
            self::CreditPolicy => 'At the credit limit',
            self::AccountNumber => 'Our account number with them',
            self::PayBy => 'How we pay',
        };
    }
}
