<?php

declare(strict_types=1);

namespace App\Actions\Finding;

use App\Database\LongWork;
use Illuminate\Support\Facades\DB;

/**
 * Puts the pieces together that every save leaves in the full-text indexes: after a day of an office, or after all of it was
 * indexed anew, a search reads dozens of them for each word (https://sqlite.org/fts5.html, "The 'merge' command"). A little
 * at a time: nobody waits for it.
 */
final class TidySearch
{
    private const INDEXES = ['search_words', 'search_letters', 'search_spellings', 'engagement_words', 'mention_words'];

    /** Of an index, that are written in one step: about a tenth of a second. */
    private const PAGES = 200;

    /** Should it never come to an end. */
    private const STEPS = 2000;

    public function handle(): void
    {
        foreach (self::INDEXES as $index) {
            // The first step says that all pieces are meant; those that follow go on with it.
            $pages = -self::PAGES;
            for ($step = 0; $step < self::STEPS && $this->merge($index, $pages); $step++) {
                $pages = self::PAGES;
            }
        }
    }

    /** @return bool whether there was something to put together */
    private function merge(string $index, int $pages): bool
    {
        $isMore = false;
        LongWork::step(function () use ($index, $pages, &$isMore): void {
            $before = DB::scalar('select total_changes()');
            DB::statement("insert into $index($index, rank) values ('merge', ?)", [$pages]);
            // The command itself counts as one.
            $isMore = DB::scalar('select total_changes()') - $before >= 2;
        });

        return $isMore;
    }
}
