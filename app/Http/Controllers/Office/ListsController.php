<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use Almanac\Records\OfficeList;
use App\Actions\Office\KeepLists;
use App\Http\Requests\Office\ListItemRequest;
use App\Models\ListItem;
use App\Queries\Office\ReadLists;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The lists of words that the office keeps for itself. */
final readonly class ListsController
{
    public function __construct(private KeepLists $keep, private ReadLists $read)
    {
    }

    #[
        OA\Get(
            path: '/api/lists',
            operationId: 'readLists',
            summary: 'The office’s own lists, with how often each entry is used',
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Every list',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/OfficeList')),
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
            path: '/api/lists/{list}',
            operationId: 'addListItem',
            summary: 'Add an entry to a list',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/ListItemInput')),
            tags: ['Office'],
            parameters: [new OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Added; every list',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/OfficeList')),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function add(ListItemRequest $request, OfficeList $list): JsonResponse
    {
        $this->keep->add($list, $request->string('name')->value(), $request->string('inverse')->value());

        return new JsonResponse($this->read->handle(), 201);
    }

    #[
        OA\Put(
            path: '/api/list-items/{item}',
            operationId: 'saveListItem',
            summary: 'Rename an entry of a list, retire it, or take it back',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/ListItemInput')),
            tags: ['Office'],
            parameters: [new OA\Parameter(name: 'item', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Saved; every list',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/OfficeList')),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function change(ListItemRequest $request, ListItem $item): JsonResponse
    {
        $this->keep->change(
            $item,
            $request->string('name')->value(),
            $request->string('inverse')->value(),
            $request->boolean('isRetired'),
        );

        return new JsonResponse($this->read->handle());
    }
}
