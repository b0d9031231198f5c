<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use App\Models\LookAlikePair;
use App\Models\Party;
use App\Models\User;
use App\Queries\LookAlikes\FindLookAlikes;
use App\Queries\LookAlikes\PartyLikeness;

/** Notes which kept records a new one looks like, for Upkeep. Runs inside the transaction of the adding. */
final readonly class NotePairs
{
    public function __construct(private FindLookAlikes $find)
    {
    }

    /** @return list<string> names of the records it is likely the same as */
    public function handle(Party $added, User $by): array
    {
        $added->load(PartyLikeness::RELATIONS);
        $names = [];
        foreach ($this->find->handle(PartyLikeness::of($added), $added->id) as $alike) {
            if ($alike->isLikely) {
                LookAlikePair::query()->create([
                    'first_id' => $alike->party->id,
                    'second_id' => $added->id,
                    'user_id' => $by->id,
                ]);
                $names[] = $alike->party->displayName;
            }
        }

        return $names;
    }

    /** Somebody has looked: they are two records, and rightly so. */
    public function settle(LookAlikePair $pair, User $by): void
    {
        $pair->update(['is_different' => true, 'user_id' => $by->id]);
    }
}
