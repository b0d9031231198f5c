<?php

declare(strict_types=1);

namespace App\Actions\Engagements;

use Almanac\Engagements\EngagementRefused;
use Almanac\Records\SectionName;
use App\Actions\Conflicts\RepeatSearches;
use App\Actions\Finding\IndexEngagements;
use App\Actions\Records\ChangeSections;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\User;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Somebody else has a role from a day on; whoever had it keeps it until the day before. */
final readonly class ReplaceInRole
{
    public function __construct(
        private EngagementSections $sections,
        private ChangeSections $change,
        private IndexEngagements $index,
        private RepeatSearches $searches,
        private TypedDates $dates,
    ) {
    }

    /** @throws ValidationException when it is not theirs any more, or the day is before they began */
    public function handle(Engagement $engagement, int $rowId, int $partyId, string $from, User $by): void
    {
        DB::transaction(function () use ($engagement, $rowId, $partyId, $from, $by): void {
            $engagement->refresh();
            $engagement->assertInUse();
            $problems = new FieldProblems;
            $row = $engagement->parties()->find($rowId);
            $today = $this->dates->today();
            if ($row === null || ! $row->isNow($today)) {
                throw ValidationException::withMessages(['from' => 'They do not have that role any more. Reload the page.']);
            }
            $day = $this->dates->day($from, 'from', $problems) ?? $today;
            if ($row->since !== null && ! $row->since->isBefore($day)) {
                $problems->add('from', EngagementRefused::replacedBeforeItBegan($row->since->toText())->getMessage());
            }
            if ($partyId === $row->party_id || Party::query()->whereKey($partyId)->whereNull('archived_on')->doesntExist()) {
                $problems->add('partyId', 'Choose somebody else who is in use.');
            }
            $problems->throwIfAny();
            $section = $this->sections->of(SectionName::Parties, $engagement);
            if ($section === null) {
                return;
            }
            $former = array_values($engagement->parties()->pluck('party_id')->all());
            $this->change->around([$section], $by, function () use ($row, $partyId, $day): void {
                $next = $row->replicate()->fill(['party_id' => $partyId, 'since' => $day, 'via_id' => null, 'contact_id' => null]);
                $row->update(['until' => $day->plusDays(-1), 'share' => null]);
                $next->save();
            });
            $this->searches->forWhoeverCame($engagement, $former, $by);
            $this->index->keep($engagement);
        });
        $engagement->refresh();
    }
}
