<?php

declare(strict_types=1);

namespace Almanac\Access;

/**
 * Codes of an authenticator app: a secret and the time give six digits, new ones every 30 seconds.
 *
 * Sources: RFC 6238 (TOTP), RFC 4226 (HOTP; the truncation is its section 5.3), RFC 4648, section 6 (base 32). SHA-1,
 * six digits and 30 seconds are what every app takes; RFC 6238, section 5.2 recommends one step of tolerance.
 */
final readonly class Totp
{
    public const STEP_S = 30;

    public const DIGITS = 6;

    /** Bytes; RFC 4226, section 4 recommends 160 bits. */
    private const SECRET_BYTES = 20;

    /** Steps that the clock of a phone may be off, either way. */
    private const TOLERATED_STEPS = 1;

    private const BASE32 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    private function __construct(#[\SensitiveParameter] private string $secret)
    {
    }

    public static function withNewSecret(): self
    {
        return new self(random_bytes(self::SECRET_BYTES));
    }

    /** @throws \InvalidArgumentException for what is no base 32, or too short to be a secret */
    public static function withSecret(#[\SensitiveParameter] string $base32): self
    {
        $bits = '';
        foreach (str_split($base32) as $letter) {
            $at = strpos(self::BASE32, $letter);
            if ($at === false) {
                throw new \InvalidArgumentException('A secret consists of the letters A to Z and the digits 2 to 7.');
            }
            $bits .= sprintf('%05b', $at);
        }
        $bytes = array_filter(str_split($bits, 8), fn (string $byte) => strlen($byte) === 8);
        if (count($bytes) < self::SECRET_BYTES) {
            throw new \InvalidArgumentException('A secret has at least 160 bits.');
        }

        return new self(implode('', array_map(fn (string $byte) => chr((int) bindec($byte)), $bytes)));
    }

    /** The secret in base 32, as apps take it when it is typed. */
    public function secret(): string
    {
        $bits = implode('', array_map(fn (string $byte) => sprintf('%08b', ord($byte)), str_split($this->secret)));

        return implode('', array_map(fn (string $five) => self::BASE32[(int) bindec(str_pad($five, 5, '0'))], str_split($bits, 5)));
    }

    /** The address that a QR code holds for apps to read; the key URI format in common use, no published standard. */
    public function address(string $issuer, string $account): string
    {
        return 'otpauth://totp/'.rawurlencode($issuer).':'.rawurlencode($account).'?'.http_build_query([
            'secret' => $this->secret(), 'issuer' => $issuer, 'algorithm' => 'SHA1', 'digits' => self::DIGITS, 'period' => self::STEP_S,
        ], encoding_type: PHP_QUERY_RFC3986);
    }

    /**
     * The step of which a typed code is the code, if it is one of now and was not used yet.
     *
     * @param string $typed spaces are left out
     * @param int $time seconds since 1970
     * @param int|null $usedStep the step of the last code that was taken; RFC 6238, section 5.2: a code is taken once
     *
     * @return int|null the step, to be kept as the used one; null when the code is wrong, old, or used
     */
    public function stepOf(#[\SensitiveParameter] string $typed, int $time, ?int $usedStep): ?int
    {
        $code = (string) preg_replace('/\s+/', '', $typed);
        $now = intdiv($time, self::STEP_S);
        $found = null;
        // Every step is compared, so that the time it takes tells nothing.
        for ($step = $now - self::TOLERATED_STEPS; $step <= $now + self::TOLERATED_STEPS; $step++) {
            if (hash_equals(self::code($this->secret, $step), $code) && $step > ($usedStep ?? -1)) {
                $found = $step;
            }
        }

        return $found;
    }

    public function codeAt(int $time): string
    {
        return self::code($this->secret, intdiv($time, self::STEP_S));
    }

    /** HOTP of RFC 4226, by any algorithm and number of digits that RFC 6238 knows. */
    public static function code(#[\SensitiveParameter] string $secret, int $counter, int $digits = self::DIGITS, string $algorithm = 'sha1'): string
    {
        $hash = hash_hmac($algorithm, pack('J', $counter), $secret, true);
        $offset = ord($hash[strlen($hash) - 1]) & 0x0F;
        /** @var array{1: int} $number */
        $number = unpack('N', substr($hash, $offset, 4));

        return str_pad((string) (($number[1] & 0x7FFFFFFF) % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }
}
