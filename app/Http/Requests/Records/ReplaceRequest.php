<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\Rules\ItemList;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'ReplaceInput',
        required: ['successorId', 'since', 'contactPointIds'],
        properties: [
            new OA\Property('successorId', description: 'The person who follows.', type: 'integer'),
            new OA\Property('since', description: 'The first day, as people type it; empty for today.', type: 'string'),
            new OA\Property(
                'contactPointIds',
                description: 'Phones and mailboxes that are handed over.',
                type: 'array',
                items: new OA\Items(type: 'integer'),
            ),
        ],
    ),
]
final class ReplaceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'successorId' => ['required', 'integer:strict'],
            'since' => ['present', 'string', 'max:100'],
            'contactPointIds' => ['present', new ItemList, 'max:50'],
            'contactPointIds.*' => ['required', 'integer:strict'],
        ];
    }
}
