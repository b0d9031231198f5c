<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Ledger\CreditPolicy;

/** What stands against a document. */
final readonly class UseCheck
{
    /**
     * @param list<string> $stops cautions that forbid it
     * @param list<string> $notes cautions to be read
     * @param CreditPolicy|null $policy what the office does when the limit would be passed; null when it would not
     * @param string $creditSentence the figures of the credit limit; empty without one
     */
    public function __construct(
        public array $stops,
        public array $notes,
        public ?CreditPolicy $policy,
        public string $creditSentence,
    ) {
    }
}
