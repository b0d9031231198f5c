<?php

declare(strict_types=1);

namespace Almanac\Banking;

use Almanac\Refusal;

/** Bank details that cannot be right, or that cannot be confirmed so. */
final class BankingRefused extends Refusal
{
    public static function empty(string $what): self
    {
        return new self("Type the $what.");
    }

    public static function shape(string $what, string $example): self
    {
        return new self("That is not a valid $what: it is written like $example.");
    }

    public static function checkDigits(string $what): self
    {
        return new self("That cannot be the $what: its check digits do not match. Compare it with the paper.");
    }

    public static function otherCountry(string $bic, string $iban): self
    {
        return new self("The BIC is of a bank in $bic, and the IBAN of one in $iban.");
    }

    public static function ownConfirmation(): self
    {
        return new self('Whoever entered the details cannot confirm them. Ask a second person.');
    }

    public static function notOnHold(): self
    {
        return new self('There is nothing on hold here any more. Somebody may have settled it meanwhile.');
    }

    public static function expired(): self
    {
        return new self('That card has expired. Ask for the new one.');
    }

    public static function stopped(): self
    {
        return new self('A caution stops payments to them. Settle what it is about, then lift it.');
    }

    public static function noAccount(): self
    {
        return new self('They have no confirmed bank details. Add them and have a second person confirm them, or pay in another way.');
    }

    public static function ownEnd(): self
    {
        return new self('Whoever asked for the end cannot agree to it. Ask a second person.');
    }

    public static function notInForce(): self
    {
        return new self('Those bank details are not in force. Choose others.');
    }

    public static function onHold(bool $isPayeeName): self
    {
        return new self($isPayeeName
            ? 'Their new payee name is on hold until a second person confirms it. Nothing is paid to it before that.'
            : 'Their bank details are on hold until a second person confirms them. Nothing is paid by transfer before that.');
    }
}
