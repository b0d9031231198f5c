<?php

declare(strict_types=1);

namespace App\Http\Requests\Files;

use Almanac\Files\FileKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class FileRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('FileInput', [
            'name' => Input::text(),
            'kind' => Input::oneOf(FileKind::class),
            'expiresOn' => Input::text(100)->says('A date as people type it; empty when it does not.'),
            'isPrivate' => Input::flag()->says('Only for those who may see private values.'),
        ]);
    }
}
