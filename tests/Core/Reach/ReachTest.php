<?php

declare(strict_types=1);

namespace Tests\Core\Reach;

use Almanac\Reach\EmailAddress;
use Almanac\Reach\PhoneNumber;
use Almanac\Reach\Primaries;
use Almanac\Reach\ReachRefused;
use Almanac\Reach\WebAddress;
use Egulias\EmailValidator\EmailValidator;
use Egulias\EmailValidator\Validation\MessageIDValidation;
use Egulias\EmailValidator\Validation\MultipleValidationWithAnd;
use Egulias\EmailValidator\Validation\RFCValidation;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ReachTest extends TestCase
{
    #[TestWith(['(802) 555-0142', 'US', '+18025550142', '', '(802) 555-0142'])]
    #[TestWith(['802.555.0142 x 5', 'US', '+18025550142', '5', '(802) 555-0142 ext. 5'])]
    #[TestWith(['802-555-0142 ext. 12', 'US', '+18025550142', '12', '(802) 555-0142 ext. 12'])]
    #[TestWith(['020 7946 0123', 'GB', '+442079460123', '', '+44 20 7946 0123'])]
    #[TestWith(['+44 20 7946 0123', 'US', '+442079460123', '', '+44 20 7946 0123'])]
    #[TestWith(['00 44 20 7946 0123', 'US', '+442079460123', '', '+44 20 7946 0123'])]
    #[TestWith(['011 44 20 7946 0123', 'US', '+442079460123', '', '+44 20 7946 0123'])]
    #[TestWith(['613 555 0134', 'CA', '+16135550134', '', '+1 613-555-0134'])]
    #[TestWith(['٨٠٢٥٥٥٠١٤٢', 'US', '+18025550142', '', '(802) 555-0142'])]
    public function test_phones_are_kept_as_typed_and_as_e164(
        string $typed,
        string $region,
        string $e164,
        string $extension,
        string $seenFromUs,
    ): void {
        $phone = PhoneNumber::fromTyped($typed, $region);
        $this->assertSame([$typed, $e164, $extension], [$phone->typed, $phone->e164, $phone->extension]);
        $this->assertSame($seenFromUs, $phone->displayFrom('US'));
        $this->assertFalse($phone->isUnusual);
        $this->assertSame($e164, PhoneNumber::ofE164($e164, $extension)->e164);
    }

    public function test_a_number_for_dialling(): void
    {
        $this->assertSame('tel:+18025550142;ext=12', PhoneNumber::fromTyped('802 555 0142 ext 12', 'US')->toUri());
    }

    public function test_what_could_be_is_taken_and_marked(): void
    {
        // 01632 has been set aside for drama, and no numbering plan lists it.
        $this->assertTrue(PhoneNumber::fromTyped('01632 960123', 'GB')->isUnusual);
    }

    #[TestWith(['abcdefg', '“abcdefg” is not a phone number. Type its digits, such as (802) 555-0142 or +44 20 7946 0123.'])]
    #[TestWith(['', 'Type the phone number, or remove this line.'])]
    #[TestWith(['555-0142', '“555-0142” lacks its area code. Type the whole number.'])]
    #[TestWith(['802555', '“802555” has too few digits for a phone number. Check it, or begin with + and the country code.'])]
    #[
        TestWith([
            '802 555 0142 0142',
            '“802 555 0142 0142” has too many digits for a phone number. Check it, or write an extension as ext. 12.',
        ]),
    ]
    #[TestWith(['+999 12345678', '“+999 12345678” begins with a country code that does not exist. Check the digits after the +.'])]
    public function test_a_phone_that_cannot_be_is_refused(string $typed, string $message): void
    {
        $this->expectException(ReachRefused::class);
        $this->expectExceptionMessage($message);
        PhoneNumber::fromTyped($typed, 'US');
    }

    #[TestWith(['Office@Penhallow.EXAMPLE', 'Office@penhallow.example', 'Office@penhallow.example'])]
    #[TestWith([' mailto:a+b@c.example ', 'a+b@c.example', 'a+b@c.example'])]
    #[TestWith(['post@räder.example', 'post@xn--rder-loa.example', 'post@räder.example'])]
    #[TestWith(['"two words"@c.example', '"two words"@c.example', '"two words"@c.example'])]
    public function test_emails(string $typed, string $address, string $display): void
    {
        $email = EmailAddress::fromTyped($typed);
        $this->assertSame($address, $email->address());
        $this->assertSame($display, $email->display());
        $this->assertFalse($email->isUnusual());
        $this->assertSame($display, EmailAddress::fromTyped($email->address())->display());
    }

    public function test_a_domain_without_a_dot_is_unusual(): void
    {
        $this->assertTrue(EmailAddress::fromTyped('root@localhost')->isUnusual());
    }

    #[TestWith(['a@b@c.example', '“a@b@c.example” has more than one @. An email address has exactly one.'])]
    #[TestWith(['penhallow.example', '“penhallow.example” lacks the @ of an email address. Type it like name@company.example.'])]
    #[TestWith(['a b@c.example', '“a b@c.example” is not an email address. Type it like name@company.example.'])]
    #[TestWith(['.a@c.example', '“.a@c.example” is not an email address. Type it like name@company.example.'])]
    #[TestWith(['a@c..example', '“a@c..example” is not an email address. Type it like name@company.example.'])]
    #[TestWith(['', 'Type the email address, or remove this line.'])]
    public function test_an_email_of_another_shape_is_refused(string $typed, string $message): void
    {
        $this->expectException(ReachRefused::class);
        $this->expectExceptionMessage($message);
        EmailAddress::fromTyped($typed);
    }

    /** What is plainly an address is one to the library too, and is kept in the same letters. */
    public function test_plain_emails_are_what_the_library_takes(): void
    {
        mt_srand(5321);
        $pick = fn (string $letters, int $most): string => implode('', array_map(
            fn () => $letters[mt_rand(0, strlen($letters) - 1)], range(1, mt_rand(1, $most)),
        ));
        $library = new MultipleValidationWithAnd([new RFCValidation, new MessageIDValidation]);
        $taken = 0;
        for ($n = 0; $n < 4000; $n++) {
            $typed = $pick("abzAZ09.+'-_~/", mt_rand(1, 70)).'@'.$pick('abzAZ09-.', mt_rand(1, 70)).['.example', '.ORG', '', '.1', '-'][$n % 5];
            try {
                $email = EmailAddress::fromTyped($typed);
            } catch (ReachRefused) {
                $email = null;
            }
            $isOne = (new EmailValidator)->isValid($typed, $library);
            $ascii = idn_to_ascii(
                mb_strtolower(substr($typed, (int) strrpos($typed, '@') + 1)), IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46,
            );
            $this->assertSame($isOne && $ascii !== false ? strstr($typed, '@', true)."@$ascii" : null, $email?->address(), $typed);
            $taken += $email === null ? 0 : 1;
        }
        $this->assertGreaterThan(500, $taken);
    }

    public function test_an_email_has_at_most_254_octets(): void
    {
        $this->expectException(ReachRefused::class);
        EmailAddress::fromTyped(str_repeat('a', 60).'@'.str_repeat(str_repeat('b', 60).'.', 4).'example');
    }

    #[TestWith(['www.penhallow.example', 'https://www.penhallow.example', 'www.penhallow.example'])]
    #[TestWith(['http://penhallow.example/', 'http://penhallow.example/', 'penhallow.example'])]
    #[TestWith(['penhallow.example:8080/a?b=c', 'https://penhallow.example:8080/a?b=c', 'penhallow.example:8080/a?b=c'])]
    public function test_websites(string $typed, string $url, string $display): void
    {
        $this->assertSame($url, WebAddress::fromTyped($typed)->url);
        $this->assertSame($display, WebAddress::fromTyped($typed)->display());
    }

    #[TestWith(['javascript:alert(1)'])]
    #[TestWith(['ftp://penhallow.example'])]
    #[TestWith(['penhallow'])]
    #[TestWith(['two words.example'])]
    #[TestWith(['https://'])]
    #[TestWith([''])]
    public function test_what_is_no_website_is_refused(string $typed): void
    {
        $this->expectException(ReachRefused::class);
        WebAddress::fromTyped($typed);
    }

    public function test_one_primary_of_each_kind(): void
    {
        $this->assertSame(
            [true, false, true],
            Primaries::settle([['phone', false], ['phone', false], ['email', false]]),
            'the first is promoted',
        );
        $this->assertSame(
            [false, true, true],
            Primaries::settle([['phone', false], ['phone', true], ['email', true]]),
            'the marked one stays',
        );
        $this->assertSame([true, false], Primaries::settle([['phone', true], ['phone', true]]), 'the first of two stays');
        $this->assertSame([], Primaries::settle([]));
    }

    public function test_settling_twice_changes_nothing(): void
    {
        mt_srand(3);
        for ($n = 0; $n < 300; $n++) {
            $points = array_map(fn () => [['phone', 'email', 'website'][mt_rand(0, 2)], (bool) mt_rand(0, 1)], range(0, mt_rand(0, 8)));
            $settled = Primaries::settle($points);
            $this->assertSame($settled, Primaries::settle(array_map(fn (array $point, bool $is) => [$point[0], $is], $points, $settled)));
            $kinds = array_column($points, 0);
            $this->assertCount(count(array_unique($kinds)), array_filter($settled));
        }
    }
}
