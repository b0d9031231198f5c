<?php

declare(strict_types=1);

namespace App\Papers;

use Almanac\Calendar\Day;
use Almanac\Interchange\CsvTable;
use Almanac\Terms\Side;
use App\Facts\Ledger\AccountStatement;
use App\Facts\Ledger\PartyCopy;
use App\Models\Party;
use App\Time\Clock;

/** A statement of account for others: on paper, or as a table. */
final readonly class StatementPaper
{
    public function __construct(private Clock $clock)
    {
    }

    /** @param  \Closure(int): void|null  $written how many lines there are so far */
    public function pdf(Party $party, Side $side, AccountStatement $statement, ?\Closure $written = null): string
    {
        return StatementSheet::pdf($statement, self::address($party, $side, $this->clock->today()), $this->clock->today(), $written);
    }

    public function csv(AccountStatement $account): string
    {
        return CsvTable::write([
            ['day', 'what', 'change', 'balance'],
            ['', 'Balance before', '', $account->statement->opening->toDecimal()],
            ...array_map(
                fn (array $line) => [$line[0]->toText(), $line[1], $line[2]->toDecimal(), $line[3]->toDecimal()],
                $account->statement->lines,
            ),
            [$account->until->toText(), 'Balance', '', $account->statement->closing->toDecimal()],
        ]);
    }

    /** @return list<string> where what concerns their account is sent to; the name alone where no address is known */
    public static function address(Party $party, Side $side, Day $today): array
    {
        $copy = PartyCopy::of($party, $side, $today);

        return $copy['address'] === [] ? [$copy['name']] : $copy['address'];
    }
}
