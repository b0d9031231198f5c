<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ListedTermsInput', required: ['name', 'shorthand', 'isClientDefault', 'isVendorDefault', 'isRetired'], properties: [
    new OA\Property('name', type: 'string'),
    new OA\Property('shorthand', description: 'As the trade writes them.', type: 'string'),
    new OA\Property('isClientDefault', description: 'What clients have who have none of their own.', type: 'boolean'),
    new OA\Property('isVendorDefault', type: 'boolean'),
    new OA\Property('isRetired', description: 'Kept where they are used, and offered no more.', type: 'boolean'),
])]
final class ListedTermsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['present', 'string', 'max:1000'],
            'shorthand' => ['present', 'string', 'max:1000'],
            'isClientDefault' => ['required', 'boolean:strict'],
            'isVendorDefault' => ['required', 'boolean:strict'],
            'isRetired' => ['required', 'boolean:strict'],
        ];
    }
}
