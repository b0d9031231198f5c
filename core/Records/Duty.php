<?php

declare(strict_types=1);

namespace Almanac\Records;

/** What somebody at a company is to be asked about. */
enum Duty: string
{
    case AccountsPayable = 'accounts payable';
    case Billing = 'billing';
    case Orders = 'orders';
    case Site = 'site';
    case Signatory = 'signatory';
    case Technical = 'technical';
}
