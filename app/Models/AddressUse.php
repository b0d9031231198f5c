<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\DatedUse;
use Almanac\Records\Period;
use App\Models\Values\DayCast;
use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Collection;

/**
 * How a party uses an address, and for how long.
 *
 * @property int $id
 * @property int $party_id
 * @property int $address_id
 * @property Collection<int, Purpose> $uses
 * @property \Almanac\Calendar\Day|null $since
 * @property \Almanac\Calendar\Day|null $until
 * @property string $attention a desk or a person whom post is for
 * @property string $care_of who takes it in for them
 * @property bool $is_primary
 * @property int $rank
 * @property-read Party $party
 * @property-read Address $address
 */
final class AddressUse extends Model
{
    protected $table = 'address_uses';

    protected $attributes = ['attention' => '', 'care_of' => ''];

    protected function casts(): array
    {
        return [
            'uses' => AsEnumCollection::of(Purpose::class),
            'since' => DayCast::class,
            'until' => DayCast::class,
            'is_primary' => 'boolean',
        ];
    }

    public function period(): Period
    {
        return Period::of($this->since, $this->until);
    }

    public function dated(): DatedUse
    {
        return new DatedUse($this->id, array_values($this->uses->all()), $this->period(), $this->is_primary);
    }

    /** Whether the address belongs to another party, and is used here by link. */
    public function isLinked(): bool
    {
        return $this->address->owner_id !== $this->party_id;
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }

    /** @return BelongsTo<Address, $this> */
    public function address(): BelongsTo
    {
        return $this->belongsTo(Address::class);
    }
}
