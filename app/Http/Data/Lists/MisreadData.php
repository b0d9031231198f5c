<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use Almanac\Lists\Misread;
use OpenApi\Attributes as OA;

/** A part of a sentence that was not understood, or that asks for what is not there. */
#[OA\Schema(schema: 'Misread')]
final readonly class MisreadData
{
    private function __construct(
        #[OA\Property(description: 'How many letters of the sentence come before it.')]
        public int $at,
        #[OA\Property]
        public int $length,
        #[OA\Property(description: 'What is wrong, and what to do.')]
        public string $message,
        #[OA\Property(description: 'Whether the list does without it; else it is asked, and nobody has it.')]
        public bool $isLeftOut,
    ) {
    }

    public static function of(Misread $one): self
    {
        return new self($one->at, $one->length, $one->message, $one->isLeftOut);
    }
}
