<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Banking\PayBy;
use Almanac\Terms\Side;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class PaymentRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('PaymentInput', [
            'side' => Input::oneOf(Side::class)->says('Money from a client, or to a vendor.'),
            'day' => Input::text()->says('Empty for today.'),
            'amount' => Input::text(),
            'currency' => Input::text(),
            'payBy' => Input::oneOf(PayBy::class),
            'reference' => Input::text(),
            'bankDetailId' => Input::id()->orNull()->optional()->says(
                'The account a transfer goes to; without it, the usual one of those in force.',
            ),
            'engagementId' => Input::id()->orNull()->optional()->says('The case or project that it is for.'),
            'firstId' => Input::id()->orNull()->optional()->says('The document that it is for before all others.'),
            'allocations' => AllocationsRequest::part()->orNull()->says(
                'What stays over is kept unallocated. Null for the document it is for, then the oldest first.',
            ),
        ]);
    }
}
