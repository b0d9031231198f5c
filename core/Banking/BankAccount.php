<?php

declare(strict_types=1);

namespace Almanac\Banking;

/** A bank account, checked as far as its number checks itself. */
final readonly class BankAccount
{
    private const SHOWN = 4;

    private function __construct(
        public AccountKind $kind,
        public string $account,
        public string $bank,
        public ?AccountUse $use,
    ) {
    }

    /**
     * @param string $bic may be empty
     *
     * @throws BankingRefused when either cannot be right, or they are of different countries
     */
    public static function iban(string $iban, string $bic): self
    {
        $iban = Iban::read($iban);
        $bic = trim($bic) === '' ? '' : Bic::read($bic);
        if ($bic !== '' && substr($bic, 4, 2) !== substr($iban, 0, 2) && ! Bic::serves(substr($bic, 4, 2), substr($iban, 0, 2))) {
            throw BankingRefused::otherCountry(substr($bic, 4, 2), substr($iban, 0, 2));
        }

        return new self(AccountKind::Iban, $iban, $bic, null);
    }

    /** @throws BankingRefused when the routing number's check digit does not fit, or the account has not 4 to 17 digits */
    public static function us(string $routing, string $account, AccountUse $use): self
    {
        $account = preg_replace('/[\s-]+/', '', $account) ?? '';
        if (preg_match('/^\d{4,17}$/', $account) !== 1) {
            throw $account === '' ? BankingRefused::empty('account number') : BankingRefused::shape('account number', '4 to 17 digits');
        }

        return new self(AccountKind::UsAccount, $account, RoutingNumber::read($routing), $use);
    }

    /** @throws BankingRefused when the sort code has not six digits, or the account eight */
    public static function uk(string $sortCode, string $account): self
    {
        $code = preg_replace('/[\s-]+/', '', $sortCode) ?? '';
        $account = preg_replace('/[\s-]+/', '', $account) ?? '';
        if (preg_match('/^\d{6}$/', $code) !== 1) {
            throw $code === '' ? BankingRefused::empty('sort code') : BankingRefused::shape('sort code', '20-00-00');
        }
        if (preg_match('/^\d{8}$/', $account) !== 1) {
            throw $account === '' ? BankingRefused::empty('account number') : BankingRefused::shape('account number', '55779911');
        }

        return new self(AccountKind::UkAccount, $account, $code, null);
    }

    /** What is compared to find the same account again. */
    public function identity(): string
    {
        return implode('|', [$this->kind->value, $this->kind === AccountKind::Iban ? '' : $this->bank, $this->account]);
    }

    public function masked(): string
    {
        return '•••• '.substr($this->account, -self::SHOWN);
    }

    /** As it is written on paper, all of it. */
    public function display(): string
    {
        return match ($this->kind) {
            AccountKind::Iban => trim(chunk_split($this->account, 4, ' ')).($this->bank === '' ? '' : ', BIC '.$this->bank),
            AccountKind::UsAccount => "routing {$this->bank}, account {$this->account}, {$this->use?->title()}",
            AccountKind::UkAccount => 'sort code '.implode('-', str_split($this->bank, 2)).", account {$this->account}",
        };
    }
}
