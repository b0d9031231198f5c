<?php

declare(strict_types=1);

namespace App\Http\Data\Reminders;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'CalendarAddress')]
final readonly class CalendarAddressData
{
    public function __construct(
        #[OA\Property(description: 'For a calendar program; told only this once.')]
        public string $address,
    ) {
    }
}
