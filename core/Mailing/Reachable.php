<?php

declare(strict_types=1);

namespace Almanac\Mailing;

use Almanac\Addresses\AddressPart;
use Almanac\Addresses\PostalAddress;

/**
 * Whether somebody can and may be written to, and why not: what forbids it before what is lacking. Common practice, no
 * published source.
 */
final class Reachable
{
    /**
     * @param OptOut|null $optOut that they want no letters
     * @param string $stop what a colleague wrote as a stop for writing; empty where there is none
     *
     * @return string why they get no letter on paper; empty where they do
     */
    public static function onPaper(bool $hasDied, ?OptOut $optOut, string $stop, ?PostalAddress $address): string
    {
        $forbidden = self::forbidden($hasDied, $optOut, $stop);

        return $forbidden === '' ? self::lacking($address) : $forbidden;
    }

    /** @return string why they get none by email; empty where they do */
    public static function byEmail(bool $hasDied, ?OptOut $optOut, string $stop, bool $hasEmail): string
    {
        $forbidden = self::forbidden($hasDied, $optOut, $stop);

        return $forbidden === '' && ! $hasEmail ? 'no email' : $forbidden;
    }

    private static function forbidden(bool $hasDied, ?OptOut $optOut, string $stop): string
    {
        return match (true) {
            $hasDied => 'has died',
            $optOut !== null => $optOut->toText(),
            $stop !== '' => "stop: $stop",
            default => '',
        };
    }

    private static function lacking(?PostalAddress $address): string
    {
        if ($address === null) {
            return 'no address';
        }
        $missing = array_map(fn (AddressPart $part) => mb_strtolower($address->layout()->nameOf($part)), $address->missing());

        return $missing === [] ? '' : 'the address lacks its '.implode(' and its ', $missing);
    }
}
