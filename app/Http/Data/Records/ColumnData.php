<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Lists\FieldType;
use App\Facts\Lists\ListedField;
use Illuminate\Database\Eloquent\Model;
use OpenApi\Attributes as OA;

/** A column of a list. */
#[OA\Schema(schema: 'Column')]
final readonly class ColumnData
{
    private function __construct(
        #[OA\Property(description: 'Of the field; a list is sorted by it.')]
        public string $key,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'Whether it holds figures, which stand at the right.')]
        public bool $isFigure,
        #[OA\Property(description: 'Whether it is sorted from the largest or the latest.')]
        public bool $isFromTop,
        #[OA\Property(description: 'Whether a list can be sorted by it.')]
        public bool $isSorted,
        #[OA\Property(description: 'How wide somebody made it, in pixels; null for as wide as it usually is.', nullable: true)]
        public ?int $width,
    ) {
    }

    /** @param  ListedField<covariant Model>  $one */
    public static function of(ListedField $one, ?int $width): self
    {
        $isFigure = in_array($one->field->type, [FieldType::Amount, FieldType::Number], true);

        return new self(
            $one->field->key,
            $one->field->title,
            $isFigure,
            $one->field->type->isFromTop(),
            $one->source->order() !== '',
            $width,
        );
    }
}
