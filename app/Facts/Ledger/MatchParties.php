<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Finding\Fold;
use Almanac\Interchange\ReadDocument;
use App\Models\FormerRecord;
use Illuminate\Support\Facades\DB;

/** Finds whom documents of a file are for: by our number, by tax number, by name. Reads the book once for a whole file. */
final class MatchParties
{
    /** @var array<string, list<int>> */
    private array $byName = [];

    /** @var array<int|string, int> */
    private array $byNumber = [];

    /** @var array<string, int> */
    private array $byTaxNumber = [];

    /** @var array<int, true> */
    private array $archived = [];

    public static function ofBook(): self
    {
        $match = new self();
        foreach (
            DB::table('parties')
                ->select('id', 'number', 'display_name', 'company_name', 'legal_name', 'archived_on')
                ->lazyById(2000) as $party
        ) {
            $match->byNumber[(string) $party->number] = (int) $party->id;
            foreach (
                array_unique(
                    array_filter([Fold::text($party->display_name), Fold::text($party->company_name), Fold::text($party->legal_name)]),
                ) as $name
            ) {
                $match->byName[$name][] = (int) $party->id;
            }
            if ($party->archived_on !== null) {
                $match->archived[(int) $party->id] = true;
            }
        }
        // By its old number and its old name, one that was made one with another is that one.
        foreach (FormerRecord::query()->get() as $former) {
            $match->byNumber[(string) $former->number] = $former->kept_id;
            $match->byName[Fold::text($former->name)][] = $former->kept_id;
        }
        foreach (\App\Models\TaxNumber::query()->lazyById(2000) as $number) {
            foreach ([$number->value, $number->country.$number->value] as $value) {
                $match->byTaxNumber[self::plain($value)] = $number->party_id;
            }
        }

        return $match;
    }

    /** @return array{int|null, string} the party, or what is in the way */
    public function find(ReadDocument $document): array
    {
        foreach ($document->partyNumbers as $number) {
            $id = $this->byNumber[ltrim($number, '#')] ?? $this->byTaxNumber[self::plain($number)] ?? null;
            if ($id !== null) {
                return $this->inUse($id, $number);
            }
        }
        $ids = [];
        foreach ([$document->partyName, ...$document->partyNumbers] as $name) {
            $ids = array_values(array_unique($this->byName[Fold::text($name)] ?? []));
            if ($ids !== []) {
                break;
            }
        }

        return match (count($ids)) {
            0 => [null, "“{$document->partyName}” is not in the book. Add the record first, or write its number."],
            1 => $this->inUse($ids[0], $document->partyName),
            default => [null, "Several records are called “{$document->partyName}”. Write the number of the one that is meant."],
        };
    }

    /** @return array{int|null, string} */
    private function inUse(int $id, string $named): array
    {
        return isset($this->archived[$id]) ? [null, "“{$named}” is archived, and takes no new documents."] : [$id, ''];
    }

    private static function plain(string $number): string
    {
        return preg_replace('/[^0-9A-Z]/', '', mb_strtoupper($number)) ?? '';
    }
}
