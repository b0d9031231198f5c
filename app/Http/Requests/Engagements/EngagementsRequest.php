<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use App\Http\Requests\Lists\NarrowsList;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Validation\Rule;

/** Which cases and projects somebody wants to see. */
final class EngagementsRequest extends ShapedRequest
{
    use NarrowsList;

    public static function shape(): Shape
    {
        return Shape::named('EngagementsQuery', [
            'page' => Input::number()->optional(),
            'kindId' => Input::number()->optional(),
            'stageId' => Input::number()->optional(),
            'state' => Input::text(10)->optional()->also(Rule::in(['live', 'enquiry', 'closed', 'all', 'archived']))->says(
                'Live, unless it is said: enquiry, closed, all or archived.',
            ),
            'roleId' => Input::number()->optional(),
            'partyId' => Input::number()->optional(),
            'ownerId' => Input::number()->optional(),
            'from' => Input::isoDay()->optional()->says('Begun on that day or later.'),
            'to' => Input::isoDay()->optional(),
            'q' => Input::text(200)->optional()->says('Of the number, the title, a party, a role, the place, a detail.'),
            'filter' => self::sentence(),
            'sort' => self::sorting(),
            'columns' => self::columns(),
        ]);
    }

    /**
     * @return array{
     *     kindId?: int|null, stageId?: int|null, state?: string|null, roleId?: int|null, partyId?: int|null, ownerId?: int|null,
     *     from?: string|null, to?: string|null, q?: string|null,
     * }
     */
    public function wanted(): array
    {
        /**
         * @var array{
         *     kindId?: int|null, stageId?: int|null, state?: string|null, roleId?: int|null, partyId?: int|null, ownerId?: int|null,
         *     from?: string|null, to?: string|null, q?: string|null,
         * }
         */
        return $this->safe()->except('page', 'filter', 'sort', 'columns');
    }
}
