<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use App\Http\Data\Records\PartyRowData;
use OpenApi\Attributes as OA;

/** Records that look alike and are settled together, in the list. */
#[OA\Schema(schema: 'LookAlikeGroupRow')]
final readonly class LookAlikeGroupRowData
{
    /**
     * @param list<PartyRowData> $records
     * @param list<string> $reasons
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'Nearly always right; else it is for eyes.')]
        public bool $isSure,
        #[OA\Property(description: 'Put off by somebody.')]
        public bool $isLater,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/PartyRow'))]
        public array $records,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'What speaks for it, the weightiest first.')]
        public array $reasons,
        #[OA\Property(description: 'What they owe and are owed together, for reading; empty for nothing.')]
        public string $atStake,
        #[OA\Property(description: 'Who added one of them all the same; empty where the program found them.')]
        public string $addedBy,
    ) {
    }
}
