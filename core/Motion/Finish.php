<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\Trace\Series;

/** The first rest of club and pelvis after impact. */
final readonly class Finish
{
    /** At rest below these speeds, mm/s. */
    public const CLUB_REST = 180.0;

    public const PELVIS_REST = 90.0;

    /** How much less or more of them somebody else might call rest; of what moves a single view sees only a part. */
    private const LOOSER = 1.3;

    private const STRICTER = ['points' => 0.75, 'view' => 0.45];

    /** Beyond this its moment is a matter of taste, s. */
    private const SLOW = 0.04;

    /** @param  float  $uncertainty  how far another idea of rest would have it, s */
    private function __construct(public float $t, public float $uncertainty)
    {
    }

    /**
     * @param  Series  $club  speed of the club head, mm/s
     * @param  Series|null  $pelvis  of the pelvis
     * @param  bool  $whole  whether the speeds hold all three axes
     */
    public static function of(Series $club, ?Series $pelvis, float $impact, bool $whole): ?self
    {
        $rest = self::rest($impact, $club, $pelvis, 1.0);
        if ($rest === null) {
            return null;
        }
        $loose = self::rest($impact, $club, $pelvis, self::LOOSER) ?? $rest;
        $strict =
            self::rest($impact, $club, $pelvis, self::STRICTER[$whole ? 'points' : 'view']) ??
            $rest + 0.1;

        return new self($rest, max($rest - $loose, $strict - $rest));
    }

    public function isSlow(): bool
    {
        return $this->uncertainty > self::SLOW;
    }

    private static function rest(float $impact, Series $club, ?Series $pelvis, float $times): ?float
    {
        for ($t = $impact + 0.25; $t <= $club->end() - 0.05; $t += 0.25 / $club->rateHz) {
            if (
                ($club->at($t) ?? INF) < $times * self::CLUB_REST &&
                ($pelvis?->at($t) ?? 0.0) < $times * self::PELVIS_REST
            ) {
                return $t;
            }
        }

        return null;
    }
}
