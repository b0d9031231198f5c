<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Validation\Rule;
use Symfony\Component\Intl\Countries;

final class OfficeRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('OfficeInput', [
            'name' => Input::text(200)->filled(),
            'country' => Input::text(2)->filled('US')->also(Rule::in(Countries::getCountryCodes()))->says('ISO 3166-1 alpha-2.'),
            'lines' => Input::text(),
            'locality' => Input::text(),
            'region' => Input::text(),
            'postcode' => Input::text(),
            'monthFirst' => Input::flag()->says('Whether 3/4 is typed for March 4.'),
            'decimalComma' => Input::flag()->orNull()->says('Whether 12,50 is typed for twelve and a half; null for as the country does.'),
            'timeZone' => Input::text(64)->also(Rule::in(['', ...\DateTimeZone::listIdentifiers()]))->says(
                'Of the IANA database; empty for that of the address.',
            ),
            'phone' => Input::text(100),
            'email' => Input::text(254),
            'clerksMakeOne' => Input::flag()->optional()->says('Whether clerks make records one, rather than propose it.'),
            'cardPlaces' => Input::text(4000)->optional()->says(
                'Where address books elsewhere may be read, one place on a line, such as https://contacts.example.com.',
            ),
            'howToPay' => Input::text()->says('What papers say of how to pay the office: its bank, its account.'),
        ]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Type the name of your office.',
            'country.*' => 'Choose the country your office is in.',
            'timeZone.*' => 'Choose a time zone from the list.',
        ];
    }
}
