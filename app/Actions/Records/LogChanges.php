<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\SectionName;
use App\Models\Change;
use App\Models\SubjectModel;
use App\Models\User;
use App\Time\Clock;

/** Writes to the change log of a subject. Runs inside the transaction of the change. */
final readonly class LogChanges
{
    public function __construct(private Clock $clock)
    {
    }

    /** @param  list<Difference>  $differences */
    public function handle(SubjectModel $subject, SectionName $section, array $differences, User $by): void
    {
        $at = $this->clock->now();
        foreach ($differences as $difference) {
            Change::query()->create([
                'subject_id' => $subject->id,
                'section' => $section->value,
                'key' => $difference->key,
                'label' => $difference->label,
                'from' => $difference->from,
                'to' => $difference->to,
                'user_id' => $by->id,
                'at' => $at,
            ]);
        }
    }
}
