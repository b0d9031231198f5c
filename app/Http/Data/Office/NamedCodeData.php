<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use OpenApi\Attributes as OA;

/** A code of a standard, and its name in English. */
#[OA\Schema(schema: 'NamedCode')]
final readonly class NamedCodeData
{
    private function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
    ) {
    }

    /**
     * @param array<string, string> $names by code
     *
     * @return list<self>
     */
    public static function list(array $names): array
    {
        return array_map(
            fn (string $code, string $name) => new self($code, $name),
            array_map(strval(...), array_keys($names)),
            array_values($names),
        );
    }
}
