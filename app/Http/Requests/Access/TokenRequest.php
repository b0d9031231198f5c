<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TokenInput', required: ['email', 'password', 'name'], properties: [
    new OA\Property('email', type: 'string'),
    new OA\Property('password', type: 'string'),
    new OA\Property('name', description: 'What the token is for.', type: 'string'),
])]
final class TokenRequest extends SignInRequest
{
    public function rules(): array
    {
        return [...parent::rules(), 'name' => ['required', 'string', 'max:80']];
    }
}
