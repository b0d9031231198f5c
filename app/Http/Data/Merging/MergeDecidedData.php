<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use App\Models\Merge;
use OpenApi\Attributes as OA;

/** What was decided of records that are to become one, in the form in which it is sent. */
#[OA\Schema(schema: 'MergeDecided')]
final readonly class MergeDecidedData
{
    /**
     * @param list<int> $partyIds
     * @param list<array{part: string, partyId: int}> $chosen
     * @param list<array{part: string, isKept: bool, label?: string, isPrimary?: bool}> $lines
     */
    private function __construct(
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $partyIds,
        #[OA\Property]
        public int $keptId,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/MergeChoiceInput'))]
        public array $chosen,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/MergeLineInput'))]
        public array $lines,
        #[OA\Property]
        public bool $withArchived,
        #[OA\Property]
        public string $why,
    ) {
    }

    /** Load the merge with its sides. */
    public static function of(Merge $merge): self
    {
        $decided = $merge->decided();
        $lines = [];
        foreach ($decided->isKept as $part => $isKept) {
            $lines[] = ['part' => $part, 'isKept' => $isKept]
                + (isset($decided->labels[$part]) ? ['label' => $decided->labels[$part]] : [])
                + (in_array($part, $decided->primary, true) ? ['isPrimary' => true] : []);
        }

        return new self(
            array_values($merge->sides->pluck('party_id')->all()),
            $merge->kept_id,
            array_map(
                fn (string $part, int $id) => ['part' => $part, 'partyId' => $id],
                array_keys($decided->chosen),
                array_values($decided->chosen),
            ),
            $lines,
            $decided->withArchived,
            $merge->why,
        );
    }
}
