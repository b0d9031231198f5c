<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Http\Data\Records\KnownAddressData;
use App\Models\Address;
use App\Models\AddressUse;
use App\Models\Office;
use App\Models\Party;
use App\Time\Clock;

/** Finds the addresses in the book that begin as a street is being typed. */
final readonly class FindAddresses
{
    private const MOST = 4;

    /** Of one large building there may be many; they are looked through so far. */
    private const CANDIDATES = 60;

    private const LEAST = 4;

    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param string $typed the beginning of the street
     * @param int|null $exceptId whose own addresses are left out
     *
     * @return list<KnownAddressData> each once, however many have typed it
     */
    public function handle(string $typed, string $country, ?int $exceptId): array
    {
        $beginning = trim($typed);
        if (mb_strlen($beginning) < self::LEAST) {
            return [];
        }
        $home = Office::current()->country;
        $found = [];
        $addresses = Address::query()->with('users.party')
            ->whereRaw('lines collate nocase >= ? and lines collate nocase < ?', [$beginning, $beginning."\u{10FFFF}"])
            ->when($country !== '', fn ($addresses) => $addresses->where('country', $country))
            ->orderBy('id')->limit(self::CANDIDATES)->get();
        foreach ($addresses as $address) {
            $there = $this->whoIsThere($address);
            $isOwn = array_filter($there, fn (Party $party) => $party->id === $exceptId) !== [];
            if ($there !== [] && ! $isOwn) {
                $known = KnownAddressData::of($address, $there, $home);
                $found[mb_strtolower(implode("\n", $known->text))] ??= $known;
            }
        }

        return array_slice(array_values($found), 0, self::MOST);
    }

    /** @return list<Party> */
    private function whoIsThere(Address $address): array
    {
        $today = $this->clock->today();

        return array_values($address->users
            ->filter(fn (AddressUse $use) => ! $use->party->isArchived() && ! $use->period()->isOver($today))
            ->sortByDesc(fn (AddressUse $use) => $use->party_id === $address->owner_id)
            ->map(fn (AddressUse $use) => $use->party)->unique('id')->all());
    }
}
