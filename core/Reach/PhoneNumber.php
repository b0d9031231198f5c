<?php

declare(strict_types=1);

namespace Almanac\Reach;

use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumber as Parsed;
use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;
use libphonenumber\ValidationResult;

/**
 * A phone number as it was typed and as E.164 (ITU-T Recommendation E.164), with its extension.
 *
 * A number that cannot exist is refused. One that could, but lies in no range known to be in
 * use, is taken and marked unusual. The numbering plans are those of libphonenumber.
 */
final readonly class PhoneNumber
{
    private const MAX_LENGTH = 60;

    /**
     * @param string $e164 as in +18025550142, without the extension
     * @param string $region ISO 3166-1 code of the country, or '' where it is not known
     */
    private function __construct(
        public string $typed,
        public string $e164,
        public string $extension,
        public string $region,
        public bool $isUnusual,
    ) {
    }

    /**
     * @param string $region ISO 3166-1 code of the country in which a number without + is dialled
     *
     * @throws ReachRefused when the text is empty, too long, or cannot be a phone number
     */
    public static function fromTyped(string $typed, string $region): self
    {
        $typed = trim($typed);
        if ($typed === '') {
            throw ReachRefused::empty(ContactKind::Phone);
        }
        if (mb_strlen($typed) > self::MAX_LENGTH) {
            throw ReachRefused::tooLong(ContactKind::Phone, self::MAX_LENGTH);
        }

        /** @var Recent<self> $recent */
        static $recent = new Recent;

        return $recent->of("$region $typed", fn () => self::read($typed, $region));
    }

    private static function read(string $typed, string $region): self
    {
        $number = self::parse($typed, $region);
        $possible = self::util()->isPossibleNumberWithReason($number);
        if ($possible === ValidationResult::TOO_LONG && str_starts_with($typed, '00')) {
            // 00 is how most of the world dials abroad, whatever the office's own prefix is.
            $number = self::parse('+'.substr($typed, 2), $region);
            $possible = self::util()->isPossibleNumberWithReason($number);
        }
        self::mustBePossible($possible, $typed);
        $of = self::util()->getRegionCodeForNumber($number);

        return new self(
            $typed,
            self::util()->format($number, PhoneNumberFormat::E164),
            $number->getExtension() ?? '',
            $of ?? '',
            ! self::util()->isValidNumberForRegion($number, $of),
        );
    }

    /** A number that was taken before, from what was kept of it. */
    public static function ofE164(string $e164, string $extension): self
    {
        return self::fromTyped($e164.($extension === '' ? '' : ' ext. '.$extension), 'ZZ');
    }

    /** For reading: nationally in its own country, internationally elsewhere, with its extension. */
    public function displayFrom(string $homeRegion): string
    {
        return self::displayOf($this->e164, $this->extension, $homeRegion);
    }

    /** The same of a number that was taken before, without checking it once more: lists show hundreds. */
    public static function displayOf(string $e164, string $extension, string $homeRegion): string
    {
        /** @var Recent<string> $recent */
        static $recent = new Recent;

        return $recent->of("$homeRegion $e164 $extension", fn () => self::write($e164, $extension, $homeRegion));
    }

    /**
     * The country whose number it is, of one that was taken before.
     *
     * @return string ISO 3166-1 alpha-2; empty where it is of none
     */
    public static function regionOf(string $e164): string
    {
        return self::util()->getRegionCodeForNumber(self::kept($e164)) ?? '';
    }

    /** Parsed once more, of what was kept; nobody else has it. */
    private static function kept(string $e164): Parsed
    {
        /** @var Recent<Parsed> $recent */
        static $recent = new Recent;

        return clone $recent->of($e164, fn () => self::util()->parse($e164, null));
    }

    private static function write(string $e164, string $extension, string $homeRegion): string
    {
        $number = self::kept($e164);
        if ($extension !== '') {
            $number->setExtension($extension);
        }
        $isHome = $number->getCountryCode() === self::util()->getCountryCodeForRegion($homeRegion)
            && in_array(self::util()->getRegionCodeForNumber($number), [null, '', $homeRegion], true);

        return self::util()->format($number, $isHome ? PhoneNumberFormat::NATIONAL : PhoneNumberFormat::INTERNATIONAL);
    }

    /** As a table holds it, and as fromTyped() reads it in any country: +18025550142 x12. */
    public function inFull(): string
    {
        return self::inFullOf($this->e164, $this->extension);
    }

    /** The same of a number that was taken before. */
    public static function inFullOf(string $e164, string $extension): string
    {
        return $e164.($extension === '' ? '' : " x$extension");
    }

    /** For dialling, by RFC 3966: tel:+18025550142;ext=12. */
    public function toUri(): string
    {
        return 'tel:'.$this->e164.($this->extension === '' ? '' : ';ext='.$this->extension);
    }

    private static function parse(string $typed, string $region): Parsed
    {
        try {
            return self::util()->parse($typed, $region);
        } catch (NumberParseException $problem) {
            throw match ($problem->getErrorType()) {
                NumberParseException::INVALID_COUNTRY_CODE => ReachRefused::unknownCountryCode($typed),
                NumberParseException::TOO_LONG => ReachRefused::phoneTooLong($typed),
                NumberParseException::TOO_SHORT_AFTER_IDD,
                NumberParseException::TOO_SHORT_NSN => ReachRefused::phoneTooShort($typed),
                default => ReachRefused::notAPhone($typed),
            };
        }
    }

    private static function mustBePossible(ValidationResult $possible, string $typed): void
    {
        $refusal = match ($possible) {
            ValidationResult::IS_POSSIBLE => null,
            ValidationResult::IS_POSSIBLE_LOCAL_ONLY => ReachRefused::phoneWithoutAreaCode($typed),
            ValidationResult::TOO_LONG => ReachRefused::phoneTooLong($typed),
            ValidationResult::INVALID_COUNTRY_CODE => ReachRefused::unknownCountryCode($typed),
            default => ReachRefused::phoneTooShort($typed),
        };
        if ($refusal !== null) {
            throw $refusal;
        }
    }

    private static function util(): PhoneNumberUtil
    {
        return PhoneNumberUtil::getInstance();
    }
}
