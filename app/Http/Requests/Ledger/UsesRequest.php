<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\Rules\ItemList;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'UsesInput', required: ['uses'], properties: [
    new OA\Property('uses', type: 'array', items: new OA\Items(ref: '#/components/schemas/UseInput')),
])]
final class UsesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public static function ofUses(): array
    {
        return [
            'uses' => ['present', new ItemList, 'max:500'],
            'uses.*.documentId' => ['required', 'integer:strict'],
            'uses.*.amount' => ['present', 'string', 'max:1000'],
            'uses.*.discount' => ['present', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::ofUses();
    }

    /** @return list<array{documentId: int, amount: string, discount: string}> */
    public function uses(): array
    {
        /** @var list<array{documentId: int, amount: string, discount: string}> */
        return $this->validated('uses');
    }
}
