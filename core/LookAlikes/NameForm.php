<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Finding\Fold;

/**
 * A name without what people write differently: case, accents, punctuation, legal forms, abbreviations. Lists from
 * memory, common practice.
 */
final class NameForm
{
    private const LEGAL_FORMS = [
        'inc', 'incorporated', 'llc', 'llp', 'lp', 'ltd', 'limited', 'co', 'company', 'corp', 'corporation', 'plc', 'pllc', 'pc',
        'gmbh', 'ag', 'kg', 'ohg', 'ug', 'ev', 'sa', 'sarl', 'sas', 'bv', 'nv', 'pty', 'ab', 'as', 'oy', 'srl', 'spa',
    ];

    private const FILLERS = ['the', 'and', 'of', 'a', 'und', 'et', 'de'];

    private const ABBREVIATIONS = [
        'n' => 'north', 's' => 'south', 'e' => 'east', 'w' => 'west',
        'acct' => 'accounting', 'admin' => 'administration', 'agcy' => 'agency', 'amer' => 'american', 'assn' => 'association',
        'assoc' => 'associates', 'assocs' => 'associates', 'auth' => 'authority', 'auto' => 'automotive',
        'bldg' => 'building', 'bldrs' => 'builders',
        'bros' => 'brothers', 'bur' => 'bureau', 'cath' => 'catholic', 'chem' => 'chemical', 'cmte' => 'committee',
        'comm' => 'communications',
        'cons' => 'consulting', 'const' => 'construction', 'constr' => 'construction', 'coop' => 'cooperative', 'ctr' => 'center',
        'centre' => 'center', 'dept' => 'department', 'dev' => 'development', 'dist' => 'distributors', 'elec' => 'electric',
        'eng' => 'engineering',
        'engr' => 'engineering', 'engrg' => 'engineering', 'ent' => 'enterprises', 'equip' => 'equipment',
        'fab' => 'fabrication', 'fdn' => 'foundation',
        'fdry' => 'foundry', 'fin' => 'financial', 'ft' => 'fort', 'gen' => 'general', 'govt' => 'government',
        'grp' => 'group', 'hldgs' => 'holdings',
        'hosp' => 'hospital', 'ind' => 'industries', 'inds' => 'industries', 'ins' => 'insurance', 'inst' => 'institute',
        'instr' => 'instruments',
        'intl' => 'international', 'inv' => 'investments', 'jr' => 'junior', 'lab' => 'laboratories',
        'labs' => 'laboratories', 'lib' => 'library',
        'mach' => 'machine', 'maint' => 'maintenance', 'med' => 'medical', 'mfg' => 'manufacturing',
        'mfrs' => 'manufacturers', 'mgmt' => 'management',
        'mgt' => 'management', 'mkt' => 'market', 'mktg' => 'marketing', 'mt' => 'mount', 'mus' => 'museum',
        'mut' => 'mutual', 'natl' => 'national',
        'org' => 'organization', 'pharm' => 'pharmacy', 'photo' => 'photography', 'plbg' => 'plumbing', 'prod' => 'products',
        'prods' => 'products',
        'prop' => 'properties', 'props' => 'properties', 'ptg' => 'printing', 'pub' => 'publishing', 'rest' => 'restaurant',
        'restn' => 'restoration',
        'sch' => 'school', 'schl' => 'school', 'sci' => 'scientific', 'serv' => 'services', 'servs' => 'services',
        'service' => 'services', 'soc' => 'society',
        'st' => 'saint', 'svc' => 'services', 'svcs' => 'services', 'sys' => 'systems', 'system' => 'systems', 'tech' => 'technologies',
        'technology' => 'technologies', 'tel' => 'telephone', 'transp' => 'transport', 'twp' => 'township', 'univ' => 'university',
        'warehse' => 'warehouse', 'whse' => 'warehouse', 'wks' => 'works',
    ];

    /** Words that say which one of several of one name it is. */
    private const BRANCH = [
        'branch', 'office', 'offices', 'division', 'div', 'department', 'dept', 'location', 'site', 'plant', 'store', 'depot', 'warehouse',
        'region', 'district', 'campus', 'north', 'south', 'east', 'west', 'northern', 'southern', 'eastern', 'western', 'northeast',
        'northwest', 'southeast', 'southwest', 'central', 'downtown', 'uptown', 'regional', 'headquarters', 'hq', 'accounts', 'payable',
        'billing', 'receiving', 'claims',
    ];

    /** Those that say nothing by themselves. */
    private const PLAIN = ['branch', 'office', 'offices', 'location', 'division', 'div'];

    private const SUFFIXES = [
        'jr' => 'jr', 'jnr' => 'jr', 'junior' => 'jr', 'sr' => 'sr', 'snr' => 'sr', 'senior' => 'sr', 'i' => 'sr', '1st' => 'sr',
        'ii' => 'ii', '2nd' => 'ii', 'iii' => 'iii', '3rd' => 'iii', 'iv' => 'iv', '4th' => 'iv', 'v' => 'v', '5th' => 'v',
    ];

    /** @return list<string> the words that tell one company from another; all of them where none does */
    public static function company(string $name): array
    {
        $words = self::wordsOf($name);
        $telling = array_values(array_diff($words, self::LEGAL_FORMS, self::FILLERS));

        return $telling === [] ? $words : $telling;
    }

    /**
     * A company's name, and which of several of that name it is: what stands in brackets or after a dash, what stands after a
     * comma with a word such as office in it, and words such as North.
     *
     * @return array{list<string>, list<string>} the words of the name, and those of the branch
     */
    public static function branched(string $name): array
    {
        $own = $branch = [];
        foreach (preg_split('/(\s+[-–—]\s+|\s*[,(;:]\s*)/u', $name, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [] as $at => $part) {
            if ($at % 2 === 1) {
                $mark = trim($part);

                continue;
            }
            $telling = array_values(array_diff(self::wordsOf($part), self::LEGAL_FORMS, self::FILLERS));
            $told = array_values(array_intersect($telling, self::BRANCH));
            if ($own !== [] && ($told !== [] || ! in_array($mark ?? ',', [',', ';'], true))) {
                $branch = [...$branch, ...array_diff($telling, self::PLAIN)];
            } else {
                // North Star is a name; Whitlow & Sons North is one of several.
                $last = $telling !== [] && in_array(end($telling), self::BRANCH, true) && count($telling) > 1 ? [array_pop($telling)] : [];
                $branch = [...$branch, ...array_diff($last, self::PLAIN)];
                $own = [...$own, ...$telling];
            }
        }
        sort($branch);

        return $own === [] ? [self::company($name), []] : [$own, array_values(array_unique($branch))];
    }

    /** @return list<string> the words of a given name, short ones made whole */
    public static function given(string $given): array
    {
        return array_map(Nicknames::whole(...), Fold::words($given));
    }

    /** @return list<string> */
    public static function family(string $family): array
    {
        return Fold::words($family);
    }

    /** Jr., Sr., II; empty for what is none. */
    public static function suffix(string $suffix): string
    {
        foreach (Fold::words($suffix) as $word) {
            if (isset(self::SUFFIXES[$word])) {
                return self::SUFFIXES[$word];
            }
        }

        return '';
    }

    /**
     * The initials of a name; the name itself where it is nothing but initials.
     *
     * @param list<string> $words
     */
    public static function initials(array $words): string
    {
        $joined = implode('', $words);

        return mb_strlen($joined) <= 4 ? $joined : implode('', array_map(fn (string $word) => mb_substr($word, 0, 1), $words));
    }

    /**
     * The sound of a word by its consonants (L. Philips, "Hanging on the Metaphone", 1990); of a word in another script
     * its first two signs.
     */
    public static function sound(string $word): string
    {
        $sound = preg_match('/^[a-z]+$/', $word) === 1 ? metaphone($word) : '';

        return $sound === '' ? mb_substr($word, 0, 2) : $sound;
    }

    /** @return list<string> */
    private static function wordsOf(string $name): array
    {
        $name = preg_replace('/(?<=\b\w)\.(?=\w\b|\s|$)/u', '', $name) ?? $name;

        return array_map(fn (string $word) => self::ABBREVIATIONS[$word] ?? $word, Fold::words(str_replace('&', ' and ', $name)));
    }
}
