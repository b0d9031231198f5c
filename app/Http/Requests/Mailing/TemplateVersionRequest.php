<?php

declare(strict_types=1);

namespace App\Http\Requests\Mailing;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which version of a template is to be removed. */
final class TemplateVersionRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('TemplateVersionInput', ['version' => Input::whole(0)]);
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
