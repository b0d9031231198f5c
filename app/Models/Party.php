<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Names\Addressing;
use Almanac\Names\CompanyName;
use Almanac\Names\PersonName;
use Almanac\Records\PartyKind;
use App\Support\ArchivedRecord;
use App\Support\DayCast;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A person or a company.
 *
 * @property int $id
 * @property PartyKind $kind
 * @property int $number the office's own number for the record
 * @property string $prefix
 * @property string $given
 * @property string $middle
 * @property string $family
 * @property string $suffix
 * @property string $preferred
 * @property string $pronouns
 * @property string $post_nominals
 * @property bool $is_informal whether the office is on first-name terms with the person
 * @property bool $is_deceased
 * @property Day|null $deceased_on where the day is known
 * @property string $company_name
 * @property string $legal_name
 * @property string $display_name
 * @property string $file_as
 * @property string $sort_key
 * @property Day|null $archived_on
 * @property string $archive_reason
 * @property bool $is_client
 * @property bool $is_vendor
 * @property-read Collection<int, ContactPoint> $contactPoints
 * @property-read Collection<int, AddressUse> $addressUses
 * @property-read Collection<int, Position> $heldPositions
 * @property-read Collection<int, Position> $staffPositions
 * @property-read ClientTerms|null $clientTerms
 * @property-read VendorTerms|null $vendorTerms
 */
final class Party extends Model
{
    protected $guarded = [];

    protected $attributes = [
        'prefix' => '', 'given' => '', 'middle' => '', 'family' => '', 'suffix' => '', 'preferred' => '',
        'pronouns' => '', 'post_nominals' => '', 'is_informal' => false, 'is_deceased' => false, 'deceased_on' => null,
        'archived_on' => null, 'archive_reason' => '',
        'company_name' => '', 'legal_name' => '', 'is_client' => false, 'is_vendor' => false,
    ];

    protected function casts(): array
    {
        return [
            'kind' => PartyKind::class,
            'is_client' => 'boolean',
            'is_vendor' => 'boolean',
            'is_informal' => 'boolean',
            'is_deceased' => 'boolean',
            'deceased_on' => DayCast::class,
            'archived_on' => DayCast::class,
        ];
    }

    public function isPerson(): bool
    {
        return $this->kind === PartyKind::Person;
    }

    public function isArchived(): bool
    {
        return $this->archived_on !== null;
    }

    /** @throws ArchivedRecord */
    public function assertInUse(): void
    {
        if ($this->isArchived()) {
            throw new ArchivedRecord;
        }
    }

    public function namePerson(PersonName $name): void
    {
        $this->fill([
            'prefix' => $name->prefix,
            'given' => $name->given,
            'middle' => $name->middle,
            'family' => $name->family,
            'suffix' => $name->suffix,
            'preferred' => $name->preferred,
            'pronouns' => $name->pronouns,
            'post_nominals' => $name->postNominals,
        ]);
        $this->fileUnder($name->display(), $name->fileAs());
    }

    public function nameCompany(CompanyName $name): void
    {
        $this->fill(['company_name' => $name->name, 'legal_name' => $name->legal]);
        $this->fileUnder($name->display(), $name->fileAs());
    }

    public function personName(): PersonName
    {
        return PersonName::of(
            $this->given,
            $this->family,
            $this->prefix,
            $this->middle,
            $this->suffix,
            $this->preferred,
            $this->pronouns,
            $this->post_nominals,
        );
    }

    /** How a person is written to. */
    public function addressing(): Addressing
    {
        return Addressing::of($this->personName(), $this->is_informal, $this->is_deceased);
    }

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

    /** @return HasMany<LogEntry, $this> */
    public function logEntries(): HasMany
    {
        return $this->hasMany(LogEntry::class)->orderByDesc('id');
    }

    /** @return HasMany<Caution, $this> */
    public function cautions(): HasMany
    {
        return $this->hasMany(Caution::class)->orderByRaw("level = 'stop' desc")->orderBy('id');
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

    /** @param  Builder<self>  $query */
    public function scopeFiled(Builder $query): void
    {
        $query->orderBy('sort_key')->orderBy('id');
    }

    /** @return HasMany<Position, $this> */
    private function positionsBy(string $end): HasMany
    {
        return $this->hasMany(Position::class, $end)
            ->orderByRaw('until is not null')
            ->orderByDesc('is_primary')
            ->orderBy('id');
    }

    private function fileUnder(string $display, string $fileAs): void
    {
        $this->fill(['display_name' => $display, 'file_as' => $fileAs, 'sort_key' => Fold::text($fileAs)]);
    }
}
