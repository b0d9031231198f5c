<?php

declare(strict_types=1);

namespace Almanac\Ledger;

/** How documents reach somebody. */
enum Delivery: string
{
    case Email = 'email';
    case Post = 'post';
    case Portal = 'portal';
    case EInvoice = 'e-invoice';
}
