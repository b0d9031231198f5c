<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** What is still missing or wrong in something that is being written. */
#[OA\Schema(schema: 'PreviewProblem')]
final readonly class PreviewProblemData
{
    private function __construct(
        #[OA\Property]
        public string $field,
        #[OA\Property]
        public string $message,
    ) {
    }

    /**
     * @param array<string, list<string>> $errors by field
     *
     * @return list<self>
     */
    public static function all(array $errors): array
    {
        return array_map(fn (string $field, array $messages) => new self($field, $messages[0] ?? ''), array_keys($errors), $errors);
    }
}
