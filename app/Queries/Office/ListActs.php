<?php

declare(strict_types=1);

namespace App\Queries\Office;

use App\Http\Data\Office\ActData;
use App\Http\Data\Office\ActPageData;
use App\Models\Act;

/** Reads who did what in the office, the newest first. */
final class ListActs
{
    private const PAGE = 50;

    public function handle(?int $before): ActPageData
    {
        $acts = Act::query()
            ->when($before !== null, fn ($query) => $query->where('id', '<', $before))
            ->orderByDesc('id')
            ->limit(self::PAGE)
            ->get();

        return new ActPageData(
            array_values($acts->map(fn (Act $act) => ActData::of($act))->all()),
            $acts->count() < self::PAGE ? null : $acts->last()?->id,
        );
    }
}
