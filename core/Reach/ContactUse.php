<?php

declare(strict_types=1);

namespace Almanac\Reach;

/** What a contact point is used for. Where none is set for a use, the primary one serves; a copy goes only where one is asked for. */
enum ContactUse: string
{
    case Invoices = 'invoices';
    case InvoiceCopies = 'copies of invoices';
    case Statements = 'statements';
    case StatementCopies = 'copies of statements';
    case Remittances = 'remittances';
    case Orders = 'orders';
}
