<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use App\Models\Change;
use App\Models\Party;
use App\Models\User;
use App\Support\Clock;
use App\Support\SectionName;

/** Writes to the change log of a record. Runs inside the transaction of the change. */
final readonly class LogChanges
{
    public function __construct(private Clock $clock)
    {
    }

    /** @param  list<Difference>  $differences */
    public function handle(Party $party, SectionName $section, array $differences, User $by): void
    {
        $at = $this->clock->now();
        foreach ($differences as $difference) {
            Change::query()->create([
                'party_id' => $party->id,
                'section' => $section->value,
                'label' => $difference->label,
                'from' => $difference->from,
                'to' => $difference->to,
                'user_id' => $by->id,
                'at' => $at,
            ]);
        }
    }
}
