<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Recording;
use Core\Measurement\Illustration;
use Core\Measurement\Measured;
use Core\Motion\Station;
use Core\Number\Written;

/**
 * For each condition a verdict came from: the curve, the threshold, the value with its uncertainty, as points of a
 * drawing.
 */
final class VerdictCurves
{
    public const WIDTH = 380;

    public const HEIGHT = 132;

    private const POINTS = 240;

    /** @return list<array<string, mixed>> */
    public function of(Recording $recording, string $fault, string $lens): array
    {
        $recording->loadMissing(['channels', 'views', 'stations', 'measured']);
        $set = $recording->measured ?? abort(409, 'It is being measured.');
        $evidence = $recording->evidence();
        $from = ($evidence->stations->t(Station::Address) ?? $recording->t0) - 0.25;
        $to = ($evidence->stations->t(Station::Finish) ?? $from + 2.5) + 0.1;
        $out = [];
        foreach (($set->verdicts($lens)[$fault] ?? null)->judgement->deciding ?? [] as $condition) {
            $measure = $condition->measure;
            $found = $condition->foundIn($set->measured());
            $drawn = Illustration::of($evidence, $measure, $condition->station);
            $chart = [
                'title' => ucfirst($measure->label()).($condition->station === null ? '' : ' at '.$condition->station),
                'value' => $found->value,
                'uncertainty' => $found->uncertainty,
                'unit' => $found->unit,
                'censored' => $found->censored,
                'op' => $condition->op,
                'threshold' => $condition->threshold,
                'definition' => $measure->definition(),
                'curve' => null,
            ];
            if ($drawn !== null && is_float($condition->threshold)) {
                $chart = [
                    ...$chart,
                    ...self::drawing($drawn, $from, $to, $condition->threshold, $found, $evidence->stations->all()),
                ];
            }
            $out[] = $chart;
        }

        return $out;
    }

    /**
     * @param  array<string, \Core\Motion\StationTime>  $stations
     * @return array<string, mixed>
     */
    private static function drawing(
        Illustration $drawn,
        float $from,
        float $to,
        float $threshold,
        Measured $found,
        array $stations,
    ): array {
        $points = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $t = $from + ($to - $from) * $i / self::POINTS;
            $v = $drawn->curve->at($t);
            if ($v !== null) {
                $points[] = [$t, $v];
            }
        }
        if ($points === []) {
            return [];
        }
        $levels = array_column($points, 1);
        $level = $drawn->level($threshold);
        [$low, $high] = [min([...$levels, $level ?? INF]), max([...$levels, $level ?? -INF])];
        $pad = 0.08 * max(1e-6, $high - $low);
        [$low, $high] = [$low - $pad, $high + $pad];
        $x = static fn (float $t): float => round(34 + (self::WIDTH - 38) * ($t - $from) / ($to - $from), 1);
        $y = static fn (float $v): float => round(6 + (self::HEIGHT - 26) * (1 - ($v - $low) / ($high - $low)), 1);
        $value = $found->number();
        $u = $found->uncertainty ?? 0.0;
        $moment = $drawn->moment($threshold);
        // Where on the curve the value was read: at its station, or at the middle of its window for an extreme.
        $window = $found->window;
        $at = $value === null ? null : ($drawn->moment($value) ?? self::readAt($drawn, $value, $window));
        $path = '';
        foreach ($points as $i => [$t, $v]) {
            $path .= ($i === 0 ? 'M' : 'L').$x($t).' '.$y($v);
        }

        return [
            'curve' => $path,
            'label' => $drawn->label,
            'curveUnit' => $drawn->unit,
            'ticks' => array_map(static fn (float $v): array => [$y($v), self::tick($v, $high - $low)], [
                $low + $pad,
                ($low + $high) / 2,
                $high - $pad,
            ]),
            'stations' => array_map(
                static fn ($s): float => $x($s->t),
                array_filter($stations, static fn ($s): bool => $s->t >= $from && $s->t <= $to),
            ),
            'level' => $level === null ? null : $y($level),
            'moment' => $moment === null || $moment < $from || $moment > $to ? null : $x($moment),
            'window' => $window === null ? null : [$x(max($from, (float) $window[0])), $x(min($to, (float) $window[1]))],
            'dot' => $value === null || $at === null
                    ? null
                    : [$x(max($from, min($to, $at))), $y($drawn->level($value) ?? ($drawn->curve->at($at) ?? 0.0))],
            'whisker' => $value === null || $at === null
                    ? null
                    : ($drawn->level($value) !== null
                        ? ['v', $y((float) $drawn->level($value - $u)), $y((float) $drawn->level($value + $u))]
                        : ['h', $x((float) $drawn->moment($value - $u)), $x((float) $drawn->moment($value + $u))]),
        ];
    }

    /** @param  array{float, float}|null  $window */
    private static function readAt(Illustration $drawn, float $value, ?array $window): ?float
    {
        if ($window === null) {
            return null;
        }
        $goal = $drawn->level($value) ?? 0.0;
        $best = (float) $window[1];
        $least = INF;
        for ($i = 0; $i <= 60; $i++) {
            $t = (float) $window[0] + ((float) $window[1] - (float) $window[0]) * $i / 60;
            $d = abs(($drawn->curve->at($t) ?? INF) - $goal);
            if ($d < $least - 1e-9) {
                [$best, $least] = [$t, $d];
            }
        }

        return $best;
    }

    private static function tick(float $v, float $range): string
    {
        return Written::fixed($v, $range < 5 ? 1 : 0);
    }
}
