<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Agreement\Confidence;
use Core\CoreException;

/**
 * The width an interval is to be expected to have, and the cases a width needs, by formula: the standard deviation of
 * the coefficient's influence values (Gwet 2014; the same as in its standard error) over the numbers of "present" that
 * the assumptions make likely, divided by √n, times twice Student's quantile.
 *
 * Conger's and Light's κ have the same expectation as Fleiss' where raters lean alike, and Krippendorff's α differs
 * from
 * it by a share of 1/(nm) only; for them the formula is Fleiss'. Ratings that will be missing count as fewer raters.
 */
final readonly class WidthFormula
{
    public const COEFFICIENTS = [
        'percent_agreement',
        'gwet_ac1',
        'fleiss_kappa',
        'brennan_prediger',
        'krippendorff_alpha',
        'conger_kappa',
        'light_kappa',
        'sensitivity',
        'specificity',
    ];

    /** Standard deviation of one case's part in the coefficient. */
    public float $sd;

    /** The value the coefficient is to be expected to have. */
    public float $expected;

    /** @throws CoreException */
    public function __construct(
        private Assumptions $assumptions,
        public string $coefficient,
        private Confidence $confidence = new Confidence(),
    ) {
        if ($coefficient === 'sensitivity' || $coefficient === 'specificity') {
            $share = $coefficient === 'sensitivity' ? $assumptions->prevalence : 1 - $assumptions->prevalence;
            $this->expected = $assumptions->accuracy;
            $this->sd = sqrt(
                ($assumptions->accuracy * (1 - $assumptions->accuracy)) / ($share * (1 - $assumptions->missing)),
            );

            return;
        }
        $m = max(2, (int) round($assumptions->raters * (1 - $assumptions->missing)));
        $a = new Assumptions($assumptions->prevalence, $assumptions->agreement, $m);
        $pi = $a->called();
        [$pe, $one, $zero] = match ($coefficient) {
            'percent_agreement' => [0.0, 0.0, 0.0],
            'gwet_ac1' => [2 * $pi * (1 - $pi), 1 - $pi, $pi],
            'brennan_prediger' => [0.5, 0.5, 0.5],
            default => [$pi * $pi + (1 - $pi) * (1 - $pi), $pi, 1 - $pi],
        };
        $this->expected = $kappa = ($assumptions->agreement - $pe) / (1 - $pe);
        $mean = $square = 0.0;
        foreach ($a->counts() as $k => $p) {
            $agree = (float) ($k * ($k - 1) + ($m - $k) * ($m - $k - 1)) / ($m * ($m - 1));
            $e = ($one * $k + $zero * ($m - $k)) / $m;
            $v = ($agree - $pe) / (1 - $pe) - 2 * (1 - $kappa) * ($e - $pe) / (1 - $pe);
            $mean += $p * $v;
            $square += $p * $v * $v;
        }
        $this->sd = sqrt(max(0.0, $square - $mean * $mean));
    }

    /** Width of the interval with so many cases; swings of one golfer count as 1 + (k−1)ρ times fewer. */
    public function width(int $cases): float
    {
        $swings = $this->assumptions->swings;
        $golfers = (float) $cases / $swings;
        $design = sqrt(1.0 + ($swings - 1.0) * $this->assumptions->alike);

        return $golfers < 2.0 ? INF : 2 * $this->confidence->t($golfers - 1.0) * $design * $this->sd / sqrt($cases);
    }

    /** The fewest cases, of at most a million, whose width is no larger; null where even those do not do. */
    public function cases(float $width): ?int
    {
        $high = 1_000_000;
        if ($this->width($high) > $width) {
            return null;
        }
        $low = 1;
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            if ($this->width($middle) > $width) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $high;
    }
}
