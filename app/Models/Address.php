<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Addresses\PostalAddress;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One postal address. It belongs to the party it was typed for; others may use it by link.
 *
 * @property int $id
 * @property int $owner_id
 * @property string $country ISO 3166-1 alpha-2
 * @property string $lines one to a line
 * @property string $locality
 * @property string $region
 * @property string $postcode
 * @property-read Party $owner
 * @property-read Collection<int, AddressUse> $users
 */
final class Address extends Model
{
    protected $guarded = [];

    public function postal(): PostalAddress
    {
        return PostalAddress::of($this->country, $this->lines, $this->locality, $this->region, $this->postcode);
    }

    public function setPostal(PostalAddress $postal): void
    {
        $this->fill([
            'country' => $postal->country,
            'lines' => implode("\n", $postal->lines),
            'locality' => $postal->locality,
            'region' => $postal->region,
            'postcode' => $postal->postcode,
        ]);
    }

    /** @return BelongsTo<Party, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'owner_id');
    }

    /** @return HasMany<AddressUse, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(AddressUse::class)->orderBy('id');
    }
}
