<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Where a name may be mentioned: in what was written, in names of files, in what meetings were about, and on documents. */
return new class extends Migration
{
    /** What is read of each, and its place among them: the number of a row is three times its own and that. */
    private const SOURCES = [
        'log_entries' => [0, 'new.text'],
        'files' => [1, 'new.name'],
        'meetings' => [2, "new.title || ' ' || new.agenda || ' ' || new.outcome"],
    ];

    public function up(): void
    {
        DB::statement("CREATE VIRTUAL TABLE mention_words USING fts5(words, tokenize = 'unicode61 remove_diacritics 2')");
        foreach (self::SOURCES as $table => [$place, $words]) {
            $add = "INSERT INTO mention_words (rowid, words) VALUES (new.id * 3 + $place, $words);";
            $remove = "DELETE FROM mention_words WHERE rowid = old.id * 3 + $place;";
            DB::statement("CREATE TRIGGER {$table}_mentioned AFTER INSERT ON $table BEGIN $add END");
            DB::statement("CREATE TRIGGER {$table}_mentioned_anew AFTER UPDATE ON $table BEGIN $remove $add END");
            DB::statement("CREATE TRIGGER {$table}_mentioned_no_more AFTER DELETE ON $table BEGIN $remove END");
        }
        // A document keeps the name that its party had.
        DB::statement("CREATE INDEX documents_copied_name ON documents (lower(json_extract(copy, '$.name')))");
    }
};
