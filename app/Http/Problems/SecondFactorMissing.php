<?php

declare(strict_types=1);

namespace App\Http\Problems;

/** A second factor is required for this role and not set up, or a code is asked for again before something delicate. */
final class SecondFactorMissing extends \RuntimeException
{
    private function __construct(public readonly string $type, public readonly string $title, string $detail)
    {
        parent::__construct($detail);
    }

    public static function notSetUp(): self
    {
        return new self(
            '/problems/second-factor-not-set-up',
            'Second factor required',
            'Your role signs in with a second factor. Set it up on the page Your account, then go on.',
        );
    }

    public static function codeNeeded(): self
    {
        return new self(
            '/problems/code-needed',
            'Code required',
            'Enter the code that your authenticator app shows. With a token, this is not possible: sign in to Neat Almanac to do it.',
        );
    }
}
