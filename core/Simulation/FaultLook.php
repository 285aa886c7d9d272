<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\Codebook\StandardLenses;
use Core\Codebook\Verdict;
use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Measurement\Illustration;
use Core\Measurement\Meter;
use Core\Motion\Motion;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Motion\View;
use Core\Trace\Foot;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Trace;

/**
 * One fault to be looked at: the same simulated golfer without and with it, as body points, as pressure under the feet
 * and as the curve that a rule decides by.
 *
 * @phpstan-type Seen array{stations: array<string, float>, points: array<string, list<list<int>>>,
 *     share: list<float>, cop: list<list<int|null>>, feet: array<string, list<list<int|null>>>}
 */
final readonly class FaultLook
{
    /** Frames a second of body points and pressures, and of the curve. */
    private const RATE = 50.0;

    private const CURVE_RATE = 100.0;

    /** Shown from so long before address until so long after the finish, s. */
    private const BEFORE = 0.2;

    private const AFTER = 0.1;

    private const SEVERITY = 2.6;

    private const SEED = 'looked-at';

    private const MOTION_HZ = 100.0;

    /** Seen best by who looks along the line of feet and target. */
    private const DOWN_THE_LINE = ['toe-dive', 'heel-fall', 'early-rise', 'heel-pop', 'spin-out', 'chest-first'];

    /**
     * @return Seen the golfer who has none
     *
     * @throws CoreException
     */
    public static function without(): array
    {
        [$trace, $motion, $swing] = self::swing(new Plant);

        return self::seen($swing, $trace, $motion);
    }

    /**
     * @return array{fault: string, view: string, station: string, rate: float, curve_rate: float,
     *     curve: array{name: string, unit: string, level: float|null, moment: float|null, without: list<float|null>,
     *     with: list<float|null>}|null, with: Seen} times in s from the first frame, places in mm
     *
     * @throws CoreException
     */
    public static function of(string $fault): array
    {
        [$trace, $motion, $swing] = self::swing(new Plant([$fault => self::SEVERITY]));
        $evidence = new Evidence($swing->exactStations(), $trace, $motion, $swing->stance);
        $book = self::counts($fault);

        return [
            'fault' => $fault,
            'view' => (in_array($fault, self::DOWN_THE_LINE, true) ? View::DownTheLine : View::FaceOn)->value,
            'station' => $book->fault($fault)->station->value,
            'rate' => self::RATE,
            'curve_rate' => self::CURVE_RATE,
            'curve' => self::curve($book, $fault, $evidence),
            'with' => self::seen($swing, $trace, $motion),
        ];
    }

    /**
     * The codebook under the first lens by which the fault counts.
     *
     * @throws CoreException
     */
    private static function counts(string $fault): Codebook
    {
        foreach (array_keys(StandardLenses::rows()) as $lens) {
            $book = Codebook::standard($lens);
            if (in_array($fault, $book->keys(), true)) {
                return $book;
            }
        }

        throw SimulationException::because('not-plantable', key: $fault, faults: implode(', ', Plant::FAULTS));
    }

    /**
     * Whether the rules support the fault in what is shown of it.
     *
     * @throws CoreException
     */
    public static function isThere(string $fault): bool
    {
        [$trace, $motion, $swing] = self::swing(new Plant([$fault => self::SEVERITY]));
        $evidence = new Evidence($swing->exactStations(), $trace, $motion, $swing->stance);
        $book = self::counts($fault);
        $judged = $book->judge(
            $fault,
            Meter::read($evidence, false),
            Shown::fromEvidence($evidence),
            $book->scale($evidence->stations),
        );

        return $judged->verdict === Verdict::Supported;
    }

    /**
     * @return array{Trace, Motion, Swing}
     *
     * @throws CoreException
     */
    private static function swing(Plant $plant): array
    {
        $swing = Swing::simulated(new GolferSpec(self::SEED, $plant));

        return [...$swing->truth(self::MOTION_HZ), $swing];
    }

    private static function from(Swing $swing): float
    {
        return ($swing->stations->t(Station::Address) ?? 0.0) - self::BEFORE;
    }

    private static function frames(Swing $swing, float $rate): int
    {
        $until = ($swing->stations->t(Station::Finish) ?? 0.0) + self::AFTER;

        return (int) floor(($until - self::from($swing)) * $rate) + 1;
    }

    /**
     * @return Seen
     *
     * @throws CoreException
     */
    private static function seen(Swing $swing, Trace $trace, Motion $motion): array
    {
        $from = self::from($swing);
        $share = $trace->leadShare();
        $points = $cop = $feet = $lead = [];
        $net = $trace->cop();
        for ($i = 0, $n = self::frames($swing, self::RATE); $i < $n; $i++) {
            $t = $from + $i / self::RATE;
            $k = (int) round(($t - $motion->t0) * $motion->rateHz);
            foreach ($motion->points as $name => $axes) {
                foreach ($axes as $axis => $values) {
                    $points[$name][$axis][] = (int) round($values[max(0, min(count($values) - 1, $k))]);
                }
            }
            $lead[] = round($share?->at($t) ?? 50.0, 1);
            foreach (['x', 'y'] as $axis => $letter) {
                $cop[$axis][] = self::whole($net[$axis]->at($t));
                foreach (Side::cases() as $side) {
                    $feet[$side->value][$axis][] = self::whole(
                        $trace->series("{$side->value}_cop{$letter}_mm")?->at($t),
                    );
                }
            }
        }

        return [
            'stations' => array_map(
                static fn (StationTime $s): float => round($s->t - $from, 3),
                $swing->stations->all(),
            ),
            'points' => array_map(array_values(...), $points),
            'share' => $lead,
            'cop' => $cop,
            'feet' => array_map(array_values(...), $feet),
        ];
    }

    private static function whole(?float $mm): ?int
    {
        return $mm === null ? null : (int) round($mm);
    }

    /**
     * The curve of the first condition that decides and has one.
     *
     * @return array{name: string, unit: string, level: float|null, moment: float|null, without: list<float|null>,
     *     with: list<float|null>}|null
     *
     * @throws CoreException
     */
    private static function curve(Codebook $book, string $fault, Evidence $with): ?array
    {
        [$trace, $motion, $swing] = self::swing(new Plant);
        $without = new Evidence($swing->exactStations(), $trace, $motion, $swing->stance);
        $judged = $book->judge(
            $fault,
            Meter::read($with, false),
            Shown::fromEvidence($with),
            $book->scale($with->stations),
        );
        foreach ($judged->deciding as $of) {
            $drawn = Illustration::ofMeasure($with, $of->measure, $of->station);
            $other = Illustration::ofMeasure($without, $of->measure, $of->station);
            if ($drawn === null || $other === null || ! is_float($of->threshold)) {
                continue;
            }
            $moment = $drawn->moment($of->threshold);

            return [
                'name' => $drawn->name,
                'unit' => $drawn->unit,
                'level' => self::rounded($drawn->level($of->threshold)),
                'moment' => $moment === null ? null : round($moment - self::from($swing), 3),
                'without' => self::sampled($other->curve, $swing),
                'with' => self::sampled($drawn->curve, $swing),
            ];
        }

        return null;
    }

    /** @return list<float|null> */
    private static function sampled(Series $curve, Swing $swing): array
    {
        $out = [];
        for ($i = 0, $n = self::frames($swing, self::CURVE_RATE); $i < $n; $i++) {
            $out[] = self::rounded($curve->at(self::from($swing) + $i / self::CURVE_RATE));
        }

        return $out;
    }

    private static function rounded(?float $v): ?float
    {
        return $v === null ? null : round($v, 2);
    }

    /**
     * @return array<string, array{x_mm: float, y_mm: float, length_mm: float, width_mm: float, flare_deg: float|null}>
     *
     * @throws CoreException
     */
    public static function stance(): array
    {
        $stance = self::swing(new Plant)[2]->stance;
        $foot = static fn (Foot $f): array => [
            'x_mm' => round($f->xMm, 1),
            'y_mm' => round($f->yMm, 1),
            'length_mm' => round($f->lengthMm, 1),
            'width_mm' => round($f->widthMm, 1),
            'flare_deg' => $f->flareDeg === null ? null : round($f->flareDeg, 1),
        ];

        return ['lead' => $foot($stance->lead), 'trail' => $foot($stance->trail)];
    }
}
