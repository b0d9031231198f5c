<?php

declare(strict_types=1);

namespace App\Queries\Mailing;

use Almanac\Addresses\AddressPart;
use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Mailing\Addressee;
use Almanac\Mailing\Mailing;
use Almanac\Mailing\MailingRefused;
use Almanac\Records\PartyKind;
use App\Facts\Lists\Chosen;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Models\Address;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ReadLetter;
use App\Time\Clock;
use Illuminate\Support\Collection;

/** Reads who of a list gets a letter, and how each envelope reads; some at a time. */
final readonly class ReadMailing
{
    public const MOST = 5000;

    private const CHUNK = 200;

    private const READS = ['addressUses.address', 'heldPositions.company', 'relationsFrom', 'relationsTo'];

    public function __construct(private ReadLetter $letter, private Clock $clock)
    {
    }

    /** @throws MailingRefused when it is a very long list */
    public function handle(Wanted $wanted, ?Chosen $chosen, bool $onceAHousehold, User $reader): Mailing
    {
        $list = new PartyList($this->clock, $wanted, $reader);
        $ids = $chosen === null
            ? $list->inOrder()->pluck('v.party_id')
            : $list->chosen($chosen)->orderBy('v.collated')->orderBy('v.party_id')->pluck('v.party_id');
        if ($ids->count() > self::MOST) {
            throw MailingRefused::tooMany(self::MOST);
        }

        return Mailing::to($this->addressees($ids), $onceAHousehold);
    }

    /**
     * @param Collection<int, mixed> $ids
     *
     * @return \Generator<int, Addressee>
     */
    private function addressees(Collection $ids): \Generator
    {
        $today = $this->clock->today();
        foreach ($ids->chunk(self::CHUNK) as $some) {
            $parties = Party::query()->with(self::READS)->findMany($some->all())->keyBy('id');
            $homes = $this->homes($parties);
            foreach ($some as $id) {
                $party = $parties->get($id);
                if (! $party instanceof Party) {
                    continue;
                }
                if ($party->is_deceased) {
                    yield new Addressee($party->id, $party->file_as, [], 'has died');

                    continue;
                }
                $use = $party->addressFor(Purpose::Postal, $today);
                $missing = $use?->address->postal()->missing() ?? [];
                $why = match (true) {
                    $use === null => 'no address',
                    $missing !== [] => 'the address lacks its '.implode(' and its ', array_map(
                        fn (AddressPart $part) => mb_strtolower($use->address->postal()->layout()->nameOf($part)),
                        $missing,
                    )),
                    default => '',
                };
                $letter = $why === '' ? $this->letter->handle($party, $today) : null;
                yield new Addressee(
                    $party->id,
                    $party->file_as,
                    $letter->envelope ?? [],
                    $why,
                    $letter?->also?->id,
                    $use !== null && $party->isPerson() && isset($homes[$use->address_id]) ? (string) $use->address_id : '',
                    $party->isPerson() ? $party->addressing()->envelopeLine() : '',
                    $party->isPerson() ? $party->family : '',
                );
            }
        }
    }

    /**
     * Addresses at which people live, rather than a firm has its office.
     *
     * @param Collection<int, Party> $parties
     *
     * @return array<int, true>
     */
    private function homes(Collection $parties): array
    {
        $ids = $parties->flatMap(fn (Party $party) => $party->addressUses->pluck('address_id'))->unique()->all();

        return array_fill_keys(Address::query()->whereIntegerInRaw('id', $ids)
            ->whereIn('owner_id', fn ($owners) => $owners->select('id')->from('parties')->where('kind', PartyKind::Person->value))->pluck('id')->all(), true);
    }
}
