<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Codebook\Shown;
use Core\CoreException;
use Core\Motion\Station;
use Core\Reading\Call;
use Core\Reading\Decision;
use Core\Reading\Outside;
use Core\Reading\Pin;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Core\Reading\Severity;

/**
 * A synthetic rater by signal detection: each fault gives an impression (its severity times the rater's
 * sensitivity, less where it is seen only indirectly, plus noise) and is called present beyond the rater's
 * criterion. Criterion drifts with the number of cases read; confidence grows with distance from it.
 */
final readonly class Rater
{
    /**
     * @param  float  $sensitivity  d′ for a clear fault, directly seen
     * @param  float  $criterion  in the same unit; low = calls much, high = calls little
     * @param  float  $drift  change of criterion per case
     * @param  float  $candour  0 to 1: how readily "cannot tell" is said of what cannot be seen
     * @param  float  $swagger  per cent of confidence too much (or too little)
     * @param  list<string>  $blindTo  faults this rater hardly sees
     */
    public function __construct(
        public float $sensitivity,
        public float $criterion,
        public float $drift = 0.0,
        public float $candour = 0.5,
        public float $swagger = 0.0,
        public array $blindTo = [],
    ) {
    }

    /**
     * @param  array<string, int|float>  $truth  severity by planted fault
     * @param  int  $nth  how many cases this rater has read before
     * @param  array<string, float>  $stations  seconds by code
     * @param  list<Outside>  $outside  what is the cause outside the feet
     * @param  int|null  $breaks  where the change of a ladder breaks
     *
     * @throws CoreException
     */
    public function read(
        Codebook $codebook,
        array $truth,
        Shown $shown,
        int $nth,
        array $stations,
        Chance $chance,
        array $outside = [],
        ?int $breaks = null,
    ): Reading {
        $calls = $strength = [];
        $seen = $shown->film || $shown->views !== [];
        foreach ($codebook->faults as $key => $fault) {
            // Every draw is made for every fault, so that one call never shifts another.
            $noise = $chance->normal();
            $tells = $chance->uniform();
            $detail = $chance->uniform();
            $sight = $fault->observability($shown);
            $keenness =
                $this->sensitivity *
                ($sight === Observability::Observable ? 1.0 : 0.7) *
                (in_array($key, $this->blindTo, true) ? 0.35 : 1.0);
            $signal = $keenness * [0.0, 0.6, 1.0, 1.25][(int) round($truth[$key] ?? 0)];
            $beyond = $signal + $noise - ($this->criterion + $this->drift * $nth) - $keenness / 2;
            $unsure = match ($sight) {
                Observability::NotObservable => $this->candour,
                Observability::Indirect => 0.18 * $this->candour,
                Observability::Observable => 0.02,
            };
            if ($tells < $unsure) {
                $calls[$key] = new Call($key, Presence::CannotTell);

                continue;
            }
            $sure = (int) (5 * round(max(50.0, min(100.0, 58.0 + 16.0 * abs($beyond) + $this->swagger)) / 5));
            if ($beyond <= 0.0) {
                $calls[$key] = new Call($key, Presence::Absent, confidence: $sure);

                continue;
            }
            $strength[$key] = $beyond;
            $severity = max(1, min(3, (int) round(($truth[$key] ?? 1) + 0.9 * ($detail - 0.5))));
            $order = max(0, min(8, $fault->station->order() + ($detail > 0.85 ? 1 : ($detail < 0.12 ? -1 : 0))));
            $onset = Station::cases()[$order];
            $on = $seen && ($detail < 0.6 || $shown->device === null) ? 'film' : 'trace';
            $calls[$key] = new Call(
                $key,
                Presence::Present,
                Severity::from($severity),
                $onset,
                $severity === 1 ? Decision::Later : Decision::Now,
                $sure,
                [new Pin($on, round(($stations[$onset->value] ?? 1.0) + 0.03 * ($detail - 0.5), 3))],
            );
        }
        arsort($strength);

        // Own times of top and impact, where there is film to see them in: impact is sharper than the top, and whoever
        // is slow to call is late to mark.
        $marks = [];
        foreach (['TP' => 0.014, 'IM' => 0.005] as $code => $spread) {
            $off = $chance->normal($spread * $this->criterion, $spread);
            if ($seen && isset($stations[$code])) {
                $marks[$code] = round($stations[$code] + $off, 4);
            }
        }

        return (new Prescriber($codebook, $this->sensitivity))
            ->complete(new Reading($calls, marks: $marks), $strength, $outside, $breaks, $chance);
    }
}
