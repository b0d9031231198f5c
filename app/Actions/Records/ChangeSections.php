<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Refusal;
use App\Facts\Records\SectionVersions;
use App\Models\SectionState;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

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
        $changed = $this->changed(self::once($touched), $by, $change);
        if ($changed === []) {
            return new Changed(null, []);
        }
        $rows = [];
        $kept = $this->keep($changed, $this->advance($changed), $causeId, $by, $rows);
        $this->insert($rows);

        return $kept;
    }

    /**
     * Several changes that touch nothing in common, each as around() makes it, and read together. One that is refused leaves
     * everything as it was; the others go on.
     *
     * @template K of array-key
     *
     * @param array<K, array{list<SectionOf>, \Closure(): mixed}> $changes what each touches, the one that is saved first
     *
     * @return array<K, Changed|Refusal|ValidationException> what is different
     */
    public function several(array $changes, User $by): array
    {
        $touched = array_map(fn (array $one) => self::once($one[0]), $changes);
        $came = [];
        $changed = $this->changed(array_merge([], ...array_values($touched)), $by, function () use ($changes, $touched, &$came): void {
            foreach ($changes as $at => [, $change]) {
                try {
                    DB::transaction($change);
                    $came[$at] = new Changed(null, []);
                } catch (Refusal|ValidationException $why) {
                    $came[$at] = $why;
                    // What was made of it up to there is not so.
                    array_map(fn (SectionOf $one) => $one->subject->unsetRelations()->refresh(), $touched[$at]);
                }
            }
        });
        $versions = $changed === [] ? [] : $this->advance($changed);
        $of = array_column(array_map(fn (array $one) => [self::key($one[0]), $one], $changed), 1, 0);
        $rows = [];
        foreach ($touched as $at => $sections) {
            $its = array_values(array_intersect_key($of, array_flip(array_map(self::key(...), $sections))));
            if ($its !== []) {
                $came[$at] = $this->keep($its, $versions, null, $by, $rows);
            }
        }
        $this->insert($rows);

        return $came;
    }

    /**
     * Keeps what they are now as states: the first that changed is the cause of the others.
     *
     * @param non-empty-list<array{SectionOf, array<string, mixed>, array<string, mixed>}> $changed
     * @param array<string, int> $versions the new ones, by key()
     * @param list<array<string, mixed>> $rows those of the others, which are yet to be written
     */
    private function keep(array $changed, array $versions, ?int $causeId, User $by, array &$rows): Changed
    {
        foreach ($changed as [$section, , $is]) {
            $made = $this->made($section, $versions[self::key($section)], $is, $causeId, $by);
            if ($causeId === null) {
                $made->save();
                $causeId = $made->id;
            } else {
                $rows[] = $made->getAttributes();
            }
        }

        return new Changed($causeId, array_values(array_unique(array_map(fn (array $one) => $one[0]->subject->id, $changed))));
    }

    /**
     * Makes the change, and writes what is different into the log.
     *
     * @param list<SectionOf> $touched
     * @param \Closure(array<string, LoggedFact>): mixed $change
     *
     * @return list<array{SectionOf, array<string, mixed>, array<string, mixed>}> those that are different: what each was and what it is
     */
    private function changed(array $touched, User $by, \Closure $change): array
    {
        $before = self::read($touched);
        $change($before[0][0] ?? []);
        $after = self::read($touched);
        $logged = $changed = [];
        foreach ($touched as $at => $section) {
            [$factsBefore, $was] = $before[$at];
            [$facts, $is] = $after[$at];
            $differences = Difference::between($factsBefore, $facts);
            if ($differences !== [] || $is !== $was) {
                $logged[] = [$section->subject, $section->name, $differences];
                $changed[] = [$section, $was, $is];
            }
        }
        $this->log->several($logged, $by);

        return $changed;
    }

    /**
     * Each is at its next version; of one that was never saved, what it was is kept first.
     *
     * @param non-empty-list<array{SectionOf, array<string, mixed>, array<string, mixed>}> $changed
     *
     * @return array<string, int> the new versions, by key()
     */
    private function advance(array $changed): array
    {
        $subjects = array_values(array_unique(array_map(fn (array $one) => $one[0]->subject->id, $changed)));
        $known = SectionState::query()->whereIntegerInRaw('subject_id', $subjects)->distinct()->get(['subject_id', 'section'])
            ->mapWithKeys(fn (SectionState $one): array => ["$one->subject_id $one->section" => true]);
        $versions = SectionVersions::advance(array_map(fn (array $one) => [$one[0]->subject->id, $one[0]->name], $changed));
        $first = [];
        foreach ($changed as [$section, $was]) {
            if (! isset($known[self::key($section)])) {
                $first[] = $this->first($section, $versions[self::key($section)] - 1, $was)->getAttributes();
            }
        }
        $this->insert($first);

        return $versions;
    }

    private static function key(SectionOf $section): string
    {
        return "{$section->subject->id} {$section->name->value}";
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
        $changed = $this->changed($touched, $by, $change);
        if ($changed === []) {
            return [];
        }
        $versions = $this->advance($changed);
        $this->insert(array_map(
            fn (array $one) => $this->made($one[0], $versions[self::key($one[0])], $one[2], null, $by)->getAttributes(), $changed,
        ));

        /** @var array<int, int> */
        return SectionState::query()->where('section', $touched[0]->name->value)
            ->whereIntegerInRaw('subject_id', array_map(fn (array $one) => $one[0]->subject->id, $changed))->whereNotNull('user_id')
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
            $once[self::key($one)] ??= $one;
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
        foreach ($touched as $one) {
            $one->subject->unsetRelations();
            $groups[$one->name->value.' '.$one->subject::class][] = $one;
        }
        foreach ($groups as $group) {
            (new Collection(array_map(fn (SectionOf $one) => $one->subject, $group)))->load($group[0]->reads);
        }

        return array_map(fn (SectionOf $one) => [$one->facts(), $one->state()], $touched);
    }
}
