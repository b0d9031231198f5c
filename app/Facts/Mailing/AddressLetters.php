<?php

declare(strict_types=1);

namespace App\Facts\Mailing;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\Formatter;
use Almanac\Addresses\Recipient;
use Almanac\Calendar\Day;
use Almanac\Names\Addressing;
use Almanac\Names\Couple;
use Almanac\Names\TogetherAs;
use App\Facts\Readiness\RecordFacts;
use App\Models\AddressUse;
use App\Models\Office;
use App\Models\Party;
use App\Models\Position;
use App\Models\Relation;
use Illuminate\Support\Collection;

/** How a letter to a party is addressed: alone, with a spouse, or, for somebody who has died, to who stands in. */
final readonly class AddressLetters
{
    /** @var \WeakMap<Party, array{Relation|null}> asked once for all the addresses of a record */
    private \WeakMap $spouses;

    public function __construct()
    {
        $this->spouses = new \WeakMap;
    }

    public function handle(Party $party, Day $today): AddressedLetter
    {
        $standIn = $party->is_deceased ? RecordFacts::standIn($party, $today)?->otherThan($party) : null;
        $use = $party->addressFor(Purpose::Postal, $today);
        $spouse = $use === null ? $this->spouse($party, $today) : $this->spouseAt($party, $use, $today);

        return new AddressedLetter(
            match (true) {
                $standIn !== null => $this->toStandIn($party, $standIn, $today),
                $use !== null => $this->envelope($party, $use, $today),
                default => [],
            },
            match (true) {
                $standIn !== null => $this->salutation($standIn),
                $spouse !== null => $this->couple($party, $spouse)->salutation(),
                default => $this->salutation($party),
            },
            $standIn ?? $spouse?->otherThan($party),
        );
    }

    /** @return list<string> as one of its addresses stands on an envelope */
    public function envelope(Party $party, AddressUse $use, Day $today): array
    {
        $spouse = $this->spouseAt($party, $use, $today);
        $recipient = $spouse !== null
            ? Recipient::people($this->couple($party, $spouse)->envelopeLines())
            : $this->recipient($party, $use);

        return Formatter::onEnvelope(
            $use->address->postal(),
            $recipient->attention($use->attention)->inCareOf($use->care_of),
            Office::current()->country,
        );
    }

    /** @return list<string> */
    private function toStandIn(Party $party, Party $standIn, Day $today): array
    {
        $use = $standIn->load('addressUses.address', 'heldPositions.company')->addressFor(Purpose::Postal, $today);

        return $use === null ? [] : Formatter::onEnvelope(
            $use->address->postal(),
            Recipient::person($party->addressing()->envelopeLine())
                ->inCareOf($standIn->isPerson() ? $standIn->addressing()->envelopeLine() : $standIn->display_name),
            Office::current()->country,
        );
    }

    /** A person written to at a company's address is written to at the company. */
    private function recipient(Party $party, AddressUse $use): Recipient
    {
        if (! $party->isPerson()) {
            return Recipient::organisation($party->display_name);
        }
        $company = $party->heldPositions
            ->map(fn (Position $position) => $position->company)
            ->firstWhere('id', $use->address->owner_id);

        return Recipient::person($party->addressing()->envelopeLine(), $company->display_name ?? '');
    }

    private function salutation(Party $party): ?string
    {
        return $party->isPerson() ? $party->addressing()->salutation() : Addressing::salutationToCompany();
    }

    /** The spouse with whom a living person is written to together. */
    private function spouse(Party $party, Day $today): ?Relation
    {
        if (! $party->isPerson() || $party->is_deceased) {
            return null;
        }
        $this->spouses[$party] ??= [$this->together($party)
            ->first(fn (Relation $relation) => $relation->period()->includes($today)
                && ! $relation->otherThan($party)->is_deceased && ! $relation->otherThan($party)->isArchived())];

        return $this->spouses[$party][0];
    }

    /** @return Collection<int, Relation> with whom they are written to together, at one time or another */
    private function together(Party $party): Collection
    {
        if ($party->relationLoaded('relationsFrom') && $party->relationLoaded('relationsTo')) {
            return $party->relations()->filter(fn (Relation $relation) => $relation->together !== TogetherAs::Alone)->values();
        }

        return Relation::of($party)->with('from', 'to')->where('together', '!=', TogetherAs::Alone)->get();
    }

    private function couple(Party $party, Relation $relation): Couple
    {
        $spouse = $relation->otherThan($party);

        return Couple::of($party->personName(), $spouse->personName(), $relation->together, $party->is_informal && $spouse->is_informal);
    }

    /** The spouse who is written to together with the party at this address: both are there today, or will be from its first day on. */
    private function spouseAt(Party $party, AddressUse $use, Day $today): ?Relation
    {
        $spouse = $this->spouse($party, $today);
        $day = $use->since !== null && $today->isBefore($use->since) ? $use->since : $today;
        $isThere = fn (AddressUse $one): bool => $one->period()->includes($day);

        return $spouse !== null &&
            $isThere($use) &&
            $spouse->otherThan($party)->addressUses()->where('address_id', $use->address_id)->get()->first($isThere) !== null
            ? $spouse
            : null;
    }
}
