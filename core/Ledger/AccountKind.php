<?php

declare(strict_types=1);

namespace Almanac\Ledger;

/** The kinds of accounts in a chart of accounts. */
enum AccountKind: string
{
    case Income = 'income';
    case Expense = 'expense';
    case Asset = 'asset';
    case Liability = 'liability';
    case Equity = 'equity';
}
