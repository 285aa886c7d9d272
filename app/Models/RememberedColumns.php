<?php

declare(strict_types=1);

namespace App\Models;

/**
 * How the columns of a device's files were mapped the last time a header like this came.
 *
 * @property string $header_checksum
 * @property ?string $device_name
 * @property array{device: string, channels: array<string, array{column: string, unit: string}>} $map
 */
final class RememberedColumns extends Row
{
    protected $table = 'column_maps';

    protected $fillable = ['header_checksum', 'device_name', 'map'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['map' => 'array'];
    }
}
