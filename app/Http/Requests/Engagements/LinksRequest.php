<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use Almanac\Engagements\EngagementLink;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class LinksRequest extends VersionedRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('EngagementLinksInput', [
            'links' => Input::listOf(Shape::named('EngagementTieInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'engagementId' => Input::id(),
                'kind' => Input::oneOf(EngagementLink::class)->says('What this one is to the other.'),
            ]), 100),
        ]);
    }
}
