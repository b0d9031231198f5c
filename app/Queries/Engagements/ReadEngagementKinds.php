<?php

declare(strict_types=1);

namespace App\Queries\Engagements;

use App\Http\Data\Engagements\EngagementKindData;
use App\Models\Engagement;
use App\Models\EngagementKind;

/** Reads the kinds of cases and projects, with their stages and roles. */
final class ReadEngagementKinds
{
    /** @return list<EngagementKindData> */
    public function handle(): array
    {
        /** @var array<int, int> $uses */
        $uses = Engagement::everyOne()
            ->toBase()->groupBy('kind_id')->selectRaw('kind_id, count(*) as uses')->pluck('uses', 'kind_id')->all();

        return array_values(EngagementKind::query()->with('stages', 'roles.opposed')->orderBy('is_retired')->orderBy('rank')->get()
            ->map(fn (EngagementKind $kind) => EngagementKindData::of($kind, $uses[$kind->id] ?? 0))->all());
    }
}
