<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Almanac\Finding\Fold;
use Almanac\Interchange\PartyRow;
use Almanac\LookAlikes\Comparison;
use Almanac\LookAlikes\Keys;
use Almanac\LookAlikes\Likeness;
use Almanac\LookAlikes\Verdict;
use Almanac\Names\CompanyName;
use Almanac\Records\PartyKind;
use App\Facts\LookAlikes\OfficeWeights;
use App\Facts\LookAlikes\PartyLikeness;
use App\Models\FormerRecord;
use Illuminate\Support\Facades\DB;

/**
 * Finds whom the lines of a file are in the book, many at once: by our number, else as records are compared with each other,
 * by numbers elsewhere, tax numbers, emails, phones, names with places.
 */
final class MatchRows
{
    /** Of one line, those that share most. */
    private const CANDIDATES = 12;

    /** A key that more have tells nobody apart. */
    private const CROWD = 60;

    private const ASKED = 400;

    /**
     * @param array<int, PartyRow> $rows by line
     * @param array<int, Likeness> $alike what is compared of each
     * @param array<int, true>|null $among the records with which they are compared; null for all
     *
     * @return array<int, RowMatch> by line
     */
    public static function of(array $rows, array $alike, ?array $among = null): array
    {
        $isAsked = fn (int $id): bool => $among === null || isset($among[$id]);
        $numbered = array_filter(self::byNumber($rows), $isAsked);
        $shared = array_map(fn (int $id) => [$id => 1], $numbered) + self::sharing(array_diff_key($alike, $numbered), $isAsked);
        $kept = PartyLikeness::ofKept(array_values(array_unique(array_merge([], ...array_map(array_keys(...), array_values($shared))))));
        $weights = [];
        foreach (PartyKind::cases() as $kind) {
            $ofKind = array_values(array_filter($alike, fn (Likeness $one) => $one->kind === $kind));
            $weights[$kind->value] = $ofKind === [] ? null : OfficeWeights::forAll(...$ofKind);
        }
        $companies = array_filter(self::companies(array_values(array_map(
            fn (PartyRow $row) => $row->value('name'),
            array_filter($rows, fn (PartyRow $row) => $row->kind === PartyKind::Company),
        ))), $isAsked);
        // Of whom only half a name is known, and nothing else by which anybody is found.
        $halves = array_map(
            fn (PartyRow $row) => Fold::text($row->personName()->fileAs()),
            array_filter(array_diff_key($rows, $shared), fn (PartyRow $row) => $row->kind === PartyKind::Person
                && ($row->value('given') === '' || $row->value('family') === '')),
        );
        $called = self::called(PartyKind::Person, $halves);
        $found = [];
        foreach ($rows as $line => $row) {
            $match = self::compared(
                $alike[$line],
                array_intersect_key($kept, $shared[$line] ?? []),
                fn (Likeness $one, Likeness $other) => Comparison::of($one, $other, $weights[$row->kind->value]),
            );
            $number = $numbered[$line] ?? null;
            $named = $row->kind === PartyKind::Company ? $companies[self::sortKey($row->value('name'))] ?? null : null;
            $found[$line] = match (true) {
                // A company that is called so to the letter, where no other could be meant either.
                $number === null && $match->recordId === null && array_column($match->candidates, 'id') === [$named] => new RowMatch($named, []),
                $number === null && isset($halves[$line]) => new RowMatch(null, array_map(
                    fn (int $id) => ['id' => $id, 'isSure' => false],
                    array_slice(array_values(array_filter($called[$halves[$line]] ?? [], $isAsked)), 0, self::CANDIDATES),
                )),
                $number === null => $match,
                // Our number, and they are not unlike: that is who is meant. Else it may be a number of another book.
                $match->candidates !== [] => new RowMatch($number, []),
                default => new RowMatch(null, [['id' => $number, 'isSure' => false]]),
            };
        }

        return $found;
    }

    /**
     * What is compared of each.
     *
     * @param array<int, PartyRow> $rows by line
     * @param bool $withCompanies with the companies of the book at which they are; without, where those who are compared come from one file:
     *                            that they are of one firm makes no two of them one
     *
     * @return array<int, Likeness> by line
     */
    public static function alike(array $rows, bool $withCompanies = true): array
    {
        $companies = ! $withCompanies
            ? []
            : self::companies(self::employers($rows));

        return array_map(fn (PartyRow $row) => PartyLikeness::ofRow($row, array_values(array_filter(
            array_map(fn (array $held) => $companies[self::sortKey($held['company'])] ?? 0, $row->positions),
        ))), $rows);
    }

    /**
     * @param array<int, Likeness> $kept by record
     * @param \Closure(Likeness, Likeness): Comparison $compare
     */
    private static function compared(Likeness $one, array $kept, \Closure $compare): RowMatch
    {
        $alike = array_filter(
            array_map(fn (Likeness $other) => $compare($one, $other), $kept),
            fn (Comparison $found) => $found->isPossible(),
        );
        uasort($alike, fn (Comparison $a, Comparison $b) => [$b->isLikely(), $b->score] <=> [$a->isLikely(), $a->score]);
        $sure = array_keys(array_filter($alike, fn (Comparison $found) => $found->verdict === Verdict::Same));
        // Where somebody is in the book twice, the one that is called so to the letter.
        $exact = array_values(array_filter(
            $sure,
            fn (int $id) => [$kept[$id]->given, $kept[$id]->name, $kept[$id]->branch] === [$one->given, $one->name, $one->branch],
        ));

        return new RowMatch(
            match (true) {
                count($sure) === 1 => $sure[0],
                count($exact) === 1 => $exact[0],
                default => null,
            },
            array_map(
                fn (int $id) => ['id' => $id, 'isSure' => $alike[$id]->verdict === Verdict::Same],
                array_slice(array_keys($alike), 0, self::CANDIDATES),
            ),
        );
    }

    /**
     * By the number that we gave, also of one that was made one with another.
     *
     * @param array<int, PartyRow> $rows
     *
     * @return array<int, int> record by line
     */
    private static function byNumber(array $rows): array
    {
        $numbers = array_filter(array_map(fn (PartyRow $row) => (int) $row->value('number'), $rows), fn (int $number) => $number > 0);
        $known = [];
        foreach (array_chunk(array_values(array_unique($numbers)), self::ASKED) as $some) {
            $known += FormerRecord::query()->whereIntegerInRaw('number', $some)->pluck('kept_id', 'number')->all();
            $known += DB::table('parties')->whereIntegerInRaw('number', $some)->pluck('id', 'number')->all();
        }

        return array_filter(array_map(fn (int $number) => (int) ($known[$number] ?? 0), $numbers), fn (int $id) => $id > 0);
    }

    /**
     * @param array<int, Likeness> $alike
     * @param \Closure(int): bool $isAsked whether a record is compared
     *
     * @return array<int, array<int, int>> how many keys they share, by record, by line
     */
    private static function sharing(array $alike, \Closure $isAsked): array
    {
        $lines = [];
        foreach ($alike as $line => $one) {
            foreach (Keys::of($one) as $key) {
                if (Keys::isStrong($key)) {
                    $lines[$key][] = $line;
                }
            }
        }
        $shared = [];
        foreach (array_chunk(array_keys($lines), self::ASKED) as $some) {
            $holders = [];
            foreach (DB::table('look_alike_keys')->whereIn('key', array_map(strval(...), $some))->get(['key', 'party_id']) as $row) {
                $holders[$row->key][] = (int) $row->party_id;
            }
            foreach ($holders as $key => $ids) {
                foreach (count($ids) > self::CROWD ? [] : array_filter($ids, $isAsked) as $id) {
                    foreach ($lines[$key] as $line) {
                        $shared[$line][$id] = ($shared[$line][$id] ?? 0) + 1;
                    }
                }
            }
        }

        return array_map(function (array $counts): array {
            arsort($counts);

            return array_slice($counts, 0, self::CANDIDATES, true);
        }, $shared);
    }

    /**
     * Names of companies at which somebody of them works.
     *
     * @param array<int, PartyRow> $rows
     *
     * @return list<string>
     */
    public static function employers(array $rows): array
    {
        return array_merge([], ...array_map(fn (PartyRow $row) => array_column($row->positions, 'company'), array_values($rows)));
    }

    /**
     * Companies in use that are called so.
     *
     * @param list<string> $names
     *
     * @return array<string, int> by the name without case and accents; the oldest of several
     */
    public static function companies(array $names): array
    {
        return array_map(fn (array $ids) => min($ids), self::called(PartyKind::Company, array_map(self::sortKey(...), array_unique($names))));
    }

    /**
     * Those in use who are called so to the letter.
     *
     * @param array<int, string> $keys
     *
     * @return array<string, non-empty-list<int>> by the name without case and accents
     */
    private static function called(PartyKind $kind, array $keys): array
    {
        $found = [];
        foreach (array_chunk(array_values(array_unique($keys)), self::ASKED) as $some) {
            $rows = DB::table('parties')->whereIn('sort_key', $some)->where('kind', $kind->value)->whereNull('archived_on');
            foreach ($rows->orderBy('id')->get(['id', 'sort_key']) as $row) {
                $found[(string) $row->sort_key][] = (int) $row->id;
            }
        }

        return $found;
    }

    /** As a company of that name is kept in order. */
    public static function sortKey(string $name): string
    {
        return Fold::text(CompanyName::of($name)->fileAs());
    }
}
