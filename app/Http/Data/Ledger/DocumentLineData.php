<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Models\Document;
use App\Models\DocumentLine;
use App\Models\Office;
use OpenApi\Attributes as OA;

/** One line of a document. */
#[OA\Schema(schema: 'DocumentLine')]
final readonly class DocumentLineData
{
    /** @param  list<int>  $costCentreIds */
    private function __construct(
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $quantity,
        #[OA\Property(description: 'As it is typed again.')]
        public string $price,
        #[OA\Property(description: 'For reading, with the decimals of the currency.')]
        public string $priceText,
        #[OA\Property(description: 'Percent.')]
        public string $discount,
        #[OA\Property(nullable: true)]
        public ?int $taxRateId,
        #[OA\Property(description: 'Percent.')]
        public string $tax,
        #[OA\Property(nullable: true)]
        public ?int $accountId,
        #[OA\Property]
        public string $account,
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $costCentreIds,
        #[OA\Property(description: 'The line of a quote or an order that it takes from.', nullable: true)]
        public ?int $sourceLineId,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $amount,
    ) {
    }

    public static function of(DocumentLine $line, Document $document): self
    {
        $sign = Office::current()->decimalSign();

        return new self(
            $line->text,
            $sign->write($line->quantity),
            $sign->write($line->price),
            $line->line()->priceText($document->currency),
            $line->discount,
            $line->tax_rate_id,
            $line->tax,
            $line->account_id,
            $line->account?->display() ?? '',
            $line->cost_centre_ids,
            $line->source_line_id,
            MoneyData::of($document->money($line->amount_minor)),
        );
    }
}
