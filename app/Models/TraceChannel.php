<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\PackedFloats;
use Core\CoreException;
use Core\Trace\TraceException;

/**
 * One channel of a trace, with the least and the largest of its samples and how many are missing, as they were written:
 * what is read is held against them.
 *
 * @property string $name
 * @property list<float> $samples
 * @property ?float $minimum  null where every sample is missing
 * @property ?float $maximum
 * @property int $missing
 */
final class TraceChannel extends Row
{
    public $timestamps = false;

    /** @var list<float>|null */
    private ?array $unpacked = null;

    protected $fillable = ['recording_id', 'name', 'samples', 'minimum', 'maximum', 'missing'];

    protected static function booted(): void
    {
        self::saving(static function (self $channel): void {
            if ($channel->isDirty('samples')) {
                $channel->fill(self::extent($channel->samples));
            }
        });
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['samples' => PackedFloats::class, 'minimum' => 'float', 'maximum' => 'float', 'missing' => 'integer'];
    }

    /**
     * The samples, unpacked and held against what was written once.
     *
     * @return list<float>
     *
     * @throws CoreException when they are not those that were written
     */
    public function read(): array
    {
        if ($this->unpacked !== null) {
            return $this->unpacked;
        }
        $samples = $this->samples;
        $extent = self::extent($samples);
        // What is kept of the extent has passed through fewer digits; as samples are held they must be the same.
        $same = static fn (?float $a, ?float $b): bool => $a === null || $b === null
            ? $a === $b
            : pack('g', $a) === pack('g', $b);
        if (
            $extent['missing'] !== $this->missing ||
            ! $same($extent['minimum'], $this->minimum) ||
            ! $same($extent['maximum'], $this->maximum)
        ) {
            throw TraceException::because('channel-damaged', name: $this->name);
        }

        return $this->unpacked = $samples;
    }

    /**
     * @param  list<float>  $samples
     * @return array{minimum: ?float, maximum: ?float, missing: int}
     */
    public static function extent(array $samples): array
    {
        $missing = 0;
        $low = INF;
        $high = -INF;
        foreach ($samples as $v) {
            if (is_nan($v)) {
                $missing++;
            } else {
                $low = $v < $low ? $v : $low;
                $high = $v > $high ? $v : $high;
            }
        }

        return $missing === count($samples)
            ? ['minimum' => null, 'maximum' => null, 'missing' => $missing]
            : ['minimum' => $low, 'maximum' => $high, 'missing' => $missing];
    }
}
