<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use App\Actions\Office\KeepSheets;
use App\Http\Requests\Office\SheetRequest;
use App\Models\DetailSheet;
use App\Queries\Office\ReadSheets;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The firm's own detail sheets. */
final readonly class SheetsController
{
    public function __construct(private KeepSheets $keep, private ReadSheets $read)
    {
    }

    #[
        OA\Get(
            path: '/api/sheets',
            operationId: 'readSheets',
            summary: 'The office’s own detail sheets',
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Every sheet',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Sheet')),
                ),
            ],
        ),
    ]
    public function index(): JsonResponse
    {
        return new JsonResponse($this->read->handle());
    }

    #[
        OA\Post(
            path: '/api/sheets',
            operationId: 'addSheet',
            summary: 'Add a detail sheet',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/SheetInput')),
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Added; every sheet',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Sheet')),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function add(SheetRequest $request): JsonResponse
    {
        return $this->save(new DetailSheet, $request, 201);
    }

    #[
        OA\Put(
            path: '/api/sheets/{sheet}',
            operationId: 'saveSheet',
            summary: 'Change a detail sheet, or retire it',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/SheetInput')),
            tags: ['Office'],
            parameters: [new OA\Parameter(name: 'sheet', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Saved; every sheet',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Sheet')),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function change(SheetRequest $request, DetailSheet $sheet): JsonResponse
    {
        return $this->save($sheet, $request, 200);
    }

    private function save(DetailSheet $sheet, SheetRequest $request, int $status): JsonResponse
    {
        /**
         * @var array{
         *     name: string, partyKind: string|null, type: string, engagementKindId?: int|null, isRetired: bool,
         *     fields: list<array{
         *         id: int|null, name: string, kind: string, options: list<string>, help: string, requiredFor: string|null,
         *         isRetired: bool,
         *     }>,
         * } $input
         */
        $input = $request->validated();
        $this->keep->save($sheet, $input);

        return new JsonResponse($this->read->handle(), $status);
    }
}
