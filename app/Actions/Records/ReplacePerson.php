<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use Almanac\Reach\Primaries;
use Almanac\Records\PartyKind;
use App\Actions\Finding\IndexParties;
use App\Models\ContactPoint;
use App\Models\Party;
use App\Models\Position;
use App\Models\User;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Somebody is followed by somebody else: one position ends and the other begins, with its duties and, where wanted,
 * the phone and the mailbox.
 */
final readonly class ReplacePerson
{
    public function __construct(
        private PositionsSection $positions,
        private KeepOnePrimary $primaries,
        private ReachSection $reach,
        private ChangeSections $change,
        private IndexParties $index,
        private TypedDates $dates,
    ) {
    }

    /**
     * @param array{successorId: int, since: string, contactPointIds: list<int>} $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function handle(Position $position, array $input, User $by): void
    {
        $position->company->assertInUse();
        $problems = new FieldProblems;
        $since = $this->dates->day($input['since'], 'since', $problems) ?? $this->dates->today();
        $successor = Party::query()->where('kind', PartyKind::Person)->find($input['successorId']);
        if (! $successor instanceof Party || $successor->id === $position->person_id) {
            $problems->add('successorId', 'Choose who follows.');
        }
        if ($position->since !== null && ! $position->since->isBefore($since)) {
            $problems->add('since', 'The position began on '.$position->since->toText().'. Choose a later day.');
        }
        // Who has left has been followed, or is no longer to be; a planned end is met or cut short.
        if ($position->until?->isBefore($this->dates->today())) {
            $problems->add('since', 'The position ended on '.$position->until->toText().' already.');
        }
        $problems->throwIfAny();
        if (! $successor instanceof Party) {
            return;
        }
        DB::transaction(function () use ($position, $successor, $since, $input, $by): void {
            $colleagues = Party::query()->whereKey($position->company->staffPositions()->pluck('person_id'))->get();
            $this->change->around([
                SectionOf::party($this->positions, $position->company),
                SectionOf::party($this->positions, $position->person),
                SectionOf::party($this->positions, $successor),
                SectionOf::party($this->reach, $position->person),
                SectionOf::party($this->reach, $successor),
                ...$colleagues->map(fn (Party $one) => SectionOf::party($this->positions, $one))->all(),
            ], $by, function () use ($position, $successor, $since, $input): void {
                $this->follow($position, $successor, $since);
                $this->handOver($position->person, $successor, $input['contactPointIds']);
            });
            foreach ([$position->company, $position->person, $successor] as $party) {
                $this->index->withNeighbours($party);
            }
        });
    }

    private function follow(Position $position, Party $successor, Day $since): void
    {
        $isPrimary = $position->is_primary;
        $position->load('duties');
        $next = Position::query()->create([
            'person_id' => $successor->id,
            'company_id' => $position->company_id,
            'title' => $position->title,
            'department' => $position->department,
            'is_primary' => $isPrimary,
            'since' => $since,
            'until' => null,
        ]);
        $first = $position->firstFor();
        foreach ($position->duties as $duty) {
            $next->duties()->attach($duty->id, ['is_primary' => in_array($duty->name, $first, true)]);
        }
        $position->duties()->detach();
        $position->update(['until' => $since->plusDays(-1), 'is_primary' => false]);
        $this->primaries->handle($position->company_id, $isPrimary ? [$next->id => true] : []);
    }

    /** @param  list<int>  $ids */
    private function handOver(Party $from, Party $to, array $ids): void
    {
        $rank = $to->contactPoints()->count();
        foreach (ContactPoint::query()->where('party_id', $from->id)->whereKey($ids)->orderBy('rank')->get() as $point) {
            $point->update(['party_id' => $to->id, 'is_primary' => false, 'address_use_id' => null, 'rank' => $rank++]);
        }
        foreach ([$from, $to] as $party) {
            $points = $party->contactPoints()->get();
            $settled = Primaries::settle($points->map(fn (ContactPoint $point) => [$point->kind->value, $point->is_primary])->all());
            foreach ($points as $at => $point) {
                $point->update(['is_primary' => $settled[$at]]);
            }
        }
    }
}
