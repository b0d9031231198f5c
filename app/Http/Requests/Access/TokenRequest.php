<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use Almanac\Access\TokenUse;
use App\Actions\Access\KeepAccess;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class TokenRequest extends SignInRequest
{
    private const USUAL_DAYS = 90;

    public function days(): int
    {
        return $this->integer('days', self::USUAL_DAYS);
    }

    /** @return list<string> what it may */
    public function abilities(): array
    {
        $use = $this->enum('use', TokenUse::class) ?? TokenUse::Scripts;

        return $use === TokenUse::Scripts ? ['*'] : [$use->value];
    }

    public static function shape(): Shape
    {
        return parent::shape()->and('TokenInput', [
            'name' => Input::text(80)->filled()->says('What the token is for.'),
            'use' => Input::oneOf(TokenUse::class)->optional()->says('What it opens; all that its owner may do, where nothing is said.'),
            'code' => Input::text(20)->optional()->says('The code that the authenticator app shows, or a recovery code; needed when the user has a second factor.'),
            'days' => Input::whole(1, KeepAccess::MOST_DAYS)->optional()->says('For how many days it holds; 90 without it.'),
        ]);
    }
}
