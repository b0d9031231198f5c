<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Titled;

/** What happens at a client's credit limit; the office's choice for that client. */
enum CreditPolicy: string implements Titled
{
    case Tell = 'tell';
    case Ask = 'ask';
    case Stop = 'stop';

    public function title(): string
    {
        return match ($this) {
            self::Tell => 'warn, and go on',
            self::Ask => 'ask before going on',
            self::Stop => 'stop',
        };
    }
}
