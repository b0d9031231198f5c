<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

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

    public static function shape(): Shape
    {
        return parent::shape()->and('TokenInput', [
            'name' => Input::text(80)->filled()->says('What the token is for.'),
            'days' => Input::whole(1, KeepAccess::MOST_DAYS)->optional()->says('For how many days it holds; 90 without it.'),
        ]);
    }
}
