<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Reach\ContactKind;
use Almanac\Records\ArchivedRecord;
use Almanac\Relations\SharingRefused;
use App\Actions\Finding\IndexParties;
use App\Models\Party;
use App\Models\User;
use App\Time\TypedDates;

/** Lets a record use the address or the phone of another by link: a change there shows here. Runs inside a transaction. */
final readonly class TakeOver
{
    public function __construct(
        private AddressesSection $addresses,
        private ReachSection $reach,
        private ChangeSections $change,
        private IndexParties $index,
        private TypedDates $dates,
    ) {
    }

    /**
     * @param int|null $addressId which of its addresses; null for the one that post goes to
     * @param int|null $causeId the state of the section that it was asked for with
     *
     * @throws ArchivedRecord when the one that takes it is archived
     * @throws SharingRefused when there is no such address
     */
    public function address(Party $party, Party $from, ?int $addressId, User $by, ?int $causeId = null): void
    {
        $party->assertInUse();
        $from->load('addressUses.address');
        $use =
            $addressId === null
                ? $from->addressFor(Purpose::Postal, $this->dates->today())
                : $from->addressUses->firstWhere('address_id', $addressId);
        if ($use === null) {
            throw $addressId === null
                ? SharingRefused::noAddress($from->display_name)
                : SharingRefused::notThatAddress($from->display_name);
        }
        $own = $party->addressUses()->get();
        if (! $own->contains('address_id', $use->address_id)) {
            $this->change->around([SectionOf::party($this->addresses, $party)], $by, fn () => $party->addressUses()->create([
                'address_id' => $use->address_id, 'uses' => $use->uses->all(), 'is_primary' => $own->isEmpty(), 'rank' => $own->count(),
            ]), $causeId);
            $this->index->withNeighbours($party);
        }
    }

    /**
     * @throws ArchivedRecord when the one that takes it is archived
     * @throws SharingRefused when there is no phone
     */
    public function phone(Party $party, Party $from, User $by, ?int $causeId = null): void
    {
        $party->assertInUse();
        $phone =
            $from->contactPoints()->where('kind', ContactKind::Phone)->where('is_primary', true)->first() ??
            throw SharingRefused::noPhone($from->display_name);
        $own = $party->contactPoints()->get();
        if (! $own->contains('value', $phone->value)) {
            $this->change->around([SectionOf::party($this->reach, $party)], $by, fn () => $phone->replicate()->fill([
                'party_id' => $party->id,
                'uses' => [],
                'address_use_id' => null,
                'is_primary' => ! $own->contains('kind', ContactKind::Phone),
                'rank' => $own->count(),
                // A link to a link is a link to its source.
                'same_as_id' => $phone->same_as_id ?? $phone->id,
            ])->save(), $causeId);
            $this->index->alone($party);
        }
    }
}
