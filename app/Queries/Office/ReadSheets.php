<?php

declare(strict_types=1);

namespace App\Queries\Office;

use App\Http\Data\Office\SheetData;
use App\Models\DetailSheet;
use Illuminate\Support\Facades\DB;

/** Reads the firm's own detail sheets, with how many records have filled in each field. */
final class ReadSheets
{
    /** @return list<SheetData> */
    public function handle(): array
    {
        /** @var array<int, int> $uses */
        $uses = DB::table('detail_values')->groupBy('field_id')->selectRaw('field_id, count(*) as uses')->pluck('uses', 'field_id')->all();

        return array_values(DetailSheet::query()->with('fields', 'type')->orderBy('is_retired')->orderBy('rank')->get()
            ->map(fn (DetailSheet $sheet) => SheetData::of($sheet, $uses))->all());
    }
}
