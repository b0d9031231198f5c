<?php

declare(strict_types=1);

namespace App\Http\Requests\Bulk;

use Almanac\Bulk\BulkKind;
use Almanac\Terms\Side;
use App\Http\Requests\Lists\ChoosesRecords;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** What is to be done to which records. */
final class BulkRequest extends ShapedRequest
{
    use ChoosesRecords;

    public static function shape(): Shape
    {
        return Shape::named('BulkInput', [
            'chosen' => self::chosenOnes(),
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
