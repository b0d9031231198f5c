<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which version of the mail server is to be forgotten. */
final class MailServerVersionRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('MailServerVersionInput', ['version' => Input::whole(0)]);
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
