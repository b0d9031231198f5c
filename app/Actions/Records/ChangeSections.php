<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use App\Facts\Records\SectionVersions;
use App\Models\Party;
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
     * @param list<array{Section, Party}> $touched the one that is saved first
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
        foreach ($touched as $at => [$section, $party]) {
            [$factsBefore, $stateBefore] = $before[$at];
            [$facts, $state] = $after[$at];
            $differences = Difference::between($factsBefore, $facts);
            if ($differences === [] && $state === $stateBefore) {
                continue;
            }
            $this->log->handle($party, $section->name(), $differences, $by);
            $this->keepFirst($section, $party, $stateBefore);
            $kept = (new SectionState([
                'subject_id' => $party->id,
                'section' => $section->name()->value,
                'version' => SectionVersions::advance($party, $section->name()),
                'cause_id' => $causeId,
                'user_id' => $by->id,
                'at' => $this->clock->now(),
            ]))->setState($state, $section->isPrivate($state));
            $kept->save();
            $causeId ??= $kept->id;
            $changed[] = $party->id;
        }

        return new Changed($changed === [] ? null : $causeId, array_values(array_unique($changed)));
    }

    /**
     * What it was before it was saved for the first time.
     *
     * @param array<string, mixed> $state
     */
    private function keepFirst(Section $section, Party $party, array $state): void
    {
        $key = ['subject_id' => $party->id, 'section' => $section->name()->value];
        if (SectionState::query()->where($key)->doesntExist()) {
            (new SectionState(
                $key + ['version' => SectionVersions::of($party, $section->name()), 'at' => $party->created_at ?? $this->clock->now()],
            ))
                ->setState($state, $section->isPrivate($state))
                ->save();
        }
    }

    /**
     * @param list<array{Section, Party}> $touched
     *
     * @return list<array{Section, Party}> each once
     */
    private static function once(array $touched): array
    {
        $once = [];
        foreach ($touched as $one) {
            $once[$one[0]->name()->value.' '.$one[1]->id] ??= $one;
        }

        return array_values($once);
    }

    /**
     * @param list<array{Section, Party}> $touched
     *
     * @return list<array{array<string, LoggedFact>, array<string, mixed>}> the facts and the state of each
     */
    private static function read(array $touched): array
    {
        $groups = [];
        foreach ($touched as $at => $one) {
            $groups[$one[0]->name()->value][$at] = $one;
        }
        $read = [];
        foreach ($groups as $group) {
            $section = array_values($group)[0][0];
            (new Collection(array_column($group, 1)))->each(fn (Party $party) => $party->unsetRelations())->load($section->reads());
            foreach ($group as $at => [$section, $party]) {
                $read[$at] = [$section->facts($party), $section->state($party)];
            }
        }
        ksort($read);

        return array_values($read);
    }
}
