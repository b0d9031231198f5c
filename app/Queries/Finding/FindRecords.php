<?php

declare(strict_types=1);

namespace App\Queries\Finding;

use Almanac\Finding\Fold;
use Almanac\Finding\MatchReason;
use Almanac\Finding\Query;
use Almanac\Finding\Spelling;
use Almanac\Ledger\DocumentKind;
use App\Database\Ids;
use App\Facts\Finding\RecordLine;
use App\Facts\Lists\SearchedFields;
use App\Http\Data\Finding\FindResultData;
use App\Models\Balance;
use App\Models\Document;
use App\Models\LookAlikePair;
use Illuminate\Support\Facades\DB;

/**
 * Finds records by whatever was typed: beginnings of words in any field, then figures and parts
 * of words, then what is spelled alike.
 */
final readonly class FindRecords
{
    private const MOST = 12;

    private const ENOUGH = 6;

    private const LEAST_OF_NUMBER = 3;

    private const MOST_OF_NUMBER = 60;

    /** How many are ranked; of more, those whose name begins so come first, and the others as they are filed. */
    private const RANKED = 400;

    /** How many words that are much alike are looked at, and how many of them taken. */
    private const ALIKE = 60;

    private const MOST_ALIKE = 8;

    /** How telling a match is in name, also known as, number, works at, email, phone, place. */
    private const WEIGHTS = '10.0, 8.0, 6.0, 4.0, 3.0, 3.0, 2.0';

    public function __construct(private ReadLines $lines)
    {
    }

    /** @return list<FindResultData> */
    public function handle(string $typed, FindScope $scope): array
    {
        $query = Query::of($typed);
        $documents = $this->byDocument($typed, $scope);
        $ids = array_values(array_unique([...array_keys($documents), ...$this->matchingIds($query, $scope)]));
        $lines = array_values($this->lines->handle($ids));
        $balances = Balance::query()->findMany($ids)->keyBy('party_id');
        // What is in use goes first; sorting keeps the order otherwise.
        usort($lines, fn (RecordLine $a, RecordLine $b) => $a->row->isArchived <=> $b->row->isArchived);

        $alike = $this->alikeAmong($lines);

        return array_map(fn (RecordLine $line) => FindResultData::of($line->row, $balances->get($line->row->id), array_values(array_filter([
            $documents[$line->row->id] ?? '',
            isset($alike[$line->row->id]) ? 'may be the same as '.$alike[$line->row->id] : '',
            ...array_map(fn (MatchReason $reason) => $reason->toText(), MatchReason::of($query, $this->called($line))),
            // Whose a call or a message may be.
            $query->isFigures() ? $this->lineOf($line) : '',
        ]))), $lines);
    }

    /**
     * @param list<RecordLine> $lines
     *
     * @return array<int, string> by record, the name of another of these that it looks like
     */
    private function alikeAmong(array $lines): array
    {
        $names = [];
        foreach ($lines as $line) {
            $names[$line->row->id] = $line->row->displayName;
        }
        $alike = [];
        $ids = array_keys($names);
        foreach (LookAlikePair::toSettle()->whereIntegerInRaw('first_id', $ids)->whereIntegerInRaw('second_id', $ids)->orderBy('score')->get() as $pair) {
            $alike[$pair->first_id] = $names[$pair->second_id];
            $alike[$pair->second_id] = $names[$pair->first_id];
        }

        return $alike;
    }

    private function lineOf(RecordLine $line): string
    {
        return implode(', ', array_column(array_filter($line->values, fn (array $pair) => $pair[0] === 'shared-line'), 1));
    }

    /** @return list<array{string, string}> what the record is found by, each called as a match of its field is */
    private function called(RecordLine $line): array
    {
        $fields = SearchedFields::all();

        return array_map(fn (array $pair) => [$fields->get($pair[0])->matched ?? 'field', $pair[1]], $line->values);
    }

    /**
     * By the number of a document, ours or theirs, from its beginning.
     *
     * @return array<int, string> by party, the document
     */
    private function byDocument(string $typed, FindScope $scope): array
    {
        $number = mb_strtoupper(trim($typed));
        if (
            mb_strlen($number) < self::LEAST_OF_NUMBER ||
            preg_match('/^[\p{L}\p{N}][^\s]*\d[^\s]*$/u', $number) !== 1 ||
            mb_strlen($number) > self::MOST_OF_NUMBER
        ) {
            return [];
        }
        $found = [];
        $documents = Document::query()
            ->whereIn('kind', DocumentKind::cases())
            ->where('number', '>=', $number)
            ->where('number', '<', $number."\u{10ffff}")
            ->when(! $scope->isEverything(), fn ($rows) => $rows->whereIn('party_id', $scope->parties()->select('id')))
            ->limit(self::MOST)
            ->get(['party_id', 'kind', 'number', 'revision']);
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

        if ($match === '') {
            return [];
        }
        [$best, $isAll] = $this->ranked($match, $scope);

        return $isAll ? $best : array_values(array_unique([
            ...$this->byBeginning($query, $scope), ...$this->ranked("name : ($match)", $scope)[0], ...$best,
        ]));
    }

    /** @return list<int> */
    private function byLetters(Query $query, FindScope $scope): array
    {
        if ($query->isFigures()) {
            return $this->letters('figures : '.$this->quote($query->digits), $scope);
        }
        $words = array_filter($query->words, fn (string $word) => mb_strlen($word) >= 3);

        return count($words) !== count($query->words) || $words === []
            ? []
            : $this->letters(implode(' ', array_map($this->quote(...), $words)), $scope);
    }

    /** @return list<int> the best first, while they are few enough to be ranked */
    private function letters(string $match, FindScope $scope): array
    {
        $isFew = count($this->ids('search_letters', $match, $scope, limit: self::RANKED + 1)) <= self::RANKED;

        return $this->ids('search_letters', $match, $scope, $isFew ? 'rank' : '');
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
     * Those filed under what was typed: what an index walks along, however many there are.
     *
     * @return list<int>
     */
    private function byBeginning(Query $query, FindScope $scope): array
    {
        $beginning = implode(' ', $query->words);

        return Ids::of(DB::table('record_lines')
            ->where('sort_key', '>=', $beginning)->where('sort_key', '<', $beginning."\u{10ffff}")
            ->when(! $scope->withArchived, fn ($rows) => $rows->where('is_in_use', true))
            ->when($scope->kind !== null, fn ($rows) => $rows->where('kind', $scope->kind))
            ->orderBy('sort_key')->orderBy('party_id')->limit(self::MOST)->pluck('party_id'));
    }

    /**
     * Words that nobody has, taken for the words that are in use and are much alike.
     *
     * @param list<int> $found
     *
     * @return list<int>
     */
    private function bySpelling(Query $query, FindScope $scope, array $found): array
    {
        if ($found !== [] || $query->isFigures() || $query->trigrams() === []) {
            return [];
        }
        $words = array_map(
            fn (string $word) => '('.
                implode(' OR ', [$this->quote($word).'*', ...array_map($this->quote(...), $this->alike($word))]).
                ')',
            $query->words,
        );
        $match = implode(' AND ', $words);

        return $this->ranked($match, $scope)[0];
    }

    /** @return list<string> the words in use that it may be a slip of, the nearest first */
    private function alike(string $word): array
    {
        $trigrams = Query::of($word)->trigrams();
        if ($trigrams === []) {
            return [];
        }
        $distances = [];
        $candidates = DB::table('search_spellings')->join('search_vocabulary', 'search_vocabulary.id', '=', 'search_spellings.rowid')
            ->whereRaw('search_spellings match ?', [implode(' OR ', array_map($this->quote(...), $trigrams))])
            ->orderByRaw('rank')->limit(self::ALIKE)->pluck('search_vocabulary.word');
        foreach ($candidates as $candidate) {
            if (is_string($candidate) && Spelling::isSlip($word, $candidate)) {
                $distances[$candidate] = Spelling::distance($word, $candidate);
            }
        }
        asort($distances);

        return array_map(strval(...), array_slice(array_keys($distances), 0, self::MOST_ALIKE));
    }

    /** @return array{list<int>, bool} the best first, and whether all were ranked; of too many the first, as they come */
    private function ranked(string $match, FindScope $scope): array
    {
        $some = $this->ids('search_words', $match, $scope, limit: self::RANKED + 1);

        return count($some) > self::RANKED
            ? [array_slice($some, 0, self::MOST), false]
            : [$this->ids('search_words', $match, $scope, 'bm25(search_words, '.self::WEIGHTS.')'), true];
    }

    /** @return list<int> */
    private function ids(string $table, string $match, FindScope $scope, string $order = '', int $limit = self::MOST): array
    {
        return Ids::of(
            DB::table($table)
                ->when(
                    ! $scope->isEverything(),
                    fn ($rows) => $rows->whereExists(
                        fn ($lines) => $lines
                            ->from('record_lines')
                            ->whereColumn('party_id', "$table.rowid")
                            ->when(! $scope->withArchived, fn ($some) => $some->where('is_in_use', true))
                            ->when($scope->kind !== null, fn ($some) => $some->where('kind', $scope->kind)),
                    ),
                )
                ->whereRaw("$table match ?", [$match])
                ->when($order !== '', fn ($rows) => $rows->orderByRaw($order))
                ->limit($limit)
                ->pluck('rowid'),
        );
    }

    /** As a string of the full-text query language, in which nothing has a meaning but the quotes. */
    private function quote(string $text): string
    {
        return '"'.str_replace('"', '""', $text).'"';
    }
}
