<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

use Core\Agreement\Weights;

/**
 * What each cluster adds to a count-based coefficient's error: Σ_{u∈g} ψ_u, which is linear in the cluster's sums.
 *
 * With n units and n2 of two ratings or more: percent ψ = (n/n2) 1(a − p_a); κ-like (Fleiss, AC, Brennan–Prediger)
 * ψ = (n/n2) 1(a − p_a)/(1 − p_e) − 2(1 − κ)(e − p_e)/(1 − p_e), e the mean chance c_k of the unit's ratings; α
 * (nominal) Gwet's (2014) influence over units of two ratings; specific agreement, a share S = Σb/Σp, ψ = n(b − S
 * p)/Σp.
 */
final readonly class CountInfluence
{
    /**
     * @param  list<float|int>  $sums  of all clusters
     * @param  list<float>  $values  the coefficients and specific agreements of those sums
     * @return list<list<float>|null> by what each of the sums is multiplied, by coefficient; null where it is
     *     undefined. Each is divided by N already: n, of α n2
     */
    public static function forms(array $sums, array $values, int $q, Weights $weights): array
    {
        $head = CountSums::HEAD;
        $zero = array_fill(0, count($sums), 0.0);
        $forms = [];
        foreach ($values as $i => $value) {
            $forms[] = is_nan($value)
                ? null
                : match (true) {
                    $i === 0 => self::agreement($zero, $sums, 2),
                    $i === 4 => self::alpha($zero, $sums, $q),
                    $i < 4 => self::corrected(
                        self::agreement($zero, $sums, $weights->isIdentity ? 2 : $head + 4 * $q),
                        $sums,
                        $value,
                        self::chances($i, $sums, $q, $weights),
                    ),
                    default => self::share($zero, $sums, $head + 2 * $q + $i - 5, $head + 3 * $q + $i - 5),
                };
        }

        return $forms;
    }

    /**
     * 1(a − p_a)/n2.
     *
     * @param  list<float>  $form
     * @param  list<float|int>  $sums
     * @param  int  $at  which of the sums is that of a
     * @return list<float>
     */
    private static function agreement(array $form, array $sums, int $at): array
    {
        $form[$at] = 1.0 / $sums[1];
        $form[1] = -$sums[$at] / ((float) $sums[1] * $sums[1]);

        return array_values($form);
    }

    /**
     * @param  list<float>  $form  that of the agreement
     * @param  list<float|int>  $sums
     * @param  list<float>  $chances  c_k by category
     * @return list<float>
     */
    private static function corrected(array $form, array $sums, float $value, array $chances): array
    {
        $pe = self::expected($chances, $sums);
        $form = array_map(static fn (float $v): float => $v / (1.0 - $pe), $form);
        $each = 2.0 * (1.0 - $value) / ((1.0 - $pe) * $sums[0]);
        foreach ($chances as $k => $c) {
            $form[CountSums::HEAD + $k] -= $each * $c;
        }
        $form[0] += $each * $pe;

        return array_values($form);
    }

    /**
     * Of Fleiss' κ, AC and Brennan–Prediger: what a rating of each category agrees with by chance.
     *
     * @param  1|2|3|int  $which  as CountSums::NAMES
     * @param  list<float|int>  $sums
     * @return list<float>
     */
    private static function chances(int $which, array $sums, int $q, Weights $weights): array
    {
        $out = [];
        for ($k = 0; $k < $q; $k++) {
            $c = 0.0;
            if ($which === 1) {
                for ($l = 0; $l < $q; $l++) {
                    $c += $weights->w[$k * $q + $l] * $sums[CountSums::HEAD + $l] / $sums[0];
                }
            } else {
                $c = $which === 2
                    ? $weights->total / ($q * ($q - 1.0)) * (1.0 - $sums[CountSums::HEAD + $k] / $sums[0])
                    : $weights->total / ((float) $q * $q);
            }
            $out[] = $c;
        }

        return $out;
    }

    /**
     * p_e = Σ_k π_k c_k
     *
     * @param  list<float>  $chances
     * @param  list<float|int>  $sums
     */
    private static function expected(array $chances, array $sums): float
    {
        $pe = 0.0;
        foreach ($chances as $k => $c) {
            $pe += $c * $sums[CountSums::HEAD + $k] / $sums[0];
        }

        return $pe;
    }

    /**
     * The agreement that chance alone would give, by coefficient; 0 where there is none.
     *
     * @param  list<float|int>  $sums
     * @return list<float>
     */
    public static function chance(array $sums, int $q, Weights $weights): array
    {
        $all = $squares = 0.0;
        for ($k = 0; $k < $q; $k++) {
            $n = $sums[CountSums::HEAD + $q + $k];
            $all += $n;
            $squares += (float) $n * $n;
        }

        return [
            0.0,
            self::expected(self::chances(1, $sums, $q, $weights), $sums),
            $q > 1 ? self::expected(self::chances(2, $sums, $q, $weights), $sums) : 0.0,
            self::expected(self::chances(3, $sums, $q, $weights), $sums),
            $all > 0.0 ? $squares / ($all * $all) : 0.0,
        ];
    }

    /**
     * (α_i − α′)/n2 with α_i = (P_i − p_a d_i − p_e)/(1−p_e) − 2(1−α′)(E_i − p_e d_i − p_e)/(1−p_e).
     *
     * @param  list<float>  $form
     * @param  list<float|int>  $sums
     * @return list<float>
     */
    private static function alpha(array $form, array $sums, int $q): array
    {
        $at = CountSums::HEAD + $q;
        $all = $pe = 0.0;
        for ($k = 0; $k < $q; $k++) {
            $all += $sums[$at + $k];
        }
        for ($k = 0; $k < $q; $k++) {
            $pe += ($sums[$at + $k] / $all) ** 2;
        }
        $paired = (float) $sums[1];
        $mean = $all / $paired;
        $raw = $sums[3] / $all;
        $pa = (1.0 - 1.0 / $all) * $raw + 1.0 / $all;
        $alpha = ($raw - $pe) / (1.0 - $pe);
        $scale = 1.0 / ((1.0 - $pe) * $paired);
        $twice = 2.0 * (1.0 - $alpha);
        // Of a unit Σo_kk is P_i r̄, Σ_k n_k is (1 + d_i) r̄.
        $form[3] = $scale / $mean;
        for ($k = 0; $k < $q; $k++) {
            $form[$at + $k] = $scale * (-$pa - $twice * ($sums[$at + $k] / $all - $pe)) / $mean;
        }
        $form[1] = $scale * ($pa - $pe) - $alpha / $paired;

        return array_values($form);
    }

    /**
     * (b − S p)/Σp.
     *
     * @param  list<float>  $form
     * @param  list<float|int>  $sums
     * @return list<float>
     */
    private static function share(array $form, array $sums, int $both, int $possible): array
    {
        $form[$both] = 1.0 / $sums[$possible];
        $form[$possible] = -$sums[$both] / ((float) $sums[$possible] * $sums[$possible]);

        return array_values($form);
    }
}
