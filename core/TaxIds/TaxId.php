<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

use Almanac\TaxIds\CheckDigits as Digits;

/** A number by which a tax office or a register knows somebody, checked as far as it checks itself. */
final readonly class TaxId
{
    private const SHOWN = 4;

    private function __construct(public TaxIdKind $kind, public string $country, public string $value)
    {
    }

    /**
     * @param string $country ISO 3166-1 code, of a VAT number
     *
     * @throws TaxIdRefused with the reason, when it is empty, has another shape, or its check digits do not match
     */
    public static function of(TaxIdKind $kind, string $country, string $typed): self
    {
        $typed = trim($typed);
        if ($typed === '') {
            throw TaxIdRefused::empty($kind);
        }
        if ($kind === TaxIdKind::Vat) {
            $number = VatNumbers::tidy($country, $typed);
            VatNumbers::check($country, $number, $typed);

            return new self($kind, $country, $number);
        }
        $text = preg_replace('/[\s.\-]+/', '', mb_strtoupper($typed)) ?? '';
        match ($kind) {
            TaxIdKind::Ein => self::us($text, $typed, $kind, '12-3456789', UsNumbers::ein(...)),
            TaxIdKind::Ssn => self::us($text, $typed, $kind, '123-45-6789', UsNumbers::ssn(...)),
            TaxIdKind::Itin => self::us($text, $typed, $kind, '912-70-1234', UsNumbers::itin(...)),
            TaxIdKind::Atin => self::us($text, $typed, $kind, '912-93-1234', UsNumbers::atin(...)),
            TaxIdKind::CaBusinessNumber => self::checked(
                $text,
                $typed,
                $kind,
                '\d{9}(R[TCPMZ]\d{4})?',
                '123456782 RT0001',
                fn (string $n) => Digits::luhn(substr($n, 0, 9)),
            ),
            TaxIdKind::AuBusinessNumber => self::checked($text, $typed, $kind, '[1-9]\d{10}', '83 914 571 673', self::australian(...)),
            TaxIdKind::NzInlandRevenue => self::checked($text, $typed, $kind, '\d{8,9}', '49-091-850', self::newZealand(...)),
            TaxIdKind::Lei => self::checked($text, $typed, $kind, '[0-9A-Z]{18}\d{2}', '213800KUD8LAJWSQ9D15', Digits::mod97And10(...)),
            TaxIdKind::Gln => self::checked($text, $typed, $kind, '\d{13}', '4012345000009', Digits::gs1(...)),
            TaxIdKind::Duns => self::checked($text, $typed, $kind, '\d{9}', '15-048-3782', fn () => true),
            TaxIdKind::Peppol => self::checked($text, $typed, $kind, '\d{4}:[0-9A-Z:]{1,50}', '0088:4012345000009', fn () => true),
        };

        return new self($kind, '', $text);
    }

    /** As it is written on paper. */
    public function display(): string
    {
        $v = $this->value;

        return match ($this->kind) {
            TaxIdKind::Ein => substr($v, 0, 2).'-'.substr($v, 2),
            TaxIdKind::Ssn, TaxIdKind::Itin, TaxIdKind::Atin => substr($v, 0, 3).'-'.substr($v, 3, 2).'-'.substr($v, 5),
            TaxIdKind::CaBusinessNumber => trim(substr($v, 0, 9).' '.substr($v, 9)),
            TaxIdKind::AuBusinessNumber => substr($v, 0, 2).' '.implode(' ', str_split(substr($v, 2), 3)),
            default => $v,
        };
    }

    /** For reading by everybody: only the last four signs. */
    public function masked(): string
    {
        return '•••• '.substr($this->value, -self::SHOWN);
    }

    /** @param  \Closure(string): (string|null)  $problem */
    private static function us(string $text, string $typed, TaxIdKind $kind, string $example, \Closure $problem): void
    {
        if (preg_match('/^\d{9}$/', $text) !== 1) {
            throw TaxIdRefused::shape($typed, $kind->title(), $example);
        }
        $reason = $problem($text);
        if ($reason !== null) {
            throw TaxIdRefused::because($typed, $kind->title(), $reason);
        }
    }

    /** @param  \Closure(string): bool  $fits */
    private static function checked(string $text, string $typed, TaxIdKind $kind, string $shape, string $example, \Closure $fits): void
    {
        if (preg_match("/^$shape\$/", $text) !== 1) {
            throw TaxIdRefused::shape($typed, $kind->title(), $example);
        }
        if (! $fits($text)) {
            throw TaxIdRefused::checkDigits($typed, $kind->title());
        }
    }

    /** Australian Business Register, format of the ABN: one less at the front, weights, a multiple of 89. */
    private static function australian(string $n): bool
    {
        return Digits::weighted((string) ((int) $n[0] - 1).substr($n, 1), [10, 1, 3, 5, 7, 9, 11, 13, 15, 17, 19]) % 89 === 0;
    }

    /** Inland Revenue, validating IRD numbers: from 10-000-000 to 200-000-000 (from memory), two passes of weights. */
    private static function newZealand(string $n): bool
    {
        if ((int) $n < 10_000_000 || (int) $n > 200_000_000) {
            return false;
        }
        $digits = str_pad($n, 9, '0', STR_PAD_LEFT);
        $check = (11 - Digits::weighted($digits, [3, 2, 7, 6, 5, 4, 3, 2]) % 11) % 11;
        $check = $check === 10 ? (11 - Digits::weighted($digits, [7, 4, 3, 2, 5, 2, 7, 6]) % 11) % 11 : $check;

        return $check === (int) $digits[8];
    }
}
