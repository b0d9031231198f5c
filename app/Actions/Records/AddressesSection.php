<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Addresses\AddressRefused;
use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\Formatter;
use Almanac\Addresses\PostalAddress;
use Almanac\Names\NamePart;
use Almanac\Reach\Primaries;
use Almanac\Records\Fact;
use App\Models\Address;
use App\Models\AddressUse;
use App\Models\Office;
use App\Models\Party;
use App\Support\FieldProblems;
use App\Support\SectionName;
use App\Support\TypedDates;

/** The addresses a party uses: its own, and those of others by link. */
final readonly class AddressesSection implements Section
{
    public function __construct(private TypedDates $periods)
    {
    }

    public function name(): SectionName
    {
        return SectionName::Addresses;
    }

    public function snapshot(Party $party): array
    {
        $party->load('addressUses.address.owner');
        $home = Office::current()->country;
        $facts = [];
        foreach ($party->addressUses as $use) {
            $facts['address:'.$use->id] = new Fact('Address', implode(', ', array_filter([
                $use->attention === '' ? '' : 'to the attention of '.$use->attention,
                $use->care_of === '' ? '' : 'in care of '.$use->care_of,
                ...Formatter::onScreen($use->address->postal(), $home),
                ...$use->uses->map(fn (Purpose $purpose) => 'for '.$purpose->value)->all(),
                $use->is_primary ? 'primary' : '',
                $use->period()->toText(),
                $use->isLinked() ? 'same as '.$use->address->owner->display_name : '',
            ])));
        }

        return $facts;
    }

    public function neighbours(Party $party): array
    {
        $users = Party::query()
            ->where('id', '!=', $party->id)
            ->whereIn('id', AddressUse::query()->select('party_id')->whereIn(
                'address_id',
                Address::query()->select('id')->where('owner_id', $party->id),
            ));

        return array_values($users->get()->all());
    }

    public function write(Party $party, array $input): void
    {
        /** @var list<array{id: int|null, linkedAddressId: int|null, country: string, lines: string, locality: string, region: string, postcode: string, attention: string, careOf: string, uses: list<string>, isPrimary: bool, since: string, until: string}> $rows */
        $rows = $input['addresses'];
        $kept = $party->addressUses()->with('address')->get()->keyBy('id');
        $problems = new FieldProblems;
        $primaries = Primaries::settle(array_map(fn (array $row) => ['address', $row['isPrimary']], $rows));

        $pairs = [];
        foreach ($rows as $rank => $row) {
            $field = "addresses.$rank";
            $use = $kept->get($row['id']) ?? new AddressUse(['party_id' => $party->id]);
            $period = $this->periods->read($row['since'], $row['until'], $field, $problems);
            $address = $row['linkedAddressId'] === null
                ? $this->own($party, $use, $row, $field, $problems)
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
            $pairs[] = [$use, $address];
        }
        $problems->throwIfAny();

        $formerly = $kept->pluck('address_id')->all();
        $party->addressUses()->whereNotIn('id', array_filter(array_column($rows, 'id')))->delete();
        foreach ($pairs as [$use, $address]) {
            if ($address !== null) {
                $address->save();
                $use->address_id = $address->id;
                $use->save();
            }
        }
        $this->settleOwners($formerly);
    }

    /** @param array{country: string, lines: string, locality: string, region: string, postcode: string, ...} $row */
    private function own(Party $party, AddressUse $use, array $row, string $field, FieldProblems $problems): ?Address
    {
        try {
            $postal = PostalAddress::of($row['country'], $row['lines'], $row['locality'], $row['region'], $row['postcode']);
        } catch (AddressRefused $refusal) {
            $problems->add($field.'.'.$refusal->part->value, $refusal->getMessage());

            return null;
        }
        $address = $use->exists && $use->address->owner_id === $party->id
            ? $use->address
            : new Address(['owner_id' => $party->id]);
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
    private function settleOwners(array $addressIds): void
    {
        foreach (Address::query()->with('users')->findMany($addressIds) as $address) {
            $users = $address->users->pluck('party_id');
            if ($users->isEmpty()) {
                $address->delete();
            } elseif (! $users->contains($address->owner_id)) {
                $address->update(['owner_id' => $users->first()]);
            }
        }
    }
}
