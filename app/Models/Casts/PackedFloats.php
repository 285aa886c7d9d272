<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A list of floats held as little-endian float32 in a bytea column; NAN stands for a missing sample.
 *
 * @implements CastsAttributes<list<float>, list<float>>
 */
final class PackedFloats implements CastsAttributes
{
    /** @return list<float> */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        /** @var list<float> $floats */
        $floats = array_values((array) unpack('g*', self::bytes($value)));

        return $floats;
    }

    /** @param  mixed  $value  as the driver gives it */
    public static function bytes(mixed $value): string
    {
        return is_resource($value)
            ? (string) stream_get_contents($value, -1, 0)
            : (string) hex2bin(substr(Cell::text($value), 2));
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return '\\x'.bin2hex(pack('g*', ...($value ?? [])));
    }
}
