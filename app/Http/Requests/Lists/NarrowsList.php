<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use Almanac\Lists\ListView;
use App\Facts\Lists\Wanted;
use App\Http\Shapes\Input;

/** What is asked of a list that a sentence narrows. */
trait NarrowsList
{
    private static function sentence(): Input
    {
        // Longer than a sentence may be: what is too long is said beside it.
        return Input::text(10_000)->optional()->says('A sentence, such as "vendors in VT without a tax number".');
    }

    private static function withArchived(): Input
    {
        return Input::text(5)->optional()->also('in:true,false,0,1')->says('Archived ones too; a filter may ask for them as well.');
    }

    private static function sorting(): Input
    {
        return Input::text(1000)->optional()
            ->says('Keys of fields with commas between them, the first one counting most; with a minus the other way round.');
    }

    private static function columns(): Input
    {
        return Input::text(1000)->optional()->says('Keys of fields with commas between them.');
    }

    public function listed(): Wanted
    {
        return new Wanted(
            $this->string('filter')->value(),
            Wanted::keys($this->string('sort')->value()),
            Wanted::keys($this->string('columns')->value()),
            max(1, min(1_000_000, $this->integer('page', 1))),
            $this->boolean('archived'),
            $this->enum('view', ListView::class) ?? ListView::Table,
        );
    }
}
