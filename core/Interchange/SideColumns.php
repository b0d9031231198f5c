<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\TaxIds\TaxIdKind;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;

/** The columns that tell on what terms, with which numbers, and what they owed when the books began. */
final class SideColumns
{
    /** @return list<TargetColumn> */
    public static function terms(): array
    {
        $columns = [];
        foreach (Side::cases() as $side) {
            $isClient = $side === Side::Client;
            $whose = $isClient ? 'when we bill them' : 'when we pay them';
            $columns[] = new TargetColumn(
                "$side->value-terms",
                "Payment terms $whose",
                PartyColumns::TERMS,
                'As in net 30 or 2/10 net 30.',
                $isClient ? ['', ''] : ['', 'net 30'],
                $isClient
                    ? ['terms', 'payment terms', 'customer terms', 'client terms', 'invoice terms']
                    : ['vendor terms', 'supplier terms', 'bill terms', 'our terms'],
            );
            foreach (array_intersect(array_map(fn (SideField $field) => $field->value, PartyColumns::SIDE_FIELDS), array_map(fn (SideField $field) => $field->value, SideField::of($side))) as $name) {
                $field = SideField::from($name);
                $columns[] = new TargetColumn("$side->value-$name", ucfirst($field->title($side))." $whose", PartyColumns::TERMS, '', ['', ''], match (true) {
                    $field === SideField::Limit && $isClient => ['credit limit', 'limit', 'max credit'],
                    $field === SideField::Currency && $isClient => ['currency', 'default currency', 'currency code'],
                    $field === SideField::AccountNumber => ['our account number', 'account no with vendor'],
                    $field === SideField::PayBy => ['payment method', 'preferred payment method', 'pay by'],
                    $field === SideField::Discount && $isClient => ['discount', 'discount percent'],
                    default => [],
                });
            }
        }

        return $columns;
    }

    /** @return list<TargetColumn> */
    public static function numbers(): array
    {
        $known = [
            'EIN' => ['tax id', 'federal tax id', 'fein', 'tin', 'employer identification number', 'tax number', 'federal id'],
            'SSN' => ['social security number', 'social security'],
            'VAT' => ['vat number', 'vat id', 'vat no', 'vat reg no', 'ust id', 'uid number', 'tva', 'btw'],
            'ABN' => ['australian business number'], 'CA-BN' => ['business number', 'gst number', 'hst number'],
            'DUNS' => ['d u n s', 'duns number'],
        ];

        return [
            ...array_map(fn (TaxIdKind $kind) => new TargetColumn(
                'tax-'.mb_strtolower($kind->value), $kind->title(), PartyColumns::TAX,
                $kind === TaxIdKind::Vat ? 'With the letters of its country.' : '', ['', ''],
                [mb_strtolower($kind->value), ...$known[$kind->value] ?? []],
            ), TaxIdKind::cases()),
            new TargetColumn(
                'form-on', 'Form W-9 of', PartyColumns::TAX, 'The day on the form.', ['', ''],
                ['w9 date', 'w 9 date', 'w 9 on file', 'w9'],
            ),
            new TargetColumn(
                'iban', 'IBAN', PartyColumns::TAX, 'Bank details that come in are on hold until a second person confirms them.',
                ['', ''], ['international bank account number'], true,
            ),
            new TargetColumn('bic', 'BIC', PartyColumns::TAX, '', ['', ''], ['swift', 'swift code', 'bic swift'], true),
            new TargetColumn(
                'routing', 'Routing number', PartyColumns::TAX, 'Nine digits.', ['', ''],
                ['aba', 'aba number', 'routing', 'transit number'], true,
            ),
            new TargetColumn('sort-code', 'Sort code', PartyColumns::TAX, 'Six digits.', ['', ''], ['bank sort code'], true),
            new TargetColumn(
                'bank-account', 'Bank account', PartyColumns::TAX, '', ['', ''],
                ['bank account number', 'bank account no', 'acct number'], true,
            ),
            new TargetColumn(
                'account-use', 'Kind of account', PartyColumns::TAX, 'checking or savings', ['', ''],
                ['bank account type', 'checking or savings'], true,
            ),
            new TargetColumn('account-holder', 'Account holder', PartyColumns::TAX, '', ['', ''], ['name on account', 'holder'], true),
            new TargetColumn('bank-name', 'Bank', PartyColumns::TAX, '', ['', ''], ['bank name', 'name of bank'], true),
        ];
    }

    /** @return list<TargetColumn> */
    public static function others(): array
    {
        return [
            new TargetColumn(
                'receivable', 'Opening balance receivable', PartyColumns::OTHER, 'What they owed us when the books began.', ['', ''],
                ['opening balance', 'balance', 'open balance', 'owes us', 'customer balance', 'balance due'],
            ),
            new TargetColumn(
                'payable', 'Opening balance payable', PartyColumns::OTHER, 'What we owed them when the books began.', ['', ''],
                ['vendor balance', 'we owe', 'supplier balance'],
            ),
            new TargetColumn(
                'balance-on', 'Opening balance as of', PartyColumns::OTHER, 'A date; today where it is empty.', ['', ''],
                ['as of', 'balance date', 'opening balance date'],
            ),
            new TargetColumn(
                'note', 'Note', PartyColumns::OTHER, 'Goes into the log.', ['', ''],
                ['notes', 'comment', 'comments', 'remarks', 'memo', 'description', 'bemerkung'],
            ),
        ];
    }
}
