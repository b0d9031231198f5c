<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use App\Actions\Merging\ApartChange;
use App\Actions\Merging\ApartItem;
use App\Actions\Merging\ApartPlan;
use OpenApi\Attributes as OA;

/** What becomes of each record when they are taken apart. */
#[OA\Schema(schema: 'ApartPreview')]
final readonly class ApartPreviewData
{
    /**
     * @param list<ApartBackData> $back
     * @param list<ApartItemData> $items
     * @param list<ApartChangeData> $changes
     * @param list<string> $lost
     */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/Merge')]
        public MergeData $merge,
        #[OA\Property(description: 'What goes back.', items: new OA\Items(ref: '#/components/schemas/ApartBack'))]
        public array $back,
        #[OA\Property(description: 'What came since.', items: new OA\Items(ref: '#/components/schemas/ApartItem'))]
        public array $items,
        #[OA\Property(description: 'What was changed since.', items: new OA\Items(ref: '#/components/schemas/ApartChange'))]
        public array $changes,
        #[OA\Property(description: 'What cannot be brought back, and what is undone.', items: new OA\Items(type: 'string'))]
        public array $lost,
        #[OA\Property(description: 'Is sent with what is decided.')]
        public string $seen,
        #[OA\Property]
        public bool $mayDo,
    ) {
    }

    public static function of(ApartPlan $plan, bool $mayDo): self
    {
        return new self(
            MergeData::of($plan->merge),
            array_map(fn (array $one) => new ApartBackData(...$one), $plan->back),
            array_map(fn (ApartItem $one) => ApartItemData::of($one), $plan->items),
            array_map(fn (ApartChange $one) => ApartChangeData::of($one), $plan->changes),
            $plan->lost,
            $plan->seen,
            $mayDo,
        );
    }
}
