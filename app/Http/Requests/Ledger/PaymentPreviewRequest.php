<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Terms\Side;
use App\Http\Requests\Rules\IdOrNull;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'PaymentPreviewInput',
        required: ['side', 'day', 'amount', 'currency', 'firstId', 'allocations'],
        properties: [
            new OA\Property('side', type: 'string', enum: ['client', 'vendor']),
            new OA\Property('day', description: 'Empty for today.', type: 'string'),
            new OA\Property('amount', description: 'Empty while it is not typed yet.', type: 'string'),
            new OA\Property('currency', type: 'string'),
            new OA\Property('firstId', description: 'The document that it is for before all others.', type: 'integer', nullable: true),
            new OA\Property(
                'allocations',
                description: 'Null for what is proposed.',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/AllocationInput'),
                nullable: true,
            ),
        ],
    ),
]
final class PaymentPreviewRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'side' => ['required', Rule::enum(Side::class)],
            'day' => ['present', 'string', 'max:1000'],
            'amount' => ['present', 'string', 'max:1000'],
            'currency' => ['present', 'string', 'max:1000'],
            'firstId' => ['present', new IdOrNull()],
            ...$this->input('allocations') === null ? ['allocations' => ['present']] : AllocationsRequest::ofAllocations(),
        ];
    }

    /**
     * @return array{
     *     side: string, day: string, amount: string, currency: string, firstId: int|null,
     *     allocations: list<array{documentId: int, amount: string, discount: string}>|null,
     * }
     */
    public function preview(): array
    {
        /**
         * @var array{
         *     side: string, day: string, amount: string, currency: string, firstId: int|null,
         *     allocations: list<array{documentId: int, amount: string, discount: string}>|null,
         * }
         */
        return $this->validated();
    }
}
