<?php

declare(strict_types=1);

namespace App\Http\Requests\Files;

use Almanac\Files\FileKind;
use App\Http\Requests\UploadRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class AddFileRequest extends UploadRequest
{
    public static function shape(): Shape
    {
        // How large it may be is said by what keeps it.
        return Shape::named('FileUpload', ['file' => Input::file(), 'kind' => Input::oneOf(FileKind::class)]);
    }

    public function kind(): FileKind
    {
        return FileKind::from($this->string('kind')->value());
    }
}
