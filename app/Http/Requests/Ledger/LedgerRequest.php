<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Ledger\AgeingBucket;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\ListedState;
use Almanac\Terms\Side;
use App\Http\Requests\Lists\NarrowsList;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Validation\Rule;

/** What somebody wants to see of the ledger. */
final class LedgerRequest extends ShapedRequest
{
    use NarrowsList;

    public static function shape(): Shape
    {
        return Shape::named('LedgerQuery', [
            'page' => Input::number()->optional(),
            'partyId' => Input::number()->optional(),
            'engagementId' => Input::number()->optional()->says('Of a case or a project.'),
            'side' => Input::oneOf(Side::class)->optional(),
            'kind' => Input::oneOf(DocumentKind::class)->optional(),
            'state' => Input::oneOf(ListedState::class)->optional(),
            'bucket' => Input::oneOf(AgeingBucket::class)->optional(),
            'currency' => Input::text(3)->filled('USD')->also('size:3')->optional(),
            'from' => Input::isoDay()->optional(),
            'to' => Input::isoDay()->optional(),
            'q' => Input::text(200)->optional()->says('Of the number, the reference or the name.'),
            'filter' => self::sentence(),
            'sort' => self::sorting(),
            'columns' => self::columns(),
            'format' => Input::text(3)->optional()->also(Rule::in(['csv'])),
        ]);
    }

    /**
     * @return array{
     *     partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null,
     *     currency?: string|null, from?: string|null, to?: string|null, q?: string|null, engagementId?: int|null,
     * }
     */
    public function wanted(): array
    {
        /**
         * @var array{
         *     partyId?: int|null, side?: string|null, kind?: string|null, state?: string|null, bucket?: string|null,
         *     currency?: string|null, from?: string|null, to?: string|null, q?: string|null, engagementId?: int|null,
         * }
         */
        return $this->safe()->except('page', 'format', 'filter', 'sort', 'columns');
    }
}
