<?php

declare(strict_types=1);

namespace App\Http\Controllers\Terms;

use App\Http\Requests\Terms\PreviewRequest;
use App\Queries\Terms\PreviewTerms;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final readonly class PreviewController
{
    #[
        OA\Post(
            path: '/api/terms/preview',
            operationId: 'previewTerms',
            summary: 'When a document would be due, and why',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/PreviewInput')),
            tags: ['Terms'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The due date and how it came about',
                    content: new OA\JsonContent(ref: '#/components/schemas/TermsAnswer'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Cannot be read',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function __invoke(PreviewRequest $request, PreviewTerms $preview): JsonResponse
    {
        return new JsonResponse($preview->handle(
            $request->string('terms')->value(),
            $request->string('documentDate')->value(),
        ));
    }
}
