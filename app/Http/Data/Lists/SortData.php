<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use Almanac\Lists\Field;
use OpenApi\Attributes as OA;

/** A field that a list is sorted by. */
#[OA\Schema(schema: 'Sort')]
final readonly class SortData
{
    private function __construct(
        #[OA\Property(description: 'Of the field.')]
        public string $key,
        #[OA\Property(
            description: 'The other way round than fields of its type are sorted: figures and days from the smallest, words from the last.',
        )]
        public bool $isReversed,
    ) {
    }

    public static function of(Field $field, bool $isReversed): self
    {
        return new self($field->key, $isReversed);
    }
}
