<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use App\Actions\Merging\ApartChange;
use OpenApi\Attributes as OA;

/** A value that was changed while records were one, and who has it as it is now. */
#[OA\Schema(schema: 'ApartChange')]
final readonly class ApartChangeData
{
    /** @param  list<int>  $partyIds */
    private function __construct(
        #[OA\Property]
        public string $part,
        #[OA\Property(description: 'Of the section.')]
        public string $section,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'Right after they were made one; empty for nothing.')]
        public string $was,
        #[OA\Property(description: 'Now; empty for nothing.')]
        public string $is,
        #[OA\Property(description: 'Who has it as it is now.', items: new OA\Items(type: 'integer'))]
        public array $partyIds,
        #[OA\Property(description: 'Whether it came since, and goes to one of them.')]
        public bool $isNew,
    ) {
    }

    public static function of(ApartChange $one): self
    {
        return new self($one->part, $one->section->title(), $one->title, $one->was, $one->is, $one->has, $one->isNew);
    }
}
