<?php

declare(strict_types=1);

namespace Core\Format\C3d;

/** How a C3D file writes numbers: by the processor it was made on. */
enum C3dNumbers: int
{
    case Intel = 84;
    case Dec = 85;
    case Sgi = 86;

    /** @return list<int> signed 16-bit integers */
    public function integers(string $bytes, bool $unsigned = false): array
    {
        /** @var array<int, int> $raw */
        $raw = unpack($this === self::Sgi ? 'n*' : 'v*', $bytes) ?: [];

        return array_values(
            $unsigned ? $raw : array_map(static fn (int $v): int => $v > 32767 ? $v - 65536 : $v, $raw),
        );
    }

    /**
     * 32-bit floats. DEC's have their two words exchanged and an exponent larger by two: a quarter of what the
     * same bits mean in IEEE 754.
     *
     * @return list<float>
     */
    public function floats(string $bytes): array
    {
        if ($this === self::Dec) {
            $swapped = '';
            for ($i = 0, $n = strlen($bytes) - 3; $i < $n; $i += 4) {
                $swapped .= $bytes[$i + 2].$bytes[$i + 3].$bytes[$i].$bytes[$i + 1];
            }
            /** @var array<int, float> $raw */
            $raw = unpack('g*', $swapped) ?: [];

            return array_values(array_map(static fn (float $v): float => $v / 4.0, $raw));
        }
        /** @var array<int, float> $raw */
        $raw = unpack($this === self::Sgi ? 'G*' : 'g*', $bytes) ?: [];

        return array_values($raw);
    }
}
