<?php

declare(strict_types=1);

namespace App\Http\Requests\Merging;

use Almanac\Merging\ApartDecisions;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** To whom what came since goes, and who has what was changed since. */
final class ApartRequest extends ShapedRequest
{
    private const MOST = 20;

    private const MOST_PARTS = 20_000;

    public static function shape(): Shape
    {
        return Shape::named('ApartInput', [
            'belongs' => Input::listOf(Shape::named('ApartBelongsInput', [
                'item' => Input::text(100)->filled('documents:1'),
                'partyId' => Input::id(),
            ]), self::MOST_PARTS),
            'has' => Input::listOf(Shape::named('ApartHasInput', [
                'part' => Input::text(100)->filled('identity/given'),
                'partyIds' => Input::listOf(Input::id(), self::MOST)->says('Who has it as it is now; the others have what they had.'),
            ]), self::MOST_PARTS),
            'seen' => Input::text(64)->says('As the preview gave it.'),
        ]);
    }

    public function decisions(): ApartDecisions
    {
        /** @var array{belongs: list<array{item: string, partyId: int}>, has: list<array{part: string, partyIds: list<int>}>} $input */
        $input = $this->validated();

        return new ApartDecisions(
            array_column($input['belongs'], 'partyId', 'item'),
            array_column($input['has'], 'partyIds', 'part'),
        );
    }
}
