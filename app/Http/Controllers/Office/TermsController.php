<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use App\Actions\Office\KeepTerms;
use App\Http\Requests\Office\ListedTermsRequest;
use App\Models\ListedTerms;
use App\Queries\Office\ReadTerms;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The office's list of payment terms. */
final readonly class TermsController
{
    public function __construct(private KeepTerms $keep, private ReadTerms $read)
    {
    }

    #[
        OA\Get(
            path: '/api/terms',
            operationId: 'readTerms',
            summary: 'The office’s list of payment terms, with how many records use each',
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The list',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/ListedTermsUses')),
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
            path: '/api/terms',
            operationId: 'addTerms',
            summary: 'Add payment terms to the list',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/ListedTermsInput')),
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Added; the list',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/ListedTermsUses')),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function add(ListedTermsRequest $request): JsonResponse
    {
        return $this->save(new ListedTerms, $request, 201);
    }

    #[
        OA\Put(
            path: '/api/terms/{terms}',
            operationId: 'saveTerms',
            summary: 'Change payment terms of the list; records that use them follow',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/ListedTermsInput')),
            tags: ['Office'],
            parameters: [new OA\Parameter(name: 'terms', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Saved; the list',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/ListedTermsUses')),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function change(ListedTermsRequest $request, ListedTerms $terms): JsonResponse
    {
        return $this->save($terms, $request, 200);
    }

    private function save(ListedTerms $terms, ListedTermsRequest $request, int $status): JsonResponse
    {
        /** @var array{name: string, shorthand: string, isClientDefault: bool, isVendorDefault: bool, isRetired: bool} $input */
        $input = $request->validated();
        $this->keep->save($terms, $input);

        return new JsonResponse($this->read->handle(), $status);
    }
}
