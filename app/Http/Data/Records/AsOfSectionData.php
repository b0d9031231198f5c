<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Records\ComparedFact;
use App\Actions\Records\ComparedSection;
use OpenApi\Attributes as OA;

/** A section on two days. */
#[OA\Schema(schema: 'AsOfSection')]
final readonly class AsOfSectionData
{
    /** @param  list<AsOfFactData>  $facts */
    private function __construct(
        #[OA\Property]
        public string $section,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'Whether it was saved as one, so that it can be brought back.')]
        public bool $isKept,
        #[OA\Property(description: 'To be sent when it is brought back.')]
        public int $version,
        #[OA\Property]
        public bool $isDifferent,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/AsOfFact'))]
        public array $facts,
    ) {
    }

    public static function of(ComparedSection $section, int $version): self
    {
        return new self(
            $section->name->value,
            $section->name->title(),
            $section->kept !== null,
            $version,
            $section->isDifferent(),
            array_map(fn (ComparedFact $fact) => AsOfFactData::of($fact), $section->facts),
        );
    }
}
