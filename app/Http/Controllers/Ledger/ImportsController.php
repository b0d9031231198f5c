<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ledger;

use App\Actions\Ledger\ImportDocuments;
use App\Background\ReadImport;
use App\Http\Data\Ledger\ImportData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Ledger\ImportRequest;
use App\Models\Import;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Files of documents that are read in. */
final readonly class ImportsController
{
    public function __construct(private ImportDocuments $documents)
    {
    }

    #[Reads('imports', 'listImports', 'Files that are being read in, the newest first', '[Import]', 'Ledger')]
    public function index(): JsonResponse
    {
        return new JsonResponse(
            Import::query()->with('user')->orderByDesc('id')->limit(20)->get()->map(fn (Import $import) => ImportData::of($import)),
        );
    }

    #[
        OA\Post(
            path: '/api/imports',
            operationId: 'addImport',
            summary: 'Hand in a file of documents; it is checked, and nothing is taken yet',
            requestBody: new OA\RequestBody(
                content: new OA\MediaType(
                    mediaType: 'multipart/form-data',
                    schema: new OA\Schema(ref: '#/components/schemas/ImportUpload'),
                ),
            ),
            tags: ['Ledger'],
            responses: [
                new OA\Response(response: 201, description: 'Received', content: new OA\JsonContent(ref: '#/components/schemas/Import')),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function add(ImportRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $import = $this->documents->receive($request->upload(), $user);
        ReadImport::dispatch($import->id);

        return new JsonResponse(ImportData::of($import->refresh()), 201);
    }

    #[Reads('imports/{import}', 'readImport', 'How far a file is', 'Import', 'Ledger')]
    public function show(Import $import): JsonResponse
    {
        return new JsonResponse(ImportData::of($import));
    }

    #[Adds('imports/{import}/take', 'takeImport', 'Take the documents of a file that was checked', '', 'Import', 'Ledger', 200)]
    public function take(Import $import): JsonResponse
    {
        if (ImportData::of($import)->isStuck) {
            $import->update(['state' => ['taking' => 'checked', 'counting' => 'counting'][$import->state] ?? 'checking', 'failure' => '']);
        }
        if ($import->state === 'checking') {
            $import->touch();
        }
        if (in_array($import->state, ['checking', 'counting'], true) || $this->documents->begin($import)) {
            ReadImport::dispatch($import->id);
        }

        return new JsonResponse(ImportData::of($import->refresh()));
    }

    #[Removes('imports/{import}', 'forgetImport', 'Forget a file; what was taken stays', '', 'Import', 'Ledger')]
    public function forget(Import $import): JsonResponse
    {
        $data = ImportData::of($import);
        $this->documents->forget($import);

        return new JsonResponse($data);
    }
}
