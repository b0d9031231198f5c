<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Actions\Records\Following;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which documents take over what is saved, or was. */
final class FollowRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('FollowInput', [
            'documentIds' => Input::listOf(Input::id(), 5000),
            'withTerms' => Input::flag()->says('Whether they are due as the terms of the record have it now.'),
        ]);
    }

    /** As part of another request. */
    public static function part(string $says): Input
    {
        return Input::of(self::shape())->orNull()->optional()->says($says);
    }

    /** What stands at that part; null for none. */
    public static function read(mixed $input): ?Following
    {
        /** @var array{documentIds: list<int>, withTerms: bool}|null $input */
        return $input === null ? null : new Following($input['documentIds'], $input['withTerms']);
    }

    /** @return list<int> */
    public function ids(): array
    {
        /** @var list<int> */
        return $this->validated('documentIds');
    }
}
