<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Almanac\Access\Role;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class SecondFactorRolesRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SecondFactorRolesInput', [
            'roles' => Input::listOf(Input::oneOf(Role::class), count(Role::cases()))->says('Roles that sign in with a second factor; empty for none.'),
        ]);
    }

    /** @return list<string> */
    public function roles(): array
    {
        $asked = (array) $this->input('roles', []);

        return array_values(array_filter(array_column(Role::cases(), 'value'), fn (string $role) => in_array($role, $asked, true)));
    }
}
