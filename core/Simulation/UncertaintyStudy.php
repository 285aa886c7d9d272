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

/**
 * How often a measure's ± holds what really happened: simulated golfers, each recorded many times by every kind of
 * instrument, with noise, constant errors and station times drawn anew. The truth is what the same definitions give on
 * two plates without any error, on points without any, at the true station times.
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

    /** Faults planted in turn, several at once among them. */
    private const PLANTS = [
        [], [], ['no-load' => 1], ['late-recentre' => 2], [], ['hang-back' => 2], ['sway' => 1, 'late-push' => 1],
        [], ['spin-out' => 1], ['early-rise' => 1], ['late-arrival' => 2], [], ['chest-first' => 1],
        ['jump-off-trail' => 1], ['weak-couple' => 1, 'fall-off' => 1], ['late-load' => 1],
    ];

    /**
     * @var array<string, array<string, Held>> by instrument, then by measure, with @ and the station where it has one
     */
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
        $evidence = new Evidence($swing->exactStations(), $trace, $motion, $swing->stance);
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
                    $swing->on($device, $seed, $this->conditions),
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
     * @param  array<string, array<string, Held>>  $cells
     */
    public function add(array $cells): void
    {
        foreach ($cells as $column => $measures) {
            foreach ($measures as $at => $cell) {
                ($this->cells[$column][$at] ??= new Held)->add($cell);
            }
        }
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
                ($this->cells[$column][$at] ??= new Held)->count($error, $m->uncertainty);
            }
        }
    }
}
