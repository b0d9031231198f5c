<?php

declare(strict_types=1);

namespace App\Backup;

/**
 * A file under a passphrase: the key by Argon2id (RFC 9106), the contents by XChaCha20-Poly1305 in parts of 1 MiB, as
 * libsodium's secretstream writes them. Each part is authenticated, and so is that none is missing at the end.
 */
final class Sealed
{
    private const MAGIC = "NEAT ALMANAC SEALED BACKUP 1\n";

    private const PART = 1_048_576;

    public static function is(string $path): bool
    {
        return @file_get_contents($path, length: strlen(self::MAGIC)) === self::MAGIC;
    }

    public static function seal(string $from, string $to, #[\SensitiveParameter] string $passphrase): void
    {
        $in = self::open($from, 'rb');
        $out = self::open($to, 'wb');
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        [$state, $header] = sodium_crypto_secretstream_xchacha20poly1305_init_push(self::key($passphrase, $salt));
        self::write($out, self::MAGIC.$salt.$header);
        do {
            $part = (string) fread($in, self::PART);
            $isLast = feof($in);
            self::write($out, sodium_crypto_secretstream_xchacha20poly1305_push(
                $state,
                $part,
                '',
                $isLast ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE,
            ));
        } while (! $isLast);
        fclose($in);
        fclose($out);
    }

    /** @throws BackupRefused when the passphrase is another, or the file was damaged or cut off */
    public static function unseal(string $from, string $to, #[\SensitiveParameter] string $passphrase): void
    {
        $in = self::open($from, 'rb');
        $out = self::open($to, 'wb');
        fread($in, strlen(self::MAGIC));
        $salt = (string) fread($in, SODIUM_CRYPTO_PWHASH_SALTBYTES);
        $header = (string) fread($in, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
        $damaged = new BackupRefused('The backup is damaged or cut off. Take another backup.');
        if (strlen($salt.$header) !== SODIUM_CRYPTO_PWHASH_SALTBYTES + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES) {
            throw $damaged;
        }
        $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($header, self::key($passphrase, $salt));
        $isFirst = true;
        $tag = null;
        while (! feof($in)) {
            $part = (string) fread($in, self::PART + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES);
            if ($part === '') {
                break;
            }
            $pulled = sodium_crypto_secretstream_xchacha20poly1305_pull($state, $part);
            if ($pulled === false) {
                throw $isFirst ? new BackupRefused('The passphrase does not open this backup, or the backup is damaged. Check the passphrase and try again.') : $damaged;
            }
            [$plain, $tag] = $pulled;
            self::write($out, $plain);
            $isFirst = false;
        }
        fclose($in);
        fclose($out);
        if ($tag !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL) {
            throw $damaged;
        }
    }

    private static function key(#[\SensitiveParameter] string $passphrase, string $salt): string
    {
        return sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES,
            $passphrase,
            $salt,
            SODIUM_CRYPTO_PWHASH_OPSLIMIT_MODERATE,
            SODIUM_CRYPTO_PWHASH_MEMLIMIT_MODERATE,
            SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13,
        );
    }

    /** @return resource */
    private static function open(string $path, string $mode)
    {
        return @fopen($path, $mode) ?: throw new BackupRefused("The file $path cannot be opened. Check that the folder exists and can be written.");
    }

    /** @param  resource  $file */
    private static function write($file, string $bytes): void
    {
        if (fwrite($file, $bytes) !== strlen($bytes)) {
            throw new BackupRefused('There is no room on the disk for the backup. Make room and try again.');
        }
    }
}
