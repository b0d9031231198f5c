<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use App\Http\Requests\Rules\GoodPassword;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Validation\Rule;
use Symfony\Component\Intl\Countries;

final class SetUpRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SetUpInput', [
            'officeName' => Input::text(200)->filled(),
            'country' => Input::text(2)->filled('US')->also(Rule::in(Countries::getCountryCodes()))->says('ISO 3166-1 alpha-2.'),
            'name' => Input::text(200)->filled(),
            'email' => Input::text(254)->filled('maud@orreryvane.example')->also('email:rfc'),
            'password' => Input::text(200)->filled('a wheel within a wheel'),
        ]);
    }

    protected function furtherRules(): array
    {
        return ['password' => [new GoodPassword(array_values(array_filter($this->only('email', 'name'), is_string(...))))]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'officeName.required' => 'Type the name of your office.',
            'country.*' => 'Choose the country your office is in.',
            'name.required' => 'Type your name.',
            'email.required' => 'Type your email address.',
            'email.email' => 'That is not an email address. Type it like name@company.example.',
            'password.required' => 'Choose a password.',
        ];
    }
}
