<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DaysToPay;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Entry;
use Almanac\Money\Money;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Documents that count in a standing: all that are open, and those settled within the last year. */
final class EntriesOf
{
    /**
     * @param 'party_id'|'engagement_id' $belongsBy
     * @param array<int> $ids
     *
     * @return array<int, array<string, array<string, list<Entry>>>> by whose they are, side and currency
     */
    public static function many(string $belongsBy, array $ids, Day $today): array
    {
        // Read without making a document of each: an import asks for tens of thousands.
        $documents = DB::table('documents')
            ->whereIn($belongsBy, $ids)
            ->whereIn('kind', DocumentKind::counted())
            ->whereIn('state', DocumentState::counted())
            ->where(
                fn ($query) => $query
                    ->where('open_minor', '>', 0)
                    ->orWhere('settled_on', '>=', $today->plusDays(-DaysToPay::WINDOW)->toIso()),
            )
            ->get(['id', $belongsBy, 'kind', 'dated_on', 'due_on', 'currency', 'total_minor', 'open_minor', 'settled_on', 'is_in_parts']);
        $parts = self::parts($documents);
        $entries = [];
        foreach ($documents as $document) {
            $kind = DocumentKind::from((string) $document->kind);
            $currency = (string) $document->currency;
            $entry = Entry::of(
                (int) $document->id,
                $kind,
                Day::fromIso((string) $document->dated_on),
                self::day($document->due_on),
                Money::ofMinor((int) $document->total_minor, $currency),
                Money::ofMinor((int) $document->open_minor, $currency),
                self::day($document->settled_on),
            );
            foreach ($entry->inParts($parts[$document->id] ?? []) as $part) {
                $entries[(int) $document->{$belongsBy}][$kind->side()->value][$currency][] = $part;
            }
        }

        return $entries;
    }

    private static function day(mixed $iso): ?Day
    {
        return is_string($iso) ? Day::fromIso($iso) : null;
    }

    /**
     * @param Collection<int, \stdClass> $documents
     *
     * @return array<int, list<array{Day, Money, Money}>> of the open ones that are due on several days
     */
    private static function parts(Collection $documents): array
    {
        $several = $documents->where('is_in_parts', 1)->where('open_minor', '>', 0)->pluck('currency', 'id');
        $parts = [];
        foreach (DB::table('document_dues')->whereIn('document_id', $several->keys())->orderBy('rank')->get() as $part) {
            $money = fn (int $minor) => Money::ofMinor($minor, (string) $several[$part->document_id]);
            $parts[(int) $part->document_id][] = [
                Day::fromIso((string) $part->due_on),
                $money((int) $part->amount_minor),
                $money((int) $part->open_minor),
            ];
        }

        return $parts;
    }
}
