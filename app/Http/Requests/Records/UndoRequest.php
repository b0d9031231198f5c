<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Actions\Records\Following;
use App\Http\Requests\Ledger\FollowRequest;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class UndoRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('UndoInput', [
            'version' => Input::whole(1)->says('That the save made which is taken back.'),
            'follow' => FollowRequest::part('The documents that take over what is so again.'),
        ]);
    }

    public function version(): int
    {
        return $this->integer('version');
    }

    public function following(): ?Following
    {
        return FollowRequest::read($this->validated('follow'));
    }
}
