<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Refusal;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Makes a change that touches sections of one or several records. Whatever is different afterwards is logged there,
 * counts as a new version, and is kept as a state. Runs inside a transaction.
 */
final readonly class ChangeSections
{
    public function __construct(private LogChanges $log, private KeepStates $keep)
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
        $once = array_values(self::once($touched));
        $changed = $this->changed($once, self::reread($once), $by, $change);

        return $changed === [] ? Changed::nothing() : $this->keep->ofChanges([$changed], $causeId, $by)[0];
    }

    /**
     * Several changes that touch nothing in common, each as around() makes it, and read together. One that is refused leaves
     * everything as it was; the others go on. What is loaded of the subjects was read in this transaction, and is not read again.
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
        $all = array_merge([], ...array_map(array_values(...), array_values($touched)));
        $changed = $this->changed($all, self::read($all), $by, function () use ($changes, $touched, &$came): void {
            foreach ($changes as $at => [, $change]) {
                try {
                    DB::transaction($change);
                    $came[$at] = Changed::nothing();
                } catch (Refusal|ValidationException $why) {
                    $came[$at] = $why;
                    // What was made of it up to there is not so.
                    array_map(fn (SectionOf $one) => $one->subject->unsetRelations()->refresh(), $touched[$at]);
                }
            }
        });
        $of = [];
        foreach ($changed as $one) {
            $of[$one->section->key()] = $one;
        }
        $its = array_filter(array_map(fn (array $sections) => array_values(array_intersect_key($of, $sections)), $touched));

        return array_replace($came, $this->keep->ofChanges($its, null, $by));
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
        return $this->keep->ofEach($this->changed($touched, self::reread($touched), $by, $change), $by);
    }

    /**
     * Makes the change, and writes what is different into the log.
     *
     * @param list<SectionOf> $touched
     * @param list<array{array<string, LoggedFact>, array<string, mixed>}> $before their facts and states
     * @param \Closure(array<string, LoggedFact>): mixed $change
     *
     * @return list<ChangedSection> those that are different
     */
    private function changed(array $touched, array $before, User $by, \Closure $change): array
    {
        $change($before[0][0] ?? []);
        $after = self::reread($touched);
        $logged = $changed = [];
        foreach ($touched as $at => $section) {
            [$factsBefore, $was] = $before[$at];
            [$facts, $is] = $after[$at];
            $differences = Difference::between($factsBefore, $facts);
            if ($differences !== [] || $is !== $was) {
                $logged[] = [$section->subject, $section->name, $differences];
                $changed[] = new ChangedSection($section, $was, $is);
            }
        }
        $this->log->several($logged, $by);

        return $changed;
    }

    /**
     * @param list<SectionOf> $touched
     *
     * @return array<string, SectionOf> each once, by its key
     */
    private static function once(array $touched): array
    {
        $once = [];
        foreach ($touched as $one) {
            $once[$one->key()] ??= $one;
        }

        return $once;
    }

    /**
     * As they are kept now, whatever was loaded of them.
     *
     * @param list<SectionOf> $touched
     *
     * @return list<array{array<string, LoggedFact>, array<string, mixed>}> the facts and the state of each
     */
    private static function reread(array $touched): array
    {
        foreach ($touched as $one) {
            $one->subject->unsetRelations();
        }

        return self::read($touched);
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
            $groups[$one->name->value.' '.$one->subject::class][] = $one;
        }
        foreach ($groups as $group) {
            (new Collection(array_map(fn (SectionOf $one) => $one->subject, $group)))->loadMissing($group[0]->reads);
        }

        return array_map(fn (SectionOf $one) => [$one->facts(), $one->state()], $touched);
    }
}
