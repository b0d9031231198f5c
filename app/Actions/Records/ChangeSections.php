<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use App\Facts\Records\SectionVersions;
use App\Models\SectionState;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;

/**
 * Makes a change that touches sections of one or several records. Whatever is different afterwards is logged there,
 * counts as a new version, and is kept as a state. Runs inside a transaction.
 */
final readonly class ChangeSections
{
    public function __construct(private LogChanges $log, private Clock $clock)
    {
    }

    /**
     * @param list<SectionOf> $touched the one that is saved first
     * @param \Closure(array<string, LoggedFact>): mixed $change is given the facts of the first as they were
     * @param int|null $causeId the state that this belongs to; without it, the first that changes is the cause of the others
     *
     * @return Changed what is different
     */
    public function around(array $touched, User $by, \Closure $change, ?int $causeId = null): Changed
    {
        $touched = self::once($touched);
        $before = self::read($touched);
        $change($before[0][0] ?? []);
        $after = self::read($touched);
        $changed = [];
        foreach ($touched as $at => $section) {
            [$factsBefore, $stateBefore] = $before[$at];
            [$facts, $state] = $after[$at];
            $differences = Difference::between($factsBefore, $facts);
            if ($differences === [] && $state === $stateBefore) {
                continue;
            }
            $subject = $section->subject;
            $this->log->handle($subject, $section->name, $differences, $by);
            $this->keepFirst($section, $stateBefore);
            $kept = (new SectionState([
                'subject_id' => $subject->id,
                'section' => $section->name->value,
                'version' => SectionVersions::advance($subject, $section->name),
                'cause_id' => $causeId,
                'user_id' => $by->id,
                'at' => $this->clock->now(),
            ]))->setState($state, $section->isPrivate($state));
            $kept->save();
            $causeId ??= $kept->id;
            $changed[] = $subject->id;
        }

        return new Changed($changed === [] ? null : $causeId, array_values(array_unique($changed)));
    }

    /**
     * What it was before it was saved for the first time.
     *
     * @param array<string, mixed> $state
     */
    private function keepFirst(SectionOf $section, array $state): void
    {
        $subject = $section->subject;
        $key = ['subject_id' => $subject->id, 'section' => $section->name->value];
        if (SectionState::query()->where($key)->doesntExist()) {
            (new SectionState(
                $key + ['version' => SectionVersions::of($subject, $section->name), 'at' => $subject->created_at ?? $this->clock->now()],
            ))
                ->setState($state, $section->isPrivate($state))
                ->save();
        }
    }

    /**
     * @param list<SectionOf> $touched
     *
     * @return list<SectionOf> each once
     */
    private static function once(array $touched): array
    {
        $once = [];
        foreach ($touched as $one) {
            $once[$one->name->value.' '.$one->subject->id] ??= $one;
        }

        return array_values($once);
    }

    /**
     * @param list<SectionOf> $touched
     *
     * @return list<array{array<string, LoggedFact>, array<string, mixed>}> the facts and the state of each
     */
    private static function read(array $touched): array
    {
        $groups = [];
        foreach ($touched as $at => $one) {
            $groups[$one->name->value.' '.$one->subject::class][$at] = $one;
        }
        $read = [];
        foreach ($groups as $group) {
            $subjects = array_map(fn (SectionOf $one) => $one->subject->unsetRelations(), $group);
            (new Collection($subjects))->load(array_values($group)[0]->reads);
            foreach ($group as $at => $section) {
                $read[$at] = [$section->facts(), $section->state()];
            }
        }
        ksort($read);

        return array_values($read);
    }
}
