<?php

declare(strict_types=1);

namespace Almanac\Banking;

use Almanac\Titled;

/** What an account of a bank of the United States is for, as its transfers tell (Nacha transaction codes 22 and 32). */
enum AccountUse: string implements Titled
{
    case Checking = 'checking';
    case Savings = 'savings';

    public function title(): string
    {
        return strtr($this->value, '-', ' ');
    }
}
