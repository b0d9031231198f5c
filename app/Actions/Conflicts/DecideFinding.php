<?php

declare(strict_types=1);

namespace App\Actions\Conflicts;

use Almanac\Conflicts\Decision;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Records\StaleSave;
use Almanac\Records\Wording;
use App\Actions\Records\LogChanges;
use App\Models\ConflictFinding;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Says what was decided about something that a conflict search found, and why; it can be decided again. */
final readonly class DecideFinding
{
    private const LONGEST = 200;

    public function __construct(private LogChanges $log, private TypedDates $dates, private Clock $clock)
    {
    }

    /**
     * @param int $version that whoever decides has seen
     * @param string $on the day of the decision as typed; empty for today
     *
     * @throws StaleSave when somebody else has decided since
     * @throws ValidationException when no reason is given, or the day cannot be
     */
    public function handle(ConflictFinding $finding, Decision $decision, string $reason, string $on, int $version, User $by): void
    {
        DB::transaction(function () use ($finding, $decision, $reason, $on, $version, $by): void {
            $finding->refresh()->load('name.search.engagement');
            StaleSave::unlessSeen($finding->version, $version, 'what was decided about this');
            $problems = new FieldProblems;
            $why = $problems->at('reason', fn () => Wording::line(
                $reason,
                self::LONGEST,
                'Say in a few words why, such as “another person of the same name”.',
            ));
            $day = $this->dates->day($on, 'on', $problems) ?? $this->clock->today();
            if ($day->isAfter($this->clock->today())) {
                $problems->add('on', 'That day is still to come.');
            }
            $problems->throwIfAny();
            $before = $finding->decision === null ? '' : $finding->decision->title().': '.$finding->reason;
            $finding->update([
                'decision' => $decision, 'reason' => $why, 'decided_on' => $day, 'decided_by_id' => $by->id,
                'version' => $version + 1,
            ]);
            $engagement = $finding->name->search->engagement;
            if ($engagement !== null) {
                $this->log->handle($engagement, SectionName::Conflicts, Difference::between(
                    ['finding' => new LoggedFact("Conflict, {$finding->name->name}", $before)],
                    ['finding' => new LoggedFact("Conflict, {$finding->name->name}", $decision->title().': '.$why)],
                ), $by);
            }
        });
    }
}
