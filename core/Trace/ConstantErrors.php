<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/**
 * What an instrument is off by from one end of a recording to the other: half-widths of 95 % ranges. They do not shrink
 * with smoothing, and cancel in differences within one swing. Of a class of devices unless somebody has checked the
 * one at hand and says how.
 */
final readonly class ConstantErrors
{
    /** By name: the least and the most that anybody may state. */
    public const LIMITS = [
        'share_points' => [0.05, 15.0],
        'force_percent' => [0.02, 10.0],
        'moment_nm' => [0.05, 30.0],
        'cop_mm' => [0.2, 60.0],
    ];

    private const LONGEST_SOURCE = 200;

    /**
     * @param  float  $sharePoints  of the lead share
     * @param  float  $forcePercent  of one plate's force along an axis, %BW; the two of a pair are off each by itself
     * @param  float  $momentNm  of one plate's free moment
     * @param  float  $copMm  of a centre of pressure within the stance
     * @param  string|null  $source  how it was found out, by whom and when; null: what the class of devices claims
     */
    private function __construct(
        public float $sharePoints,
        public float $forcePercent,
        public float $momentNm,
        public float $copMm,
        public ?string $source = null,
    ) {
    }

    public static function ofClass(DeviceClass $device): self
    {
        return new self(
            $device->shareOffset(),
            $device->forceOffset(),
            $device->momentOffset(),
            $device->copOffset(),
        );
    }

    /**
     * What is not stated stays as the class claims.
     *
     * @param  array<array-key, mixed>  $stated  by name, see LIMITS; and 'source'
     *
     * @throws CoreException where one is no number that an instrument is off by, or nobody says how it is known
     */
    public static function stated(DeviceClass $device, array $stated): self
    {
        $of = self::ofClass($device)->toArray();
        $source = $stated['source'] ?? null;
        if (! is_string($source) || trim($source) === '' || mb_strlen($source) > self::LONGEST_SOURCE) {
            throw TraceException::because('constant-source', most: self::LONGEST_SOURCE);
        }
        foreach (self::LIMITS as $name => [$least, $most]) {
            $value = $stated[$name] ?? null;
            if ($value === null) {
                continue;
            }
            $number = is_float($value) || is_int($value) ? (float) $value : NAN;
            if (is_nan($number) || $number < $least || $number > $most) {
                throw TraceException::because('constant', name: $name, least: (string) $least, most: (string) $most);
            }
            $of[$name] = $number;
        }

        return new self($of['share_points'], $of['force_percent'], $of['moment_nm'], $of['cop_mm'], trim($source));
    }

    /**
     * What one plate of a pair makes of the free moment about the net centre of pressure, N·m: its own zero, its
     * push's zero on an arm of half the stance, and its centre's and its share's errors on the push of a swing, a
     * tenth of body weight.
     *
     * @param  float  $apart  between the feet, mm
     */
    public function twist(float $massKg, float $apart): float
    {
        $weight = 9.80665 * $massKg;

        return hypot(
            $this->momentNm,
            hypot(
                $this->forcePercent / 100.0 * $weight * $apart / 2000.0,
                ($this->copMm + $this->sharePoints / 100.0 * $apart / M_SQRT2) / 1000.0 * $weight / 10.0,
            ),
        );
    }

    /**
     * @return array{share_points: float, force_percent: float, moment_nm: float, cop_mm: float, source: string|null}
     */
    public function toArray(): array
    {
        return [
            'share_points' => $this->sharePoints,
            'force_percent' => $this->forcePercent,
            'moment_nm' => $this->momentNm,
            'cop_mm' => $this->copMm,
            'source' => $this->source,
        ];
    }
}
