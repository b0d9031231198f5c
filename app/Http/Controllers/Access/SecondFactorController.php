<?php

declare(strict_types=1);

namespace App\Http\Controllers\Access;

use App\Actions\Access\KeepAccess;
use App\Actions\Access\KeepSecondFactor;
use App\Actions\Access\OpenSession;
use App\Http\Data\Access\RecoveryCodesData;
use App\Http\Data\Access\SecondFactorData;
use App\Http\Data\Access\SecondFactorSetupData;
use App\Http\Data\Access\UserSessionData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Access\CodeRequest;
use App\Http\Requests\Access\SecondFactorRequest;
use App\Models\Office;
use App\Models\User;
use App\Models\UserSession;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** A user's own second factor and sessions. */
final readonly class SecondFactorController
{
    public function __construct(private KeepSecondFactor $keep, private OpenSession $open, private KeepAccess $access)
    {
    }

    #[Reads('second-factor', 'readSecondFactor', 'Whether a second factor is on', 'SecondFactor', 'Access')]
    public function show(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(SecondFactorData::of($user));
    }

    #[Adds('second-factor', 'beginSecondFactor', 'Begin to set up a second factor', 'SecondFactorInput', 'SecondFactorSetup', 'Access')]
    public function begin(SecondFactorRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(SecondFactorSetupData::of($this->keep->begin($user), Office::query()->sole()->name, $user->email), 201);
    }

    #[Puts('second-factor', 'confirmSecondFactor', 'Turn on the second factor with a first code', 'FactorCodeInput', 'RecoveryCodes', 'Access')]
    public function confirm(CodeRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(new RecoveryCodesData($this->keep->confirm($user, $request->string('code')->value())));
    }

    #[Removes('second-factor', 'removeSecondFactor', 'Turn off the second factor', '', 'SecondFactor', 'Access')]
    public function remove(#[CurrentUser] User $user): JsonResponse
    {
        $this->keep->remove($user);

        return new JsonResponse(SecondFactorData::of($user));
    }

    #[Adds('second-factor/recovery-codes', 'makeRecoveryCodes', 'Make new recovery codes; earlier ones end', '', 'RecoveryCodes', 'Access')]
    public function recoveryCodes(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(new RecoveryCodesData($this->keep->newRecoveryCodes($user)), 201);
    }

    #[Adds('session/proof', 'proveSession', 'Enter a code again before something delicate', 'FactorCodeInput', 'SecondFactor', 'Access', 200)]
    public function prove(CodeRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        if (! $request->hasSession()) {
            throw new BadRequestHttpException();
        }
        $this->open->prove($request, $user, $request->string('code')->value());

        return new JsonResponse(SecondFactorData::of($user));
    }

    #[Reads('sessions', 'listSessions', 'Where the user is signed in, the latest use first', '[UserSession]', 'Access')]
    public function sessions(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(UserSession::query()
            ->where('user_id', $user->id)->where('used_at', '>', UserSession::oldest())->orderByDesc('used_at')->orderByDesc('id')->get()
            ->map(fn (UserSession $one) => UserSessionData::of($one, User::sessionOf($request))));
    }

    #[Removes('sessions', 'endOtherSessions', 'Sign out everywhere else', '', '[UserSession]', 'Access')]
    public function endOthers(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $this->access->endSessions($user, User::sessionOf($request));

        return $this->sessions($request, $user);
    }

    #[Removes('sessions/{session}', 'endSession', 'Sign out one of the user’s sessions', '', '[UserSession]', 'Access')]
    public function end(int $session, Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $this->access->endSession($user, $session);

        return $this->sessions($request, $user);
    }
}
