<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\Rules\IdOrNull;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'RevealInput',
        required: ['fieldId', 'taxNumberId'],
        properties: [
            new OA\Property('fieldId', description: 'A secret of a detail sheet; null for none.', type: 'integer', nullable: true),
            new OA\Property(
                'taxNumberId',
                description: 'A tax number; null, and the other null too, for the birth date.',
                type: 'integer',
                nullable: true,
            ),
        ],
    ),
]
final class RevealRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['fieldId' => ['present', new IdOrNull], 'taxNumberId' => ['present', new IdOrNull]];
    }

    public function fieldId(): ?int
    {
        return $this->input('fieldId') === null ? null : $this->integer('fieldId');
    }

    public function taxNumberId(): ?int
    {
        return $this->input('taxNumberId') === null ? null : $this->integer('taxNumberId');
    }
}
