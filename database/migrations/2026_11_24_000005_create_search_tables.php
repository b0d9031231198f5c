<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/*
 * Two full-text indexes over the same records, both keyed by party id: whole words and their
 * beginnings, and every run of three letters for parts of words, phone digits and slips.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(<<<'SQL'
            CREATE VIRTUAL TABLE search_words USING fts5(
                name, also, number, works_at, email, phone, place,
                tokenize = "unicode61 remove_diacritics 2", prefix = '1 2 3'
            )
            SQL);
        DB::statement('CREATE VIRTUAL TABLE search_letters USING fts5(name, figures, tokenize = "trigram")');
    }
};
