<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use Almanac\Lists\ListOf;
use App\Http\Requests\ShapedRequest;
use OpenApi\Attributes as OA;

/** What the descriptions of most routes have in common: numbers in the path, an answer, and the problem when it is refused. */
final class Described
{
    /** What is not a number in a path. */
    private const NAMES = ['section' => 'string'];

    private const CODES = ['list' => ListOf::class];

    /**
     * @param array<string, string>|class-string<ShapedRequest> $query types by name, or the request that says it
     *
     * @return list<OA\Parameter>
     */
    public static function parameters(string $path, array|string $query = []): array
    {
        preg_match_all('/\{(\w+)\}/', $path, $names);

        return [
            ...array_map(
                fn (string $name) => new OA\Parameter(
                    name: $name,
                    in: 'path',
                    required: true,
                    schema: isset(self::CODES[$name])
                        ? new OA\Schema(type: 'string', enum: self::CODES[$name])
                        : new OA\Schema(type: self::NAMES[$name] ?? 'integer'),
                ),
                $names[1],
            ),
            ...is_string($query) ? $query::shape()->parameters() : array_map(
                fn (string $name, string $type) => new OA\Parameter(name: $name, in: 'query', schema: new OA\Schema(type: $type)),
                array_keys($query),
                $query,
            ),
        ];
    }

    /**
     * @param string $schema one of the contract; in [brackets] for a list of it; empty for a file
     *
     * @return list<OA\Response>
     */
    public static function responses(string $schema, int $status = 200): array
    {
        $ref = '#/components/schemas/'.trim($schema, '[]');
        $content = match (true) {
            $schema === '' => new OA\MediaType(mediaType: 'application/octet-stream'),
            str_starts_with($schema, '[') => new OA\JsonContent(type: 'array', items: new OA\Items(ref: $ref)),
            default => new OA\JsonContent(ref: $ref),
        };

        return [
            new OA\Response(response: $status, description: 'Done', content: $content),
            new OA\Response(response: 'default', description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        ];
    }

    /**
     * What a route that takes something in is described with.
     *
     * @return array<string, mixed>
     */
    public static function taking(
        string $path,
        string $operationId,
        string $summary,
        string $input,
        string $schema,
        string $tag,
        int $status,
    ): array {
        $body = self::body($input);

        return [
            'path' => '/api/'.$path,
            'operationId' => $operationId,
            'summary' => $summary,
            'tags' => [$tag],
            'parameters' => self::parameters($path),
            'responses' => self::responses($schema, $status),
            ...($body === null ? [] : ['requestBody' => $body]),
        ];
    }

    private static function body(string $input): ?OA\RequestBody
    {
        return $input === '' ? null : new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/'.$input));
    }
}
