<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Finding\IndexParties;
use Illuminate\Support\Facades\DB;

/** How much is in the book, and whether what is kept over all records is what is in it. */
trait CountsTheBook
{
    /** @return array<string, int> */
    private function counted(): array
    {
        $tables = [
            'parties', 'subjects', 'contact_points', 'addresses', 'address_uses', 'positions', 'client_terms', 'vendor_terms', 'tax_numbers',
            'bank_details', 'documents', 'document_lines', 'log_entries', 'detail_values', 'party_codes',
            'party_list_items', 'record_lines', 'record_values', 'search_words', 'search_letters', 'look_alike_keys',
        ];

        return array_combine($tables, array_map(fn (string $table) => DB::table($table)->count(), $tables));
    }

    /** What was indexed from memory is what is indexed from the book. */
    private function assertKeptAsWritten(): void
    {
        // By what the rows of each are told apart.
        $tables = [
            'record_lines' => 'party_id', 'record_values' => 'party_id', 'record_gaps' => 'party_id',
            'look_alike_keys' => 'party_id, key', 'search_words' => 'rowid', 'search_letters' => 'rowid',
        ];
        $kept = fn (): array => array_map(
            fn (string $order, string $table) => DB::table($table)->orderByRaw($order)->selectRaw($order === 'rowid' ? 'rowid, *' : '*')
                ->get()->map(fn ($row) => (array) $row)->all(),
            $tables, array_keys($tables),
        );
        $written = $kept();
        $this->app->make(IndexParties::class)->everything();
        $this->assertEquals($kept(), $written);
    }
}
