<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ForEngagementRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ForEngagementInput', [
            'engagementId' => Input::id()->orNull()->says('The case or project; null for none.'),
        ]);
    }

    public function engagementId(): ?int
    {
        $id = $this->validated('engagementId');

        return is_numeric($id) ? (int) $id : null;
    }
}
