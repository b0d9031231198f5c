<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use App\Actions\Merging\MergePlan;
use OpenApi\Attributes as OA;

/** The record that several become, as it will stand. */
#[OA\Schema(schema: 'MergePreview')]
final readonly class MergePreviewData
{
    /**
     * @param list<MergeSideData> $sides
     * @param list<HindranceData> $hindrances
     * @param list<MergeSectionData> $sections
     * @param list<MergeFigureData> $standing
     * @param list<MergeFigureData> $carried
     */
    private function __construct(
        #[OA\Property(description: 'The record that stays.')]
        public int $keptId,
        #[OA\Property(description: 'The one that stays first.', items: new OA\Items(ref: '#/components/schemas/MergeSide'))]
        public array $sides,
        #[OA\Property(description: 'What stands in the way.', items: new OA\Items(ref: '#/components/schemas/Hindrance'))]
        public array $hindrances,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/MergeSection'))]
        public array $sections,
        #[OA\Property(
            description: 'What each owes and is owed, and all together.',
            items: new OA\Items(ref: '#/components/schemas/MergeFigure'),
        )]
        public array $standing,
        #[OA\Property(description: 'How much comes along from each.', items: new OA\Items(ref: '#/components/schemas/MergeFigure'))]
        public array $carried,
        #[OA\Property(description: 'Changes when one of the records is saved; is sent with what is decided.')]
        public string $seen,
        #[OA\Property(description: 'Whether who asks may do it, rather than propose it.')]
        public bool $mayDo,
        #[OA\Property(description: 'Whether nothing stands in the way.')]
        public bool $isPossible,
    ) {
    }

    /**
     * @param list<MergeFigureData> $standing
     * @param list<MergeFigureData> $carried
     */
    public static function of(MergePlan $plan, array $standing, array $carried, bool $mayDo): self
    {
        $sections = array_map(MergeSectionData::of(...), $plan->sections);

        return new self(
            $plan->kept->id,
            array_values($plan->sides->map(MergeSideData::ofParty(...))->all()),
            array_map(HindranceData::of(...), $plan->hindrances),
            array_values(array_filter(
                $sections,
                fn (MergeSectionData $one) => $one->values !== [] || $one->lines !== [] || $one->members !== [],
            )),
            $standing,
            $carried,
            $plan->seen,
            $mayDo,
            $plan->inTheWay() === [],
        );
    }
}
