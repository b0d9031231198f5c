<?php

declare(strict_types=1);

namespace App\Backup;

/**
 * A file that only its key opens: XChaCha20-Poly1305 in parts of 1 MiB, as libsodium's secretstream writes them. Each part
 * is authenticated, and so is that none is missing at the end.
 */
final class Sealed
{
    private const MAGIC = "NEAT ALMANAC SEALED BACKUP 1\n";

    private const PART = 1_048_576;

    public static function is(string $path): bool
    {
        return @file_get_contents($path, length: strlen(self::MAGIC)) === self::MAGIC;
    }

    /** @throws BackupRefused when there is no room, or no folder */
    public static function seal(string $from, string $to, SealKey $key): void
    {
        $in = self::open($from, 'rb');
        $out = self::open($to, 'wb');
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        [$state, $header] = sodium_crypto_secretstream_xchacha20poly1305_init_push($key->bytes($salt));
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

    /** @throws BackupRefused when the key is another, or the file was damaged or cut off; what was written by then is worth nothing */
    public static function unseal(string $from, string $to, SealKey $key): void
    {
        $out = self::open($to, 'wb');
        foreach (self::pieces($from, $key) as $piece) {
            self::write($out, $piece);
        }
        fclose($out);
    }

    /**
     * @return \Generator<int, string> what is in it, piece by piece
     *
     * @throws BackupRefused when the key is another, or the file was damaged or cut off
     */
    public static function pieces(string $from, SealKey $key): \Generator
    {
        $in = self::open($from, 'rb');
        fread($in, strlen(self::MAGIC));
        $salt = (string) fread($in, SODIUM_CRYPTO_PWHASH_SALTBYTES);
        $header = (string) fread($in, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
        $damaged = new BackupRefused('The backup is damaged or cut off. Take another backup.');
        if (strlen($salt.$header) !== SODIUM_CRYPTO_PWHASH_SALTBYTES + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES) {
            throw $damaged;
        }
        $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($header, $key->bytes($salt));
        $isFirst = true;
        $tag = null;
        while (($part = (string) fread($in, self::PART + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES)) !== '') {
            $pulled = sodium_crypto_secretstream_xchacha20poly1305_pull($state, $part);
            if ($pulled === false) {
                throw $isFirst
                    ? new BackupRefused('The passphrase does not open this backup, or the backup is damaged. Check the passphrase and try again.')
                    : $damaged;
            }
            [$plain, $tag] = $pulled;
            $isFirst = false;
            yield $plain;
        }
        fclose($in);
        if ($tag !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL) {
            throw $damaged;
        }
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
