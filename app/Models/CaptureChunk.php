<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\PackedFloats;

/**
 * A piece of a live recording, sample by sample, channel by channel, as acknowledged.
 *
 * @property int $seq
 * @property int $first_sample
 * @property int $samples
 * @property list<float> $data
 * @property string $checksum
 * @property float $device_s
 * @property float $server_s
 */
final class CaptureChunk extends Row
{
    public $timestamps = false;

    protected $fillable = [
        'capture_session_id',
        'seq',
        'first_sample',
        'samples',
        'data',
        'checksum',
        'device_s',
        'server_s',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['data' => PackedFloats::class, 'device_s' => 'float', 'server_s' => 'float'];
    }
}
