<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'MoveInput', required: ['since', 'everybody', 'country', 'lines', 'locality', 'region', 'postcode'], properties: [
    new OA\Property('since', description: 'The first day at the new address, as people type it; empty for today.', type: 'string'),
    new OA\Property('everybody', description: 'Whether all who use the old address move.', type: 'boolean'),
    new OA\Property('country', description: 'ISO 3166-1 alpha-2.', type: 'string'),
    new OA\Property('lines', type: 'string'),
    new OA\Property('locality', type: 'string'),
    new OA\Property('region', type: 'string'),
    new OA\Property('postcode', type: 'string'),
])]
final class MoveRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $text = ['present', 'string', 'max:1000'];

        return [
            'since' => $text, 'everybody' => ['required', 'boolean:strict'],
            'country' => $text, 'lines' => $text, 'locality' => $text, 'region' => $text, 'postcode' => $text,
        ];
    }
}
