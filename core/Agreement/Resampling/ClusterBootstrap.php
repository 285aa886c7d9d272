<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Resamples clusters of cases, all ratings of a cluster together (Efron & Tibshirani 1993, ch. 14). Replicate b, from
 * 1, draws from Xoshiro256** seeded with the bytes of sha256("seed|b"), so that the figures do not depend on the
 * machine, the order of work or the number of processes; one draw serves all items.
 */
final class ClusterBootstrap
{
    /** As many numbers of draws are kept at hand; further ones are drawn again each time. */
    private const KEPT = 1_000_000;

    /** @var array<int, list<int>> */
    private array $draws = [];

    private int $kept = 0;

    /**
     * @param  int  $clusters  all clusters of all items
     * @param  int  $replicates  ≥ 1
     */
    public function __construct(
        public readonly int $clusters,
        public readonly int $replicates,
        private readonly int|string $seed,
    ) {
    }

    /**
     * Values of every statistic over the replicates, the undefined left out.
     *
     * @return list<list<float>> by statistic
     */
    public function replicates(Resampled $of): array
    {
        $out = array_fill(0, count($of->estimates()), []);
        for ($b = 1; $b <= $this->replicates; $b++) {
            foreach ($of->replicate($this->draw($b)) as $k => $v) {
                // Not NAN; is_nan() would cost a call.
                if ($v > -INF) {
                    $out[$k][] = $v;
                }
            }
        }

        return array_values($out);
    }

    /**
     * BCa intervals (Efron 1987); percentile where BCa is undefined, null where the estimate is undefined or over
     * 5 % of the replicates are.
     *
     * @param  list<list<float>>|null  $left  the statistics without one cluster each, where they are at hand
     * @return list<Resample|null> by statistic
     */
    public function intervals(Resampled $of, float $confidence, ?array $left = null): array
    {
        $left ??= $of->leaveOneOut();
        $estimates = $of->estimates();
        $out = [];
        foreach ($this->replicates($of) as $k => $values) {
            $out[] = $values === [] || is_nan($estimates[$k]) || count($values) < 0.95 * $this->replicates
                ? null
                : Resample::bca($estimates[$k], $values, array_column($left, $k), $confidence, $this->replicates);
        }

        return $out;
    }

    /** @return list<int> rank of a cluster and how often it was drawn, by turns; ranks rise */
    public function draw(int $b): array
    {
        if (isset($this->draws[$b])) {
            return $this->draws[$b];
        }
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $this->seed.'|'.$b, true)));
        $last = $this->clusters - 1;
        $times = array_fill(0, $this->clusters, 0);
        for ($i = 0; $i <= $last; $i++) {
            $times[$random->getInt(0, $last)]++;
        }
        $draw = [];
        foreach ($times as $cluster => $n) {
            if ($n > 0) {
                $draw[] = $cluster;
                $draw[] = $n;
            }
        }
        if ($this->kept + count($draw) <= self::KEPT) {
            $this->kept += count($draw);
            $this->draws[$b] = $draw;
        }

        return $draw;
    }
}
