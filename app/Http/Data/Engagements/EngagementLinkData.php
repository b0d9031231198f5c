<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use App\Models\Engagement;
use OpenApi\Attributes as OA;

/** Enough of a case or a project to name it and to open it. */
#[OA\Schema(schema: 'EngagementLink')]
final readonly class EngagementLinkData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $number,
        #[OA\Property]
        public string $title,
    ) {
    }

    public static function of(Engagement $engagement): self
    {
        return new self($engagement->id, $engagement->number, $engagement->title);
    }

    public static function orNull(?Engagement $engagement): ?self
    {
        return $engagement === null ? null : self::of($engagement);
    }
}
