<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use App\Actions\Merging\PlannedLine;
use OpenApi\Attributes as OA;

/** A line of one of the records, and whether it stays. */
#[OA\Schema(schema: 'MergeLine')]
final readonly class MergeLineData
{
    private function __construct(
        #[OA\Property(description: 'Its section and key.')]
        public string $part,
        #[OA\Property]
        public int $partyId,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'For reading.')]
        public string $text,
        #[OA\Property]
        public bool $isKept,
        #[OA\Property(description: 'Whether the line above, of another record, says the same.')]
        public bool $isDouble,
        #[OA\Property(description: 'What it is called; null where it is called nothing.', nullable: true)]
        public ?string $label,
        #[OA\Property(description: 'Whether it comes first of its kind; null where none does.', nullable: true)]
        public ?bool $isPrimary,
        #[OA\Property(description: 'Of lines with the same, one comes first.')]
        public string $kind,
    ) {
    }

    public static function of(PlannedLine $line): self
    {
        return new self(
            $line->part,
            $line->line->partyId,
            $line->title,
            $line->text,
            $line->isKept,
            $line->line->doubleOf !== null,
            $line->label,
            $line->isPrimary,
            is_string($line->line->row['kind'] ?? null) ? $line->line->row['kind'] : '',
        );
    }
}
