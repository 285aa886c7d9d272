<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\Number\Distribution;
use Core\Remark\Remark;

/**
 * How sure a figure is for readers like those who read, beside its own error, which holds for them alone: both cases
 * and readers are taken as drawn. Where it cannot be told, the reason.
 *
 * With V_c the clustered variance, V_r = ((m−1)/m) Σ_g (κ_(−g) − mean)² over m readers, and V_rc the part of V_r that
 * comes of the cases: se² = V_c + max(0, V_r − V_rc). The interval is κ ± t(ν) √(V_c + V_r) with
 * ν = (V_c + V_r)²/(V_c²/(G−1) + V_r²/(m−1)), within m − 1 and G − 1 (Satterthwaite 1946).
 */
final readonly class NewReaders
{
    /** Fewer readers tell nothing of others; fewer than FEW little. */
    public const LEAST = 4;

    public const FEW = 8;

    /**
     * For its codec.
     *
     * @param  float|null  $p  of a difference: that it is none
     */
    public function __construct(
        public ?float $se,
        public ?float $low,
        public ?float $high,
        public ?Remark $reason,
        public ?float $p = null,
    ) {
    }

    public static function unknown(Undefined|Caution|Remark $why): self
    {
        return new self(null, null, null, $why instanceof Remark ? $why : Remark::of($why));
    }

    /**
     * Of a difference between two rounds of the same readers: V_r − V_rc stands for V_r, so that se² = V_c + max(0, V_r
     * − V_rc) is what the interval and the test go by.
     *
     * @param  list<float>  $without  the difference without each reader
     * @param  float  $crossed  V_rc
     */
    public static function ofDifference(
        Figure $figure,
        array $without,
        float $crossed,
        Clusters $clusters,
        Confidence $confidence,
    ): self {
        $plain = self::of($figure, $without, $crossed, $clusters, $confidence, -INF);
        if ($plain->se === null || $figure->estimate === null || $figure->se === null || $plain->se <= 0.0) {
            return $plain;
        }
        $m = count($without);
        $vc = $figure->se ** 2;
        $net = max(0.0, $plain->se ** 2 - $vc);
        $nu = ($vc + $net) ** 2 / ($vc ** 2 / ($clusters->count - 1) + $net ** 2 / ($m - 1));
        $nu = min(max($nu, $m - 1), $clusters->count - 1);
        $half = $confidence->t($nu) * $plain->se;

        return new self(
            $plain->se,
            $figure->estimate - $half,
            $figure->estimate + $half,
            $plain->reason,
            2.0 * Distribution::student(-abs($figure->estimate) / $plain->se, $nu),
        );
    }

    /**
     * @param  Figure  $figure  with its clustered error
     * @param  list<float>  $without  the figure without each reader; NAN where undefined
     * @param  float  $crossed  V_rc
     */
    public static function of(
        Figure $figure,
        array $without,
        float $crossed,
        Clusters $clusters,
        Confidence $confidence,
        float $floor = -1.0,
    ): self {
        $m = count($without);
        if ($m < self::LEAST) {
            return self::unknown(Undefined::FewReadersForOthers);
        }
        $mean = array_sum($without) / $m;
        if (is_nan($mean)) {
            return self::unknown(Undefined::UndefinedWithoutReader);
        }
        if ($figure->estimate === null || $figure->se === null || $clusters->count < 2) {
            return self::unknown(Undefined::NoErrorOfItsOwn);
        }
        $vc = $figure->se ** 2;
        $vr = 0.0;
        foreach ($without as $v) {
            $vr += ($v - $mean) * ($v - $mean);
        }
        $vr *= (float) ($m - 1) / $m;
        if ($vc + $vr <= 0.0) {
            return self::unknown(Undefined::NobodyDiffers);
        }
        $nu = ($vc + $vr) ** 2 / ($vc ** 2 / ($clusters->count - 1) + $vr ** 2 / ($m - 1));
        $half = $confidence->t(min(max($nu, $m - 1), $clusters->count - 1)) * sqrt($vc + $vr);

        $se = sqrt($vc + max(0.0, $vr - $crossed));
        if (! is_finite($se) || ! is_finite($half)) {
            return self::unknown(Undefined::NotFinite);
        }

        return new self(
            $se,
            max($floor, $figure->estimate - $half),
            min($floor > -2.0 ? 1.0 : INF, $figure->estimate + $half),
            $m < self::FEW ? Remark::of(Caution::FewReaders, readers: $m) : null,
        );
    }
}
