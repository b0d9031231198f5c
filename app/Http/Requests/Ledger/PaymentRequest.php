<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Banking\PayBy;
use Almanac\Terms\Side;
use App\Http\Requests\Rules\IdOrNull;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'AllocationInput',
        required: ['documentId', 'amount', 'discount'],
        properties: [
            new OA\Property('documentId', type: 'integer'),
            new OA\Property('amount', type: 'string'),
            new OA\Property('discount', description: 'For early payment; empty for none.', type: 'string'),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'PaymentInput',
        required: ['side', 'day', 'amount', 'currency', 'payBy', 'reference', 'allocations'],
        properties: [
            new OA\Property('side', description: 'Money from a client, or to a vendor.', type: 'string', enum: ['client', 'vendor']),
            new OA\Property('day', description: 'Empty for today.', type: 'string'),
            new OA\Property('amount', type: 'string'),
            new OA\Property('currency', type: 'string'),
            new OA\Property('payBy', type: 'string'),
            new OA\Property('reference', type: 'string'),
            new OA\Property(
                'bankDetailId',
                description: 'The account a transfer goes to; without it, the usual one of those in force.',
                type: 'integer',
                nullable: true,
            ),
            new OA\Property('firstId', description: 'The document that it is for before all others.', type: 'integer', nullable: true),
            new OA\Property(
                'allocations',
                description: 'What stays over is kept unallocated. Null for the document it is for, then the oldest first.',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/AllocationInput'),
                nullable: true,
            ),
        ],
    ),
]
final class PaymentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'side' => ['required', Rule::enum(Side::class)],
            'day' => ['present', 'string', 'max:1000'],
            'amount' => ['present', 'string', 'max:1000'],
            'currency' => ['present', 'string', 'max:1000'],
            'reference' => ['present', 'string', 'max:1000'],
            'payBy' => ['required', Rule::enum(PayBy::class)],
            'bankDetailId' => [new IdOrNull],
            'firstId' => [new IdOrNull],
            ...($this->input('allocations') === null ? ['allocations' => ['present']] : AllocationsRequest::ofAllocations()),
        ];
    }
}
