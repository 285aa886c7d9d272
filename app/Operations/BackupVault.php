<?php

declare(strict_types=1);

namespace App\Operations;

use RuntimeException;

/**
 * Closes files with a key that only the installation and whoever keeps it elsewhere have: libsodium's stream of sealed
 * blocks (XChaCha20-Poly1305), so that nothing can be changed, cut off or put in another order unnoticed.
 */
final readonly class BackupVault
{
    private const MAGIC = "VCBACKUP1\n";

    private const BLOCK = 65_536;

    private const TAIL = SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES;

    private string $key;

    /** @param  string  $key  32 bytes in base64 */
    public function __construct(#[\SensitiveParameter] string $key)
    {
        $bytes = base64_decode($key, true);
        if ($bytes === false || strlen($bytes) !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES) {
            throw new RuntimeException('BACKUP_KEY is not 32 bytes in base64');
        }
        $this->key = $bytes;
    }

    /**
     * @param  resource  $from
     * @return array{bytes: int, sha256: string} of what was closed
     */
    public function close($from, string $to): array
    {
        /** @var array{string, string} $begun */
        $begun = sodium_crypto_secretstream_xchacha20poly1305_init_push($this->key);
        [$state, $header] = $begun;
        $out = self::opened($to, 'wb');
        $sum = hash_init('sha256');
        $bytes = 0;
        try {
            self::write($out, self::MAGIC.$header);
            do {
                $block = self::read($from, self::BLOCK);
                $bytes += strlen($block);
                hash_update($sum, $block);
                $isLast = strlen($block) < self::BLOCK;
                self::write($out, sodium_crypto_secretstream_xchacha20poly1305_push(
                    $state,
                    $block,
                    '',
                    $isLast
                        ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL
                        : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE,
                ));
            } while (! $isLast);
            if (! fflush($out) || ! fsync($out)) {
                throw new RuntimeException("$to could not be written");
            }
        } finally {
            fclose($out);
        }

        return ['bytes' => $bytes, 'sha256' => hash_final($sum)];
    }

    /**
     * @param  callable(string): void  $take  called with each part in turn
     * @return array{bytes: int, sha256: string} of what was opened
     */
    public function open(string $path, callable $take): array
    {
        $from = self::opened($path, 'rb');
        $sum = hash_init('sha256');
        $bytes = 0;
        try {
            $head = self::read($from, strlen(self::MAGIC) + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
            if (! str_starts_with($head, self::MAGIC)) {
                throw new RuntimeException(basename($path).' is no part of a backup');
            }
            $header = substr($head, strlen(self::MAGIC));
            $state = strlen($header) === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES
                ? sodium_crypto_secretstream_xchacha20poly1305_init_pull($header, $this->key)
                : throw new RuntimeException(basename($path).' is cut off');
            do {
                $pulled = sodium_crypto_secretstream_xchacha20poly1305_pull(
                    $state,
                    self::read($from, self::BLOCK + self::TAIL),
                );
                if (! is_array($pulled)) {
                    throw new RuntimeException(basename($path).' was changed, is cut off or lies under another key');
                }
                /** @var array{string, int} $pulled */
                [$block, $tag] = $pulled;
                $bytes += strlen($block);
                hash_update($sum, $block);
                $take($block);
            } while ($tag !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL);
            if (self::read($from, 1) !== '') {
                throw new RuntimeException(basename($path).' is longer than it was');
            }
        } finally {
            fclose($from);
        }

        return ['bytes' => $bytes, 'sha256' => hash_final($sum)];
    }

    /** A code over a text that lies open, with the same key. */
    public function mac(string $text): string
    {
        return hash_hmac('sha256', $text, hash_hmac('sha256', 'manifest', $this->key, true));
    }

    /** What a part is called by its contents: nobody without the key can tell which file it is. */
    public function name(string $sha256): string
    {
        return hash_hmac('sha256', $sha256, hash_hmac('sha256', 'name', $this->key, true));
    }

    /** @return resource */
    private static function opened(string $path, string $mode)
    {
        return @fopen($path, $mode) ?: throw new RuntimeException("$path cannot be opened");
    }

    /**
     * @param  resource  $from
     * @param  positive-int  $bytes
     */
    private static function read($from, int $bytes): string
    {
        $out = '';
        while (strlen($out) < $bytes && ! feof($from)) {
            $part = fread($from, max(1, $bytes - strlen($out)));
            if ($part === false) {
                throw new RuntimeException('it could not be read on');
            }
            $out .= $part;
        }

        return $out;
    }

    /** @param  resource  $to */
    private static function write($to, string $bytes): void
    {
        if (@fwrite($to, $bytes) !== strlen($bytes)) {
            throw new RuntimeException('the disk is full, or cannot be written');
        }
    }
}
