<?php

declare(strict_types=1);

namespace Almanac\Banking;

/**
 * Whether money may go to somebody in a certain way; asked by every way of paying. Money goes only
 * where two have looked: a transfer to an account that a second person has confirmed, a cheque to a
 * name that is not waiting for one; and nothing at all past a stop.
 */
final readonly class WayToPay
{
    /**
     * @param bool $isStopped a caution stops payments
     * @param bool $hasConfirmed an account is in force
     * @param bool $isAccountHeld a new account, or the end of one, waits for a second person
     * @param bool $isNameHeld a new payee name waits for a second person
     */
    public function __construct(private bool $isStopped, private bool $hasConfirmed, private bool $isAccountHeld, private bool $isNameHeld)
    {
    }

    /** @throws BankingRefused when it may not, saying what to do */
    public function mustBeOpen(PayBy $way): void
    {
        if ($this->isStopped) {
            throw BankingRefused::stopped();
        }
        if ($this->isNameHeld && ($way === PayBy::Transfer || $way === PayBy::Cheque)) {
            throw BankingRefused::onHold(true);
        }
        if ($way === PayBy::Transfer && $this->isAccountHeld) {
            throw BankingRefused::onHold(false);
        }
        if ($way === PayBy::Transfer && ! $this->hasConfirmed) {
            throw BankingRefused::noAccount();
        }
    }
}
