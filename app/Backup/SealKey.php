<?php

declare(strict_types=1);

namespace App\Backup;

/** What a sealed file is opened with: a passphrase, or the key of the installation. */
final readonly class SealKey
{
    /** @param  \Closure(string): string  $bytes  the key by the salt of the file */
    private function __construct(private \Closure $bytes)
    {
    }

    /** By Argon2id (RFC 9106), which takes a moment and 256 MiB, so that guessing does too. */
    public static function ofPassphrase(#[\SensitiveParameter] string $passphrase): self
    {
        return new self(fn (string $salt): string => sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES,
            $passphrase,
            $salt,
            SODIUM_CRYPTO_PWHASH_OPSLIMIT_MODERATE,
            SODIUM_CRYPTO_PWHASH_MEMLIMIT_MODERATE,
            SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13,
        ));
    }

    /** By HKDF (RFC 5869): for what waits on the disk of the installation itself. */
    public static function ofInstallation(): self
    {
        return new self(fn (string $salt): string => hash_hkdf(
            'sha256',
            (string) config('app.key'),
            SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES,
            'Neat Almanac waiting file',
            $salt,
        ));
    }

    public function bytes(string $salt): string
    {
        return ($this->bytes)($salt);
    }
}
