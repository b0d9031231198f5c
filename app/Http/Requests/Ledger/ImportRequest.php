<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ImportUpload', required: ['file'], properties: [
    new OA\Property('file', description: 'CSV, or a UBL 2.1 invoice or credit note; at most 25 MB.', type: 'string', format: 'binary'),
])]
final class ImportRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:25600']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.required' => 'Choose a file.', 'file.max' => 'At most 25 MB at once. Split the file.', 'file.uploaded' => 'The file did not arrive whole. At most 25 MB fit.'];
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : throw new \LogicException('What was validated is a file.');
    }
}
