<?php

declare(strict_types=1);

namespace Almanac\Banking;

use Symfony\Component\Validator\Constraints\Iban as IbanShape;
use Symfony\Component\Validator\Validation;

/**
 * ISO 13616: country, two check digits by modulus 97, and an account whose shape the country sets.
 * The shapes by country are those of the registry, as the validator library carries them.
 */
final class Iban
{
    /** @throws BankingRefused when its shape is not the country's, or its check digits do not match */
    public static function read(string $typed): string
    {
        $iban = preg_replace('/[\s.\-]+/', '', mb_strtoupper(trim($typed))) ?? '';
        if ($iban === '') {
            throw BankingRefused::empty('IBAN');
        }
        $problems = Validation::createValidator()->validate($iban, new IbanShape);
        foreach ($problems as $problem) {
            throw $problem->getCode() === IbanShape::CHECKSUM_FAILED_ERROR
                ? BankingRefused::checkDigits('IBAN')
                : BankingRefused::shape('IBAN', 'DE89 3704 0044 0532 0130 00, as long as the country has it');
        }

        return $iban;
    }
}
