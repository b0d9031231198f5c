<?php

declare(strict_types=1);

namespace Almanac\Names;

use Almanac\Finding\Fold;

/** Whether a name by itself is more likely a company's than a person's. Words from memory, common practice. */
final class CompanySign
{
    private const WORDS = [
        'inc', 'incorporated', 'llc', 'llp', 'ltd', 'limited', 'corp', 'corporation', 'plc', 'pllc', 'gmbh', 'ag', 'kg',
        'sarl', 'bv', 'nv', 'pty', 'co', 'company',
        'associates', 'bros', 'brothers', 'sons', 'group', 'partners', 'services', 'service', 'supply', 'supplies', 'works',
        'foundry', 'church', 'parish', 'museum',
        'university', 'college', 'school', 'library', 'bank', 'trust', 'estate', 'foundation', 'society', 'association',
        'committee', 'council', 'department', 'agency',
        'hospital', 'clinic', 'insurance', 'hotel', 'restaurant', 'shop', 'store', 'market', 'farm', 'farms', 'builders',
        'construction', 'electric', 'plumbing',
        'consulting', 'design', 'studio', 'studios', 'press', 'publishing', 'motors', 'transport', 'logistics', 'couriers',
        'timber', 'lumber', 'hardware', 'metals',
        'instruments', 'systems', 'software', 'technologies', 'laboratories', 'labs', 'pharmacy', 'observatory', 'town',
        'city', 'county', 'village', 'state', 'office',
        'international', 'national', 'enterprises', 'industries', 'holdings', 'properties', 'realty', 'management',
        'productions', 'gallery', 'theater', 'theatre', 'club',
        'institute', 'academy', 'center', 'centre', 'ministry', 'abbey', 'cathedral', 'chapel', 'diocese', 'power', 'water',
        'gas', 'telephone', 'hire', 'rental', 'yard', 'mill',
    ];

    public static function isOn(string $name): bool
    {
        $words = Fold::words($name);

        return match (true) {
            // Wren, Silas is a person; so is whoever has a title.
            preg_match('/^\s*(mr|mrs|ms|miss|mx|dr|prof|rev)\.?\s/i', $name) === 1 => false,
            array_intersect($words, self::WORDS) !== [] => true,
            preg_match('/[&+\d@]|\bof\b/', $name) === 1 => true,
            count($words) > 4 => ! str_contains($name, ','),
            default => count($words) === 1,
        };
    }
}
