<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Addresses\PostalAddress;
use Almanac\LookAlikes\PlaceForm;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

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
 * @property string $form the same for one address, however it is written; empty where too little is known
 * @property-read Party $owner
 * @property-read Collection<int, AddressUse> $users
 * @property-read SharedLine|null $line
 */
final class Address extends Model
{
    protected $table = 'addresses';

    protected $attributes = ['form' => ''];

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
            'form' => PlaceForm::of(implode("\n", $postal->lines), $postal->locality, $postal->postcode)->form(),
        ]);
    }

    /** @return BelongsTo<Party, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(Party::class, 'owner_id');
    }

    /**
     * The name that it has, where different people share it and somebody has given it one.
     *
     * @return HasOne<SharedLine, $this>
     */
    public function line(): HasOne
    {
        return $this->hasOne(SharedLine::class, 'value', 'form');
    }

    /** @return HasMany<AddressUse, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(AddressUse::class)->orderBy('id');
    }
}
