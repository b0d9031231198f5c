<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use App\Actions\Office\KeepLogo;
use App\Http\Data\Office\OfficeData;
use App\Http\Requests\Office\LogoRequest;
use App\Models\Office;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Storage;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The logo on the office's papers. */
final readonly class LogoController
{
    public function __construct(private KeepLogo $keep)
    {
    }

    #[
        OA\Get(
            path: '/api/office/logo',
            operationId: 'readLogo',
            summary: 'The logo on the papers of the office',
            tags: ['Office'],
            responses: [
                new OA\Response(response: 200, description: 'The picture', content: new OA\MediaType(mediaType: 'image/png')),
                new OA\Response(
                    response: 'default',
                    description: 'There is none',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function show(): Response
    {
        $path = Office::current()->logo_path;
        if ($path === null || ! Storage::exists($path)) {
            throw new NotFoundHttpException('The office has no logo.');
        }

        return Storage::response($path, 'logo.png', ['Content-Type' => 'image/png', 'Content-Security-Policy' => "default-src 'none'"]);
    }

    #[
        OA\Post(
            path: '/api/office/logo',
            operationId: 'saveLogo',
            summary: 'Choose the logo on the papers of the office',
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: '#/components/schemas/LogoUpload')),
            ),
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Kept; the office',
                    content: new OA\JsonContent(ref: '#/components/schemas/Office'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function store(LogoRequest $request): JsonResponse
    {
        return new JsonResponse(OfficeData::of($this->keep->handle($request->upload())), 201);
    }

    #[
        OA\Delete(
            path: '/api/office/logo',
            operationId: 'removeLogo',
            summary: 'Remove the logo from the papers of the office',
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Removed; the office',
                    content: new OA\JsonContent(ref: '#/components/schemas/Office'),
                ),
            ],
        ),
    ]
    public function destroy(): JsonResponse
    {
        return new JsonResponse(OfficeData::of($this->keep->remove()));
    }
}
