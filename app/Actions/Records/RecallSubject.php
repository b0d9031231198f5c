<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use Almanac\Records\NotYetKept;
use App\Models\SectionState;
use App\Models\SubjectModel;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/**
 * Reads what a subject was at the end of a past day, from the states of its sections. Whom it names is called as they
 * were called then; what the office itself sets, like its roles and its lists, has no past and is read as it is now.
 */
final readonly class RecallSubject
{
    public function __construct(private IdentitySection $identity)
    {
    }

    /**
     * @param list<SectionOf> $sections of a copy of the subject that nothing else reads: it becomes what it was
     *
     * @return list<RecalledSection> in the order given
     *
     * @throws NotYetKept when the subject was not in the book on that day
     */
    public function on(Day $day, SubjectModel $then, array $sections): array
    {
        $this->assertKept($then, $day);
        $past = new Past($then->id, Clock::beginningOf($day->plusDays(1)), $this->identity);
        foreach ($sections as $section) {
            $kept = $past->state($section->name);
            if ($kept === null) {
                (new Collection([$then]))->loadMissing($section->reads);
            } else {
                $section->recall($kept->state, $past);
            }
        }

        return array_map(
            fn (SectionOf $section) => new RecalledSection($section->name, $section->facts(), $past->state($section->name)),
            $sections,
        );
    }

    /** @throws NotYetKept when the subject was not in the book on that day */
    public function assertKept(SubjectModel $subject, Day $day): void
    {
        $added = $subject->created_at === null ? null : Clock::dayOf($subject->created_at);
        if ($added !== null && $day->isBefore($added)) {
            throw NotYetKept::before($added->toText());
        }
    }

    /** The last day before another on which something of it was saved. */
    public function savedBefore(SubjectModel $subject, Day $day): ?Day
    {
        return self::saved($subject, '<', Clock::beginningOf($day), 'desc');
    }

    /** The first day after another on which something of it was saved. */
    public function savedAfter(SubjectModel $subject, Day $day): ?Day
    {
        return self::saved($subject, '>=', Clock::beginningOf($day->plusDays(1)), 'asc');
    }

    private static function saved(SubjectModel $subject, string $than, CarbonImmutable $moment, string $order): ?Day
    {
        $state = SectionState::query()->where('subject_id', $subject->id)->where('at', $than, $moment->toDateTimeString())
            ->orderBy('at', $order)->first();

        return $state === null ? null : Clock::dayOf($state->at);
    }
}
