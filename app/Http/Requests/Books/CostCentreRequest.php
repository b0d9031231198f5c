<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'CostCentreInput', required: ['group', 'name', 'isRetired'], properties: [
    new OA\Property('group', type: 'string'), new OA\Property('name', type: 'string'), new OA\Property('isRetired', type: 'boolean'),
])]
final class CostCentreRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'group' => ['present', 'string', 'max:300'],
            'name' => ['present', 'string', 'max:300'],
            'isRetired' => ['required', 'boolean:strict'],
        ];
    }
}
