<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use App\Http\Requests\UploadRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'LogoUpload', required: ['file'], properties: [
    new OA\Property('file', description: 'PNG, JPEG, GIF or WebP; at most 5 MB.', type: 'string', format: 'binary'),
])]
final class LogoRequest extends UploadRequest
{
}
