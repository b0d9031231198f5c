<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\Difference;
use App\Models\Party;
use App\Models\Position;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/**
 * Companies to which new people come are changed with it: it is told there, and a past day stays as it was. Only the people
 * who come are looked at by name; those who were there before are the same as they were.
 */
final readonly class NewStaff
{
    public function __construct(private PositionsSection $positions, private LogChanges $log, private KeepStates $keep)
    {
    }

    /**
     * Runs inside the transaction in which the people were written.
     *
     * @param array<Party> $companies that were in the book before
     * @param Collection<int, Party> $people who are new
     */
    public function handle(array $companies, Collection $people, User $by): void
    {
        $known = $people->keyBy('id');
        $logged = $changed = [];
        // One that two names mean is told once.
        foreach ((new Collection(array_values($companies)))->unique('id')->load('staffPositions.duties') as $company) {
            $came = $company->staffPositions->filter(fn (Position $position) => $known->has($position->person_id));
            if ($came->isEmpty()) {
                continue;
            }
            foreach ($came as $position) {
                $position->setRelation('person', $known->get($position->person_id));
            }
            $facts = $this->positions->facts((clone $company)->setRelation('staffPositions', $came));
            $before = (clone $company)->setRelation('staffPositions', $company->staffPositions->diff($came));
            $logged[] = [$company, $this->positions->name(), Difference::between([], $facts)];
            $changed[] = new ChangedSection(
                SectionOf::party($this->positions, $company), $this->positions->state($before), $this->positions->state($company),
            );
        }
        $this->log->several($logged, $by);
        $this->keep->each($changed, $by);
    }
}
