<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\Rules\ItemList;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'FollowInput', required: ['documentIds', 'withTerms'], properties: [
    new OA\Property('documentIds', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property('withTerms', description: 'Whether they are due as the terms of the record have it now.', type: 'boolean'),
])]
final class FollowRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'documentIds' => ['present', new ItemList(), 'max:5000'],
            'documentIds.*' => ['integer:strict'],
            'withTerms' => ['required', 'boolean:strict'],
        ];
    }

    /** @return list<int> */
    public function ids(): array
    {
        /** @var list<int> */
        return $this->validated('documentIds');
    }
}
