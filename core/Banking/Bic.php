<?php

declare(strict_types=1);

namespace Almanac\Banking;

use Symfony\Component\Validator\Constraints\Bic as BicShape;
use Symfony\Component\Validator\Validation;

/** ISO 9362: four letters or digits of the bank, two letters of its country, two of the place, perhaps three of the branch. */
final class Bic
{
    /** Territories whose accounts are kept by banks of another country (ISO 13616 registry, from memory). */
    private const SERVED = [
        'FR' => ['GF', 'GP', 'MQ', 'RE', 'PF', 'TF', 'YT', 'NC', 'BL', 'MF', 'PM', 'WF', 'MC'],
        'GB' => ['JE', 'IM', 'GG'],
        'FI' => ['AX'],
        'IT' => ['SM', 'VA'],
        'CH' => ['LI'],
    ];

    /** @throws BankingRefused when it has another shape */
    public static function read(string $typed): string
    {
        $bic = preg_replace('/\s+/', '', mb_strtoupper(trim($typed))) ?? '';
        if (count(Validation::createValidator()->validate($bic, new BicShape)) > 0) {
            throw BankingRefused::shape('BIC', 'COBADEFF or COBADEFFXXX');
        }

        return $bic;
    }

    /** Whether banks of one country keep accounts whose IBAN begins with the other, either way. */
    public static function serves(string $one, string $other): bool
    {
        return in_array($other, self::SERVED[$one] ?? [], true) || in_array($one, self::SERVED[$other] ?? [], true);
    }
}
