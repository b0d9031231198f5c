<?php

declare(strict_types=1);

namespace Almanac\Engagements;

use Almanac\Ledger\Standing;
use Almanac\Money\Money;

/** What a case or a project comes to, in one currency, worked out from its documents and payments. */
final readonly class EngagementFigures
{
    private function __construct(
        public ?Money $agreed,
        public Money $billed,
        public Money $open,
        public Money $received,
        public Money $bills,
        public ?Money $left,
        public ?int $percent,
        public Standing $clients,
    ) {
    }

    /**
     * @param Money|null $agreed the fee or the budget; null where none was agreed
     * @param Money $billed invoices less credit notes, without tax
     * @param Money $received payments for it
     * @param Money $bills of others for it, less their credit notes, without tax
     * @param Standing $clients how its invoices stand: what is open of them, with tax and less open credit notes, how late and how fast
     */
    public static function of(?Money $agreed, Money $billed, Money $received, Money $bills, Standing $clients): self
    {
        return new self(
            $agreed,
            $billed,
            $clients->open->minus($clients->credits),
            $received,
            $bills,
            $agreed?->minus($billed),
            $agreed === null || $agreed->isZero() ? null : $billed->shareOf($agreed),
            $clients,
        );
    }
}
