<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Chance\Chance;
use Core\Motion\StationTimes;
use Core\Number\Distribution;

/**
 * Where the stations of one swing may really have been: as they are told and, so many times over, drawn by what is
 * known of their times. The draws are the same for every swing, and each station's have mean nought and variance one.
 */
final class Jitter
{
    public const COUNT = 128;

    /** @var array<string, list<float>> */
    private static array $normal = [];

    public readonly Moments $told;

    /** @var list<Moments> */
    public readonly array $drawn;

    /** @param  bool  $draws  false for values without their ± */
    public function __construct(StationTimes $stations, bool $draws = true)
    {
        $told = [];
        $drawn = $draws ? array_fill(0, self::COUNT, []) : [];
        foreach ($stations->all() as $code => $time) {
            $told[$code] = $time->t;
            foreach ($draws ? self::normal($code) : [] as $k => $z) {
                $drawn[$k][$code] = $time->t + $z * $time->uncertainty / 1.96;
            }
        }
        $this->told = new Moments($told);
        $this->drawn = array_map(static fn (array $at): Moments => new Moments($at), $drawn);
    }

    /** When the first station is, s. */
    public function begins(): ?float
    {
        return $this->told->at === [] ? null : min($this->told->at);
    }

    /** When the last of these stations is that is held, or the last of all, s. */
    public function ends(string ...$codes): ?float
    {
        $held = array_intersect_key($this->told->at, array_flip($codes));

        return $this->told->at === [] ? null : max($held === [] ? $this->told->at : $held);
    }

    /**
     * Normal deviates that stand for the whole distribution: its quantiles, shuffled.
     *
     * @return list<float> COUNT of them
     */
    public static function normal(string $what): array
    {
        return self::$normal[$what] ??= (new Chance("replay|$what"))->shuffled(self::quantiles());
    }

    /** @return list<float> */
    private static function quantiles(): array
    {
        return self::$normal[''] ??= array_map(
            static fn (int $k): float => Distribution::normalQuantile(($k + 0.5) / self::COUNT),
            range(0, self::COUNT - 1),
        );
    }
}
