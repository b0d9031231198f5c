<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\TaxTreatment;
use Almanac\Terms\Side;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class DocumentRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('DocumentInput', [
            'kind' => Input::oneOf(DocumentKind::class, [...DocumentKind::written(Side::Client), ...DocumentKind::written(Side::Vendor)]),
            'version' => Input::whole(0)->optional()->says('Of a draft that is changed: the one that was read.'),
            'date' => Input::text()->says('Empty for today.'),
            'due' => Input::text()->says('Empty for as the terms have it.'),
            'terms' => Input::text()->says('Shorthand.'),
            'treatment' => Input::oneOf(TaxTreatment::class),
            'currency' => Input::text(),
            'number' => Input::text()->says('Theirs, on what comes from them.'),
            'reference' => Input::text(),
            'note' => Input::text(5000),
            'engagementId' => Input::id()->orNull()->optional()->says('The case or project that it is for; left out, it stays as it is.'),
            'validUntil' => Input::text()->optional()->says('Of a quote; empty for no end.'),
            'lines' => Input::listOf(Shape::named('DocumentLineInput', [
                'text' => Input::text(),
                'quantity' => Input::text()->says('Empty for one.'),
                'price' => Input::text(),
                'discount' => Input::text()->says('Percent; empty for none.'),
                'taxRateId' => Input::id()->orNull(),
                'accountId' => Input::id()->orNull(),
                'costCentreIds' => Input::listOf(Input::id(), 20),
                'sourceLineId' => Input::id()->orNull()->optional()->says('The line of a quote or an order that it takes from.'),
            ]), 500),
            'issues' => Input::flag()->optional()->says('Of a new one: whether it is issued at once.'),
        ]);
    }

    public function kind(): DocumentKind
    {
        return DocumentKind::from($this->string('kind')->toString());
    }
}
