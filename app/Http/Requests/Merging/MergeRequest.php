<?php

declare(strict_types=1);

namespace App\Http\Requests\Merging;

use Almanac\Merging\Decisions;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which records become one, and what is decided of it. */
final class MergeRequest extends ShapedRequest
{
    private const MOST = 20;

    private const MOST_PARTS = 2000;

    public static function shape(): Shape
    {
        return Shape::named('MergeInput', [
            'partyIds' => Input::listOf(Input::id(), self::MOST),
            'keptId' => Input::id()->orNull()->says('The record that stays; null lets it be proposed.'),
            'chosen' => Input::listOf(Shape::named('MergeChoiceInput', [
                'part' => Input::text(100)->filled('identity/given'),
                'partyId' => Input::id()->says('Whose value is taken.'),
            ]), self::MOST_PARTS),
            'lines' => Input::listOf(Shape::named('MergeLineInput', [
                'part' => Input::text(100)->filled('reach/contact:1'),
                'isKept' => Input::flag(),
                'label' => Input::text(60)->optional(),
                'isPrimary' => Input::flag()->optional()->says('Whether it comes first of its kind.'),
            ]), self::MOST_PARTS),
            'withArchived' => Input::flag()->says('Whether archived records may come too.'),
            'seen' => Input::text(64)->says('As the preview gave it; empty for a preview.'),
            'why' => Input::text(200)->says('In a few words; may be empty.'),
        ]);
    }

    /** @return list<int> */
    public function partyIds(): array
    {
        /** @var list<int> */
        return array_values($this->array('partyIds'));
    }

    public function keptId(): ?int
    {
        return $this->input('keptId') === null ? null : $this->integer('keptId');
    }

    public function decisions(): Decisions
    {
        /**
         * @var array{
         *     chosen: list<array{part: string, partyId: int}>, withArchived: bool,
         *     lines: list<array{part: string, isKept: bool, label?: string|null, isPrimary?: bool|null}>,
         * } $input
         */
        $input = $this->validated();
        $lines = $input['lines'];
        $labelled = array_filter($lines, fn (array $line) => isset($line['label']));

        return new Decisions(
            array_column($input['chosen'], 'partyId', 'part'),
            array_column($lines, 'isKept', 'part'),
            array_map(trim(...), array_column($labelled, 'label', 'part')),
            array_column(array_filter($lines, fn (array $line) => $line['isPrimary'] ?? false), 'part'),
            $input['withArchived'],
        );
    }
}
