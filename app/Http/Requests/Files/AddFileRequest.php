<?php

declare(strict_types=1);

namespace App\Http\Requests\Files;

use Almanac\Files\FileKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'FileUpload', required: ['file', 'kind'], properties: [
    new OA\Property('file', type: 'string', format: 'binary'),
    new OA\Property('kind', type: 'string', enum: ['contract', 'certificate', 'form', 'photo', 'letter', 'other']),
])]
final class AddFileRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['file' => ['required', 'file'], 'kind' => ['required', Rule::enum(FileKind::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.file' => 'Choose a file.',
            'file.uploaded' => 'That file is too large, or did not arrive whole. Try again.',
        ];
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');
        assert($file instanceof UploadedFile);

        return $file;
    }

    public function kind(): FileKind
    {
        return FileKind::from($this->string('kind')->value());
    }
}
