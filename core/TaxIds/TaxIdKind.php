<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

use Almanac\Titled;

/** The numbers by which tax offices and registers know people and companies. */
enum TaxIdKind: string implements Titled
{
    case Ein = 'EIN';
    case Ssn = 'SSN';
    case Itin = 'ITIN';
    case Atin = 'ATIN';
    case Vat = 'VAT';
    case CaBusinessNumber = 'CA-BN';
    case AuBusinessNumber = 'ABN';
    case NzInlandRevenue = 'IRD';
    case Lei = 'LEI';
    case Gln = 'GLN';
    case Duns = 'DUNS';
    case Peppol = 'Peppol';

    public function title(): string
    {
        return match ($this) {
            self::Vat => 'VAT number',
            self::CaBusinessNumber => 'Canadian business number',
            self::NzInlandRevenue => 'IRD number',
            self::Duns => 'DUNS number',
            self::Peppol => 'Peppol participant',
            default => $this->value,
        };
    }

    /** Whether it says of which country it is by itself, or has none. */
    public function needsCountry(): bool
    {
        return $this === self::Vat;
    }

    /** Whether it is a number that stands on forms W-9 and 1099. */
    public function isForForm(): bool
    {
        return in_array($this, [self::Ein, self::Ssn, self::Itin, self::Atin], true);
    }
}
