<?php

declare(strict_types=1);

namespace Almanac\Reach;

/** What a contact point is used for. Where none is set for a use, the primary one serves. */
enum ContactUse: string
{
    case Invoices = 'invoices';
    case Statements = 'statements';
    case Remittances = 'remittances';
    case Orders = 'orders';
}
