<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/**
 * A key that may err, from the calls of a panel: whether the fault is there in truth is not known of any question, but
 * how likely it is follows from how the panel split, if its members err independently of one another and no more often
 * than not (Hui & Walter 1980; Dawid & Skene 1979 with one rate for all). And one reader against it, who is supposed to
 * err independently of the panel.
 *
 * Questions with the same votes are one pattern. w = π s^p(1−s)^a/(π s^p(1−s)^a + (1−π)(1−c)^p c^a) by expectation and
 * maximisation from π = .3, s = c = .8: π = (Σw+½)/(N+1), s = (Σwp+1)/(Σw(p+a)+2), c = (Σ(1−w)a+1)/(Σ(1−w)(p+a)+2), s
 * and c within [.501, .999]. What is verified or weighed beforehand keeps its w.
 */
final readonly class LatentKey
{
    private const TOLERANCE = 1e-12;

    private const MOST = 20_000;

    /**
     * @param  float  $prevalence  π
     * @param  float  $sensitivity  s, of the panel's members
     * @param  float  $specificity  c
     * @param  list<float>  $weights  w by pattern
     */
    private function __construct(
        public float $prevalence,
        public float $sensitivity,
        public float $specificity,
        public array $weights,
    ) {
    }

    /**
     * @param  list<array{int, int, float|null}>  $patterns  votes for present, votes for absent, and w where it is
     *     known
     * @param  array<int, int|float>  $times  questions of each pattern
     */
    public static function fit(array $patterns, array $times): self
    {
        [$pi, $s, $c] = [0.3, 0.8, 0.8];
        $n = array_sum($times);
        $w = array_map(static fn (array $p): float => $p[2] ?? 0.0, $patterns);
        for ($step = 0; $step < self::MOST; $step++) {
            $yes = $hits = $hitsOf = $right = $rightOf = 0.0;
            [$ls, $ln, $fs, $fn] = [log($s), log(1.0 - $s), log(1.0 - $c), log($c)];
            $odds = log($pi / (1.0 - $pi));
            foreach ($times as $i => $t) {
                [$p, $a, $known] = $patterns[$i];
                if ($known === null) {
                    $w[$i] = 1.0 / (1.0 + exp(-($odds + $p * ($ls - $fs) + $a * ($ln - $fn))));
                }
                $v = $t * $w[$i];
                $yes += $v;
                $hits += $v * $p;
                $hitsOf += $v * ($p + $a);
                $right += ($t - $v) * $a;
                $rightOf += ($t - $v) * ($p + $a);
            }
            $next = [
                ($yes + 0.5) / ($n + 1.0),
                min(0.999, max(0.501, ($hits + 1.0) / ($hitsOf + 2.0))),
                min(0.999, max(0.501, ($right + 1.0) / ($rightOf + 2.0))),
            ];
            $moved = max(abs($next[0] - $pi), abs($next[1] - $s), abs($next[2] - $c));
            [$pi, $s, $c] = $next;
            if ($moved <= self::TOLERANCE) {
                break;
            }
        }

        return new self($pi, $s, $c, array_values($w));
    }

    /**
     * One reader: from S = .8, F = .2, q = wS/(wS + (1−w)F) where the call is present, else w(1−S)/(w(1−S) +
     * (1−w)(1−F)); S = (Σqx+½)/(Σq+1), F = (Σ(1−q)x+½)/(Σ(1−q)+1).
     *
     * @param  array<int, array{int|float, int|float}>  $calls  how often present and absent were called, by pattern
     * @return array{float, float} sensitivity S and specificity 1 − F
     */
    public function reader(array $calls): array
    {
        [$s, $f] = [0.8, 0.2];
        for ($step = 0; $step < self::MOST; $step++) {
            $hit = $there = $alarm = $not = 0.0;
            foreach ($calls as $i => [$present, $absent]) {
                $w = $this->weights[$i];
                $above = $w * $s + (1.0 - $w) * $f;
                $q = $above > 0.0 ? $w * $s / $above : 0.0;
                $hit += $present * $q;
                $alarm += $present * (1.0 - $q);
                $below = $w * (1.0 - $s) + (1.0 - $w) * (1.0 - $f);
                $r = $below > 0.0 ? $w * (1.0 - $s) / $below : 0.0;
                $there += $present * $q + $absent * $r;
                $not += $present * (1.0 - $q) + $absent * (1.0 - $r);
            }
            $next = [($hit + 0.5) / ($there + 1.0), ($alarm + 0.5) / ($not + 1.0)];
            $moved = max(abs($next[0] - $s), abs($next[1] - $f));
            [$s, $f] = $next;
            if ($moved <= self::TOLERANCE) {
                break;
            }
        }

        return [$s, 1.0 - $f];
    }
}
