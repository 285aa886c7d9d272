<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Codebook\Shown;
use Core\Codebook\SwingReport;
use Core\Codebook\Verdict;
use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Motion\Station;
use Core\Motion\StationsFromMotion;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\DeviceClass;

/**
 * How often the rules find a fault that was planted, and how often they support one that was not, over simulated
 * golfers of both hands with three kinds of club, measured as a recording would be: stations found by the program
 * where there are body points, marked to about a frame where there are none; noise of every instrument in place.
 */
final class DetectionStudy
{
    public const ARMS = [
        'mat' => [DeviceClass::Mat, []],
        'plate' => [DeviceClass::Plate, []],
        'two plates' => [DeviceClass::DualPlate, []],
        'mat + points' => [DeviceClass::Mat, [View::Points]],
        'plate + points' => [DeviceClass::Plate, [View::Points]],
        'two plates + points' => [DeviceClass::DualPlate, [View::Points]],
        'film' => [null, [View::FaceOn, View::DownTheLine]],
    ];

    private const SEVERITIES = [2, 3, 2, 3, 1];

    /**
     * @var array<string, array<string, array{sight: Observability, asked: int, found: int, supported: int,
     * contradicted: int, clean: int, false: int}>> by fault, by arm
     */
    public array $counts = [];

    /** @var list<float> errors of station times found in motion, s */
    public array $stationErrors = [];

    public int $unflagged = 0;

    private function __construct(private readonly Codebook $codebook)
    {
        foreach ($codebook->keys() as $key) {
            foreach (array_keys(self::ARMS) as $arm) {
                $this->counts[$key][$arm] = [
                    'sight' => Observability::NotObservable,
                    'asked' => 0,
                    'found' => 0,
                    'supported' => 0,
                    'contradicted' => 0,
                    'clean' => 0,
                    'false' => 0,
                ];
            }
        }
    }

    /**
     * @param  callable(int): void|null  $progress called with the number of golfers done
     *
     * @throws CoreException
     */
    public static function run(int $golfers, string $seed = 'detection', ?callable $progress = null): self
    {
        $study = new self(Codebook::standard());
        for ($i = 0; $i < $golfers; $i++) {
            $study->golfer($i, $seed);
            if ($progress !== null) {
                $progress($i + 1);
            }
        }

        return $study;
    }

    /** @throws CoreException */
    private function golfer(int $i, string $seed): void
    {
        $fault = Plant::FAULTS[$i % (count(Plant::FAULTS) + 1)] ?? null;
        $severity = self::SEVERITIES[intdiv($i, count(Plant::FAULTS) + 1) % count(self::SEVERITIES)];
        $plant = new Plant($fault === null ? [] : [$fault => $severity]);
        $swings = [];
        foreach (DeviceClass::cases() as $device) {
            $swings[$device->value] = Swing::simulated(GolferSpec::ofStudy($seed, $i, $plant, $device));
        }
        $any = $swings[DeviceClass::Mat->value];
        $seen = [];
        foreach (View::cases() as $view) {
            $seen[$view->value] = Camera::record($any->motion(), $view, "$seed|$i");
        }
        $points = StationsFromMotion::find(new Views($seen[View::Points->value]));
        $chance = new Chance("marks|$seed|$i");
        $marked = StationTimes::fromTimes(
            array_map(
                static fn (StationTime $t): StationTime => new StationTime(
                    $t->t + $chance->normal(0.0, 0.004),
                    0.008,
                    StationSource::File,
                ),
                $any->stations->all(),
            ),
        );
        foreach ($points?->times->all() ?? [] as $code => $time) {
            $error = $time->t - (float) $any->stations->t(Station::from($code));
            $this->stationErrors[] = abs($error);
            $this->unflagged +=
                abs($error) > 3.0 / $any->motionRateHz && $points?->isDoubtful(Station::from($code)) === false ? 1 : 0;
        }
        foreach (self::ARMS as $arm => [$device, $views]) {
            $held = new Views(...array_map(static fn (View $v) => $seen[$v->value], $views));
            $stations = match (true) {
                $views === [] => $marked,
                $views === [View::Points] => $points->times ?? $marked,
                default => StationsFromMotion::find($held)->times ?? $marked,
            };
            $evidence = new Evidence(
                $stations,
                $device === null ? null : $swings[$device->value]->trace,
                $held,
                $any->stance,
            );
            $this->count($arm, $evidence, $fault, $severity);
        }
    }

    /** @throws CoreException */
    private function count(string $arm, Evidence $evidence, ?string $planted, int $severity): void
    {
        $entailed = $planted === null ? [] : (Plant::ENTAILS[$planted] ?? []);
        $sees = Shown::fromEvidence($evidence);
        foreach ((new SwingReport($evidence))->faults($this->codebook) as $key => $found) {
            $said = $found->judgement->verdict;
            $c = &$this->counts[$key][$arm];
            $c['sight'] = $this->codebook->fault($key)->observability($sees);
            $supported = $said === Verdict::Supported;
            if ($key === $planted) {
                if ($severity >= 2) {
                    $c['asked']++;
                    $c['found'] += $supported || $said === Verdict::Borderline ? 1 : 0;
                    $c['supported'] += $supported ? 1 : 0;
                    $c['contradicted'] += $said === Verdict::Contradicted ? 1 : 0;
                }
            } elseif (! in_array($key, $entailed, true)) {
                $c['clean']++;
                $c['false'] += $supported ? 1 : 0;
            }
            unset($c);
        }
    }
}
