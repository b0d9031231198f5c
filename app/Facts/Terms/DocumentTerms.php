<?php

declare(strict_types=1);

namespace App\Facts\Terms;

use Almanac\Calendar\Day;
use Almanac\Terms\Side;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Party;

/** The payment terms that a document has where nothing else was agreed for it. */
final class DocumentTerms
{
    /**
     * Those of the case or the project where it has its own, else the party's, which may be inherited from its parent
     * and from the office. A case has terms for whom we bill; vendors keep theirs.
     *
     * @return string shorthand; empty where there are none
     */
    public static function usual(Party $party, Side $side, Day $today, ?Engagement $engagement): string
    {
        return $side === Side::Client && $engagement !== null && $engagement->terms !== ''
            ? $engagement->terms
            : SideDefaults::of($party, $side, $today)->shorthand();
    }

    /** Those of the case or the project that a document is for, also where whoever asks may not see it; empty for none. */
    public static function ofCase(Document $document): string
    {
        return $document->kind->side() === Side::Client ? $document->everyonesEngagement()->terms ?? '' : '';
    }
}
