<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Banking\AccountKind;
use Almanac\Banking\AccountUse;
use Almanac\Banking\BankAccount;
use Almanac\Finding\Fold;
use Almanac\Names\NamePart;
use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;

/**
 * Reads the numbers on a line: those elsewhere, tax numbers, accounts.
 *
 * @phpstan-import-type Code from PartyRow
 * @phpstan-import-type TaxNumber from PartyRow
 * @phpstan-import-type Account from PartyRow
 */
final readonly class NumbersReader
{
    /** @param  \Closure(int, \Closure): mixed  $at  reads, and notes what is refused at the column */
    public function __construct(private ReadingOffice $office, private \Closure $at)
    {
    }

    /** @return list<Code> */
    public function codes(TargetedLine $line): array
    {
        $codes = [];
        foreach ($line->several('code') as [$column, $text, $target]) {
            $value = ($this->at)($column, fn () => NamePart::tidy($text));
            if ($value !== null && $value !== '') {
                $system = $target->label === '' ? 'number' : $target->label;
                $codes[Fold::text($system)."\n".Fold::text($value)] ??= ['system' => $system, 'value' => $value];
            }
        }

        return array_values($codes);
    }

    /** @return list<TaxNumber> */
    public function taxNumbers(TargetedLine $line): array
    {
        $numbers = [];
        foreach (TaxIdKind::cases() as $kind) {
            foreach ($line->several('tax-'.mb_strtolower($kind->value)) as [$column, $text]) {
                $country = $kind === TaxIdKind::Vat && preg_match('/^\s*([A-Z]{2})/i', $text, $letters) === 1
                    ? mb_strtoupper($letters[1])
                    : '';
                $country = $country === 'EL' ? 'GR' : $country;
                $number = ($this->at)(
                    $column,
                    fn () => TaxId::of($kind, $kind->needsCountry() && $country === '' ? $this->office->country : $country, $text),
                );
                if ($number !== null) {
                    $numbers[] = ['kind' => $kind->value, 'country' => $number->country, 'value' => $number->value];
                }
            }
        }

        return array_values(array_unique($numbers, SORT_REGULAR));
    }

    /** @return list<Account> */
    public function accounts(TargetedLine $line): array
    {
        $accounts = [];
        $empty = array_fill_keys(['kind', 'iban', 'bic', 'routing', 'sortCode', 'account', 'use', 'holder', 'bankName'], '');
        foreach ($line->groups(PartyColumns::BANK) as $group) {
            $of = fn (string $key) => $group[$key][0][1] ?? '';
            $column = ($group['iban'] ?? $group['bank-account'] ?? $group['routing'] ?? $group['sort-code'] ?? [[0, '']])[0][0];
            if ($of('iban') === '' && $of('bank-account') === '') {
                continue;
            }
            $use = str_starts_with(mb_strtolower($of('account-use')), 's') ? AccountUse::Savings : AccountUse::Checking;
            $account = ($this->at)($column, fn () => match (true) {
                $of('iban') !== '' => BankAccount::iban($of('iban'), $of('bic')),
                $of('sort-code') !== '' => BankAccount::uk($of('sort-code'), $of('bank-account')),
                default => BankAccount::us($of('routing'), $of('bank-account'), $use),
            });
            $ofKind = $account === null ? null : $accounts[$account->kind->value] ?? null;
            if ($account !== null && $ofKind !== null) {
                // The same one in two places is one.
                ($this->at)($column, fn () => $ofKind[0]->identity() === $account->identity()
                    ? null
                    : throw InterchangeRefused::oneOnly($account->kind->title()));
            } elseif ($account !== null) {
                $accounts[$account->kind->value] = [$account, [
                    'kind' => $account->kind->value, 'iban' => $account->kind === AccountKind::Iban ? $account->account : '',
                    'bic' => $account->kind === AccountKind::Iban ? $of('bic') : '',
                    'routing' => $account->kind === AccountKind::UsAccount ? $of('routing') : '',
                    'sortCode' => $account->kind === AccountKind::UkAccount ? $of('sort-code') : '',
                    'account' => $account->kind === AccountKind::Iban ? '' : $account->account, 'use' => $use->value,
                    'holder' => (string) ($this->at)(
                        $group['account-holder'][0][0] ?? $column,
                        fn () => NamePart::tidy($of('account-holder')),
                    ),
                    'bankName' => (string) ($this->at)($group['bank-name'][0][0] ?? $column, fn () => NamePart::tidy($of('bank-name'))),
                ] + $empty];
            }
        }

        return array_column($accounts, 1);
    }
}
