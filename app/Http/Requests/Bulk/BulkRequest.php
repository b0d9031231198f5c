<?php

declare(strict_types=1);

namespace App\Http\Requests\Bulk;

use Almanac\Bulk\BulkKind;
use Almanac\Terms\Side;
use App\Facts\Lists\Chosen;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** What is to be done to which records. */
final class BulkRequest extends ShapedRequest
{
    private const MOST = 20000;

    public static function shape(): Shape
    {
        return Shape::named('BulkInput', [
            'chosen' => Input::of(Shape::named('ChosenInput', [
                'isAll' => Input::flag()->says('All that the list asks for, but for the numbers that are given.'),
                'filter' => Input::text(10000)->says('The sentence of the list.'),
                'withArchived' => Input::flag(),
                'ids' => Input::listOf(Input::id(), self::MOST)->says('The records that are chosen; of all of a list those that are not.'),
            ])),
            'change' => Input::of(Shape::named('BulkChangeInput', [
                'kind' => Input::oneOf(BulkKind::class),
                'values' => Input::listOf(Input::text(5000), 100)->says('What it is to be; none for nothing.'),
                'side' => Input::oneOf(Side::class)->optional(),
                'field' => Input::text(40)->optional()->says('Of a side.'),
                'fieldId' => Input::id()->optional()->says('Of a detail sheet.'),
                'day' => Input::text()->optional(),
                'userId' => Input::id()->orNull()->optional(),
                'engagementId' => Input::id()->optional(),
                'roleId' => Input::id()->optional(),
            ])),
        ]);
    }

    public function chosen(): Chosen
    {
        /** @var array{chosen: array{isAll: bool, filter: string|null, withArchived: bool, ids: list<int>}} $input */
        $input = $this->validated();
        ['isAll' => $isAll, 'filter' => $filter, 'withArchived' => $withArchived, 'ids' => $ids] = $input['chosen'];

        return new Chosen($isAll, $filter ?? '', $withArchived, $ids);
    }

    /**
     * @return array{
     *     kind: string, values: list<string>, side?: string|null, field?: string|null, fieldId?: int|null, day?: string|null,
     *     userId?: int|null, engagementId?: int|null, roleId?: int|null,
     * }
     */
    public function change(): array
    {
        /**
         * @var array{change: array{
         *     kind: string, values: list<string|null>, side?: string|null, field?: string|null, fieldId?: int|null, day?: string|null,
         *     userId?: int|null, engagementId?: int|null, roleId?: int|null,
         * }} $input
         */
        $input = $this->validated();

        return ['values' => array_map(fn (?string $value) => $value ?? '', $input['change']['values'])] + $input['change'];
    }
}
