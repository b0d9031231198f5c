<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\TaxIds\TaxIdKind;
use App\Models\TaxNumber;
use OpenApi\Attributes as OA;

/** A tax number, of which only the last signs are told. */
#[OA\Schema(schema: 'TaxNumber')]
final readonly class TaxNumberData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: TaxIdKind::class)]
        public string $kind,
        #[OA\Property(description: 'As in VAT number.')]
        public string $kindTitle,
        #[OA\Property(description: 'ISO 3166-1 alpha-2, of a VAT number.')]
        public string $country,
        #[OA\Property(description: 'Its last signs.')]
        public string $masked,
    ) {
    }

    public static function of(TaxNumber $number): self
    {
        return new self($number->id, $number->kind->value, $number->kind->title(), $number->country, $number->masked);
    }
}
