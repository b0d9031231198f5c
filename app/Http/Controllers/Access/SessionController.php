<?php

declare(strict_types=1);

namespace App\Http\Controllers\Access;

use App\Actions\Access\OpenSession;
use App\Actions\Access\SetUpOffice;
use App\Actions\Access\SignIn;
use App\Http\Data\Access\SessionData;
use App\Http\Data\Access\TokenData;
use App\Http\OpenApi\Adds;
use App\Http\Problems\SecondFactorMissing;
use App\Http\Requests\Access\CodeRequest;
use App\Http\Requests\Access\SetUpRequest;
use App\Http\Requests\Access\SignInRequest;
use App\Http\Requests\Access\TokenRequest;
use App\Models\Office;
use App\Models\SecondFactor;
use App\Models\User;
use App\Models\UserSession;
use App\Time\Clock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

final readonly class SessionController
{
    public function __construct(private Clock $clock, private OpenSession $sessions)
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
        $user = $signIn->handle($request->string('email')->value(), $request->string('password')->value(), (string) $request->ip());
        self::mustHaveSession($request);

        return new JsonResponse($this->sessions->afterPassword($request, $user) ? $this->session($user) : $this->session(null, true));
    }

    #[Adds('session/code', 'enterCode', 'Enter the code of the second factor to finish signing in', 'FactorCodeInput', 'Session', 'Access', 200)]
    public function code(CodeRequest $request): JsonResponse
    {
        self::mustHaveSession($request);

        return new JsonResponse($this->session($this->sessions->afterCode($request, $request->string('code')->value(), $request->boolean('remembers'))));
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
        UserSession::query()->whereKey(User::sessionOf($request))->delete();
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
        self::mustHaveSession($request);
        $user = $setUp->handle(
            $request->string('officeName')->value(),
            $request->string('country')->value(),
            $request->string('name')->value(),
            $request->string('email')->value(),
            $request->string('password')->value(),
        );
        $this->sessions->open($request, $user);

        return new JsonResponse($this->session($user));
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
        $this->mustHaveCode($user, $request);

        return new JsonResponse(
            new TokenData($user->createToken(
                $request->string('name')->value(),
                $request->abilities(),
                now()->addDays($request->days()),
            )->plainTextToken),
            201,
        );
    }

    /** A token is worth as much as a session: it takes the second factor, too. */
    private function mustHaveCode(User $user, TokenRequest $request): void
    {
        if (SecondFactor::isMissingOf($user)) {
            throw SecondFactorMissing::notSetUp();
        }
        if (SecondFactor::of($user) === null) {
            return;
        }
        $code = $request->string('code')->value();
        if ($code !== '') {
            $this->sessions->check($user, $code, (string) $request->ip());
        } elseif (Auth::guard('sanctum')->id() !== $user->id) {
            throw ValidationException::withMessages(['code' => 'Enter the code that your authenticator app shows.']);
        } elseif (! $this->sessions->isProved($request, $user)) {
            throw SecondFactorMissing::codeNeeded();
        }
    }

    private static function mustHaveSession(Request $request): void
    {
        if (! $request->hasSession()) {
            throw new BadRequestHttpException();
        }
    }

    private function session(?User $user, bool $needsCode = false): SessionData
    {
        return SessionData::of($user, Office::query()->first(), $this->clock->today()->toIso(), $needsCode);
    }
}
