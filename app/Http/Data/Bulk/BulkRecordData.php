<?php

declare(strict_types=1);

namespace App\Http\Data\Bulk;

use Almanac\Bulk\BulkOutcome;
use App\Models\BulkChangeRecord;
use OpenApi\Attributes as OA;

/** What came of a bulk change for one record. */
#[OA\Schema(schema: 'BulkRecord')]
final readonly class BulkRecordData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: BulkOutcome::class)]
        public string $outcome,
        #[OA\Property(description: 'The outcome in words.')]
        public string $outcomeText,
        #[OA\Property]
        public string $message,
    ) {
    }

    public static function of(BulkChangeRecord $record): self
    {
        return new self($record->record_id, $record->name, $record->outcome->value, $record->outcome->title(), $record->message);
    }
}
