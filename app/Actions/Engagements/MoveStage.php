<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Engagements\EngagementRefused;
use Almanac\Engagements\StageKind;
use Almanac\Ledger\DocumentState;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Records\Wording;
use App\Actions\Records\LogChanges;
use App\Models\Engagement;
use App\Models\EngagementMove;
use App\Models\EngagementStage;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Moves a case or a project into another stage, or takes the last move back. */
final readonly class MoveStage
{
    private const LONGEST_REASON = 200;

    public function __construct(private LogChanges $log, private TypedDates $dates, private Clock $clock)
    {
    }

    /**
     * @param int $fromId the stage that whoever moves it has seen it in
     * @param string $on as typed; empty for today
     * @param string $reason the result of what is closed, or why it is opened again
     * @param bool $isSure whether it is closed although drafts are left
     *
     * @throws ValidationException when somebody has moved it meanwhile, or there is no such move
     */
    public function handle(Engagement $engagement, int $fromId, int $toId, string $on, string $reason, bool $isSure, User $by): void
    {
        DB::transaction(function () use ($engagement, $fromId, $toId, $on, $reason, $isSure, $by): void {
            $engagement->refresh();
            $engagement->assertInUse();
            $engagement->load('stage', 'moves.stage', 'moves.user');
            $problems = new FieldProblems;
            $from = $engagement->stage;
            if ($from->id !== $fromId) {
                $problems->add('stageId', EngagementRefused::movedMeanwhile(
                    $from->name,
                    $engagement->moves->last()->user->name ?? 'somebody else',
                )->getMessage());
            }
            $to = EngagementStage::query()->find($toId);
            if ($to === null || $to->kind_id !== $engagement->kind_id || $to->is_retired) {
                $problems->add('stageId', EngagementRefused::noSuchStage()->getMessage());
            }
            $day = $this->dates->day($on, 'on', $problems) ?? $this->clock->today();
            $problems->throwIfAny();
            assert($to !== null);

            $problems->at('on', fn () => $engagement->history()->moved($to->stage(), $day));
            $why = $this->why($from, $to, $reason, $problems);
            $drafts = $to->meaning === StageKind::Closed && ! $isSure
                ? $engagement->documents()->where('state', DocumentState::Draft)->count()
                : 0;
            if ($drafts > 0) {
                $problems->add('isSure', EngagementRefused::draftsLeft($drafts)->getMessage());
            }
            $problems->throwIfAny();
            $engagement->moves()->create([
                'stage_id' => $to->id,
                'moved_on' => $day,
                'reason' => $why,
                'user_id' => $by->id,
                'at' => $this->clock->now(),
            ]);
            $this->stand($engagement, $from->name, $by);
        });
        $engagement->refresh();
    }

    /**
     * Takes the last move back, as if it had not been.
     *
     * @throws ValidationException when it is no longer the last, or there is none before it
     */
    public function takeBack(Engagement $engagement, int $moveId, User $by): void
    {
        DB::transaction(function () use ($engagement, $moveId, $by): void {
            $engagement->refresh();
            $engagement->assertInUse();
            $engagement->load('stage', 'moves');
            $last = $engagement->moves->last();
            if ($last === null || $last->id !== $moveId || $engagement->moves->count() < 2) {
                throw ValidationException::withMessages([
                    'stageId' => 'Only the last move can be taken back, and it is not the last any more.',
                ]);
            }
            $was = $engagement->stage->name;
            $last->delete();
            $this->stand($engagement, $was, $by);
        });
        $engagement->refresh();
    }

    /** What closes it has a result, and what opens it again a reason. */
    private function why(EngagementStage $from, EngagementStage $to, string $reason, FieldProblems $problems): string
    {
        $ask = match (true) {
            $from->meaning === StageKind::Enquiry && $to->meaning === StageKind::Closed => 'Say in a few words why it was lost.',
            $to->meaning === StageKind::Closed => 'Say in a few words how it ended.',
            $from->meaning === StageKind::Closed => 'Say in a few words why it is opened again.',
            default => '',
        };

        return trim($reason) === '' && $ask === ''
            ? ''
            : $problems->at('reason', fn () => Wording::line($reason, self::LONGEST_REASON, $ask)) ?? '';
    }

    /** It stands where its last move has brought it. */
    private function stand(Engagement $engagement, string $was, User $by): void
    {
        $last = EngagementMove::query()->with('stage')->where('engagement_id', $engagement->id)->latest('id')->firstOrFail();
        $engagement->update([
            'stage_id' => $last->stage_id,
            'moved_on' => $last->moved_on,
            'is_closed' => ! $last->stage->meaning->isLive(),
        ]);
        $text = $last->stage->name.($last->reason === '' ? '' : ": $last->reason")
            .($last->moved_on->toIso() === $this->clock->today()->toIso() ? '' : ', on '.$last->moved_on->toText());
        $this->log->handle($engagement, SectionName::Stage, Difference::between(
            ['stage' => new LoggedFact('Stage', $was)],
            ['stage' => new LoggedFact('Stage', $text)],
        ), $by);
    }
}
