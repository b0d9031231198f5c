<?php

declare(strict_types=1);

namespace Almanac\Reach;

use Egulias\EmailValidator\EmailValidator;
use Egulias\EmailValidator\Validation\MessageIDValidation;
use Egulias\EmailValidator\Validation\MultipleValidationWithAnd;
use Egulias\EmailValidator\Validation\RFCValidation;

/**
 * An email address with the syntax of RFC 5321 and RFC 5322, its domain in lower case.
 *
 * An internationalised domain is kept in its ASCII form (RFC 5891) and shown in its own letters.
 */
final readonly class EmailAddress
{
    /** RFC 5321, section 4.5.3.1.3: a path has at most 256 octets, two of them angle brackets. */
    private const MAX_LENGTH = 254;

    /**
     * What nearly every address is: dots and atoms of RFC 5322 (section 3.4.1) before the @, at most 64 octets (RFC 5321, section
     * 4.5.3.1.1), and letters, digits and single hyphens in the labels after it (RFC 1123, section 2.1), of which there are several
     * and the last is no number. To ask the library of each takes a seventh of the checking of a file.
     */
    private const PLAIN = '{^(?=[^@]{1,64}@)[a-z0-9!#$%&\'*+/=?^_`\{|\}~-]+(?:\.[a-z0-9!#$%&\'*+/=?^_`\{|\}~-]+)*'
        .'@((?:(?![^.]*--)[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.)+[a-z]{2,63})$}iD';

    private function __construct(public string $typed, public string $local, public string $domain)
    {
    }

    /** @throws ReachRefused when the text is empty, too long, or has another syntax */
    public static function fromTyped(string $typed): self
    {
        $typed = trim($typed);
        if ($typed === '') {
            throw ReachRefused::empty(ContactKind::Email);
        }
        if (strlen($typed) > self::MAX_LENGTH) {
            throw ReachRefused::tooLong(ContactKind::Email, self::MAX_LENGTH);
        }
        /** @var Recent<self> $recent */
        static $recent = new Recent;

        return $recent->of($typed, fn () => self::read($typed));
    }

    private static function read(string $typed): self
    {
        $address = preg_replace('/^mailto:/i', '', $typed) ?? $typed;
        if (preg_match(self::PLAIN, $address, $plain) === 1) {
            return new self($typed, substr($address, 0, -strlen($plain[1]) - 1), strtolower($plain[1]));
        }
        $ats = substr_count($address, '@');
        if ($ats === 0) {
            throw ReachRefused::emailWithoutAt($typed);
        }
        if ($ats > 1 && ! str_starts_with($address, '"')) {
            throw ReachRefused::emailWithTwoAts($typed);
        }
        if (! (new EmailValidator)->isValid($address, new MultipleValidationWithAnd([new RFCValidation, new MessageIDValidation]))) {
            throw ReachRefused::notAnEmail($typed);
        }
        $cut = (int) strrpos($address, '@');
        $domain = idn_to_ascii(mb_strtolower(substr($address, $cut + 1)), IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);
        if ($domain === false) {
            throw ReachRefused::notAnEmail($typed);
        }

        return new self($typed, substr($address, 0, $cut), $domain);
    }

    /** For sending: the domain in ASCII. */
    public function address(): string
    {
        return $this->local.'@'.$this->domain;
    }

    /** For reading: the domain in its own letters. */
    public function display(): string
    {
        return $this->local.'@'.(idn_to_utf8($this->domain, IDNA_NONTRANSITIONAL_TO_UNICODE, INTL_IDNA_VARIANT_UTS46) ?: $this->domain);
    }

    /** A domain of one label reaches nobody outside the local network. */
    public function isUnusual(): bool
    {
        return ! str_contains($this->domain, '.');
    }
}
