<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use App\Models\Job;
use OpenApi\Attributes as OA;

/** A file that is made behind the screen. */
#[OA\Schema(schema: 'Job')]
final readonly class JobData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: ['statement', 'archive'])]
        public string $kind,
        #[OA\Property(description: 'Whose statement it is.', nullable: true)]
        public ?int $partyId,
        #[OA\Property(description: 'Of a statement; empty for an archive, as the next three.')]
        public string $side,
        #[OA\Property]
        public string $currency,
        #[OA\Property(description: 'As it was typed.')]
        public string $from,
        #[OA\Property]
        public string $to,
        #[OA\Property(enum: ['running', 'ready', 'failed'])]
        public string $state,
        #[OA\Property(description: 'Lines written; of an archive, parts of a hundred.')]
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
            $job->kind,
            $job->party_id,
            $job->input['side'] ?? '',
            $job->input['currency'] ?? '',
            $job->input['from'] ?? '',
            $job->input['to'] ?? '',
            $job->isStuck() ? Job::FAILED : $job->state,
            $job->done,
            $job->total,
            $job->isStuck() ? 'The work was interrupted. Make it again.' : $job->failure,
        );
    }
}
