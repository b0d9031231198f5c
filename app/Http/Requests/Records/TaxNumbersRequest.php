<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\TaxIds\ReportChoice;
use Almanac\TaxIds\TaxIdKind;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class TaxNumbersRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('TaxNumbersInput', [
            'taxNumbers' => Input::listOf(Shape::named('TaxNumberInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'kind' => Input::oneOf(TaxIdKind::class),
                'country' => Input::text()->says('ISO 3166-1 alpha-2, of a VAT number.'),
                'value' => Input::text()->orNull()->says('As it is typed; null leaves it as it is.'),
            ]), 20),
            'formOn' => Input::text()->optional()->says(
                'When form W-9 came in; empty while it has not. With it go the four that follow; without it they stay as they are.',
            ),
            'formBy' => Input::text()->optional(),
            'formFileId' => Input::id()->orNull()->optional(),
            'reportChoice' => Input::oneOf(ReportChoice::class)->optional(),
            'isAttorney' => Input::flag()->optional(),
        ]);
    }

    protected function furtherRules(): array
    {
        $with = $this->has('formOn') ? ['present'] : [];

        return ['formBy' => $with, 'formFileId' => $with, 'reportChoice' => $with, 'isAttorney' => $with];
    }
}
