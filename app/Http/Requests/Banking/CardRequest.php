<?php

declare(strict_types=1);

namespace App\Http\Requests\Banking;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'CardInput', required: ['number', 'expires', 'holder', 'postcode'], properties: [
    new OA\Property('number', description: 'Checked, handed to the vault, and not kept.', type: 'string'),
    new OA\Property('expires', description: 'As in 04/28.', type: 'string'),
    new OA\Property('holder', type: 'string'),
    new OA\Property('postcode', description: 'Of the billing address.', type: 'string'),
])]
final class CardRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'number' => ['present', 'string', 'max:200'],
            'expires' => ['present', 'string', 'max:200'],
            'holder' => ['present', 'string', 'max:200'],
            'postcode' => ['present', 'string', 'max:200'],
        ];
    }
}
