<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Motion\Curve;

/**
 * What one golfer means to do in one swing, as curves over time: how the links turn and when the stations fall, how
 * pressure runs between and along the feet, how hard the ground is pushed. Balance makes a body of it that stands.
 *
 * Faults bend the curves to the far side of the codebook's bands; the golfer's own variation is drawn from the seed
 * alone, so that planting a fault changes nothing else.
 */
final readonly class Score
{
    /** @var array<string, float> seconds by station code */
    public array $stations;

    /** @var array<string, Sampled> */
    public array $curves;

    public float $duration;

    /** How far the lead foot points toward the target, degrees. */
    public float $leadFlare;

    /** How readily the feet push against each other when the body is to be turned or stopped, 0 to 1. */
    public float $opposes;

    /** @throws CoreException */
    public function __construct(GolferSpec $spec)
    {
        $own = new Chance('score|'.$spec->seed);
        $back = max(0.68, min(1.05, $own->normal(0.86, 0.06)));
        $down = max(0.215, min(0.305, $own->normal(0.258, 0.018)));
        $back = $spec->pace->backS ?? $back;
        $down = $spec->pace->downS ?? $down;
        $ad = 0.8;
        $im = $ad + $back + $down;
        $fi = $im + 0.80 + max(-0.06, min(0.06, $own->normal(0.0, 0.03)));
        // Whole steps of whatever goes through it.
        $this->duration = 0.024 * ceil(($fi + 0.6) / 0.024);
        $this->leadFlare = $spec->plant->pick('locked-feet', $own->normal(21.5, 1.4), 11.5, 5.0, 1.5);

        $this->opposes = $spec->plant->pick('weak-couple', 1.0, 0.6, 0.1, 0.05);

        $tp = $ad + $back;
        $size = $spec->pace->size;
        $turning = array_map(
            static fn (Sampled $angle): Sampled => $angle->scaled($size),
            Turning::curves($spec, $ad, $tp, $im, $fi, $this->duration),
        );
        // What a small swing never reaches stands where a full one would have it, for the other curves' sake.
        $within = static fn (float $t, float $from, float $to, float $part): float => $t < $to
            ? $t
            : $from + $part * ($to - $from);
        $going = $tp - $spec->pace->restS;
        $this->stations = $s = [
            'AD' => $ad,
            'TB' => $tb = $within($turning['shaft']->falls(-90.0, $ad), $ad, $going, 0.4),
            'LB' => $within($turning['arm']->falls(-90.0, $ad), $tb, $going, 0.4),
            'TP' => $tp,
            'LD' => $ld = $within($turning['arm']->rises(-90.0, $tp), $tp, $im, 0.5),
            'SD' => $within($turning['shaft']->rises(-90.0, $tp), $ld, $im, 0.55),
            'IM' => $im,
            'ST' => $within($turning['shaft']->rises(90.0, $im), $im, $fi, 0.1),
            'FI' => $fi,
        ];
        $this->curves = [
            ...$turning,
            ...array_map(static fn (Sampled $curve): Sampled => $curve->scaled($size), [
                ...Posture::curves($spec, $s, $this->duration),
                ...Pressing::curves($spec, $s, $this->duration),
                ...Footwork::curves($spec, $s, $this->duration),
            ]),
        ];
    }

    public function at(string $curve, float $t): float
    {
        return $this->curves[$curve]->at($t);
    }

    /**
     * A curve through a value at each of some stations, rounded off.
     *
     * @param  array<string, float>  $stations  seconds by code
     * @param  array<string, float>  $values  by code
     * @param  list<array{float, float}>  $more  knots between stations
     *
     * @throws CoreException
     */
    public static function through(
        array $stations,
        array $values,
        float $duration,
        float $rounding,
        array $more = [],
    ): Sampled {
        $knots = $more;
        foreach ($values as $code => $value) {
            $knots[] = [$stations[$code], $value];
        }
        usort($knots, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return Sampled::rounded(new Curve($knots), $duration, $rounding);
    }

    /**
     * The same through a value at every station.
     *
     * @param  array<string, float>  $stations  seconds by code
     * @param  list<float>  $values
     *
     * @throws CoreException
     */
    public static function atAll(array $stations, array $values, float $duration, float $rounding): Sampled
    {
        return self::through($stations, array_combine(array_keys($stations), $values), $duration, $rounding);
    }
}
