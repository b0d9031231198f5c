<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use Almanac\LookAlikes\Verdict;
use App\Models\LookAlikePair;
use OpenApi\Attributes as OA;

/** Two records of a group, and what speaks for and against. */
#[OA\Schema(schema: 'LookAlikePair')]
final readonly class LookAlikePairData
{
    /** @param  list<LookAlikeSignData>  $signs */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $firstId,
        #[OA\Property]
        public int $secondId,
        #[OA\Property]
        public bool $isSure,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/LookAlikeSign'), description: 'The weightiest first.')]
        public array $signs,
    ) {
    }

    public static function of(LookAlikePair $pair, bool $withPrivate): self
    {
        $signs = array_filter($pair->evidence(), fn (array $one) => $withPrivate || ! $one[0]->isPrivate());

        return new self(
            $pair->id,
            $pair->first_id,
            $pair->second_id,
            $pair->verdict === Verdict::Same,
            array_map(fn (array $one) => LookAlikeSignData::of(...$one), array_values($signs)),
        );
    }
}
