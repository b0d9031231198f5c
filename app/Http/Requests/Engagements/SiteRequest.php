<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class SiteRequest extends VersionedRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('EngagementSiteInput', [
            'addressId' => Input::id()->orNull()->says('Somebody’s address, by link; null for one of its own.'),
            'country' => Input::text()->says('ISO 3166-1 alpha-2.'),
            'lines' => Input::text(),
            'locality' => Input::text(),
            'region' => Input::text(),
            'postcode' => Input::text(),
            'note' => Input::text(200),
        ]);
    }
}
