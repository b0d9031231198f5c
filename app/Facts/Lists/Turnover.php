<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Terms\Side;

/**
 * What was billed and paid within a time, in the words of the database: invoices and bills with tax, credits taken off,
 * opening balances left out, in one currency. What is void counts for nothing.
 */
final readonly class Turnover
{
    /** What is added up, in minor units: what we billed, what came in for it, what they billed us, what we paid. */
    public const SUMS = ['billed_minor', 'received_minor', 'bills_minor', 'paid_minor'];

    /** @param  string  $currency  ISO 4217 */
    public function __construct(private Day $first, private Day $last, private string $currency)
    {
    }

    /** Rows of party_id, day and the sums. */
    public function sql(): string
    {
        $columns = array_map(
            fn (Side $side) => 'case kind '.implode(' ', array_map(
                fn (DocumentKind $kind) => "when '{$kind->value}' then ".($kind->isCredit() ? '-' : '').'total_minor',
                self::kinds($side),
            )).' else 0 end',
            ['client' => Side::Client, 'vendor' => Side::Vendor],
        );
        $kinds = implode(
            "', '",
            array_map(fn (DocumentKind $kind) => $kind->value, [...self::kinds(Side::Client), ...self::kinds(Side::Vendor)]),
        );
        $states = implode("', '", array_column(DocumentState::counted(), 'value'));

        return "select party_id, dated_on as day, {$columns['client']} as billed_minor, 0 as received_minor, {$columns['vendor']} as bills_minor,"
            ." 0 as paid_minor from documents where kind in ('$kinds') and state in ('$states') and {$this->within('dated_on')}"
            ." union all select party_id, paid_on, 0, iif(side = 'client', amount_minor, 0), 0, iif(side = 'vendor', amount_minor, 0)"
            ." from payments where is_void = 0 and {$this->within('paid_on')}";
    }

    public static function sums(string $alias): string
    {
        return implode(', ', array_map(fn (string $sum) => "ifnull(sum($alias.$sum), 0) as $sum", self::SUMS));
    }

    /** @return list<DocumentKind> */
    private static function kinds(Side $side): array
    {
        return array_values(array_filter(
            DocumentKind::cases(),
            fn (DocumentKind $kind) => $kind->side() === $side && ! $kind->isOpening() && ($kind->isOwed() || $kind->isCredit()),
        ));
    }

    private function within(string $day): string
    {
        return "currency = '$this->currency' and $day between '{$this->first->toIso()}' and '{$this->last->toIso()}'";
    }
}
