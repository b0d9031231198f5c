<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use App\Facts\Lists\Chosen;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** What is asked for the records that somebody chose. */
trait ChoosesRecords
{
    private static function chosenOnes(): Input
    {
        return Input::of(Shape::named('ChosenInput', [
            'isAll' => Input::flag()->says('All that the list asks for, but for the numbers that are given.'),
            'filter' => Input::text(10000)->says('The sentence of the list.'),
            'withArchived' => Input::flag(),
            'ids' => Input::listOf(Input::id(), 20000)->says('The records that are chosen; of all of a list those that are not.'),
        ]));
    }

    public function chosen(): Chosen
    {
        /** @var array{chosen: array{isAll: bool, filter: string|null, withArchived: bool, ids: list<int>}} $input */
        $input = $this->validated();
        ['isAll' => $isAll, 'filter' => $filter, 'withArchived' => $withArchived, 'ids' => $ids] = $input['chosen'];

        return new Chosen($isAll, $filter ?? '', $withArchived, $ids);
    }
}
