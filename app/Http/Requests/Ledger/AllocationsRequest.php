<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\Rules\ItemList;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'AllocationsInput', required: ['allocations'], properties: [
    new OA\Property('allocations', type: 'array', items: new OA\Items(ref: '#/components/schemas/AllocationInput')),
])]
final class AllocationsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public static function ofAllocations(): array
    {
        return [
            'allocations' => ['present', new ItemList, 'max:500'],
            'allocations.*.documentId' => ['required', 'integer:strict'],
            'allocations.*.amount' => ['present', 'string', 'max:1000'],
            'allocations.*.discount' => ['present', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::ofAllocations();
    }

    /** @return list<array{documentId: int, amount: string, discount: string}> */
    public function allocations(): array
    {
        /** @var list<array{documentId: int, amount: string, discount: string}> */
        return $this->validated('allocations');
    }
}
