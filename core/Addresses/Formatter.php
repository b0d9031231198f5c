<?php

declare(strict_types=1);

namespace Almanac\Addresses;

/** Lays an address out by its country: on screen as typed, on an envelope as the post reads it. */
final class Formatter
{
    /** What a label or a window envelope shows whole (common practice, no published source). */
    public const MAX_LINES = 8;

    public const MAX_CHARACTERS = 41;

    /**
     * For reading.
     *
     * @param string $home ISO 3166-1 code of the office's country, which is left out
     *
     * @return list<string>
     */
    public static function onScreen(PostalAddress $address, string $home): array
    {
        $lines = self::lines($address, fn (AddressPart $part) => $address->text($part));

        return $address->country === $home ? $lines : [...$lines, CountryNames::of($address->country)];
    }

    /**
     * For an envelope or a label: the recipient, the country's capitals, and the country's name
     * in capitals when it goes abroad.
     *
     * @return list<string>
     */
    public static function onEnvelope(PostalAddress $address, Recipient $recipient, string $home): array
    {
        $layout = $address->layout();
        $lines = self::lines($address, fn (AddressPart $part) => in_array($part, $layout->capitals, true)
            ? mb_strtoupper($address->text($part))
            : $address->text($part));

        return [
            ...$recipient->lines($layout->organisationFirst),
            ...$lines,
            ...($address->country === $home ? [] : [mb_strtoupper(CountryNames::of($address->country))]),
        ];
    }

    /** @param  list<string>  $lines */
    public static function fits(array $lines): bool
    {
        return count($lines) <= self::MAX_LINES
            && array_filter($lines, fn (string $line) => grapheme_strlen($line) > self::MAX_CHARACTERS) === [];
    }

    /**
     * For a label: lines that are too long go on in the next one, cut between words where there are any.
     *
     * @param list<string> $envelope
     *
     * @return list<string>
     */
    public static function onLabel(array $envelope): array
    {
        $lines = [];
        foreach ($envelope as $line) {
            $line = preg_replace('/(\X{1,'.self::MAX_CHARACTERS.'})(?:\s+|$)|(\X{'.self::MAX_CHARACTERS.'})/u', "\$1\$2\n", $line) ?? $line;
            $lines = [...$lines, ...explode("\n", rtrim($line, "\n"))];
        }

        return $lines;
    }

    /**
     * @param \Closure(AddressPart): string $text
     *
     * @return list<string>
     */
    private static function lines(PostalAddress $address, \Closure $text): array
    {
        $lines = [];
        foreach ($address->layout()->lines as $template) {
            $line = strtr($template, [
                '{street}' => $text(AddressPart::Lines),
                '{locality}' => $text(AddressPart::Locality),
                '{region}' => $text(AddressPart::Region),
                '{postcode}' => $text(AddressPart::Postcode),
            ]);
            foreach (explode("\n", $line) as $piece) {
                $lines[] = trim(preg_replace('/ {2,}/', ' ', $piece) ?? '', ' ,');
            }
        }

        return array_values(array_filter($lines, fn (string $line) => $line !== ''));
    }
}
