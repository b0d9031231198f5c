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
    /** Of one statement. */
    private const ROWS = 500;

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
        $logged = $changed = [];
        foreach ($touched as $at => $section) {
            [$factsBefore, $stateBefore] = $before[$at];
            [$facts, $state] = $after[$at];
            $differences = Difference::between($factsBefore, $facts);
            if ($differences !== [] || $state !== $stateBefore) {
                $logged[] = [$section->subject, $section->name, $differences];
                $changed[] = [$section, $stateBefore, $state];
            }
        }
        if ($changed === []) {
            return new Changed(null, []);
        }
        $this->log->several($logged, $by);

        return new Changed(
            $this->keep($changed, $causeId, $by),
            array_values(array_unique(array_map(fn (array $one) => $one[0]->subject->id, $changed))),
        );
    }

    /**
     * @param non-empty-list<array{SectionOf, array<string, mixed>, array<string, mixed>}> $changed what it was and what it is
     *
     * @return int the state that the others belong to
     */
    private function keep(array $changed, ?int $causeId, User $by): int
    {
        $subjects = array_values(array_unique(array_map(fn (array $one) => $one[0]->subject->id, $changed)));
        $known = SectionState::query()->whereIntegerInRaw('subject_id', $subjects)->distinct()->get(['subject_id', 'section'])
            ->mapWithKeys(fn (SectionState $one): array => ["$one->subject_id $one->section" => true]);
        $versions = SectionVersions::advanceEach(array_map(fn (array $one) => [$one[0]->subject->id, $one[0]->name], $changed));
        $rows = [];
        foreach ($changed as [$section, $was, $is]) {
            $key = "{$section->subject->id} {$section->name->value}";
            if (! isset($known[$key])) {
                $rows[] = $this->first($section, $versions[$key] - 1, $was)->getAttributes();
            }
        }
        $this->insert($rows);
        $rows = [];
        foreach ($changed as [$section, , $is]) {
            $made = $this->made($section, $versions["{$section->subject->id} {$section->name->value}"], $is, $causeId, $by);
            if ($causeId === null) {
                $made->save();
                $causeId = $made->id;
            } else {
                $rows[] = $made->getAttributes();
            }
        }
        $this->insert($rows);

        return $causeId;
    }

    /** @param  list<array<string, mixed>>  $states */
    private function insert(array $states): void
    {
        foreach (array_chunk($states, self::ROWS) as $some) {
            SectionState::query()->insert($some);
        }
    }

    /**
     * Makes one change of the same section of many subjects, each of which is told by itself and can be taken back by itself.
     *
     * @param list<SectionOf> $touched
     * @param \Closure(): mixed $change
     *
     * @return array<int, int> the state that is kept, by subject; of those that are different
     */
    public function ofEach(array $touched, User $by, \Closure $change): array
    {
        $before = self::read($touched);
        $change();
        $after = self::read($touched);
        $logged = $changed = [];
        foreach ($touched as $at => $section) {
            $differences = Difference::between($before[$at][0], $after[$at][0]);
            if ($differences !== [] || $after[$at][1] !== $before[$at][1]) {
                $logged[] = [$section->subject, $section->name, $differences];
                $changed[$section->subject->id] = [$section, $before[$at][1], $after[$at][1]];
            }
        }
        if ($changed === []) {
            return [];
        }
        $this->log->several($logged, $by);
        $name = $touched[0]->name;
        $of = fn () => SectionState::query()->where('section', $name->value)->whereIntegerInRaw('subject_id', array_keys($changed));
        $known = $of()->distinct()->pluck('subject_id', 'subject_id');
        $versions = SectionVersions::advanceAll(array_keys($changed), $name);
        $first = $made = [];
        foreach ($changed as $id => [$section, $was, $is]) {
            if (! isset($known[$id])) {
                $first[] = $this->first($section, $versions[$id] - 1, $was)->getAttributes();
            }
            $made[] = $this->made($section, $versions[$id], $is, null, $by)->getAttributes();
        }
        $this->insert($first);
        $this->insert($made);

        /** @var array<int, int> */
        return $of()->whereNotNull('user_id')
            ->selectRaw('max(id) as id, subject_id')->groupBy('subject_id')->pluck('id', 'subject_id')->all();
    }

    /**
     * What it was before it was saved for the first time.
     *
     * @param array<string, mixed> $state
     */
    private function first(SectionOf $section, int $version, array $state): SectionState
    {
        $subject = $section->subject;

        return (new SectionState([
            'subject_id' => $subject->id,
            'section' => $section->name->value,
            'version' => $version,
            'at' => $subject->created_at ?? $this->clock->now(),
        ]))->setState($state, $section->isPrivate($state));
    }

    /** @param  array<string, mixed>  $state */
    private function made(SectionOf $section, int $version, array $state, ?int $causeId, User $by): SectionState
    {
        return (new SectionState([
            'subject_id' => $section->subject->id,
            'section' => $section->name->value,
            'version' => $version,
            'cause_id' => $causeId,
            'user_id' => $by->id,
            'at' => $this->clock->now(),
        ]))->setState($state, $section->isPrivate($state));
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
