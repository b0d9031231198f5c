<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\Formatter;
use Almanac\Names\NamePart;
use Almanac\Reach\Primaries;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use App\Models\Address;
use App\Models\AddressUse;
use App\Models\Office;
use App\Models\Party;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Collection;

/** The addresses a party uses: its own, and those of others by link. */
final readonly class AddressesSection implements SectionOfNew
{
    public function __construct(private TypedDates $periods, private ReachSection $reach)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Addresses;
    }

    public function reads(): array
    {
        return ['addressUses.address.owner'];
    }

    public function facts(Party $party): array
    {
        $home = Office::current()->country;
        $facts = [];
        foreach ($party->addressUses as $use) {
            $facts['address:'.$use->id] = new LoggedFact('Address', implode(', ', array_filter([
                $use->attention === '' ? '' : 'to the attention of '.$use->attention,
                $use->care_of === '' ? '' : 'in care of '.$use->care_of,
                ...Formatter::onScreen($use->address->postal(), $home),
                ...$use->uses->map(fn (Purpose $purpose) => 'for '.$purpose->title())->all(),
                $use->is_primary ? 'primary' : '',
                $use->period()->toText(),
                $use->isLinked() ? 'same as '.$use->address->owner->display_name : '',
            ])));
        }

        return $facts;
    }

    public function state(Party $party): array
    {
        return ['addresses' => array_values($party->addressUses->map(fn (AddressUse $use) => [
            'id' => $use->id, 'addressId' => $use->address_id, 'linkedAddressId' => $use->isLinked() ? $use->address_id : null,
            'ofPartyId' => $use->isLinked() ? $use->address->owner_id : null,
            ...$use->address->only('country', 'lines', 'locality', 'region', 'postcode'),
            'attention' => $use->attention, 'careOf' => $use->care_of,
            'uses' => array_values($use->uses->map(fn (Purpose $purpose) => $purpose->value)->all()),
            'isPrimary' => $use->is_primary, 'since' => $use->since?->toIso() ?? '', 'until' => $use->until?->toIso() ?? '',
        ])->all())];
    }

    public function recall(Party $then, array $state, Past $past): void
    {
        /**
         * @var list<array{
         *     id: int, addressId: int, ofPartyId: int|null, country: string, lines: string, locality: string, region: string,
         *     postcode: string, attention: string, careOf: string, uses: list<string>, isPrimary: bool, since: string, until: string,
         * }> $rows
         */
        $rows = $state['addresses'];
        $then->setRelation('addressUses', new Collection(array_map(fn (array $row): AddressUse => (new AddressUse([
            'id' => $row['id'],
            'party_id' => $then->id,
            'address_id' => $row['addressId'],
            'uses' => array_map(Purpose::from(...), $row['uses']),
            'attention' => $row['attention'],
            'care_of' => $row['careOf'],
            'is_primary' => $row['isPrimary'],
            ...Past::period($row),
        ]))->setRelation('address', $past->address($row, $row['addressId'], $row['ofPartyId'] ?? $then->id, $then)), $rows)));
    }

    public function isPrivate(array $state): bool
    {
        return false;
    }

    public function neighbours(Party $party, array $input): array
    {
        $users = Party::query()
            ->where('id', '!=', $party->id)
            ->whereIn('id', AddressUse::query()->select('party_id')->whereIn(
                'address_id',
                Address::query()->select('id')->where('owner_id', $party->id),
            ));

        // An address that goes takes with it that they are reached there.
        return [
            SectionOf::party($this->reach, $party),
            ...array_values($users->get()->map(fn (Party $other) => SectionOf::party($this, $other))->all()),
        ];
    }

    public function begin(Party $new, array $input, NewRecords $records): void
    {
        $uses = [];
        foreach ($this->read($new, new Collection, $input) as [$use, $address]) {
            if (! $address->exists) {
                $records->numbered($address);
            }
            $uses[] = $records->numbered($use->fill(['address_id' => $address->id]))->setRelation('address', $address);
        }
        $new->setRelation('addressUses', new Collection($uses));
    }

    public function write(Party $party, array $input): void
    {
        /** @var list<array{id: int|null, ...}> $rows */
        $rows = $input['addresses'];
        $kept = $party->addressUses()->with('address')->get()->keyBy('id');
        $pairs = $this->read($party, $kept, $input);
        $formerly = $kept->pluck('address_id')->all();
        KeptRow::deleteBut($kept, array_filter(array_column($rows, 'id')));
        foreach ($pairs as [$use, $address]) {
            $address->save();
            $use->address_id = $address->id;
            $use->save();
        }
        $this->passOn($formerly);
        $party->unsetRelation('addressUses');
    }

    /**
     * @param Collection<int, AddressUse> $kept by number
     * @param array<string, mixed> $input
     *
     * @return list<array{AddressUse, Address}>
     */
    private function read(Party $party, Collection $kept, array $input): array
    {
        /**
         * @var list<array{
         *     id: int|null, addressId?: int, linkedAddressId: int|null, country: string, lines: string, locality: string,
         *     region: string, postcode: string, attention: string, careOf: string, uses: list<string>, isPrimary: bool,
         *     since: string, until: string,
         * }> $rows
         */
        $rows = $input['addresses'];
        $isRestored = isset($input['isRestored']);
        $problems = new FieldProblems;
        $primaries = Primaries::settle(array_map(fn (array $row) => ['address', $row['isPrimary']], $rows));

        $pairs = [];
        foreach ($rows as $rank => $row) {
            $field = "addresses.$rank";
            $use = KeptRow::of($kept, $row['id'], new AddressUse(['party_id' => $party->id]), $isRestored);
            $period = $this->periods->read($row['since'], $row['until'], $field, $problems);
            $address = $row['linkedAddressId'] === null
                ? $this->own($party, $use, $row, $isRestored ? $row['addressId'] ?? null : null, $field, $problems)
                : $this->linked($row['linkedAddressId'], $field, $problems);
            $use->fill([
                'uses' => array_map(Purpose::from(...), array_values(array_unique($row['uses']))),
                'attention' => NamePart::tidy($row['attention']),
                'care_of' => NamePart::tidy($row['careOf']),
                'since' => $period?->since,
                'until' => $period?->until,
                'is_primary' => $primaries[$rank],
                'rank' => $rank,
            ]);
            if ($address !== null) {
                $pairs[] = [$use, $address];
            }
        }
        $problems->throwIfAny();

        return $pairs;
    }

    /**
     * @param array{country: string, lines: string, locality: string, region: string, postcode: string, ...} $row
     * @param int|null $formerId which address it was
     */
    private function own(Party $party, AddressUse $use, array $row, ?int $formerId, string $field, FieldProblems $problems): ?Address
    {
        $postal = $problems->postal($row, "$field.");
        if ($postal === null) {
            return null;
        }
        $address = $use->exists && $use->address->owner_id === $party->id
            ? $use->address
            : ($formerId === null ? null : Address::query()->find($formerId)) ?? KeptRow::of(new Collection, $formerId, new Address, true);
        $address->owner_id = $party->id;
        $address->setPostal($postal);

        return $address;
    }

    private function linked(int $id, string $field, FieldProblems $problems): ?Address
    {
        $address = Address::query()->find($id);
        if ($address === null) {
            $problems->add($field.'.linkedAddressId', 'That address is no longer kept. Type it here, or choose another.');
        }

        return $address;
    }

    /**
     * An address that its owner no longer uses passes to whoever still does; one that nobody
     * uses goes.
     *
     * @param array<int> $addressIds
     */
    private function passOn(array $addressIds): void
    {
        foreach ($addressIds === [] ? [] : Address::query()->with('users')->findMany($addressIds) as $address) {
            $users = $address->users->pluck('party_id');
            if ($users->isEmpty()) {
                $address->delete();
            } elseif (! $users->contains($address->owner_id)) {
                $address->update(['owner_id' => $users->first()]);
            }
        }
    }
}
