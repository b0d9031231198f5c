<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Actions\Records\Following;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'UndoInput',
        required: ['version'],
        properties: [
            new OA\Property('version', description: 'That the save made which is taken back.', type: 'integer'),
            new OA\Property(
                'follow',
                ref: '#/components/schemas/FollowInput',
                description: 'The documents that take over what is so again.',
                nullable: true,
            ),
        ],
    ),
]
final class UndoRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer:strict', 'min:1']] + FollowingRules::RULES;
    }

    public function version(): int
    {
        return $this->integer('version');
    }

    public function following(): ?Following
    {
        return FollowingRules::read($this->validated('follow'));
    }
}
