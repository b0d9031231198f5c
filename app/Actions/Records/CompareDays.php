<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use Almanac\Records\ComparedFact;
use Almanac\Records\NotYetKept;
use App\Models\SubjectModel;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Validation\ValidationException;

/** Reads what a subject was on a past day beside what it was on another, or is now. */
final readonly class CompareDays
{
    public function __construct(private RecallSubject $recall, private TypedDates $dates)
    {
    }

    /**
     * @template S of SubjectModel
     *
     * @param S $subject
     * @param string $other typed; empty for today
     * @param \Closure(S): list<SectionOf> $sectionsOf of a copy of it
     * @param \Closure(Day): list<RecalledSection> $more what else is told of a day
     *
     * @throws ValidationException when a day cannot be read, is still to come, or was before the subject was added
     */
    public function handle(SubjectModel $subject, string $day, string $other, \Closure $sectionsOf, \Closure $more): ComparedDays
    {
        $problems = new FieldProblems;
        $asOf = $this->day($subject, $day, 'day', $problems);
        $beside = $this->day($subject, $other, 'other', $problems);
        $problems->throwIfAny();

        $isNow = $beside->equals($this->dates->today());
        $then = clone $subject;
        $was = [...$more($asOf), ...$this->recall->on($asOf, $then, $sectionsOf($then))];
        $copy = clone $subject;
        $is = [
            ...$more($beside),
            ...$isNow ? $this->now($copy, $sectionsOf($copy)) : $this->recall->on($beside, $copy, $sectionsOf($copy)),
        ];

        return new ComparedDays(
            $asOf,
            $beside,
            $isNow,
            $then,
            array_map(fn (RecalledSection $section, RecalledSection $beside) => new ComparedSection(
                $section->name,
                $section->kept,
                ComparedFact::between($section->facts, $beside->facts),
            ), $was, $is),
            $this->recall->savedBefore($subject, $asOf),
            $this->recall->savedAfter($subject, $asOf),
        );
    }

    /** What a section of a copy of the subject was on a typed day. */
    public function kept(SubjectModel $subject, string $day, SectionOf $section): RecalledSection
    {
        $problems = new FieldProblems;
        $asOf = $this->day($subject, $day, 'day', $problems);
        $problems->throwIfAny();

        return $this->recall->on($asOf, $section->subject, [$section])[0];
    }

    private function day(SubjectModel $subject, string $typed, string $field, FieldProblems $problems): Day
    {
        $day = $this->dates->day($typed, $field, $problems) ?? $this->dates->today();
        $problems->at($field, function () use ($subject, $day): void {
            if ($day->isAfter($this->dates->today())) {
                throw NotYetKept::toCome();
            }
            $this->recall->assertKept($subject, $day);
        });

        return $day;
    }

    /**
     * @param list<SectionOf> $sections
     *
     * @return list<RecalledSection>
     */
    private function now(SubjectModel $copy, array $sections): array
    {
        (new Collection([$copy]))->load(array_values(array_unique(array_merge(...array_column($sections, 'reads')))));

        return array_map(fn (SectionOf $section) => new RecalledSection($section->name, $section->facts(), null), $sections);
    }
}
