<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Measurement\Meter;
use Core\Measurement\Signals;
use Core\Measurement\TimingMeter;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Stance;
use Core\Trace\Trace;

/**
 * How often a measure's ± holds what really happened: simulated golfers, each recorded many times by every kind of
 * instrument, with noise, constant errors and station times drawn anew. The truth is what the same definitions give on
 * two plates without any error, on points without any, at the true station times.
 *
 * @phpstan-type Cell array{n: int, held: int, sum: float, squares: float, widths: list<float>}
 */
final class UncertaintyStudy
{
    public const DEVICES = ['mat', 'plate', 'two plates', 'film'];

    /** Everything that measures is told from one of these. */
    public const COLUMNS = ['mat', 'plate', 'two plates', 'points', 'film'];

    /** Half-width of the 95 % range of a station's time, s. */
    private const STATIONS = 0.008;

    private const TRUE_POINTS_HZ = 480.0;

    /** The window of rates that tells the truth, s. */
    private const FINE = 0.012;

    /** Half-width of the 95 % range of where a foot is said to stand, mm. */
    private const FEET_MM = 5.0;

    /** Faults planted in turn, several at once among them. */
    private const PLANTS = [
        [], [], ['no-load' => 1], ['late-recentre' => 2], [], ['hang-back' => 2], ['sway' => 1, 'late-push' => 1],
        [], ['spin-out' => 1], ['early-rise' => 1], ['late-arrival' => 2], [], ['chest-first' => 1],
        ['jump-off-trail' => 1], ['weak-couple' => 1, 'fall-off' => 1], ['late-load' => 1],
    ];

    /** @var array<string, array<string, Cell>> by instrument, then by measure, with @ and the station where it has one */
    public array $cells = [];

    public function __construct(private readonly Conditions $conditions, private readonly string $seed)
    {
    }

    /**
     * One golfer, so many times on every instrument.
     *
     * @throws CoreException
     */
    public function golfer(int $i, int $times): void
    {
        $plant = new Plant(self::PLANTS[$i % count(self::PLANTS)]);
        $swing = Swing::simulated(GolferSpec::ofStudy($this->seed, $i, $plant));
        [$trace, $motion] = $swing->truth(self::TRUE_POINTS_HZ);
        $exact = StationTimes::fromTimes(array_map(
            static fn (StationTime $t): StationTime => new StationTime($t->t, 0.0, StationSource::File),
            $swing->stations->all(),
        ));
        $evidence = new Evidence($exact, $trace, $motion, $swing->stance);
        $truth = Meter::read($evidence, false)->with(
            Measure::ChestFirst,
            (new TimingMeter(new Signals($evidence, false), self::FINE))->read()['chest_first'],
        );
        for ($k = 0; $k < $times; $k++) {
            $seed = "$this->seed|$i|$k";
            $chance = new Chance("stations|$seed");
            $stations = StationTimes::fromTimes(array_map(
                static fn (StationTime $t): StationTime => new StationTime(
                    $t->t + $chance->normal(0.0, self::STATIONS / 1.96),
                    self::STATIONS,
                    StationSource::File,
                ),
                $swing->stations->all(),
            ));
            $see = fn (View $view) => Camera::record($swing->motion(), $view, $seed, $this->conditions);
            $points = new Views($see(View::Points));
            foreach (DeviceClass::cases() as $d => $device) {
                $read = Meter::read(new Evidence(
                    $stations,
                    $this->standing($swing->on($device, $seed, $this->conditions), $chance),
                    $points,
                    $swing->stance,
                ));
                $this->compare(self::DEVICES[$d], $read, $truth, $d === 2);
            }
            $this->compare('film', Meter::read(new Evidence(
                $stations,
                null,
                new Views($see(View::FaceOn), $see(View::DownTheLine)),
                $swing->stance,
            )), $truth, true);
        }
    }

    /**
     * Counts of another process added.
     *
     * @param  array<string, array<string, Cell>>  $cells
     */
    public function add(array $cells): void
    {
        foreach ($cells as $column => $measures) {
            foreach ($measures as $at => $cell) {
                $mine = $this->cells[$column][$at] ?? null;
                $this->cells[$column][$at] = $mine === null ? $cell : [
                    'n' => $mine['n'] + $cell['n'],
                    'held' => $mine['held'] + $cell['held'],
                    'sum' => $mine['sum'] + $cell['sum'],
                    'squares' => $mine['squares'] + $cell['squares'],
                    'widths' => [...$mine['widths'], ...$cell['widths']],
                ];
            }
        }
    }

    /**
     * The trace with the feet where somebody drew them, on a single plate, whose share is made of it.
     *
     * @throws CoreException
     */
    private function standing(Trace $trace, Chance $chance): Trace
    {
        if ($trace->device !== DeviceClass::Plate || $trace->stance === null) {
            return $trace;
        }
        $moved = static fn (Foot $f): Foot => new Foot(
            $f->xMm + $chance->normal(0.0, self::FEET_MM / 1.96),
            $f->yMm,
            $f->lengthMm,
            $f->widthMm,
            $f->flareDeg,
        );

        return new Trace(
            $trace->device,
            $trace->rateHz,
            $trace->channels,
            new Stance($moved($trace->stance->lead), $moved($trace->stance->trail)),
            $trace->massKg,
        );
    }

    /** @param  bool  $points  whether what comes from body points alone counts here, which no instrument changes */
    private function compare(string $device, Measurements $read, Measurements $truth, bool $points): void
    {
        foreach ($read->all() as $key => $found) {
            $measure = Measure::from($key);
            $alone = $measure->isKinematic() && count($measure->signals()) === 1;
            if ($alone && ! $points) {
                continue;
            }
            foreach ($found instanceof Measured ? ['' => $found] : $found as $station => $m) {
                $true = $truth->get($measure, $station === '' ? null : (string) $station);
                [$value, $held] = [$m->number(), $true->number()];
                if ($value === null || $held === null || $m->uncertainty === null || $m->censored !== null
                    || $true->censored !== null) {
                    continue;
                }
                $error = $value - $held;
                if ($m->unit === 'degrees') {
                    $error = fmod($error + 540.0, 360.0) - 180.0;
                }
                $at = $station === '' ? $key : "$key@$station";
                $column = $alone && $device !== 'film' ? 'points' : $device;
                $cell = $this->cells[$column][$at] ?? ['n' => 0, 'held' => 0, 'sum' => 0.0, 'squares' => 0.0,
                    'widths' => []];
                $cell['n']++;
                $cell['held'] += abs($error) <= $m->uncertainty ? 1 : 0;
                $cell['sum'] += $error;
                $cell['squares'] += $error * $error;
                $cell['widths'][] = $m->uncertainty;
                $this->cells[$column][$at] = $cell;
            }
        }
    }
}
