<?php

declare(strict_types=1);

namespace Almanac\Ledger;

/** What happens at a client's credit limit; the office's choice for that client. */
enum CreditPolicy: string
{
    case Tell = 'tell';
    case Ask = 'ask';
    case Stop = 'stop';

    public function words(): string
    {
        return match ($this) {
            self::Tell => 'warn, and go on',
            self::Ask => 'ask before going on',
            self::Stop => 'stop',
        };
    }
}
