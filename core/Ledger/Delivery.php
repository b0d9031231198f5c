<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Titled;

/** How documents reach somebody. */
enum Delivery: string implements Titled
{
    case Email = 'email';
    case Post = 'post';
    case Portal = 'portal';
    case EInvoice = 'e-invoice';

    public function title(): string
    {
        return $this->value;
    }
}
