<?php

declare(strict_types=1);

namespace App\Http\Problems;

use Illuminate\Http\JsonResponse;

/** A second factor is required for this role and not set up, or a code is asked for again before something delicate. */
final class SecondFactorMissing extends \RuntimeException
{
    public const SET_UP = '/problems/second-factor-not-set-up';

    public const CODE = '/problems/code-needed';

    public function __construct(private readonly string $type = self::SET_UP)
    {
        parent::__construct();
    }

    public function answer(): JsonResponse
    {
        [$title, $detail] = $this->type === self::SET_UP
            ? ['Second factor required', 'Your role signs in with a second factor. Set it up on the page Your account, then go on.']
            : ['Code required', 'Enter the code that your authenticator app shows. With a token, this is not possible: sign in to Neat Almanac to do it.'];

        return new JsonResponse(
            ['type' => $this->type, 'title' => $title, 'status' => 403, 'detail' => $detail],
            403,
            ['Content-Type' => 'application/problem+json'],
        );
    }
}
