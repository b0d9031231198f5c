<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Calendar\Day;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\TakeNewDetails;
use App\Models\Address;
use App\Models\AddressUse;
use App\Models\Party;
use App\Models\User;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Moves a party, or everybody at its address, to a new one from a day on; the old one is kept until the day before. */
final readonly class MoveAddress
{
    public function __construct(
        private AddressesSection $section,
        private ChangeSections $change,
        private IndexParties $index,
        private TypedDates $dates,
        private TakeNewDetails $follow,
    ) {
    }

    /**
     * @param array{
     *     since: string, everybody: bool, country: string, lines: string, locality: string, region: string,
     *     postcode: string,
     * } $input
     *
     * @param list<int> $documentIds drafts and open documents that take the new address
     *
     * @throws ValidationException with each refusal at its field
     */
    public function handle(Party $party, AddressUse $use, array $input, array $documentIds, User $by): void
    {
        $party->assertInUse();
        $problems = new FieldProblems;
        $since = $this->dates->day($input['since'], 'since', $problems) ?? $this->dates->today();
        $postal = $problems->postal($input);
        if ($use->since !== null && ! $use->since->isBefore($since)) {
            $problems->add('since', 'They have been at the old address only since '.$use->since->toText().'. Choose a later day.');
        }
        $problems->throwIfAny();
        if ($postal === null) {
            return;
        }
        DB::transaction(function () use ($party, $use, $input, $documentIds, $since, $postal, $by): void {
            $address = new Address(['owner_id' => $input['everybody'] ? $use->address->owner_id : $party->id]);
            $address->setPostal($postal);
            $address->save();
            $movers = $this->whoMoves($use, $input['everybody'], $since);
            $this->change->around(array_map(fn (AddressUse $one) => SectionOf::party($this->section, $one->party), $movers), $by, function () use (
                $movers,
                $address,
                $since,
            ): void {
                foreach ($movers as $one) {
                    $this->move($one, $address, $since);
                }
            });
            foreach ($movers as $one) {
                $this->index->withNeighbours($one->party);
            }
            foreach ($documentIds === [] ? [] : $movers as $one) {
                $this->follow->handle($one->party, $documentIds, false, $by);
            }
        });
        $party->refresh();
    }

    /** @return list<Party> the party first, and whoever else moves with it */
    public function whoIsThere(Party $party, AddressUse $use, bool $everybody): array
    {
        $others = $everybody
            ? $use->address
                ->users()
                ->where('party_id', '!=', $party->id)
                ->distinct()
                ->pluck('party_id')
                ->map(fn (int $id) => Party::query()->findOrFail($id))
                ->reject(fn (Party $one) => $one->isArchived())
                ->all()
            : [];

        return [$party, ...array_values($others)];
    }

    /** @return list<AddressUse> those who are at the address when the day comes */
    private function whoMoves(AddressUse $use, bool $everybody, Day $since): array
    {
        return $everybody
            ? array_values(
                $use->address
                    ->users()
                    ->with('party')
                    ->get()
                    ->filter(fn (AddressUse $one) => $one->period()->includes($since) && ! $one->party->isArchived())
                    ->all(),
            )
            : [$use->load('party')];
    }

    private function move(AddressUse $use, Address $address, Day $since): void
    {
        $new = $use->replicate()->fill(['address_id' => $address->id, 'since' => $since, 'until' => $use->until]);
        $use->update(['until' => $since->plusDays(-1), 'is_primary' => false, 'rank' => $use->rank + 1]);
        $use->party->addressUses()->where('rank', '>', $use->rank - 1)->whereKeyNot($use->id)->increment('rank');
        $new->save();
    }
}
