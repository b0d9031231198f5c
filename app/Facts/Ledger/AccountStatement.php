<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Ageing;
use Almanac\Ledger\Statement;
use Almanac\Records\Period;
use App\Models\Document;
use Illuminate\Database\Eloquent\Collection;

/** A statement of account on one side in one currency, and what is open at its end. */
final readonly class AccountStatement
{
    /** Lines that are drawn while somebody waits: about a second. */
    public const MOST_AT_ONCE = 2500;

    /** @param  Collection<int, Document>  $open with their parts, what is due first before the rest */
    public function __construct(
        public string $currency,
        public Period $period,
        public Day $until,
        public Statement $statement,
        public Collection $open,
        public Ageing $ageing,
    ) {
    }

    /** Whether it is too long to be put on paper while somebody waits. */
    public function isLong(): bool
    {
        return count($this->statement->lines) > self::MOST_AT_ONCE;
    }
}
