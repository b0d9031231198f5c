<?php

declare(strict_types=1);

namespace App\Http\Controllers\Access;

use App\Actions\Access\KeepAccess;
use App\Http\Data\Access\KeptTokenData;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Access\PasswordRequest;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Laravel\Sanctum\PersonalAccessToken;
use OpenApi\Attributes as OA;

/** What somebody gets in by. */
final readonly class AccountController
{
    public function __construct(private KeepAccess $keep)
    {
    }

    #[Reads('tokens', 'listTokens', 'Tokens for scripts: one’s own, and for an administrator everybody’s', '[KeptToken]', 'Access')]
    public function tokens(#[CurrentUser] User $user): JsonResponse
    {
        $tokens = PersonalAccessToken::query()
            ->with('tokenable')
            ->orderByDesc('id')
            ->when(
                ! $user->isAdministrator(),
                fn ($own) => $own->where('tokenable_type', $user->getMorphClass())->where('tokenable_id', $user->id),
            )
            ->get();

        return new JsonResponse($tokens->map(fn (PersonalAccessToken $token) => KeptTokenData::of($token, $user))->values());
    }

    #[OA\Delete(path: '/api/tokens/{token}', operationId: 'revokeToken', summary: 'End a token', tags: ['Access'], parameters: [
        new OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 204, description: 'Ended'),
        new OA\Response(response: 'default', description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function revoke(PersonalAccessToken $token, #[CurrentUser] User $user): Response
    {
        $this->keep->revoke($token, $user);

        return new Response(status: 204);
    }

    #[
        OA\Put(
            path: '/api/password',
            operationId: 'changePassword',
            summary: 'Choose a new password; tokens and the calendar address end',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/PasswordInput')),
            tags: ['Access'],
            responses: [
                new OA\Response(response: 204, description: 'Changed'),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function password(PasswordRequest $request, #[CurrentUser] User $user): Response
    {
        $this->keep->setPassword($user, $request->string('password')->value());

        return new Response(status: 204);
    }
}
