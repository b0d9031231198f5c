<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use App\Http\Requests\UploadRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class LogoRequest extends UploadRequest
{
    public static function shape(): Shape
    {
        return Shape::named('LogoUpload', ['file' => Input::file(self::MOST)->says('PNG, JPEG, GIF or WebP; at most 5 MB.')]);
    }
}
