<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Details\FieldKind;
use Almanac\Details\FieldReader;
use Almanac\Money\DecimalSign;
use Almanac\Records\PartyKind;

/** What has to be known of an office, and of how a file writes things, to read a table of records. */
final readonly class ReadingOffice
{
    /**
     * @param string $country ISO 3166-1, of addresses and phones that name none
     * @param string $currency ISO 4217, of amounts that name none
     * @param list<string> $types in the office's list
     * @param bool $takesNewWords whether types that are not in the list are added to it
     * @param list<string> $colleagues
     * @param array<string, string> $terms shorthand of the office's listed terms, by their names
     * @param array<string, array{FieldKind, list<string>}> $fields the office's own: kind and choices, by "detail:number"
     * @param list<string> $roles client, vendor: what all of them are, unless the line says otherwise
     * @param PartyKind|null $kind of lines that do not say; null where each is told by its name
     */
    public function __construct(
        public Day $today,
        public TypedDay $days,
        public DecimalSign $sign,
        public string $country,
        public string $currency,
        public FieldReader $details,
        public array $types = [],
        public bool $takesNewWords = false,
        public array $colleagues = [],
        public array $terms = [],
        public array $fields = [],
        public ?PartyKind $kind = null,
        public array $roles = [],
    ) {
    }
}
