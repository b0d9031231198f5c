<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

/** The numbers by which tax offices and registers know people and companies. */
enum TaxIdKind: string
{
    case Ein = 'EIN';
    case Ssn = 'SSN';
    case Itin = 'ITIN';
    case Atin = 'ATIN';
    case Vat = 'VAT number';
    case CaBusinessNumber = 'Canadian business number';
    case AuBusinessNumber = 'ABN';
    case NzInlandRevenue = 'IRD number';
    case Lei = 'LEI';
    case Gln = 'GLN';
    case Duns = 'DUNS number';
    case Peppol = 'Peppol participant';

    public function title(): string
    {
        return $this->value;
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
