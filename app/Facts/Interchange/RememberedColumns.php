<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use App\Models\ImportSettings;
use Illuminate\Support\Facades\DB;

/** What the columns of a file of the same headings were said to be the last time. */
final class RememberedColumns
{
    /**
     * @param string $of what is in the file
     *
     * @return list<string>|null a target for each; null where nothing is remembered
     */
    public static function of(ImportSettings $settings, string $of): ?array
    {
        if (! $settings->format->isTable() || ! $settings->hasHeadings) {
            return null;
        }
        $known = DB::table('import_matchings')->where('headings', $settings->headings($of))->value('targets');
        /** @var list<string>|null $targets */
        $targets = is_string($known) ? json_decode($known, true) : null;

        return $targets !== null && count($targets) === count($settings->columns) ? $targets : null;
    }
}
