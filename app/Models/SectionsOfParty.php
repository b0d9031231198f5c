<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\DatedUse;
use Almanac\Calendar\Day;
use Almanac\Records\OfficeList;
use Almanac\Records\SectionName;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * What a party has and is tied to.
 */
trait SectionsOfParty
{
    /** @return HasMany<ContactPoint, $this> */
    public function contactPoints(): HasMany
    {
        return $this->hasMany(ContactPoint::class)->orderBy('rank');
    }

    /** @return HasMany<AddressUse, $this> */
    public function addressUses(): HasMany
    {
        return $this->hasMany(AddressUse::class)->orderBy('rank');
    }

    /** The address that serves a use on a day: the one set for it, else the one that letters go to. */
    public function addressFor(Purpose $use, Day $day): ?AddressUse
    {
        $chosen = DatedUse::inForce(array_values($this->addressUses->map(fn (AddressUse $one) => $one->dated())->all()), $use, $day);

        return $chosen === null ? null : $this->addressUses->firstWhere('id', $chosen->id);
    }

    /** Where post for it goes on a day: ISO 3166-1 alpha-2; null while no address is in force. */
    public function countryOn(Day $day): ?string
    {
        return $this->addressFor(Purpose::Postal, $day)?->address->country;
    }

    /**
     * Addresses that were typed for this party, whoever uses them.
     *
     * @return HasMany<Address, $this>
     */
    public function ownAddresses(): HasMany
    {
        return $this->hasMany(Address::class, 'owner_id');
    }

    /**
     * The positions that a person holds: those that have not ended first, then the primary ones.
     *
     * @return HasMany<Position, $this>
     */
    public function heldPositions(): HasMany
    {
        return $this->positionsBy('person_id');
    }

    /**
     * The positions that people hold at a company, in the same order.
     *
     * @return HasMany<Position, $this>
     */
    public function staffPositions(): HasMany
    {
        return $this->positionsBy('company_id');
    }

    /**
     * Whichever of the two the party has, to query.
     *
     * @return HasMany<Position, $this>
     */
    public function eitherPositions(): HasMany
    {
        return $this->isPerson() ? $this->heldPositions() : $this->staffPositions();
    }

    /**
     * Whichever of the two the party has.
     *
     * @return Collection<int, Position>
     */
    public function positions(): Collection
    {
        return $this->isPerson() ? $this->heldPositions : $this->staffPositions;
    }

    /** @return HasMany<Relation, $this> as they are told from its end */
    public function relationsFrom(): HasMany
    {
        return $this->hasMany(Relation::class, 'from_id');
    }

    /** @return HasMany<Relation, $this> as they are told from the other's end */
    public function relationsTo(): HasMany
    {
        return $this->hasMany(Relation::class, 'to_id');
    }

    /**
     * What others are to it, the ones that have not ended first.
     *
     * @return Collection<int, Relation>
     */
    public function relations(): Collection
    {
        return $this->relationsFrom
            ->merge($this->relationsTo)
            ->sortBy([fn (Relation $a, Relation $b) => [$a->until !== null, $a->id] <=> [$b->until !== null, $b->id]])
            ->values();
    }

    /**
     * Its types and tags.
     *
     * @return BelongsToMany<ListItem, $this>
     */
    public function listItems(): BelongsToMany
    {
        return $this->belongsToMany(ListItem::class, 'party_list_items')->orderBy('name');
    }

    /** @return list<string> */
    public function listed(OfficeList $list): array
    {
        return array_values($this->listItems->where('list', $list)->map(fn (ListItem $item) => $item->name)->all());
    }

    /** @return HasMany<TaxNumber, $this> */
    public function taxNumbers(): HasMany
    {
        return $this->hasMany(TaxNumber::class)->orderBy('rank');
    }

    /** @return HasMany<PartyCode, $this> */
    public function codes(): HasMany
    {
        return $this->hasMany(PartyCode::class)->orderBy('rank');
    }

    /** @return HasMany<DetailValue, $this> */
    public function detailValues(): HasMany
    {
        return $this->hasMany(DetailValue::class, 'subject_id');
    }

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'owner_id');
    }

    /** @return BelongsTo<User, $this> */
    public function accountManager(): BelongsTo
    {
        return $this->belongsTo(User::class, 'account_manager_id');
    }

    /** @return BelongsTo<User, $this> */
    public function buyer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'buyer_id');
    }

    /**
     * What was logged when it was called otherwise: family names, names of a company.
     *
     * @return HasMany<Change, $this>
     */
    public function formerNames(): HasMany
    {
        return $this->hasMany(Change::class, 'subject_id')->formerNames();
    }

    /** @return HasMany<FormerRecord, $this> those that were made one with it */
    public function formerRecords(): HasMany
    {
        return $this->hasMany(FormerRecord::class, 'kept_id')->orderBy('number');
    }

    /** @return HasMany<LookAlikePair, $this> those in which it stands first */
    public function pairsAsFirst(): HasMany
    {
        return $this->hasMany(LookAlikePair::class, 'first_id');
    }

    /** @return HasMany<LookAlikePair, $this> those in which it stands second */
    public function pairsAsSecond(): HasMany
    {
        return $this->hasMany(LookAlikePair::class, 'second_id');
    }

    /** @return HasMany<Reminder, $this> */
    public function reminders(): HasMany
    {
        return $this->hasMany(Reminder::class, 'subject_id');
    }

    /** @return HasMany<File, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(File::class, 'subject_id')->orderByDesc('id');
    }

    /** @return HasMany<LogEntry, $this> */
    public function logEntries(): HasMany
    {
        return $this->hasMany(LogEntry::class, 'subject_id')->orderByDesc('id');
    }

    /** @return HasMany<EngagementParty, $this> the roles that it has in cases and projects */
    public function engagementParties(): HasMany
    {
        return $this->hasMany(EngagementParty::class)->orderBy('id');
    }

    /** @return HasMany<RecordUse, $this> who had it open, and when the last time */
    public function uses(): HasMany
    {
        return $this->hasMany(RecordUse::class);
    }

    /** @return HasOne<Change, $this> by which it came into the book */
    public function firstChange(): HasOne
    {
        return $this->hasOne(Change::class, 'subject_id')->oldestOfMany();
    }

    /** @return HasOne<Change, $this> the last one; what was said of it changes nothing */
    public function lastChange(): HasOne
    {
        return $this->hasOne(Change::class, 'subject_id')->ofMany(
            ['at' => 'max', 'id' => 'max'],
            fn (Builder $changes) => $changes->whereRaw('section <> ?', [SectionName::Log->value]),
        );
    }

    /** @return HasMany<Caution, $this> */
    public function cautions(): HasMany
    {
        return $this->hasMany(Caution::class, 'subject_id')->orderByRaw("level = 'stop' desc")->orderBy('id');
    }

    /** @return HasOne<ClientTerms, $this> */
    public function clientTerms(): HasOne
    {
        return $this->hasOne(ClientTerms::class);
    }

    /** @return HasOne<VendorTerms, $this> */
    public function vendorTerms(): HasOne
    {
        return $this->hasOne(VendorTerms::class);
    }

    /** @return HasMany<Position, $this> */
    private function positionsBy(string $end): HasMany
    {
        return $this->hasMany(Position::class, $end)
            ->orderByRaw('until is not null')
            ->orderByDesc('is_primary')
            ->orderBy('id');
    }
}
