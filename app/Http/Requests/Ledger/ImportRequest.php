<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\UploadRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ImportUpload', required: ['file'], properties: [
    new OA\Property('file', description: 'CSV, or a UBL 2.1 invoice or credit note; at most 25 MB.', type: 'string', format: 'binary'),
])]
final class ImportRequest extends UploadRequest
{
    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.max' => 'At most 25 MB at once. Split the file.'] + parent::messages();
    }
}
