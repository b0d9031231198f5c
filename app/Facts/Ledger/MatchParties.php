<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Finding\Fold;
use Almanac\Interchange\ReadDocument;
use App\Facts\Conflicts\AlikeParties;
use App\Models\FormerRecord;
use App\Models\TaxNumber;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Finds whose documents of a file are: by our number, by tax number, by name. Reads the book once for all of them. */
final class MatchParties
{
    private const CHUNK = 2000;

    /** Names that are not in the book for which it is looked who is called nearly so; the rest are asked for by hand. */
    private const MOST_ALIKE = 200;

    private const CANDIDATES = 5;

    /** Signs of the shortest tax number. */
    private const LEAST_SIGNS = 5;

    /** @var array<string, list<int>> */
    private array $byName = [];

    /** @var array<int|string, int> */
    private array $byNumber = [];

    /** @var array<string, int> */
    private array $byTaxNumber = [];

    /** @var array<int, true> */
    private array $archived = [];

    /** @var array<string, list<int>> who is called nearly so, by name */
    private array $alike = [];

    /** @param  array<string, list<int>>  $meant  whom somebody said that names of the file mean, by folded name */
    private function __construct(private readonly array $meant)
    {
    }

    /** @param  array<string, list<int>>  $meant */
    public static function ofBook(array $meant): self
    {
        $match = new self($meant);
        $match->read(DB::table('parties'));
        $match->readFormer();
        $match->readTaxNumbers();

        return $match;
    }

    /**
     * The same for a few documents, without reading all of a large book.
     *
     * @param list<ReadDocument> $documents
     * @param array<string, list<int>> $meant
     */
    public static function ofFew(array $documents, array $meant): self
    {
        $match = new self($meant);
        $named = array_unique(array_merge(...array_map(fn (ReadDocument $one) => [$one->partyName, ...$one->partyNumbers], $documents), ...[[]]));
        $ids = array_merge([], ...array_values($meant));
        foreach ($named as $name) {
            $words = array_map(fn (string $word) => "\"$word\"", Fold::words($name));
            if ($words !== []) {
                $match->read(DB::table('parties')->whereIn('id', fn (Builder $found) => $found->from('search_words')->select('rowid')
                    ->whereRaw('search_words match ?', ['{name also} : ('.implode(' AND ', $words).')'])));
            }
            $ids = [...$ids, ...DB::table('parties')->where('number', ltrim($name, '#'))->pluck('id')->all()];
        }
        $match->read(DB::table('parties')->whereIntegerInRaw('id', array_unique($ids)));
        $match->readFormer();
        if (array_filter($named, fn (string $name) => strlen(Fold::digits($name)) >= self::LEAST_SIGNS) !== []) {
            $match->readTaxNumbers();
        }

        return $match;
    }

    public function find(ReadDocument $document): PartyMatch
    {
        foreach ($document->partyNumbers as $number) {
            $id = $this->byNumber[ltrim($number, '#')] ?? $this->byTaxNumber[self::plain($number)] ?? null;
            if ($id !== null) {
                return $this->inUse([$id], $number);
            }
        }
        foreach ([$document->partyName, ...$document->partyNumbers] as $name) {
            $ids = array_values(array_unique($this->byName[Fold::text($name)] ?? []));
            if ($ids !== []) {
                return $this->inUse($ids, $name);
            }
        }
        $meant = $this->meant[Fold::text($document->partyName)] ?? [];

        return $meant === []
            ? PartyMatch::doubtful(
                "“{$document->partyName}” is not in the book. Choose whose it is, or add the record first.",
                $this->alike($document->partyName),
            )
            : $this->inUse($meant, $document->partyName);
    }

    /** @param  non-empty-list<int>  $ids */
    private function inUse(array $ids, string $named): PartyMatch
    {
        $inUse = array_values(array_filter($ids, fn (int $id) => ! isset($this->archived[$id])));

        return match (count($inUse)) {
            0 => PartyMatch::doubtful("“{$named}” is archived, and takes no new documents. Restore the record, or leave it out.", []),
            1 => PartyMatch::is($inUse[0]),
            default => PartyMatch::doubtful("Several records are called “{$named}”. Choose the one that is meant.", array_slice($inUse, 0, self::CANDIDATES)),
        };
    }

    /** @return list<int> */
    private function alike(string $name): array
    {
        if (count($this->alike) >= self::MOST_ALIKE) {
            return $this->alike[$name] ?? [];
        }

        return $this->alike[$name] ??= array_slice(
            array_values(array_filter(AlikeParties::of($name), fn (int $id) => ! isset($this->archived[$id]))), 0, self::CANDIDATES,
        );
    }

    private function read(Builder $parties): void
    {
        foreach ($parties->select('id', 'number', 'display_name', 'company_name', 'legal_name', 'archived_on')->lazyById(self::CHUNK) as $party) {
            $id = (int) $party->id;
            $this->byNumber[(string) $party->number] = $id;
            $names = [Fold::text($party->display_name), Fold::text($party->company_name), Fold::text($party->legal_name)];
            foreach (array_unique(array_filter($names)) as $name) {
                $this->byName[$name][] = $id;
            }
            if ($party->archived_on !== null) {
                $this->archived[$id] = true;
            }
        }
    }

    /** By its old number and its old name, one that was made one with another is that one. */
    private function readFormer(): void
    {
        foreach (FormerRecord::query()->get() as $former) {
            $this->byNumber[(string) $former->number] = $former->kept_id;
            $this->byName[Fold::text($former->name)][] = $former->kept_id;
        }
    }

    private function readTaxNumbers(): void
    {
        foreach (TaxNumber::query()->lazyById(self::CHUNK) as $number) {
            foreach ([$number->value, $number->country.$number->value] as $value) {
                $this->byTaxNumber[self::plain($value)] = $number->party_id;
            }
        }
    }

    private static function plain(string $number): string
    {
        return preg_replace('/[^0-9A-Z]/', '', mb_strtoupper($number)) ?? '';
    }
}
