<?php

declare(strict_types=1);

namespace Almanac\Banking;

/** The ways in which a bank account is written. */
enum AccountKind: string
{
    case Iban = 'IBAN';
    case UsAccount = 'US account';
    case UkAccount = 'UK account';
}
