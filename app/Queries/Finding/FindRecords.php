<?php

declare(strict_types=1);

namespace App\Queries\Finding;

use Almanac\Finding\Fold;
use Almanac\Finding\MatchReason;
use Almanac\Finding\Query;
use Almanac\Ledger\DocumentKind;
use App\Http\Data\Finding\FindResultData;
use App\Models\Document;
use App\Models\Party;
use Illuminate\Support\Facades\DB;

/**
 * Finds records by whatever was typed: beginnings of words in any field, then figures and parts
 * of words, then what is spelled alike.
 */
final class FindRecords
{
    private const MOST = 12;

    private const ENOUGH = 6;

    private const LEAST_OF_NUMBER = 3;

    private const MOST_OF_NUMBER = 60;

    private const CANDIDATES = 80;

    /** How telling a match is in name, also known as, number, works at, email, phone, place. */
    private const WEIGHTS = '10.0, 8.0, 6.0, 4.0, 3.0, 3.0, 2.0';

    /** @return list<FindResultData> */
    public function handle(string $typed, FindScope $scope): array
    {
        $query = Query::of($typed);
        $documents = $this->byDocument($typed, $scope);
        $parties = $this->parties(array_values(array_unique([...array_keys($documents), ...$this->matchingIds($query, $scope)])));
        // What is in use goes first; sorting keeps the order otherwise.
        usort($parties, fn (Party $a, Party $b) => $a->isArchived() <=> $b->isArchived());

        return array_map(fn (Party $party) => FindResultData::of($party, array_values(array_filter([
            $documents[$party->id] ?? '',
            ...array_map(fn (MatchReason $reason) => $reason->toText(), MatchReason::of($query, SearchValues::of($party))),
        ]))), $parties);
    }

    /**
     * By the number of a document, ours or theirs, from its beginning.
     *
     * @return array<int, string> by party, the document
     */
    private function byDocument(string $typed, FindScope $scope): array
    {
        $number = mb_strtoupper(trim($typed));
        if (mb_strlen($number) < self::LEAST_OF_NUMBER || preg_match('/^[\p{L}\p{N}][^\s]*\d[^\s]*$/u', $number) !== 1 || mb_strlen($number) > self::MOST_OF_NUMBER) {
            return [];
        }
        $found = [];
        $documents = Document::query()->whereIn('kind', DocumentKind::cases())->where('number', '>=', $number)->where('number', '<', $number."\u{10ffff}")
            ->when(! $scope->isEverything(), fn ($rows) => $rows->whereIn('party_id', $scope->parties()->select('id')))
            ->limit(self::MOST)->get(['party_id', 'kind', 'number', 'revision']);
        foreach ($documents as $document) {
            $found[$document->party_id] ??= $document->title();
        }

        return array_slice($found, 0, self::ENOUGH, true);
    }

    /** @return list<int> */
    private function matchingIds(Query $query, FindScope $scope): array
    {
        if ($query->isEmpty()) {
            return [];
        }
        $ids = [];
        foreach ([$this->byWords(...), $this->byLetters(...), $this->byShortText(...), $this->bySpelling(...)] as $search) {
            if (count($ids) >= self::ENOUGH) {
                break;
            }
            $ids = array_values(array_unique([...$ids, ...$search($query, $scope, $ids)]));
        }

        return array_slice($ids, 0, self::MOST);
    }

    /** @return list<int> */
    private function byWords(Query $query, FindScope $scope): array
    {
        $match = implode(' ', array_map(fn (string $word) => $this->quote($word).'*', $query->words));

        return $match === '' ? [] : $this->ids('search_words', $match, $scope, 'bm25(search_words, '.self::WEIGHTS.')');
    }

    /** @return list<int> */
    private function byLetters(Query $query, FindScope $scope): array
    {
        if ($query->isFigures()) {
            return $this->ids('search_letters', 'figures : '.$this->quote($query->digits), $scope);
        }
        $words = array_filter($query->words, fn (string $word) => mb_strlen($word) >= 3);

        return count($words) !== count($query->words) || $words === []
            ? []
            : $this->ids('search_letters', implode(' ', array_map($this->quote(...), $words)), $scope);
    }

    /**
     * One or two signs of a script without spaces, or an emoji, which no index holds.
     *
     * @return list<int>
     */
    private function byShortText(Query $query, FindScope $scope): array
    {
        if (preg_match('/^[\x00-\x7f]*$/', $query->typed) === 1 || mb_strlen($query->typed) > 4) {
            return [];
        }
        $pattern = '%'.addcslashes(Fold::text($query->typed), '%_\\').'%';
        $rows = $scope->parties()
            ->whereRaw("sort_key like ? escape '\\'", [$pattern])
            ->limit(self::MOST)->pluck('id');

        return array_values(array_map(intval(...), $rows->all()));
    }

    /**
     * @param list<int> $found
     *
     * @return list<int>
     */
    private function bySpelling(Query $query, FindScope $scope, array $found): array
    {
        $trigrams = $query->trigrams();
        if ($found !== [] || $query->isFigures() || $trigrams === []) {
            return [];
        }
        $candidates = $this->ids(
            'search_letters',
            'name : ('.implode(' OR ', array_map($this->quote(...), $trigrams)).')',
            $scope,
            limit: self::CANDIDATES,
        );

        return array_values(array_map(
            fn (Party $party) => $party->id,
            array_filter(
                $this->parties($candidates),
                fn (Party $party) => $query->isNearly(implode(' ', array_column(SearchValues::of($party), 1))),
            ),
        ));
    }

    /** @return list<int> */
    private function ids(string $table, string $match, FindScope $scope, string $order = 'rank', int $limit = self::MOST): array
    {
        $rows = DB::table($table)
            ->when(! $scope->isEverything(), fn ($rows) => $rows->whereIn('rowid', $scope->parties()->select('id')))
            ->whereRaw("$table match ?", [$match])
            ->orderByRaw($order)
            ->limit($limit)
            ->pluck('rowid');

        return array_values(array_map(intval(...), $rows->all()));
    }

    /** As a string of the full-text query language, in which nothing has a meaning but the quotes. */
    private function quote(string $text): string
    {
        return '"'.str_replace('"', '""', $text).'"';
    }

    /**
     * @param list<int> $ids
     *
     * @return list<Party> in that order
     */
    private function parties(array $ids): array
    {
        $parties = Party::query()->with([...SearchValues::RELATIONS, 'balance'])->findMany($ids)->keyBy('id');

        return array_values(array_filter(array_map(fn (int $id) => $parties->get($id), $ids)));
    }
}
