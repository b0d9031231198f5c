<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'SendInput', required: ['to', 'text'], properties: [
    new OA\Property('to', description: 'Addresses, with commas between; empty for where such documents go.', type: 'string'),
    new OA\Property('text', type: 'string'),
])]
final class SendRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'to' => ['present', 'string', 'max:1000'],
            'text' => ['present', 'string', 'max:5000'],
        ];
    }
}
