<?php

declare(strict_types=1);

namespace App\Http\Requests\Files;

use Almanac\Files\FileKind;
use App\Http\Requests\UploadRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'FileUpload', required: ['file', 'kind'], properties: [
    new OA\Property('file', type: 'string', format: 'binary'),
    new OA\Property('kind', type: 'string', enum: ['contract', 'certificate', 'form', 'photo', 'letter', 'other']),
])]
final class AddFileRequest extends UploadRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        // How large it may be is said by what keeps it.
        return ['file' => ['required', 'file'], 'kind' => ['required', Rule::enum(FileKind::class)]];
    }

    public function kind(): FileKind
    {
        return FileKind::from($this->string('kind')->value());
    }
}
