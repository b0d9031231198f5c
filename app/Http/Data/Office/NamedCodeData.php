<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Almanac\Titled;
use OpenApi\Attributes as OA;

/** A code of a standard, or of our own, and its name in English. */
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
     * @template T of \BackedEnum
     *
     * @param list<T> $cases
     * @param (\Closure(T): string)|null $title where it is not its own
     *
     * @return list<self>
     */
    public static function titled(array $cases, ?\Closure $title = null): array
    {
        $title ??= fn (Titled $case) => $case->title();

        return array_map(fn (\BackedEnum $case) => new self((string) $case->value, $title($case)), $cases);
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
