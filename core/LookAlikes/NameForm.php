<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Finding\Fold;

/**
 * A name without what people write differently: case, accents, punctuation, legal forms,
 * nicknames, the order of the words. Lists from memory, common practice.
 */
final class NameForm
{
    private const LEGAL_FORMS = [
        'inc', 'incorporated', 'llc', 'llp', 'lp', 'ltd', 'limited', 'co', 'company', 'corp', 'corporation', 'plc', 'pllc', 'pc',
        'gmbh', 'ag', 'kg', 'ohg', 'ug', 'ev', 'sa', 'sarl', 'sas', 'bv', 'nv', 'pty', 'ab', 'as', 'oy', 'srl', 'spa',
    ];

    private const FILLERS = ['the', 'and', 'of', 'a', 'und', 'et', 'de'];

    /** Nickname to the name it is short for. */
    private const NICKNAMES = [
        'abe' => 'abraham',
        'al' => 'albert',
        'alex' => 'alexander',
        'andy' => 'andrew',
        'barb' => 'barbara',
        'ben' => 'benjamin',
        'beth' => 'elizabeth',
        'betty' => 'elizabeth',
        'bill' => 'william',
        'billy' => 'william',
        'bob' => 'robert',
        'bobby' => 'robert',
        'cathy' => 'catherine',
        'kathy' => 'catherine',
        'kate' => 'catherine',
        'katherine' => 'catherine',
        'charlie' => 'charles',
        'chris' => 'christopher',
        'chuck' => 'charles',
        'dan' => 'daniel',
        'dave' => 'david',
        'deb' => 'deborah',
        'debbie' => 'deborah',
        'dick' => 'richard',
        'don' => 'donald',
        'ed' => 'edward',
        'eddie' => 'edward',
        'ted' => 'edward',
        'fred' => 'frederick',
        'gus' => 'augustus',
        'hank' => 'henry',
        'harry' => 'henry',
        'jack' => 'john',
        'jim' => 'james',
        'jimmy' => 'james',
        'joe' => 'joseph',
        'jon' => 'jonathan',
        'ken' => 'kenneth',
        'larry' => 'lawrence',
        'liz' => 'elizabeth',
        'lou' => 'louis',
        'maggie' => 'margaret',
        'meg' => 'margaret',
        'peggy' => 'margaret',
        'matt' => 'matthew',
        'mike' => 'michael',
        'nick' => 'nicholas',
        'pat' => 'patricia',
        'pete' => 'peter',
        'phil' => 'philip',
        'rick' => 'richard',
        'rob' => 'robert',
        'ron' => 'ronald',
        'sam' => 'samuel',
        'si' => 'silas',
        'steve' => 'steven',
        'stephen' => 'steven',
        'sue' => 'susan',
        'tom' => 'thomas',
        'tony' => 'anthony',
        'vicky' => 'victoria',
        'walt' => 'walter',
        'will' => 'william',
    ];

    /** @return list<string> the words that tell one company from another */
    public static function company(string $name): array
    {
        $words = Fold::words(str_replace('&', ' and ', preg_replace('/(?<=\b\w)\.(?=\w\b|\s|$)/u', '', $name) ?? $name));
        $telling = array_values(array_diff($words, self::LEGAL_FORMS, self::FILLERS));

        return $telling === [] ? $words : $telling;
    }

    /** @return list<string> the words of a given name, nicknames made whole */
    public static function given(string $given): array
    {
        return array_map(fn (string $word) => self::NICKNAMES[$word] ?? $word, Fold::words($given));
    }

    /** @return list<string> */
    public static function family(string $family): array
    {
        return Fold::words($family);
    }
}
