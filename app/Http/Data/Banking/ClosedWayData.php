<?php

declare(strict_types=1);

namespace App\Http\Data\Banking;

use Almanac\Banking\BankingRefused;
use Almanac\Banking\PayBy;
use Almanac\Banking\WayToPay;
use OpenApi\Attributes as OA;

/** A way in which nothing may be paid now, and why. */
#[OA\Schema(schema: 'ClosedWay')]
final readonly class ClosedWayData
{
    private function __construct(
        #[OA\Property]
        public string $way,
        #[OA\Property]
        public string $why,
    ) {
    }

    /** @return list<self> */
    public static function all(WayToPay $ways): array
    {
        $closed = [];
        foreach (PayBy::cases() as $way) {
            try {
                $ways->mustBeOpen($way);
            } catch (BankingRefused $refused) {
                $closed[] = new self($way->value, $refused->getMessage());
            }
        }

        return $closed;
    }
}
