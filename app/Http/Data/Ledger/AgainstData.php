<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Ledger\LedgerRefused;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** What stands against issuing a document. */
#[OA\Schema(schema: 'Against')]
final readonly class AgainstData
{
    private function __construct(
        #[OA\Property]
        public string $message,
        #[OA\Property(description: 'Whether somebody may say yes to it.')]
        public bool $asks,
    ) {
    }

    public static function of(ValidationException|LedgerRefused $against): self
    {
        $errors = $against instanceof ValidationException ? $against->errors() : [];
        $first = array_values($errors)[0][0] ?? null;

        return new self(is_string($first) ? $first : $against->getMessage(), isset($errors['isConfirmed']));
    }
}
