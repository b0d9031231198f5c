<?php

declare(strict_types=1);

namespace App\Facts\Mailing;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Calendar\Day;
use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Almanac\Mailing\Addressee;
use Almanac\Mailing\LetterWay;
use Almanac\Mailing\Reachable;
use Almanac\Records\PartyKind;
use App\Facts\Records\Recipients;
use App\Models\Address;
use App\Models\Caution;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Support\Collection;

/** Who of some records is written to, and how; some at a time. */
final readonly class Addressees
{
    private const CHUNK = 200;

    private const READS = [
        'addressUses.address', 'heldPositions.company', 'relationsFrom.from', 'relationsFrom.to', 'relationsTo.from', 'relationsTo.to',
    ];

    public function __construct(private AddressLetters $letters, private Clock $clock)
    {
    }

    /**
     * @param iterable<int> $ids of records, in their order; who is gone is passed over
     * @param LetterWay|null $way of letters; null for labels and envelopes, whatever is put into them
     *
     * @return \Generator<int, Addressee>
     */
    public function of(iterable $ids, ?LetterWay $way): \Generator
    {
        $today = $this->clock->today();
        foreach (Collection::make($ids)->chunk(self::CHUNK) as $some) {
            $parties = Party::query()
                ->with([...self::READS, ...$way === null ? [] : ['cautions', 'contactPoints']])->findMany($some->all())
                ->keyBy('id');
            $homes = $this->homes($parties);
            foreach ($some as $id) {
                $party = $parties->get($id);
                if ($party instanceof Party) {
                    yield $this->addressee($party, $way, $homes, $today);
                }
            }
        }
    }

    /** @param  array<int, true>  $homes */
    private function addressee(Party $party, ?LetterWay $way, array $homes, Day $today): Addressee
    {
        $use = $party->addressFor(Purpose::Postal, $today);
        $email = $way === null ? null : Recipients::primary($party);
        $optOut = $way === null ? null : $party->optOut();
        $stop = $way === null ? '' : $this->stop($party, $today);
        $why = $way === LetterWay::Email
            ? Reachable::byEmail($party->is_deceased, $optOut, $stop, $email !== null)
            : Reachable::onPaper($party->is_deceased, $optOut, $stop, $use?->address->postal());
        $letter = $why === '' ? $this->letters->handle($party, $today) : null;

        return new Addressee(
            $party->id,
            $party->file_as,
            $letter->envelope ?? [],
            $why,
            $letter?->also?->id,
            $use !== null && $party->isPerson() && isset($homes[$use->address_id]) ? (string) $use->address_id : '',
            $party->isPerson() ? $party->addressing()->envelopeLine() : '',
            $party->isPerson() ? $party->family : '',
            $letter->salutation ?? '',
            $email ?? '',
        );
    }

    /** What a colleague wrote as a stop for writing to them. */
    private function stop(Party $party, Day $today): string
    {
        return $party->cautions->first(
            fn (Caution $one) => $one->level === CautionLevel::Stop && $one->value()->concerns(CautionUse::Writing, $today),
        )->text ?? '';
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
            ->whereIn('owner_id', fn ($owners) => $owners->select('id')->from('parties')->where('kind', PartyKind::Person->value))
            ->pluck('id')->all(),
            true);
    }
}
