<?php

declare(strict_types=1);

namespace App\Http\Data\Finding;

use App\Facts\Records\RecordRow;
use App\Http\Data\Records\PartyRowData;
use App\Models\Balance;
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
    public static function of(RecordRow $row, ?Balance $balance, array $reasons): self
    {
        $owed = [];
        foreach (['receivable' => 'they owe us ', 'payable' => 'we owe them '] as $column => $words) {
            $amount = $balance?->amount($column);
            $owed[] = $amount === null ? '' : $words.$amount->figures();
        }

        return new self(PartyRowData::ofRow($row), $reasons, implode(', ', array_filter($owed)));
    }
}
