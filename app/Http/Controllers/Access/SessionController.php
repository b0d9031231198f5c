<?php

declare(strict_types=1);

namespace App\Http\Controllers\Access;

use App\Actions\Access\SetUpOffice;
use App\Actions\Access\SignIn;
use App\Http\Data\Access\SessionData;
use App\Http\Data\Access\TokenData;
use App\Http\Requests\Access\SetUpRequest;
use App\Http\Requests\Access\SignInRequest;
use App\Http\Requests\Access\TokenRequest;
use App\Models\Office;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

final readonly class SessionController
{
    public function __construct(private Clock $clock)
    {
    }

    #[
        OA\Get(
            path: '/api/session',
            operationId: 'readSession',
            summary: 'Who is signed in',
            security: [],
            tags: ['Access'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Also when nobody is signed in',
                    content: new OA\JsonContent(ref: '#/components/schemas/Session'),
                ),
            ],
        ),
    ]
    public function show(Request $request): JsonResponse
    {
        $user = Auth::guard('sanctum')->user();

        return new JsonResponse($this->session($user instanceof User && ! $user->isRetired() && $user->hasSession($request) && $user->mayUseAll() ? $user : null));
    }

    #[
        OA\Post(
            path: '/api/session',
            operationId: 'signIn',
            summary: 'Sign in with a session cookie',
            security: [],
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/SignInInput')),
            tags: ['Access'],
            responses: [
                new OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: '#/components/schemas/Session')),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function store(SignInRequest $request, SignIn $signIn): JsonResponse
    {
        return $this->open(
            $request,
            $signIn->handle($request->string('email')->value(), $request->string('password')->value(), (string) $request->ip()),
        );
    }

    #[
        OA\Delete(
            path: '/api/session',
            operationId: 'signOut',
            summary: 'Sign out',
            tags: ['Access'],
            responses: [new OA\Response(response: 204, description: 'Signed out')],
        ),
    ]
    public function destroy(Request $request): Response
    {
        Auth::guard('web')->logout();
        // A script with a token has no session to leave.
        if ($request->hasSession()) {
            $request->session()->invalidate();
            $request->session()->regenerateToken();
        }

        return new Response(status: 204, headers: ['Clear-Site-Data' => '"cache"']);
    }

    #[
        OA\Post(
            path: '/api/setup',
            operationId: 'setUp',
            summary: 'Open the book: the office and its first administrator',
            security: [],
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/SetUpInput')),
            tags: ['Access'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Set up, and signed in',
                    content: new OA\JsonContent(ref: '#/components/schemas/Session'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function setUp(SetUpRequest $request, SetUpOffice $setUp): JsonResponse
    {
        return $this->open(
            $request,
            $setUp->handle(
                $request->string('officeName')->value(),
                $request->string('country')->value(),
                $request->string('name')->value(),
                $request->string('email')->value(),
                $request->string('password')->value(),
            ),
        );
    }

    #[
        OA\Post(
            path: '/api/tokens',
            operationId: 'makeToken',
            summary: 'Make a token for a script',
            security: [],
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/TokenInput')),
            tags: ['Access'],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Made; it is shown this once',
                    content: new OA\JsonContent(ref: '#/components/schemas/Token'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function token(TokenRequest $request, SignIn $signIn): JsonResponse
    {
        $user = $signIn->handle($request->string('email')->value(), $request->string('password')->value(), (string) $request->ip());

        return new JsonResponse(
            new TokenData($user->createToken(
                $request->string('name')->value(),
                $request->abilities(),
                now()->addDays($request->days()),
            )->plainTextToken),
            201,
        );
    }

    private function open(Request $request, User $user): JsonResponse
    {
        if (! $request->hasSession()) {
            throw new BadRequestHttpException();
        }
        Auth::guard('web')->login($user);
        $request->session()->regenerate();
        $user->beginSession($request);

        return new JsonResponse($this->session($user));
    }

    private function session(?User $user): SessionData
    {
        return SessionData::of($user, Office::query()->first(), $this->clock->today()->toIso());
    }
}
