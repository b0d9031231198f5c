<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use App\Actions\Access\KeepAccess;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TokenInput', required: ['email', 'password', 'name'], properties: [
    new OA\Property('email', type: 'string'),
    new OA\Property('password', type: 'string'),
    new OA\Property('name', description: 'What the token is for.', type: 'string'),
    new OA\Property('days', description: 'For how many days it holds; 90 without it, 366 at the most.', type: 'integer'),
])]
final class TokenRequest extends SignInRequest
{
    private const USUAL_DAYS = 90;

    public function days(): int
    {
        return $this->integer('days', self::USUAL_DAYS);
    }

    public function rules(): array
    {
        return [
            ...parent::rules(),
            'name' => ['required', 'string', 'max:80'],
            'days' => ['integer:strict', 'between:1,'.KeepAccess::MOST_DAYS],
        ];
    }
}
