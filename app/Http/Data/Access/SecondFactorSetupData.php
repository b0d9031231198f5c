<?php

declare(strict_types=1);

namespace App\Http\Data\Access;

use Almanac\Access\Totp;
use OpenApi\Attributes as OA;

/** What an authenticator app is given, once. */
#[OA\Schema(schema: 'SecondFactorSetup')]
final readonly class SecondFactorSetupData
{
    /** @param  list<string>  $rows */
    private function __construct(
        #[OA\Property(description: 'The secret in base 32 (RFC 4648), to be typed where a code can’t be scanned.')]
        public string $secret,
        #[OA\Property(description: 'The address that the QR code holds, which opens an app on the same device.')]
        public string $address,
        #[OA\Property(description: 'The QR code (ISO/IEC 18004), a text of 0 (light) and 1 (dark) for each row of modules, without its quiet zone.', items: new OA\Items(type: 'string'))]
        public array $rows,
    ) {
    }

    public static function of(Totp $totp, string $office, string $account): self
    {
        $address = $totp->address($office, $account);
        $code = (new \TCPDF2DBarcode($address, 'QRCODE,M'))->getBarcodeArray();

        return new self($totp->secret(), $address, array_values(array_map(fn (array $row) => implode('', $row), $code['bcode'])));
    }
}
