<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Models\Party;
use OpenApi\Attributes as OA;

/** Since when and why a record is out of use. */
#[OA\Schema(schema: 'Archive')]
final readonly class ArchiveData
{
    private function __construct(
        #[OA\Property]
        public string $onText,
        #[OA\Property]
        public string $reason,
    ) {
    }

    public static function of(Party $party): ?self
    {
        return $party->archived_on === null ? null : new self($party->archived_on->toText(), $party->archive_reason);
    }
}
