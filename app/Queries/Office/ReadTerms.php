<?php

declare(strict_types=1);

namespace App\Queries\Office;

use App\Http\Data\Office\ListedTermsUsesData;
use App\Http\Data\Terms\ListedTermsData;
use App\Models\ListedTerms;
use Illuminate\Support\Facades\DB;

/** Reads the office's list of payment terms, with how many records use each. */
final class ReadTerms
{
    /** @return list<ListedTermsUsesData> */
    public function handle(): array
    {
        return array_values(
            ListedTerms::query()
                ->orderBy('is_retired')
                ->orderBy('id')
                ->get()
                ->map(
                    fn (ListedTerms $terms) => new ListedTermsUsesData(
                        ListedTermsData::of($terms),
                        DB::table('client_terms')->where('payment_terms_id', $terms->id)->count() +
                            DB::table('vendor_terms')->where('payment_terms_id', $terms->id)->count(),
                    ),
                )
                ->all(),
        );
    }
}
