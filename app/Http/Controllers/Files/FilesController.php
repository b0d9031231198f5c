<?php

declare(strict_types=1);

namespace App\Http\Controllers\Files;

use Almanac\Access\Permission;
use Almanac\Files\FileType;
use App\Actions\Files\KeepFiles;
use App\Http\Requests\Files\AddFileRequest;
use App\Http\Requests\Files\FileRequest;
use App\Models\Engagement;
use App\Models\File;
use App\Models\Party;
use App\Models\User;
use App\Queries\Engagements\ReadEngagement;
use App\Queries\Records\ReadRecord;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

/** The files on a record. */
final readonly class FilesController
{
    public function __construct(private KeepFiles $keep, private ReadRecord $read, private ReadEngagement $engagements)
    {
    }

    #[
        OA\Post(
            path: '/api/parties/{id}/files',
            operationId: 'addFile',
            summary: 'Take a file in',
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: '#/components/schemas/FileUpload')),
            ),
            tags: ['Files'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Kept; the whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function add(AddFileRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->add($party, $request->upload(), $request->kind(), $user);

        return new JsonResponse($this->read->handle($party), 201);
    }

    #[
        OA\Put(
            path: '/api/files/{file}',
            operationId: 'saveFile',
            summary: 'Name a file, say what it is and when it expires',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/FileInput')),
            tags: ['Files'],
            parameters: [new OA\Parameter(name: 'file', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Saved; the whole of what it belongs to',
                    content: new OA\JsonContent(oneOf: [
                        new OA\Schema(ref: '#/components/schemas/Record'),
                        new OA\Schema(ref: '#/components/schemas/Engagement'),
                    ]),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function change(FileRequest $request, File $file, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{name: string, kind: string, expiresOn: string, isPrivate: bool} $input */
        $input = $request->validated();
        $this->keep->change($file, $input, $user);

        return $this->answer($file);
    }

    #[
        OA\Delete(
            path: '/api/files/{file}',
            operationId: 'removeFile',
            summary: 'Remove a file',
            tags: ['Files'],
            parameters: [new OA\Parameter(name: 'file', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Removed; the whole of what it belonged to',
                    content: new OA\JsonContent(oneOf: [
                        new OA\Schema(ref: '#/components/schemas/Record'),
                        new OA\Schema(ref: '#/components/schemas/Engagement'),
                    ]),
                ),
            ],
        ),
    ]
    public function remove(File $file, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->remove($file, $user);

        return $this->answer($file);
    }

    #[
        OA\Get(
            path: '/api/files/{file}',
            operationId: 'readFile',
            summary: 'The content of a file',
            tags: ['Files'],
            parameters: [
                new OA\Parameter(name: 'file', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
                new OA\Parameter(
                    name: 'show',
                    description: 'To be shown in the page instead of saved; only pictures and PDF.',
                    in: 'query',
                    schema: new OA\Schema(type: 'boolean'),
                ),
            ],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The content',
                    content: new OA\MediaType(mediaType: 'application/octet-stream'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function read(Request $request, File $file, #[CurrentUser] User $user): Response
    {
        if ($file->is_private && ! $user->can(Permission::SeePrivate->value)) {
            throw new AuthorizationException('That file is private. Ask somebody who may see private values.');
        }
        $isShown = $request->boolean('show') && FileType::canBeShown($file->media_type);

        return Storage::response(
            $file->path(),
            $file->name,
            [
                'Content-Type' => $isShown ? $file->media_type : 'application/octet-stream',
                // Shown in a frame of our own page, and never allowed to run anything.
                ...$isShown
                    ? [
                        'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'self'",
                        'X-Frame-Options' => 'SAMEORIGIN',
                    ]
                    : [],
            ],
            $isShown ? 'inline' : 'attachment',
        );
    }

    /** The whole of what it belongs to. */
    private function answer(File $file): JsonResponse
    {
        $subject = $file->subject();

        return new JsonResponse(match (true) {
            $subject instanceof Party => $this->read->handle($subject),
            $subject instanceof Engagement => $this->engagements->handle($subject),
            default => null,
        });
    }
}
