<?php

declare(strict_types=1);

namespace Tests\Core\Access;

use Almanac\Access\RecoveryCodes;
use Almanac\Access\Totp;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TotpTest extends TestCase
{
    /** The secret of RFC 4226, appendix D, and of RFC 6238, appendix B. */
    private const SECRET = '12345678901234567890';

    /** RFC 4226, appendix D. */
    public function test_hotp_of_the_standard(): void
    {
        $expected = ['755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489'];
        $this->assertSame($expected, array_map(fn (int $count) => Totp::code(self::SECRET, $count), range(0, 9)));
    }

    /** @return iterable<string, array{int, string, string, string}> */
    public static function vectors(): iterable
    {
        // RFC 6238, appendix B, with the secrets of its code: the digits repeated to the length of each hash.
        yield '1970' => [59, '94287082', '46119246', '90693936'];
        yield '2005' => [1111111109, '07081804', '68084774', '25091201'];
        yield '2005, two seconds later' => [1111111111, '14050471', '67062674', '99943326'];
        yield '2009' => [1234567890, '89005924', '91819424', '93441116'];
        yield '2033' => [2000000000, '69279037', '90698825', '38618901'];
        yield '2603' => [20000000000, '65353130', '77737706', '47863826'];
    }

    #[DataProvider('vectors')]
    public function test_totp_of_the_standard(int $time, string $sha1, string $sha256, string $sha512): void
    {
        $step = intdiv($time, Totp::STEP_S);
        $secret = fn (int $bytes) => substr(str_repeat('1234567890', 7), 0, $bytes);
        $this->assertSame($sha1, Totp::code($secret(20), $step, 8));
        $this->assertSame($sha256, Totp::code($secret(32), $step, 8, 'sha256'));
        $this->assertSame($sha512, Totp::code($secret(64), $step, 8, 'sha512'));
        // Six digits are the last six of eight.
        $this->assertSame(substr($sha1, 2), Totp::code(self::SECRET, $step));
    }

    public function test_the_secret_in_base_32(): void
    {
        // From memory; RFC 4648, section 6 has the alphabet.
        $this->assertSame(self::SECRET, (fn (): string => $this->secret)->call(Totp::withSecret('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ')));
        for ($n = 0; $n < 200; $n++) {
            $made = Totp::withNewSecret();
            $this->assertMatchesRegularExpression('/^[A-Z2-7]{32}$/', $made->secret());
            $this->assertSame($made->codeAt(1_800_000_000), Totp::withSecret($made->secret())->codeAt(1_800_000_000));
        }
    }

    /** @return iterable<string, array{string}> */
    public static function noSecrets(): iterable
    {
        yield 'empty' => [''];
        yield 'too short' => ['GEZDGNBVGY3TQOJQ'];
        yield 'with a digit that is none' => ['GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJ1'];
        yield 'in small letters' => ['gezdgnbvgy3tqojqgezdgnbvgy3tqojq'];
    }

    #[DataProvider('noSecrets')]
    public function test_what_is_no_secret(string $text): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Totp::withSecret($text);
    }

    public function test_a_code_is_taken_thirty_seconds_early_or_late_and_once(): void
    {
        $totp = Totp::withSecret('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ');
        $now = 1_111_111_110;
        $code = $totp->codeAt($now);
        $step = intdiv($now, 30);
        foreach ([-60 => null, -31 => null, -30 => $step, 0 => $step, 29 => $step, 59 => $step, 60 => null, 90 => null] as $off => $expected) {
            $this->assertSame($expected, $totp->stepOf($code, $now + $off, null), "$off s");
        }
        $this->assertSame($step, $totp->stepOf(' '.substr($code, 0, 3).' '.substr($code, 3), $now, $step - 1), 'as apps show it');
        $this->assertNull($totp->stepOf($code, $now, $step), 'used');
        $this->assertNull($totp->stepOf($totp->codeAt($now - 30), $now, $step), 'older than the one that was used');
        $this->assertSame($step + 1, $totp->stepOf($totp->codeAt($now + 30), $now, $step));
        foreach (['', '00000', $code.'0', 'abcdef', "\0", '١١١١١١'] as $wrong) {
            $this->assertNull($totp->stepOf($wrong, $now, null));
        }
    }

    public function test_the_address_in_the_qr_code(): void
    {
        $this->assertSame(
            'otpauth://totp/Orrery%20%26%20Vane:maud%40orreryvane.example?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ'
            .'&issuer=Orrery%20%26%20Vane&algorithm=SHA1&digits=6&period=30',
            Totp::withSecret('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ')->address('Orrery & Vane', 'maud@orreryvane.example'),
        );
    }

    public function test_recovery_codes(): void
    {
        $codes = RecoveryCodes::make();
        $this->assertCount(10, array_unique($codes));
        foreach ($codes as $code) {
            $this->assertMatchesRegularExpression('/^[a-hj-km-np-z2-9]{5}-[a-hj-km-np-z2-9]{5}$/', $code);
            $this->assertSame(RecoveryCodes::hash($code), RecoveryCodes::hash(strtoupper(str_replace('-', ' ', $code)).' '));
        }
        $this->assertNotSame(RecoveryCodes::hash($codes[0]), RecoveryCodes::hash($codes[1]));
    }
}
