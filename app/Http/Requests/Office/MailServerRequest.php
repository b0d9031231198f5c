<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Almanac\Mailing\MailSecurity;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** The mail server that the office sends by. */
final class MailServerRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('MailServerInput', [
            'host' => Input::text(253),
            'port' => Input::whole(0),
            'security' => Input::oneOf(MailSecurity::class),
            'userName' => Input::text(250)->says('Empty where the server asks for none.'),
            'password' => Input::text(500)->orNull()->says('Null leaves it as it is.'),
            'sender' => Input::text(250)->says('The address that all is sent from; empty for that of whoever sends.'),
            'version' => Input::whole(0)->says('That has been seen; 0 where there is none.'),
        ]);
    }

    /** @return array{host: string, port: int, security: string, userName: string, password: string|null, sender: string} */
    public function mailServer(): array
    {
        $password = $this->validated('password');

        return [
            'host' => $this->string('host')->value(),
            'port' => $this->integer('port'),
            'security' => $this->string('security')->value(),
            'userName' => $this->string('userName')->value(),
            'password' => is_string($password) && $password !== '' ? $password : null,
            'sender' => $this->string('sender')->value(),
        ];
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
