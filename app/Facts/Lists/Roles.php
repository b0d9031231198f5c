<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;
use Almanac\Lists\Value;

/** Client, vendor, both or neither: two columns that are asked as choices. */
final class Roles implements Source
{
    private const COLUMNS = ['client' => 'v.is_client = 1', 'vendor' => 'v.is_vendor = 1'];

    public function asks(Condition $condition, Day $today): Asked
    {
        $asked = array_map(
            fn (Value $one) => new Asked(self::COLUMNS[Fold::text($one->toText())] ?? '1 = 0'),
            $condition->operator->operands() === 0 ? [Value::choice('client'), Value::choice('vendor')] : $condition->operands,
        );
        $together = Asked::together($asked, $condition->operator === Operator::AllOf);

        return $condition->operator->isDenial() ? $together->within('not %s') : $together;
    }

    public function grouped(string $alias, Day $today): array
    {
        return [
            "left join (select party_id, 'client' as g from record_values where is_client union all"
                ." select party_id, 'vendor' from record_values where is_vendor) as $alias on $alias.party_id = v.party_id",
            "$alias.g",
        ];
    }

    public function order(): string
    {
        return 'nullif(iif(v.is_client, iif(v.is_vendor, 2, 1), iif(v.is_vendor, 3, 0)), 0)';
    }
}
