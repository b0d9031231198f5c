<?php

declare(strict_types=1);

namespace Almanac\Reach;

use Almanac\Titled;

/** What a contact point is used for. Where none is set for a use, the primary one serves; a copy goes only where one is asked for. */
enum ContactUse: string implements Titled
{
    case Invoices = 'invoices';
    case InvoiceCopies = 'invoice-copies';
    case Statements = 'statements';
    case StatementCopies = 'statement-copies';
    case Remittances = 'remittances';
    case Orders = 'orders';

    public function title(): string
    {
        return match ($this) {
            self::InvoiceCopies => 'copies of invoices',
            self::StatementCopies => 'copies of statements',
            default => $this->value,
        };
    }
}
