<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use Almanac\Lists\Suggestion;
use OpenApi\Attributes as OA;

/** What may come next in a sentence: it takes the place of some letters. */
#[OA\Schema(schema: 'Suggestion')]
final readonly class SuggestionData
{
    private function __construct(
        #[OA\Property(description: 'How many letters stay before it.')]
        public int $at,
        #[OA\Property(description: 'How many it takes the place of.')]
        public int $length,
        #[OA\Property]
        public string $text,
    ) {
    }

    public static function of(Suggestion $one): self
    {
        return new self($one->at, $one->length, $one->text);
    }
}
