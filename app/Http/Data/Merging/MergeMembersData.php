<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use OpenApi\Attributes as OA;

/** Names out of one of the office's lists, of all the records together. */
#[OA\Schema(schema: 'MergeMembers')]
final readonly class MergeMembersData
{
    /** @param  list<string>  $names */
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $names,
    ) {
    }
}
