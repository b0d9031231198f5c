<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Terms\Side;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class PaymentPreviewRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('PaymentPreviewInput', [
            'side' => Input::oneOf(Side::class),
            'day' => Input::text()->says('Empty for today.'),
            'amount' => Input::text()->says('Empty while it is not typed yet.'),
            'currency' => Input::text(),
            'firstId' => Input::id()->orNull()->says('The document that it is for before all others.'),
            'allocations' => AllocationsRequest::part()->orNull()->says('Null for what is proposed.'),
        ]);
    }

    /**
     * @return array{
     *     side: string, day: string, amount: string, currency: string, firstId: int|null,
     *     allocations: list<array{documentId: int, amount: string, discount: string}>|null,
     * }
     */
    public function preview(): array
    {
        /**
         * @var array{
         *     side: string, day: string, amount: string, currency: string, firstId: int|null,
         *     allocations: list<array{documentId: int, amount: string, discount: string}>|null,
         * }
         */
        return $this->validated();
    }
}
