<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use App\Facts\LookAlikes\LookAlikes;
use App\Facts\LookAlikes\PartyLikeness;
use App\Models\LookAlikePair;
use App\Models\Party;
use App\Models\User;

/** Notes which kept records a new one looks like, for Upkeep. Runs inside the transaction of the adding. */
final readonly class NotePairs
{
    /** @return list<string> names of the records it is likely the same as */
    public function handle(Party $added, User $by): array
    {
        $added->load(PartyLikeness::RELATIONS);
        $names = [];
        foreach (LookAlikes::of(PartyLikeness::of($added), $added->id) as [$comparison, $party]) {
            if ($comparison->isLikely()) {
                LookAlikePair::query()->create([
                    'first_id' => $party->id,
                    'second_id' => $added->id,
                    'user_id' => $by->id,
                ]);
                $names[] = $party->display_name;
            }
        }

        return $names;
    }

    /** Somebody has looked: they are two records, and rightly so. */
    public function keepApart(LookAlikePair $pair, User $by): void
    {
        $pair->update(['is_different' => true, 'user_id' => $by->id]);
    }
}
