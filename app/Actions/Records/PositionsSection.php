<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Reach\Primaries;
use Almanac\Records\Duty;
use Almanac\Records\Fact;
use App\Models\Party;
use App\Models\Position;
use App\Support\FieldProblems;
use App\Support\SectionName;
use App\Support\TypedDates;
use Illuminate\Database\Eloquent\Collection;

/** The people at a company, or the positions of a person: the same rows seen from either end. */
final readonly class PositionsSection implements Section
{
    public function __construct(private TypedDates $periods)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Positions;
    }

    public function snapshot(Party $party): array
    {
        $facts = [];
        foreach ($this->positions($party) as $position) {
            $facts['position:'.$position->id] = new Fact('Position', implode(', ', array_filter([
                $position->otherThan($party)->display_name,
                $position->title,
                $position->department,
                ...$position->duties->map(fn (Duty $duty) => 'for '.$duty->value)->all(),
                $position->is_primary ? 'primary' : '',
                $position->period()->toText(),
            ])));
        }

        return $facts;
    }

    public function neighbours(Party $party): array
    {
        return array_values($this->positions($party)
            ->map(fn (Position $position) => $position->otherThan($party))
            ->unique('id')->all());
    }

    public function write(Party $party, array $input): void
    {
        /** @var list<array{id: int|null, partyId: int, title: string, department: string, duties: list<string>, isPrimary: bool, since: string, until: string}> $rows */
        $rows = $input['positions'];
        $kept = $party->eitherPositions()->get()->keyBy('id');
        $problems = new FieldProblems;

        $positions = [];
        foreach ($rows as $rank => $row) {
            $field = "positions.$rank";
            $other = Party::query()->find($row['partyId']);
            if ($other === null || $other->kind === $party->kind) {
                $problems->add("$field.partyId", $party->isPerson() ? 'Choose the company.' : 'Choose the person.');

                continue;
            }
            $period = $this->periods->read($row['since'], $row['until'], $field, $problems);
            $positions[] = ($kept->get($row['id']) ?? new Position)->fill([
                'person_id' => $party->isPerson() ? $party->id : $other->id,
                'company_id' => $party->isPerson() ? $other->id : $party->id,
                'title' => trim($row['title']),
                'department' => trim($row['department']),
                'duties' => array_map(Duty::from(...), $row['duties']),
                'is_primary' => $row['isPrimary'],
                'since' => $period?->since,
                'until' => $period?->until,
            ]);
        }
        $problems->throwIfAny();

        $companies = $kept->pluck('company_id');
        $party->eitherPositions()->whereNotIn('id', array_filter(array_column($rows, 'id')))->delete();
        $marked = [];
        foreach ($positions as $position) {
            $position->save();
            $companies->push($position->company_id);
            $marked[$position->id] = $position->is_primary;
        }
        foreach ($companies->unique() as $company) {
            $this->settlePrimary((int) $company, $marked);
        }
    }

    /** @return Collection<int, Position> */
    private function positions(Party $party): Collection
    {
        return $party->eitherPositions()->with('person', 'company')->get();
    }

    /**
     * One primary position at each company; what was just marked wins over what was marked before.
     *
     * @param array<int, bool> $marked by position
     */
    public function settlePrimary(int $companyId, array $marked = []): void
    {
        $positions = Position::query()->where('company_id', $companyId)->orderByRaw('until is not null')->orderBy('id')->get()->keyBy('id');
        $isAnyMarked = $positions->contains(fn (Position $position) => $marked[$position->id] ?? false);
        $settled = Primaries::settle($positions->map(fn (Position $position) => [
            'position',
            $isAnyMarked ? $marked[$position->id] ?? false : $position->is_primary,
        ])->all());
        foreach ($positions as $id => $position) {
            $position->is_primary = $settled[$id];
            $position->save();
        }
    }
}
