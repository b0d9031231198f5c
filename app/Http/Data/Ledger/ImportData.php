<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Models\Import;
use OpenApi\Attributes as OA;

/** A file of documents that is being read in. */
#[OA\Schema(schema: 'Import')]
final readonly class ImportData
{
    /** Without a sign of life for so long, whoever worked on it is gone. */
    private const PATIENCE = 120;

    /** @param  list<ImportProblemData>  $problems */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: ['checking', 'checked', 'taking', 'counting', 'taken', 'failed'])]
        public string $state,
        #[OA\Property(description: 'Documents that can be taken.')]
        public int $found,
        #[OA\Property(description: 'How many have been.')]
        public int $done,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ImportProblem'))]
        public array $problems,
        #[OA\Property(description: 'All of them, of which the first are shown.')]
        public int $problemCount,
        #[OA\Property]
        public string $failure,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'Whether the work on it has stopped half way, and may begin again; nothing was taken.')]
        public bool $isStuck,
    ) {
    }

    public static function of(Import $import): self
    {
        return new self(
            $import->id,
            $import->name,
            $import->state,
            $import->found,
            $import->taken,
            array_map(
                fn (array $problem) => new ImportProblemData($problem['line'], $problem['field'], $problem['message']),
                $import->problems,
            ),
            $import->problem_count,
            $import->failure,
            $import->user->name,
            in_array($import->state, ['checking', 'taking', 'counting'], true) &&
                $import->updated_at->diffInSeconds(now(), true) > self::PATIENCE,
        );
    }
}
