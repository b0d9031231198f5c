<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Reach\ContactKind;
use Almanac\Reach\ContactUse;
use Almanac\Reach\EmailAddress;
use Almanac\Reach\Handle;
use Almanac\Reach\PhoneNumber;
use Almanac\Reach\WebAddress;
use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Collection;

/**
 * A phone, email, website, handle or profile of a party.
 *
 * @property int $id
 * @property int $party_id
 * @property ContactKind $kind
 * @property string $typed as somebody typed it
 * @property string $value E.164, the email's address, the URL, or the handle
 * @property string $extension of a phone
 * @property string $label
 * @property Collection<int, ContactUse> $uses
 * @property bool $is_primary of its kind
 * @property bool $is_unusual taken, but worth a second look
 * @property int $rank
 * @property int|null $same_as_id the one of another record that it is used from by link
 * @property int|null $address_use_id the address at which they are reached so, of several
 * @property-read ContactPoint|null $source
 * @property-read AddressUse|null $addressUse
 * @property-read SharedLine|null $line
 * @property-read Party $party
 */
final class ContactPoint extends Model
{
    protected $table = 'contact_points';

    protected function casts(): array
    {
        return [
            'kind' => ContactKind::class,
            'uses' => AsEnumCollection::of(ContactUse::class),
            'is_primary' => 'boolean',
            'is_unusual' => 'boolean',
        ];
    }

    /** @return BelongsTo<self, $this> */
    public function source(): BelongsTo
    {
        return $this->belongsTo(self::class, 'same_as_id');
    }

    /** @return BelongsTo<AddressUse, $this> */
    public function addressUse(): BelongsTo
    {
        return $this->belongsTo(AddressUse::class);
    }

    /**
     * The line that it is, where different people share it and somebody has given it a name.
     *
     * @return HasOne<SharedLine, $this>
     */
    public function line(): HasOne
    {
        return $this->hasOne(SharedLine::class, 'value', 'value');
    }

    /** The address at which they are reached so, in short; empty for none in particular. */
    public function at(): string
    {
        $address = $this->addressUse?->address;

        return $address === null ? '' : implode(', ', array_filter([explode("\n", $address->lines)[0], $address->locality]));
    }

    /** @return BelongsTo<Party, $this> */
    public function party(): BelongsTo
    {
        return $this->belongsTo(Party::class);
    }

    public function setPhone(PhoneNumber $phone): void
    {
        $this->setValue($phone->typed, $phone->e164, $phone->isUnusual, $phone->extension);
    }

    public function setEmail(EmailAddress $email): void
    {
        $this->setValue($email->typed, $email->address(), $email->isUnusual());
    }

    public function setWebsite(WebAddress $website): void
    {
        $this->setValue($website->typed, $website->url, false);
    }

    public function setHandle(Handle $handle): void
    {
        $this->setValue($handle->typed, $handle->name, false);
    }

    /** For reading, from where the office is. */
    public function display(string $homeCountry): string
    {
        return match ($this->kind) {
            ContactKind::Phone => PhoneNumber::displayOf($this->value, $this->extension, $homeCountry),
            // Only a domain in other letters reads differently from what is kept.
            ContactKind::Email => str_contains($this->value, 'xn--') ? EmailAddress::fromTyped($this->value)->display() : $this->value,
            ContactKind::Website, ContactKind::Profile => WebAddress::fromTyped($this->value)->display(),
            ContactKind::Handle => $this->value,
        };
    }

    /** The country whose number it is, for showing it as its owner writes it. */
    public function homeRegion(): string
    {
        return $this->kind === ContactKind::Phone ? PhoneNumber::regionOf($this->value) : '';
    }

    /** To call, write or open it; empty for what no address leads to. */
    public function uri(): string
    {
        return match ($this->kind) {
            ContactKind::Phone => $this->phone()->toUri(),
            ContactKind::Email => 'mailto:'.$this->value,
            ContactKind::Website, ContactKind::Profile => $this->value,
            ContactKind::Handle => '',
        };
    }

    private function phone(): PhoneNumber
    {
        return PhoneNumber::ofE164($this->value, $this->extension);
    }

    private function setValue(string $typed, string $value, bool $isUnusual, string $extension = ''): void
    {
        $this->fill(['typed' => $typed, 'value' => $value, 'extension' => $extension, 'is_unusual' => $isUnusual]);
    }
}
