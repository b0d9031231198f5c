<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;
use App\Models\Values\Fingerprint;

/**
 * A tax number of a party. It is encrypted; what is shown are its last signs.
 *
 * @property int $id
 * @property int $party_id
 * @property TaxIdKind $kind
 * @property string $country of a VAT number
 * @property string $value encrypted at rest
 * @property string $masked
 * @property string $fingerprint the same for the same number, and tells nothing without the key
 * @property int $rank
 */
final class TaxNumber extends Model
{
    protected $table = 'tax_numbers';

    protected function casts(): array
    {
        return ['kind' => TaxIdKind::class, 'value' => 'encrypted'];
    }

    public function setNumber(TaxId $id): void
    {
        $this->fill([
            'kind' => $id->kind,
            'country' => $id->country,
            'value' => $id->value,
            'masked' => $id->masked(),
            'fingerprint' => self::fingerprintOf($id),
        ]);
    }

    public function number(): TaxId
    {
        return TaxId::of($this->kind, $this->country, $this->value);
    }

    /** What is compared: of which kind it is, and its fingerprint. */
    public function token(): string
    {
        return self::tokenOf($this->kind->value, $this->fingerprint);
    }

    public static function tokenOfTyped(TaxId $id): string
    {
        return self::tokenOf($id->kind->value, self::fingerprintOf($id));
    }

    public static function tokenOf(string $kind, string $fingerprint): string
    {
        return $kind.'|'.$fingerprint;
    }

    private static function fingerprintOf(TaxId $id): string
    {
        return Fingerprint::of($id->kind->value.$id->value);
    }
}
