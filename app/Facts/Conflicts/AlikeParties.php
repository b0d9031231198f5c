<?php

declare(strict_types=1);

namespace App\Facts\Conflicts;

use Almanac\Conflicts\AlikeName;
use Almanac\LookAlikes\Keys;
use Almanac\LookAlikes\Likeness;
use Almanac\Names\NameRefused;
use Almanac\Names\TypedPersonName;
use App\Database\Ids;
use Illuminate\Support\Facades\DB;

/**
 * Which parties a name may mean: by the words of their names, former ones too, by the
 * keys of look-alikes, and by what their documents carry; archived ones too.
 */
final class AlikeParties
{
    private const CANDIDATES = 300;

    private const MOST = 25;

    /** @return list<int> */
    public static function of(string $typed): array
    {
        $name = AlikeName::of($typed);
        if ($name->isEmpty()) {
            return [];
        }
        $candidates = array_values(array_unique([...self::byWords($name), ...self::byKeys($typed)]));
        $alike = self::byDocuments($typed);
        foreach (DB::table('search_words')->whereIn('rowid', $candidates)->get(['rowid', 'name', 'also']) as $row) {
            if ($name->means((string) $row->name) || $name->means((string) $row->also)) {
                $alike[] = (int) $row->rowid;
            }
        }
        $alike = array_values(array_unique($alike));
        sort($alike);

        return array_slice($alike, 0, self::MOST);
    }

    /** @return list<int> */
    private static function byWords(AlikeName $name): array
    {
        // The first letters of each word: what is spelled a little differently is still among them.
        $words = array_map(fn (string $word) => '"'.str_replace('"', '', mb_substr($word, 0, 3)).'"*', $name->words);

        return Ids::of(DB::table('search_words')
            ->whereRaw('search_words match ?', ['{name also} : ('.implode(' AND ', $words).')'])
            ->limit(self::CANDIDATES)->pluck('rowid'));
    }

    /** @return list<int> whose documents carry that very name, as it was when they were written */
    private static function byDocuments(string $typed): array
    {
        return Ids::of(DB::table(DB::raw('documents indexed by documents_copied_name'))->whereRaw("lower(json_extract(copy, '$.name')) = lower(?)", [trim($typed)])
            ->distinct()->limit(self::MOST)->pluck('party_id'));
    }

    /** @return list<int> */
    private static function byKeys(string $typed): array
    {
        $keys = Keys::of(Likeness::company($typed));
        try {
            $person = TypedPersonName::read($typed)->name;
            $keys = [...$keys, ...Keys::of(Likeness::person($person->given, $person->family))];
        } catch (NameRefused) {
            // A company, then.
        }

        return Ids::of(DB::table('look_alike_keys')->whereIn('key', $keys)
            ->groupBy('party_id')->orderByRaw('count(*) desc, party_id')->limit(self::CANDIDATES)->pluck('party_id'));
    }
}
