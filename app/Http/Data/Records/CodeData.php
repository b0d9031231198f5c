<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Models\PartyCode;
use OpenApi\Attributes as OA;

/** A number or an id by which the record is known somewhere else. */
#[OA\Schema(schema: 'Code')]
final readonly class CodeData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $system,
        #[OA\Property]
        public string $value,
    ) {
    }

    public static function of(PartyCode $code): self
    {
        return new self($code->id, $code->system, $code->value);
    }
}
