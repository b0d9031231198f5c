<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class AllocationsRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('AllocationsInput', ['allocations' => self::part()]);
    }

    public static function part(): Input
    {
        return Input::listOf(Shape::named('AllocationInput', [
            'documentId' => Input::id(),
            'amount' => Input::text(),
            'discount' => Input::text()->says('For early payment; empty for none.'),
        ]), 500);
    }

    /** @return list<array{documentId: int, amount: string, discount: string}> */
    public function allocations(): array
    {
        /** @var list<array{documentId: int, amount: string, discount: string}> */
        return $this->validated('allocations');
    }
}
