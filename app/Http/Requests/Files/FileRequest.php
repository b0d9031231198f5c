<?php

declare(strict_types=1);

namespace App\Http\Requests\Files;

use Almanac\Files\FileKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'FileInput', required: ['name', 'kind', 'expiresOn', 'isPrivate'], properties: [
    new OA\Property('name', type: 'string'),
    new OA\Property('kind', type: 'string', enum: ['contract', 'certificate', 'form', 'photo', 'letter', 'other']),
    new OA\Property('expiresOn', description: 'A date as people type it; empty when it does not.', type: 'string'),
    new OA\Property('isPrivate', description: 'Only for those who may see private values.', type: 'boolean'),
])]
final class FileRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['present', 'string', 'max:1000'],
            'kind' => ['required', Rule::enum(FileKind::class)],
            'expiresOn' => ['present', 'string', 'max:100'],
            'isPrivate' => ['required', 'boolean:strict'],
        ];
    }
}
