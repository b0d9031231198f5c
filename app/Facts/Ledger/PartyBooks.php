<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DaysToPay;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Entry;
use Almanac\Ledger\Standing;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Models\Office;
use App\Models\Payment;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Gathers from the books what standings are worked out from. */
final class PartyBooks
{
    /**
     * @param array<int> $partyIds
     *
     * @return array<int, list<Standing>> by party; clients before vendors, the office's currency first
     */
    public static function ofMany(array $partyIds, Day $today): array
    {
        $office = Office::current();
        $entries = self::entries($partyIds, $today);
        $unallocated = self::unallocated($partyIds);
        $standings = [];
        foreach (array_unique([...array_keys($entries), ...array_keys($unallocated)]) as $id) {
            foreach (Side::cases() as $side) {
                $currencies = array_unique([
                    ...array_keys($entries[$id][$side->value] ?? []),
                    ...array_keys($unallocated[$id][$side->value] ?? []),
                ]);
                usort(
                    $currencies,
                    fn (string $one, string $other) => [$one !== $office->currency(), $one] <=> [$other !== $office->currency(), $other],
                );
                foreach ($currencies as $currency) {
                    $standings[$id][] = Standing::of(
                        $side,
                        $entries[$id][$side->value][$currency] ?? [],
                        Money::ofMinor($unallocated[$id][$side->value][$currency] ?? 0, $currency),
                        $today,
                        $office->ageing_by,
                        $office->warn_after,
                    );
                }
            }
        }

        return $standings;
    }

    /**
     * @param array<int> $partyIds
     *
     * @return array<int, array<string, array<string, list<Entry>>>> by party, side and currency
     */
    private static function entries(array $partyIds, Day $today): array
    {
        // Read without making a document of each: an import asks for tens of thousands.
        $documents = DB::table('documents')
            ->whereIn('party_id', $partyIds)
            ->whereIn('kind', DocumentKind::counted())
            ->whereIn('state', DocumentState::counted())
            ->where(
                fn ($query) => $query
                    ->where('open_minor', '>', 0)
                    ->orWhere('settled_on', '>=', $today->plusDays(-DaysToPay::WINDOW)->toIso()),
            )
            ->get(['id', 'party_id', 'kind', 'dated_on', 'due_on', 'currency', 'total_minor', 'open_minor', 'settled_on', 'is_in_parts']);
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
                $entries[$document->party_id][$kind->side()->value][$currency][] = $part;
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

    /**
     * @param array<int> $partyIds
     *
     * @return array<int, array<string, array<string, int>>> minor units by party, side and currency
     */
    private static function unallocated(array $partyIds): array
    {
        $sums = [];
        $payments = Payment::query()->whereIn('party_id', $partyIds)->where('is_void', false)->where('unallocated_minor', '>', 0)->get();
        foreach ($payments as $payment) {
            $sums[$payment->party_id][$payment->side->value][$payment->currency] =
                ($sums[$payment->party_id][$payment->side->value][$payment->currency] ?? 0) + $payment->unallocated_minor;
        }

        return $sums;
    }
}
