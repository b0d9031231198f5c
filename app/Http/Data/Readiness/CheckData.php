<?php

declare(strict_types=1);

namespace App\Http\Data\Readiness;

use Almanac\Readiness\Check;
use Almanac\Readiness\CheckState;
use OpenApi\Attributes as OA;

/** One thing a record needs for a purpose. */
#[OA\Schema(schema: 'Check')]
final readonly class CheckData
{
    private function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: CheckState::class)]
        public string $state,
        #[OA\Property(description: 'What to do; empty when it passed.')]
        public string $todo,
        #[OA\Property(description: 'The section of the record page where it is done.')]
        public string $section,
    ) {
    }

    public static function of(Check $check): self
    {
        return new self($check->name, $check->state->value, $check->todo, $check->section);
    }
}
