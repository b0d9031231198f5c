<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TakeOverInput', required: ['fromId', 'address', 'phone'], properties: [
    new OA\Property('fromId', description: 'The record whose address or phone is used.', type: 'integer'),
    new OA\Property('address', type: 'boolean'),
    new OA\Property('phone', type: 'boolean'),
])]
final class TakeOverRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'fromId' => ['required', 'integer:strict', 'exists:parties,id'],
            'address' => ['required', 'boolean:strict'],
            'phone' => ['required', 'boolean:strict'],
        ];
    }
}
