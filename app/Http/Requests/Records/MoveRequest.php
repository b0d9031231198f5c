<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\Rules\ItemList;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'MoveInput',
        required: ['since', 'everybody', 'country', 'lines', 'locality', 'region', 'postcode', 'documentIds'],
        properties: [
            new OA\Property('since', description: 'The first day at the new address, as people type it; empty for today.', type: 'string'),
            new OA\Property('everybody', description: 'Whether all who use the old address move.', type: 'boolean'),
            new OA\Property('country', description: 'ISO 3166-1 alpha-2.', type: 'string'),
            new OA\Property('lines', type: 'string'),
            new OA\Property('locality', type: 'string'),
            new OA\Property('region', type: 'string'),
            new OA\Property('postcode', type: 'string'),
            new OA\Property(
                'documentIds',
                description: 'Drafts and open documents that take the new address.',
                type: 'array',
                items: new OA\Items(type: 'integer'),
            ),
        ],
    ),
]
final class MoveRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $text = ['present', 'string', 'max:1000'];

        return [
            'since' => $text, 'everybody' => ['required', 'boolean:strict'],
            'documentIds' => ['present', new ItemList, 'max:5000'], 'documentIds.*' => ['integer:strict'],
            'country' => $text, 'lines' => $text, 'locality' => $text, 'region' => $text, 'postcode' => $text,
        ];
    }

    /** @return array{since: string, everybody: bool, country: string, lines: string, locality: string, region: string, postcode: string} */
    public function place(): array
    {
        /**
         * @var array{
         *     since: string, everybody: bool, country: string, lines: string, locality: string, region: string,
         *     postcode: string,
         * }
         */
        return $this->safe()->except('documentIds');
    }

    /** @return list<int> */
    public function documentIds(): array
    {
        /** @var list<int> */
        return $this->validated('documentIds');
    }
}
