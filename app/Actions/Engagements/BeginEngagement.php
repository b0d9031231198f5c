<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Calendar\Day;
use Almanac\Engagements\EngagementRefused;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Actions\Finding\IndexEngagements;
use App\Actions\Records\LogChanges;
use App\Database\Series;
use App\Models\Engagement;
use App\Models\EngagementKind;
use App\Models\EngagementStage;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Begins a case or a project, with its number and whom it is for. */
final readonly class BeginEngagement
{
    public function __construct(
        private HeadSection $head,
        private PartiesSection $parties,
        private LogChanges $log,
        private IndexEngagements $index,
        private TypedDates $dates,
        private Clock $clock,
    ) {
    }

    /**
     * @param array{kindId: int, stageId: int, begunOn: string, parties: list<array<string, mixed>>, ...} $input with what
     *     its head is made of
     *
     * @throws ValidationException with each refusal at its field
     */
    public function handle(array $input, User $by): Engagement
    {
        return DB::transaction(function () use ($input, $by): Engagement {
            $problems = new FieldProblems;
            $kind = EngagementKind::query()->find($input['kindId']);
            $stage = EngagementStage::query()->find($input['stageId']);
            if ($kind === null || $kind->is_retired) {
                $problems->add('kindId', EngagementRefused::noLongerUsed($kind->name ?? 'case')->getMessage());
            } elseif ($stage === null || $stage->kind_id !== $kind->id || $stage->is_retired) {
                $problems->add('stageId', EngagementRefused::noSuchStage()->getMessage());
            }
            $begun = $this->dates->day($input['begunOn'], 'begunOn', $problems) ?? $this->clock->today();
            foreach ($input['parties'] as $at => $row) {
                if (Party::query()->whereKey($row['partyId'])->whereNotNull('archived_on')->exists()) {
                    $problems->add("parties.$at.partyId", 'That record is archived. Take it back into use first.');
                }
            }
            $problems->throwIfAny();
            assert($kind !== null && $stage !== null);

            $engagement = new Engagement([
                'kind_id' => $kind->id,
                'number' => $this->nextNumber($kind, $begun),
                'title' => '',
                'currency' => Office::current()->currency(),
                'stage_id' => $stage->id,
                'moved_on' => $begun,
                'begun_on' => $begun,
                'is_closed' => ! $stage->meaning->isLive(),
                'user_id' => $by->id,
                'created_at' => $this->clock->now(),
            ]);
            $engagement->save();
            $this->head->write($engagement, $input);
            $this->parties->write($engagement, $input);
            $engagement->moves()
                ->create(['stage_id' => $stage->id, 'moved_on' => $begun, 'user_id' => $by->id, 'at' => $this->clock->now()]);
            $this->index->keep($engagement);
            $this->log->handle($engagement, SectionName::Engagement, Difference::between([], [
                'engagement' => new LoggedFact(ucfirst($kind->name), 'begun as '.$engagement->shownTitle()),
            ]), $by);

            return $engagement;
        });
    }

    /** The next of its kind and year. */
    private function nextNumber(EngagementKind $kind, Day $begun): string
    {
        return Series::next(
            "engagement-$kind->id",
            $begun->year,
            fn (int $place) => sprintf('%s%d-%03d', $kind->sign, $begun->year, $place),
            fn (string $number) => Engagement::everyOne()->where('number', $number)->exists(),
        );
    }
}
