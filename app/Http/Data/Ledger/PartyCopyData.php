<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** The details of the party that a document carries. */
#[OA\Schema(schema: 'PartyCopy')]
final readonly class PartyCopyData
{
    /** @param  list<string>  $address */
    private function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $payee,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $address,
        #[OA\Property]
        public string $taxNumber,
    ) {
    }

    /** @param  array{name: string, payee: string, address: list<string>, taxNumber: string}  $copy */
    public static function of(array $copy): self
    {
        return new self($copy['name'], $copy['payee'], $copy['address'], $copy['taxNumber']);
    }
}
