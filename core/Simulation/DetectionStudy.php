<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Observability;
use Core\Codebook\Shown;
use Core\Codebook\StandardLenses;
use Core\Codebook\SwingReport;
use Core\Codebook\Verdict;
use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Measurement\Meter;
use Core\Motion\StationsFromMotion;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\DeviceClass;

/**
 * What the rules say of simulated golfers when they are recorded as a bench would – noise, constant errors and stations
 * found by the program – beside what the same rules say of the true values. Under every lens, by every instrument; most
 * golfers carry several faults of any strength, so that values fall on both sides of every threshold and close to it.
 *
 * @phpstan-type Count array{sight: Observability, present: int, found: int, leaning: int, denied: int, absent: int,
 *     false: int, between: int}
 * @phpstan-type Bin array{n: int, other: int, opposite: int, expected: float}
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

    /** Lower ends of distances from the deciding threshold, in units of the value's own ±. */
    public const DISTANCES = [0.0, 0.25, 0.5, 0.75, 1.0, 1.5, 2.0, 3.0];

    /** One golfer in so many has no fault planted. */
    private const ORDINARY = 6;

    private const TRUE_POINTS_HZ = 480.0;

    /** A margin is told apart to so much, and no further than this. */
    private const STEP = 0.1;

    private const FAR = 12.0;

    /** @var array<string, array<string, array<string, Count>>> by lens, arm and fault */
    public array $counts = [];

    /** @var array<string, array<string, array<int, array<int, int>>>> how often a signed margin, in steps, was told under
     *     the default lens: by arm, fault and severity planted, 0 of golfers without any fault
     */
    public array $margins = [];

    /** @var array<string, array<string, array<int, Bin>>> by sight, verdict and distance: how truth said otherwise */
    public array $distances = [];

    public int $golfers = 0;

    public int $ordinary = 0;

    public function __construct(private readonly string $seed)
    {
    }

    /** @throws CoreException */
    public function golfer(int $i): void
    {
        $plant = self::planted($i, $this->seed);
        $this->golfers++;
        $this->ordinary += $plant->faults === [] ? 1 : 0;
        $swing = Swing::simulated(GolferSpec::ofStudy($this->seed, $i, $plant));
        $seen = [];
        foreach (View::cases() as $view) {
            $seen[$view->value] = Camera::record($swing->motion(), $view, "$this->seed|$i", Conditions::ordinary());
        }
        $film = StationsFromMotion::find(new Views($seen[View::FaceOn->value]));
        $books = [];
        foreach (array_keys(StandardLenses::rows()) as $lens) {
            $books[$lens] = Codebook::standard($lens);
        }
        [$trace, $motion] = $swing->truth(self::TRUE_POINTS_HZ);
        $exact = new Evidence($swing->exactStations(), $trace, $motion, $swing->stance);
        $true = Meter::read($exact, false);
        $whole = Shown::fromEvidence($exact);
        $truths = array_map(static function (Codebook $book) use ($true, $whole, $exact): array {
            $scale = $book->scale($exact->stations);

            return array_map(
                static fn (string $key): Verdict => $book->judge($key, $true, $whole, $scale)->verdict,
                array_combine($book->keys(), $book->keys()),
            );
        }, $books);
        foreach (self::ARMS as $arm => [$device, $views]) {
            $held = new Views(...array_map(static fn (View $v) => $seen[$v->value], $views));
            $found = $views === [] ? $film : StationsFromMotion::find($held);
            if ($found === null) {
                continue;
            }
            $report = new SwingReport(new Evidence(
                $found->times,
                $device === null ? null : $swing->on($device, "$this->seed|$i", Conditions::ordinary()),
                $held,
                $swing->stance,
            ), $found->doubts);
            foreach ($books as $lens => $book) {
                foreach ($report->faults($book) as $key => $said) {
                    $this->count($lens, $arm, $key, $said, $truths[$lens][$key]);
                    if ($lens === StandardLenses::DEFAULT) {
                        $this->margin($arm, $key, $said, $plant);
                    }
                }
            }
        }
    }

    /**
     * None in some; else two to four of any strength, each fault as often as any other.
     *
     * @throws CoreException
     */
    public static function planted(int $i, string $seed): Plant
    {
        if ($i % self::ORDINARY === 0) {
            return new Plant;
        }
        $chance = new Chance("plant|$seed|$i");
        $order = $chance->shuffled(Plant::FAULTS);
        $faults = [];
        for ($k = 0; $k < 2 + $i % 3; $k++) {
            $faults[$order[$k]] = 0.5 + 2.5 * $chance->uniform();
        }

        return new Plant($faults);
    }

    /** Counts of another process added. */
    public function add(self $other): void
    {
        $this->golfers += $other->golfers;
        $this->ordinary += $other->ordinary;
        foreach ($other->counts as $lens => $arms) {
            foreach ($arms as $arm => $faults) {
                foreach ($faults as $key => $more) {
                    $mine = $this->counts[$lens][$arm][$key] ?? null;
                    $this->counts[$lens][$arm][$key] = $mine === null ? $more : [
                        'sight' => $mine['sight'],
                        'present' => $mine['present'] + $more['present'],
                        'found' => $mine['found'] + $more['found'],
                        'leaning' => $mine['leaning'] + $more['leaning'],
                        'denied' => $mine['denied'] + $more['denied'],
                        'absent' => $mine['absent'] + $more['absent'],
                        'false' => $mine['false'] + $more['false'],
                        'between' => $mine['between'] + $more['between'],
                    ];
                }
            }
        }
        foreach ($other->margins as $arm => $faults) {
            foreach ($faults as $key => $levels) {
                foreach ($levels as $level => $steps) {
                    foreach ($steps as $step => $times) {
                        $this->margins[$arm][$key][$level][$step] =
                            ($this->margins[$arm][$key][$level][$step] ?? 0) + $times;
                    }
                }
            }
        }
        foreach ($other->distances as $sight => $verdicts) {
            foreach ($verdicts as $verdict => $bins) {
                foreach ($bins as $k => $more) {
                    $mine = $this->distances[$sight][$verdict][$k] ?? null;
                    $this->distances[$sight][$verdict][$k] = $mine === null ? $more : [
                        'n' => $mine['n'] + $more['n'],
                        'other' => $mine['other'] + $more['other'],
                        'opposite' => $mine['opposite'] + $more['opposite'],
                        'expected' => $mine['expected'] + $more['expected'],
                    ];
                }
            }
        }
    }

    /**
     * How often a golfer with this fault stands further on its side than one without any; half where they stand alike.
     * Null where there were too few of either.
     */
    public function area(string $arm, string $fault, int $severity): ?float
    {
        $of = $this->margins[$arm][$fault] ?? [];
        [$without, $with] = [$of[0] ?? [], $of[$severity] ?? []];
        [$n, $m] = [array_sum($without), array_sum($with)];
        if ($n < 20 || $m < 20) {
            return null;
        }
        $above = 0.0;
        foreach ($with as $margin => $times) {
            foreach ($without as $other => $often) {
                $above += $times * $often * ($margin <=> $other);
            }
        }

        return 0.5 + 0.5 * $above / ($n * $m);
    }

    private function count(string $lens, string $arm, string $key, FaultVerdict $said, Verdict $true): void
    {
        $this->counts[$lens][$arm][$key] ??= [
            'sight' => $said->observability, 'present' => 0, 'found' => 0, 'leaning' => 0, 'denied' => 0, 'absent' => 0,
            'false' => 0, 'between' => 0,
        ];
        if ($true === Verdict::NotMeasurable) {
            return;
        }
        $c = &$this->counts[$lens][$arm][$key];
        // How well it is seen may differ from swing to swing: what is usual is told.
        $verdict = $said->judgement->verdict;
        $isSure = $said->judgement->isSure();
        if ($true === Verdict::Supported) {
            $c['present']++;
            $c['found'] += $verdict === Verdict::Supported && $isSure ? 1 : 0;
            $c['leaning'] += $verdict === Verdict::Borderline || ($verdict === Verdict::Supported && ! $isSure) ? 1 : 0;
            $c['denied'] += $verdict === Verdict::Contradicted && $isSure ? 1 : 0;
        } else {
            $c['absent']++;
            $c['between'] += $true === Verdict::Borderline ? 1 : 0;
            $c['false'] += $verdict === Verdict::Supported && $isSure ? 1 : 0;
        }
        unset($c);
        $margin = $said->judgement->margin;
        $claims = in_array($verdict, [Verdict::Supported, Verdict::Contradicted], true);
        if (! $claims || $margin === null || $said->observability === Observability::NotObservable) {
            return;
        }
        $band = 0;
        foreach (self::DISTANCES as $k => $from) {
            $band = $margin >= $from ? $k : $band;
        }
        $bin = &$this->distances[$said->observability->value][$verdict->value][$band];
        $bin ??= ['n' => 0, 'other' => 0, 'opposite' => 0, 'expected' => 0.0];
        $bin['n']++;
        $bin['other'] += $true !== $verdict ? 1 : 0;
        $bin['opposite'] += $true !== $verdict && $true !== Verdict::Borderline ? 1 : 0;
        $bin['expected'] += $said->judgement->chanceWrong() ?? 0.0;
    }

    private function margin(string $arm, string $key, FaultVerdict $said, Plant $plant): void
    {
        $severity = $plant->severity($key);
        if (($plant->faults !== [] && $severity <= 0.0) || $said->observability !== Observability::Observable) {
            return;
        }
        $of = $said->judgement;
        $side = match ($of->verdict) {
            Verdict::Supported => 1.0,
            Verdict::Contradicted => -1.0,
            default => 0.0,
        };
        if ($of->verdict === Verdict::NotMeasurable) {
            return;
        }
        $step = (int) round(max(-self::FAR, min(self::FAR, $side * abs($of->margin ?? self::FAR))) / self::STEP);
        $level = $severity <= 0.0 ? 0 : max(1, (int) round($severity));
        $this->margins[$arm][$key][$level][$step] = ($this->margins[$arm][$key][$level][$step] ?? 0) + 1;
    }
}
