<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\LookAlikes\ScanState;
use App\Models\LookAlikeScan;
use OpenApi\Attributes as OA;

/** The last time the whole book was gone through for look-alikes. */
#[OA\Schema(schema: 'LookAlikeScan')]
final readonly class LookAlikeScanData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: ScanState::class)]
        public string $state,
        #[OA\Property]
        public bool $isUnderWay,
        #[OA\Property(description: 'Of a hundred.')]
        public int $done,
        #[OA\Property]
        public int $records,
        #[OA\Property]
        public int $compared,
        #[OA\Property]
        public int $found,
        #[OA\Property]
        public string $failure,
        #[OA\Property(description: 'The day it ended, for reading; empty while it has not.')]
        public string $day,
    ) {
    }

    public static function of(LookAlikeScan $scan): self
    {
        return new self(
            $scan->id,
            $scan->state->value,
            $scan->state->isUnderWay(),
            $scan->done,
            $scan->records,
            $scan->compared,
            $scan->found,
            $scan->failure,
            $scan->ended_at === null ? '' : Day::fromIso($scan->ended_at->toDateString())->toText(),
        );
    }
}
