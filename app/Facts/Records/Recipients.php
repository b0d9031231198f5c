<?php

declare(strict_types=1);

namespace App\Facts\Records;

use Almanac\Reach\ContactKind;
use Almanac\Reach\ContactUse;
use App\Models\ContactPoint;
use App\Models\Party;

/** Where something is sent to by email: what is marked for it, else the primary one. */
final class Recipients
{
    /** @return list<string> */
    public static function emails(Party $party, ContactUse $use): array
    {
        $emails = $party->contactPoints->filter(fn (ContactPoint $point) => $point->kind === ContactKind::Email);
        $marked = $emails->filter(fn (ContactPoint $point) => $point->uses->contains($use));

        return array_values(($marked->isEmpty() ? $emails->filter(fn (ContactPoint $point) => $point->is_primary) : $marked)
            ->map(fn (ContactPoint $point) => $point->value)->all());
    }

    /** Where somebody is written to; null where they have no email. */
    public static function primary(Party $party): ?string
    {
        $emails = $party->contactPoints->filter(fn (ContactPoint $point) => $point->kind === ContactKind::Email);

        return ($emails->first(fn (ContactPoint $point) => $point->is_primary) ?? $emails->first())?->value;
    }
}
