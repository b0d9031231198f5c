<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class IdentityRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('IdentityInput', [
            ...NameInputs::all(),
            'isClient' => Input::flag(),
            'isVendor' => Input::flag(),
            'isInformal' => Input::flag()->optional()->says('Of a person: on first-name terms.'),
            'isDeceased' => Input::flag()->optional()->says('Of a person.'),
            'deceasedOn' => Input::text()->optional()->says('A date as people type it, or empty when it is not known.'),
            'birthDate' => Input::text()->orNull()->optional()->says('Of a person: null leaves it as it is.'),
            'payee' => Input::text()->optional()->says('Of a company: the name on a payment, when it is another.'),
            'legalForm' => Input::text()->optional()->says('Of a company.'),
            'registrationNumber' => Input::text()->optional()->says('Of a company.'),
            'industry' => Input::text()->optional()->says('Of a company.'),
        ]);
    }
}
