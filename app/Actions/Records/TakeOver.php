<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Reach\ContactKind;
use App\Models\Party;
use App\Models\User;
use App\Support\TypedDates;
use Illuminate\Support\Facades\DB;

/** Lets a record use the address or the phone of another by link: a change there shows here. */
final readonly class TakeOver
{
    public function __construct(
        private AddressesSection $addresses,
        private ReachSection $reach,
        private LogDifferences $log,
        private TypedDates $dates,
    ) {
    }

    public function handle(Party $party, int $fromId, bool $address, bool $phone, User $by): void
    {
        $party->assertInUse();
        $from = Party::query()->findOrFail($fromId);
        DB::transaction(fn () => $this->log->around(
            [[$this->addresses, $party], [$this->reach, $party]],
            $by,
            function () use ($party, $from, $address, $phone): void {
                $address && $this->address($party, $from);
                $phone && $this->phone($party, $from);
            },
        ));
    }

    private function address(Party $party, Party $from): void
    {
        $use = $from->load('addressUses')->addressFor(Purpose::Postal, $this->dates->today());
        $own = $party->addressUses()->get();
        if ($use !== null && ! $own->contains('address_id', $use->address_id)) {
            $party->addressUses()->create([
                'address_id' => $use->address_id, 'uses' => $use->uses->all(), 'is_primary' => $own->isEmpty(), 'rank' => $own->count(),
            ]);
        }
    }

    private function phone(Party $party, Party $from): void
    {
        $phone = $from->contactPoints()->where('kind', ContactKind::Phone)->where('is_primary', true)->first();
        $own = $party->contactPoints()->get();
        if ($phone !== null && ! $own->contains('value', $phone->value)) {
            $phone->replicate()->fill([
                'party_id' => $party->id,
                'uses' => [],
                'address_use_id' => null,
                'is_primary' => ! $own->contains('kind', ContactKind::Phone),
                'rank' => $own->count(),
                // A link to a link is a link to its source.
                'same_as_id' => $phone->same_as_id ?? $phone->id,
            ])->save();
        }
    }
}
