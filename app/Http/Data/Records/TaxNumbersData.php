<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\TaxIds\ReportChoice;
use OpenApi\Attributes as OA;

/** The section "Tax numbers". */
#[OA\Schema(schema: 'TaxNumbers')]
final readonly class TaxNumbersData
{
    /** @param  list<TaxNumberData>  $numbers */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/TaxNumber'))]
        public array $numbers,
        #[OA\Property(description: 'The day form W-9 came in, to be changed; empty while it has not.')]
        public string $formOn,
        #[OA\Property(description: 'The same for reading.')]
        public string $formOnText,
        #[OA\Property(description: 'Who signed it.')]
        public string $formBy,
        #[OA\Property(description: 'The file of the record that it is.', nullable: true)]
        public ?int $formFileId,
        #[OA\Property(enum: ReportChoice::class)]
        public string $reportChoice,
        #[OA\Property]
        public bool $isAttorney,
        #[OA\Property(description: 'Whether what they are paid goes into the tax report.')]
        public bool $isReportable,
        #[OA\Property]
        public string $why,
    ) {
    }
}
