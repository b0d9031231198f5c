<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\OnExisting;
use OpenApi\Attributes as OA;

/** A line of a file, or the lines of one document, and what it comes to. */
#[OA\Schema(schema: 'ImportLine')]
final readonly class ImportLineData
{
    /**
     * @param list<ImportCellProblemData> $problems
     * @param list<ImportChangeData> $changes
     * @param list<ImportCandidateData> $candidates
     */
    public function __construct(
        #[OA\Property(description: 'In the file.')]
        public int $line,
        #[OA\Property(enum: LineOutcome::class)]
        public string $outcome,
        #[OA\Property]
        public string $outcomeText,
        #[OA\Property(description: 'Whom it is of, or which document it is, as far as it can be read.')]
        public string $name,
        #[OA\Property(description: 'What there is to say of it, or why it was not possible.')]
        public string $message,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ImportCellProblem'))]
        public array $problems,
        #[OA\Property(description: 'What it would change, or add; of a document what it says.', items: new OA\Items(ref: '#/components/schemas/ImportChange'))]
        public array $changes,
        #[OA\Property(description: 'Whom it changes, or whose the document is; once it is taken, whom it added.', nullable: true)]
        public ?ImportCandidateData $record,
        #[OA\Property(description: 'Whom it may be.', items: new OA\Items(ref: '#/components/schemas/ImportCandidate'))]
        public array $candidates,
        #[OA\Property(description: 'What somebody said of it.', enum: ['new', 'record', 'out'], nullable: true)]
        public ?string $decision,
        #[OA\Property(enum: OnExisting::class, nullable: true)]
        public ?string $existing,
        #[OA\Property(enum: LineDone::class, nullable: true)]
        public ?string $done,
        #[OA\Property]
        public string $doneText,
        #[OA\Property(description: 'The document that it became.', nullable: true)]
        public ?int $documentId,
    ) {
    }
}
