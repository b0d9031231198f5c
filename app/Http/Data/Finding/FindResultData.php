<?php

declare(strict_types=1);

namespace App\Http\Data\Finding;

use Almanac\Money\Money;
use App\Http\Data\Records\PartyRowData;
use App\Models\Office;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** A record that answers what was typed, and why. */
#[OA\Schema(schema: 'FindResult')]
final readonly class FindResultData
{
    /** @param  list<string>  $reasons */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $reasons,
        #[OA\Property(description: 'What is open with them in the office’s currency, for reading; empty for nothing.')]
        public string $owed,
    ) {
    }

    /** @param  list<string>  $reasons */
    public static function of(Party $party, array $reasons): self
    {
        $home = Office::current()->currency();
        $owed = array_filter([
            ($party->balance->receivable ?? 0) === 0 ? '' : 'they owe us '.Money::ofMinor($party->balance->receivable ?? 0, $home)->figures(),
            ($party->balance->payable ?? 0) === 0 ? '' : 'we owe them '.Money::ofMinor($party->balance->payable ?? 0, $home)->figures(),
        ]);

        return new self(PartyRowData::of($party), $reasons, implode(', ', $owed));
    }
}
