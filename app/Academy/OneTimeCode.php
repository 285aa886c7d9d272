<?php

declare(strict_types=1);

namespace App\Academy;

/**
 * Time-based one-time codes: RFC 6238 over RFC 4226, SHA-1, thirty seconds, six digits, as every program for them does.
 */
final class OneTimeCode
{
    public const SECONDS = 30;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** Steps by which the other clock may differ. */
    public const DRIFT = 1;

    /** @return string a secret of 160 bits, as base 32 */
    public static function secret(): string
    {
        return self::base32(random_bytes(20));
    }

    /**
     * @param  string  $secret  its bytes
     * @param  int  $step  of thirty seconds since 1970
     */
    public static function at(string $secret, int $step, int $digits = 6, string $hash = 'sha1'): string
    {
        $sum = hash_hmac($hash, pack('J', $step), $secret, true);
        $from = ord($sum[strlen($sum) - 1]) & 0x0F;
        /** @var array{1: int} $word */
        $word = unpack('N', substr($sum, $from, 4));

        return str_pad((string) (($word[1] & 0x7FFFFFFF) % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    /**
     * The step whose code this is, near now and after the last one taken; null for a wrong, an old and a used code.
     *
     * @param  string  $secret  as base 32
     */
    public static function step(string $secret, string $code, int $now, ?int $last = null): ?int
    {
        $code = (string) preg_replace('/\s+/', '', $code);
        if (preg_match('/^\d{6}$/', $code) !== 1) {
            return null;
        }
        $bytes = self::bytes($secret);
        $here = intdiv($now, self::SECONDS);
        $found = null;
        for ($step = $here - self::DRIFT; $step <= $here + self::DRIFT; $step++) {
            if (hash_equals(self::at($bytes, $step), $code) && ($last === null || $step > $last)) {
                $found ??= $step;
            }
        }

        return $found;
    }

    /** What a program for such codes reads, typed or as a picture. */
    public static function address(string $secret, string $issuer, string $account): string
    {
        return sprintf(
            'otpauth://totp/%s:%s?%s',
            rawurlencode($issuer),
            rawurlencode($account),
            http_build_query(['secret' => $secret, 'issuer' => $issuer], '', '&', PHP_QUERY_RFC3986),
        );
    }

    public static function base32(string $bytes): string
    {
        $out = '';
        $bits = $held = 0;
        foreach (str_split($bytes) as $byte) {
            $held = ($held << 8) | ord($byte);
            for ($bits += 8; $bits >= 5; $bits -= 5) {
                $out .= self::ALPHABET[($held >> ($bits - 5)) & 31];
            }
            $held &= 0xFF;
        }

        return $bits > 0 ? $out.self::ALPHABET[($held << (5 - $bits)) & 31] : $out;
    }

    private static function bytes(string $base32): string
    {
        $out = '';
        $bits = $held = 0;
        foreach (str_split($base32) as $letter) {
            $held = (($held << 5) | (int) strpos(self::ALPHABET, $letter)) & 0xFFF;
            $bits += 5;
            if ($bits >= 8) {
                $out .= chr(($held >> ($bits - 8)) & 0xFF);
                $bits -= 8;
            }
        }

        return $out;
    }
}
