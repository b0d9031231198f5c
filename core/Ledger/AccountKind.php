<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Titled;

/** The kinds of accounts in a chart of accounts. */
enum AccountKind: string implements Titled
{
    case Income = 'income';
    case Expense = 'expense';
    case Asset = 'asset';
    case Liability = 'liability';
    case Equity = 'equity';

    public function title(): string
    {
        return $this->value;
    }
}
