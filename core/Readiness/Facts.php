<?php

declare(strict_types=1);

namespace Almanac\Readiness;

use Almanac\Addresses\PostalAddress;
use Almanac\Cautions\CautionUse;
use Almanac\Records\PartyKind;

/** What the checks of readiness ask about a record, as it stands on a day. */
final readonly class Facts
{
    /**
     * @param bool $hasTitle whether a person has something before the name, such as Ms.
     * @param PostalAddress|null $postal where letters go today
     * @param PostalAddress|null $billing where invoices go today; the postal one where none is set for it
     * @param PostalAddress|null $remitTo where payments go today, set for it
     * @param list<CautionUse> $stops uses that a stop is on today
     * @param bool $isReported whether what a vendor is paid is reported to the tax office
     * @param array<string, list<string>> $missingDetails by purpose, the names of fields that the office asks for and the record lacks
     * @param bool $hasTaxNumber one that stands on the form
     * @param bool $hasForm whether form W-9 is on file
     * @param bool $hasTreatment whether it is known if amounts to them include tax
     * @param bool $isOverLimit whether a client owes more than the credit limit
     * @param bool $hasBankDetails confirmed ones
     * @param bool $isOnHold whether new bank details or a new payee name wait to be confirmed
     * @param bool $hasStandIn whether somebody is written to in place of one who has died; title, first-name terms and postal address are theirs then
     */
    public function __construct(
        public PartyKind $kind,
        public bool $hasTitle,
        public bool $isInformal,
        public bool $isDeceased,
        public bool $isArchived,
        public bool $isClient,
        public bool $isVendor,
        public bool $hasClientTerms,
        public bool $hasVendorTerms,
        public bool $hasEmail,
        public ?PostalAddress $postal,
        public ?PostalAddress $billing,
        public ?PostalAddress $remitTo,
        public array $stops,
        public bool $hasStandIn = false,
        public array $missingDetails = [],
        public bool $isReported = false,
        public bool $hasTaxNumber = false,
        public bool $hasForm = false,
        public bool $hasTreatment = true,
        public bool $isOverLimit = false,
        public bool $hasPayee = true,
        public bool $hasBankDetails = false,
        public bool $isOnHold = false,
    ) {
    }

    public function isStoppedFor(CautionUse $use): bool
    {
        return in_array($use, $this->stops, true) || in_array(CautionUse::Any, $this->stops, true);
    }
}
