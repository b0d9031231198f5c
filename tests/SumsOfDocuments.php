<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Support\Facades\DB;

/** What the database keeps of all documents, beside what they come to when they are added up. */
trait SumsOfDocuments
{
    private function assertSumsOfDocuments(string $when): void
    {
        $columns = 'kind, state, currency, is_open, next_due_on, is_in_parts, documents, total_minor, net_minor, open_minor';
        $sums = 'count(*) as documents, sum(total_minor) as total_minor, sum(net_minor) as net_minor, sum(open_minor) as open_minor';
        $inParts = 'exists (select 1 from document_dues where document_id = documents.id and rank > 0)';
        $this->assertEquals(
            DB::select(
                "select $columns from (select kind, state, currency, open_minor > 0 as is_open,"
                ." iif(open_minor > 0, coalesce(next_due_on, ''), '') as next_due_on, $inParts as is_in_parts, $sums"
                ." from documents where state <> 'staged' group by 1, 2, 3, 4, 5, 6) order by 1, 2, 3, 4, 5, 6",
            ),
            DB::select("select $columns from document_sums order by 1, 2, 3, 4, 5, 6"),
            $when,
        );
    }
}
