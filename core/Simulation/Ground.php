<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Trace\Foot;
use Core\Trace\Stance;

/**
 * What the ground does to the synthetic golfer, under each foot, at 1000 Hz, before any instrument: mass times the
 * acceleration of the body's own segments, acting where their moments say.
 *
 * How two feet share a force is not in the motion. Down and along the line each bears it by its share of the
 * pressure; from heel to toe they push against each other as the score asks; what turning is left is each foot's free
 * moment.
 */
final readonly class Ground
{
    public const RATE = 1000.0;

    /** The body is looked at every so many seconds: its motion stays below 25 Hz. */
    private const STEP = 0.004;

    private const GRAVITY = 9806.65;

    /** What the trail foot bears of the force from heel to toe, beside their pushing against each other. */
    private const TRAIL_BEARS = 0.1;

    /** The most that both soles turn on the ground, as body weight on a lever, mm. */
    private const SOLE = 40.0;

    /** How much of what it presses down with a sole can push along the ground, beside what it does already. */
    private const GRIP = 0.6;

    /** What is left of it by impact. */
    private const LET_GO = 0.0;

    /**
     * @return array<string, list<float>> lead_ and trail_ before fx_n … copy_mm, noise-free
     *
     * @throws CoreException
     */
    public static function forces(GolferSpec $spec, Score $score, Body $body): array
    {
        $steps = (int) round($score->duration / self::STEP) + 1;
        [$centre, $turned] = Momentum::of($body, $steps, self::STEP);
        $rows = [];
        for ($i = 0; $i < $steps; $i++) {
            $rows[] = self::atOnce($spec, $score, $body->stance, $i * self::STEP, $centre, $turned, $i);
        }
        // At its ends a difference of three is none.
        $rows[0] = $rows[1];
        $rows[$steps - 1] = $rows[$steps - 2];
        $count = (int) round($score->duration * self::RATE) + 1;
        $every = (int) round(self::STEP * self::RATE);
        $out = [];
        foreach (array_keys($rows[0]) as $name) {
            for ($i = 0; $i < $count; $i++) {
                $k = min(intdiv($i, $every), $steps - 1);
                $next = min($k + 1, $steps - 1);
                $part = (float) ($i - $k * $every) / (float) $every;
                $out[$name][] = $rows[$k][$name] + $part * ($rows[$next][$name] - $rows[$k][$name]);
            }
        }

        return $out;
    }

    /**
     * Where pressure is in all, as the score asks for it.
     *
     * @return array{float, float} mm
     */
    public static function pressure(Score $score, Stance $stance, float $t): array
    {
        $share = $score->at('share', $t) / 100.0;
        $lead = self::under($score, 'lead', $stance->lead, $t);
        $trail = self::under($score, 'trail', $stance->trail, $t);

        return [
            $share * $lead[0] + (1.0 - $share) * $trail[0],
            $share * $lead[1] + (1.0 - $share) * $trail[1],
        ];
    }

    /** How far the trail foot still holds on the ground to push along it: it is let go on the way to impact. */
    private static function holds(Score $score, float $t): float
    {
        [$ld, $im] = [$score->stations['LD'], $score->stations['IM']];
        $part = max(0.0, min(1.0, ($t - $ld) / ($im - $ld)));

        return self::LET_GO + (1.0 - self::LET_GO) * 0.5 * (1.0 + cos(M_PI * $part));
    }

    /** @return array{float, float} where one foot presses, mm */
    private static function under(Score $score, string $side, Foot $foot, float $t): array
    {
        $heading = deg2rad($foot->heading());
        $along = $score->at($side.'_cop', $t) / 100.0 * $foot->lengthMm;
        // Outward of the trail foot is away from the target.
        $across = $side === 'trail' ? -$score->at('trail_edge', $t) / 100.0 * $foot->widthMm : 0.0;

        return [
            $foot->xMm + $along * sin($heading) + $across * cos($heading),
            $foot->yMm + $along * cos($heading) - $across * sin($heading),
        ];
    }

    /**
     * @param  list<array{float, float, float}>  $centre  mm
     * @param  list<array{float, float, float}>  $turned  per kg, mm²/s²
     * @return array<string, float>
     */
    private static function atOnce(
        GolferSpec $spec,
        Score $score,
        Stance $stance,
        float $t,
        array $centre,
        array $turned,
        int $i,
    ): array {
        $last = count($centre) - 1;
        $force = [0.0, 0.0, self::GRAVITY];
        if ($i > 0 && $i < $last) {
            foreach ([0, 1, 2] as $axis) {
                $force[$axis] +=
                    ($centre[$i + 1][$axis] - 2.0 * $centre[$i][$axis] + $centre[$i - 1][$axis]) / self::STEP ** 2;
            }
        }
        [$fx, $fy, $fz] = $force;
        [$x, $y, $z] = $centre[$i];
        $cop = [$x - ($z * $fx + $turned[$i][1]) / $fz, $y - ($z * $fy - $turned[$i][0]) / $fz];
        // In the codebook's sense: opening to the target positive.
        $opening = -($turned[$i][2] - (($cop[0] - $x) * $fy - ($cop[1] - $y) * $fx));

        $lead = self::under($score, 'lead', $stance->lead, $t);
        $trail = self::under($score, 'trail', $stance->trail, $t);
        $share = ($cop[0] - $trail[0]) / ($lead[0] - $trail[0]);
        $share = max(0.0, min(1.0, $share));
        $off = $cop[1] - $share * $lead[1] - (1.0 - $share) * $trail[1];
        $kg = $spec->massKg / 1000.0;
        $couple = $score->at('couple', $t) / 100.0 * self::GRAVITY;
        $along = [1.0 - self::TRAIL_BEARS, self::TRAIL_BEARS];
        $opposed =
            -($lead[0] - $cop[0]) * ($along[0] * $fy - $couple) -
            ($trail[0] - $cop[0]) * ($along[1] * $fy + $couple) +
            ($share * $lead[1] + (1.0 - $share) * $trail[1] + $off - $cop[1]) * $fx;
        // A sole turns on the ground no harder than it holds; what is more the feet do by pushing against each other.
        $left = $opening - $opposed;
        $most = self::SOLE * self::GRAVITY;
        $free = $most * tanh($left / $most);
        $extra = ($left - $free) / ($lead[0] - $trail[0]);
        $grip = self::GRIP * $score->opposes * $fz * (1.0 - $share) * self::holds($score, $t);
        $extra = $grip > 1.0 ? $grip * tanh($extra / $grip) : 0.0;
        $couple += $extra;
        $free = $left - $extra * ($lead[0] - $trail[0]);
        $out = [];
        foreach (
            [
                'lead' => [$share, $lead, $along[0] * $fy - $couple],
                'trail' => [1.0 - $share, $trail, $along[1] * $fy + $couple],
            ] as $side => [$part, $at, $forward]
        ) {
            $out[$side.'_fx_n'] = $kg * $fx * $part;
            $out[$side.'_fy_n'] = $kg * $forward;
            $out[$side.'_fz_n'] = $kg * $fz * $part;
            $out[$side.'_mz_nm'] = ($kg * $free * $part) / 1000.0;
            $out[$side.'_copx_mm'] = $at[0];
            $out[$side.'_copy_mm'] = $at[1] + $off;
        }

        return $out;
    }
}
