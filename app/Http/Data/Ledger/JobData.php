<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Models\Job;
use OpenApi\Attributes as OA;

/** A statement on paper that is made behind the screen. */
#[OA\Schema(schema: 'Job')]
final readonly class JobData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $partyId,
        #[OA\Property]
        public string $side,
        #[OA\Property]
        public string $currency,
        #[OA\Property(description: 'As it was typed.')]
        public string $from,
        #[OA\Property]
        public string $to,
        #[OA\Property(enum: ['running', 'ready', 'failed'])]
        public string $state,
        #[OA\Property(description: 'Lines written.')]
        public int $done,
        #[OA\Property]
        public int $total,
        #[OA\Property(description: 'Why it came to nothing.')]
        public string $failure,
    ) {
    }

    public static function of(Job $job): self
    {
        return new self(
            $job->id,
            $job->party_id,
            $job->input['side'],
            $job->input['currency'],
            $job->input['from'],
            $job->input['to'],
            $job->isStuck() ? Job::FAILED : $job->state,
            $job->done,
            $job->total,
            $job->isStuck() ? 'The work was interrupted. Make it again.' : $job->failure,
        );
    }
}
