<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\CoreException;

/**
 * What the ball did, by words that hold for either hand: angles are positive to the side a push or a fade goes to,
 * degrees; low point in cm, positive ahead of the ball. Path and attack, where a device gave them, are the
 * club's at the
 * ball: to the push side and upward are positive.
 */
final readonly class BallFlight
{
    /** A start line that is further off than this is a miss. */
    public const MISS_START_DEG = 3.0;

    public const HEIGHTS = ['low', 'normal', 'high'];

    public const STRIKES = ['centre', 'fat', 'thin', 'top', 'toe', 'heel'];

    /** @throws CoreException */
    public function __construct(
        public float $startDeg,
        public float $curveDeg,
        public string $height,
        public string $strike,
        public ?float $lowPointCm = null,
        public ?float $pathDeg = null,
        public ?float $attackDeg = null,
        public ?Turf $turf = null,
    ) {
        $angles = [[$startDeg, 45.0], [$curveDeg, 60.0], [$lowPointCm, 40.0], [$pathDeg, 30.0], [$attackDeg, 30.0]];
        foreach ($angles as [$value, $most]) {
            // The tracing JIT was seen to take a denied comparison with NaN for its opposite: asked for by name.
            if ($value !== null && (! is_finite($value) || abs($value) > $most)) {
                throw ReadingException::because('ball-off');
            }
        }
        if (! in_array($height, self::HEIGHTS, true) || ! in_array($strike, self::STRIKES, true)) {
            throw ReadingException::because('ball-words', strikes: implode(', ', self::STRIKES));
        }
    }

    /**
     * @param  array<string, mixed>  $data  as toArray() gives
     *
     * @throws CoreException
     */
    public static function fromArray(array $data): self
    {
        $number = static fn (string $key): float => is_numeric($data[$key] ?? null)
            ? (float) $data[$key]
            : throw ReadingException::because('ball-needs', key: $key);
        $word = static fn (string $key): string => is_string($data[$key] ?? null)
            ? $data[$key]
            : throw ReadingException::because('ball-needs', key: $key);

        return new self(
            $number('start_deg'),
            $number('curve_deg'),
            $word('height'),
            $word('strike'),
            isset($data['low_point_cm']) ? $number('low_point_cm') : null,
            isset($data['path_deg']) ? $number('path_deg') : null,
            isset($data['attack_deg']) ? $number('attack_deg') : null,
            isset($data['turf']) ? Turf::tryFrom($word('turf')) : null,
        );
    }

    /**
     * What a device or a person did not say is left out, but for the low point, which always stood there.
     *
     * @return array{start_deg: float, curve_deg: float, height: string, strike: string, low_point_cm: float|null,
     *     path_deg?: float, attack_deg?: float, turf?: string}
     */
    public function toArray(): array
    {
        return [
            'start_deg' => $this->startDeg,
            'curve_deg' => $this->curveDeg,
            'height' => $this->height,
            'strike' => $this->strike,
            'low_point_cm' => $this->lowPointCm,
            ...$this->pathDeg === null ? [] : ['path_deg' => $this->pathDeg],
            ...$this->attackDeg === null ? [] : ['attack_deg' => $this->attackDeg],
            ...$this->turf === null ? [] : ['turf' => $this->turf->value],
        ];
    }

    /**
     * What of it counts as a miss: a start of MISS_START_DEG or more, a curve by the stronger word, a high ball, a
     * strike away from the centre. A strike on the heel is no miss of the list.
     *
     * @return list<string> values of Miss
     */
    public function misses(): array
    {
        $side = [
            ...abs($this->startDeg) < self::MISS_START_DEG ? [] : [$this->startDeg > 0.0 ? 'push' : 'pull'],
            ...in_array($this->curve(), ['slice', 'hook'], true) ? [$this->curve()] : [],
        ];

        return [
            ...in_array($this->strike, ['fat', 'thin', 'top', 'toe'], true) ? [$this->strike] : [],
            ...$side,
            ...$this->height === 'high' ? [Miss::HighWeak->value] : [],
        ];
    }

    /** @return 'straight'|'push'|'pull' the side it started to */
    public function start(): string
    {
        return match (true) {
            abs($this->startDeg) < 1.0 => 'straight',
            $this->startDeg > 0 => 'push',
            default => 'pull',
        };
    }

    /** @return 'straight'|'fade'|'slice'|'draw'|'hook' how it curved; beyond 8° by the stronger word */
    public function curve(): string
    {
        return match (true) {
            abs($this->curveDeg) < 1.0 => 'straight',
            $this->curveDeg > 8.0 => 'slice',
            $this->curveDeg > 0 => 'fade',
            $this->curveDeg < -8.0 => 'hook',
            default => 'draw',
        };
    }
}
