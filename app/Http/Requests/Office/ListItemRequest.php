<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ListItemInput', required: ['name', 'inverse'], properties: [
    new OA\Property('name', type: 'string'),
    new OA\Property('inverse', description: 'How it is told from the other end; empty when that is the same.', type: 'string'),
    new OA\Property('isRetired', description: 'Of an entry that is there.', type: 'boolean'),
])]
final class ListItemRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['present', 'string', 'max:1000'],
            'inverse' => ['present', 'string', 'max:1000'],
            'isRetired' => [$this->isMethod('POST') ? 'sometimes' : 'required', 'boolean:strict'],
        ];
    }
}
