<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsStance;
use App\Models\Casts\PackedFloats;
use Core\Codebook\SwingBasis;
use Core\Codebook\SwingReport;
use Core\Format\Json\MeasuredJson;
use Core\Format\Json\QualityJson;
use Core\Format\Json\ShownJson;
use Core\Measurement\Evidence;
use Core\Measurement\QualityNote;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\View;
use Core\Simulation\MadeSwing as Spec;
use Core\Trace\DeviceClass;
use Core\Trace\QualityFinding;
use Core\Trace\Stance;
use Core\Trace\Trace;
use Core\Version;
use Illuminate\Support\Carbon;

/**
 * A swing of the simulator, as it was recorded and as it truly is. It is nobody's: no golfer, no consent, no round.
 *
 * @phpstan-type MadeSpec array{body: int, faults: array<string, int|float>, hand: string, device: string, easy: bool,
 *     mishap: ?string}
 *
 * @property int $id
 * @property string $key  of how it is made
 * @property MadeSpec $spec
 * @property float $rate_hz
 * @property float $mass_kg
 * @property list<string> $channels
 * @property list<float> $samples  channel after channel
 * @property float $points_hz
 * @property list<string> $points
 * @property list<float> $coordinates  point by point, axis by axis
 * @property array<string, array{float, float}> $stations  time and doubt, s, by code
 * @property Stance $stance
 * @property array{measurements: mixed, held: mixed, quality: list<mixed>} $measured  by the instrument
 * @property array{measurements: mixed, held: mixed} $truly
 * @property array{version: string, lenses: array<string, array<string, bool>>} $settled  which faults are there and
 *     which are not, by lens
 * @property string $core_version
 * @property Carbon $made_at
 */
final class MadeSwing extends Row
{
    public $timestamps = false;

    private ?Evidence $evidence = null;

    private ?SwingBasis $basis = null;

    private ?SwingBasis $true = null;

    protected $fillable = [
        'key', 'spec', 'rate_hz', 'mass_kg', 'channels', 'samples', 'points_hz', 'points', 'coordinates', 'stations',
        'stance',
        'measured', 'truly', 'settled', 'core_version', 'made_at',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            ...array_fill_keys(['spec', 'channels', 'points', 'stations', 'measured', 'truly', 'settled'], 'array'),
            'stance' => AsStance::class,
            'samples' => PackedFloats::class,
            'coordinates' => PackedFloats::class,
            'rate_hz' => 'float',
            'mass_kg' => 'float',
            'points_hz' => 'float',
            'made_at' => 'datetime',
        ];
    }

    /**
     * Made, measured and judged; half a second or so.
     *
     * @param  string  $version  of the codebook
     * @param  callable(SwingBasis): array<string, array<string, bool>>  $settled  by lens, what of it is so and what
     *     not
     * @return array<string, mixed>
     */
    public static function row(Spec $spec, string $version, callable $settled): array
    {
        $evidence = $spec->evidence();
        $report = new SwingReport($evidence);
        $truly = $spec->truly();
        /** @var Trace $trace the simulator gives one, and the motion */
        $trace = $evidence->trace;
        /** @var CoreMotion $motion */
        $motion = $evidence->views->of(View::Points);
        $row = Motion::row($motion);

        return [
            'key' => $spec->key(),
            'spec' => $spec->toArray(),
            'rate_hz' => $trace->rateHz,
            'mass_kg' => $trace->massKg,
            'channels' => array_keys($trace->channels),
            'samples' => array_merge(...array_values($trace->channels)),
            'points_hz' => $motion->rateHz,
            'points' => $row['points'],
            'coordinates' => $row['coordinates'],
            'stations' => array_map(
                static fn (StationTime $t): array => [$t->t, $t->uncertainty],
                $evidence->stations->all(),
            ),
            'stance' => $evidence->stance,
            'measured' => [
                'measurements' => MeasuredJson::write($report->assessment->measurements),
                'held' => ShownJson::write($report->basis->held),
                'quality' => array_map(QualityJson::write(...), $report->assessment->quality()),
            ],
            'truly' => [
                'measurements' => MeasuredJson::write($truly->measurements),
                'held' => ShownJson::write($truly->held),
            ],
            'core_version' => Version::CURRENT,
            'settled' => ['version' => $version, 'lenses' => $settled($truly)],
            'made_at' => Carbon::now(),
        ];
    }

    public function spec(): Spec
    {
        return Spec::fromArray($this->spec);
    }

    public function device(): DeviceClass
    {
        return DeviceClass::from($this->spec['device']);
    }

    /** What a bench holds of it. */
    public function evidence(): Evidence
    {
        return $this->evidence ??= new Evidence(
            $this->stationTimes(),
            $this->trace(),
            $this->motion(),
            $this->stance,
        );
    }

    public function stationTimes(): StationTimes
    {
        $times = $this->stations;
        // A row keeps no order of its members.
        uasort($times, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return StationTimes::fromTimes(array_map(
            static fn (array $of): StationTime => new StationTime(
                (float) $of[0],
                (float) $of[1],
                StationSource::Motion,
            ),
            $times,
        ));
    }

    /** What its instrument's verdicts rest on. */
    public function basis(): SwingBasis
    {
        return $this->basis ??= new SwingBasis(
            MeasuredJson::read($this->measured['measurements']),
            ShownJson::read($this->measured['held']),
            $this->stationTimes(),
            array_map(static fn (QualityNote $n): QualityFinding => $n->finding, $this->notes()),
        );
    }

    /** What is true of it. */
    public function truly(): SwingBasis
    {
        return $this->true ??= new SwingBasis(
            MeasuredJson::read($this->truly['measurements']),
            ShownJson::read($this->truly['held']),
            $this->stationTimes(),
            [],
        );
    }

    /** @return list<QualityNote> the gravest first */
    public function notes(): array
    {
        return array_map(QualityJson::read(...), $this->measured['quality']);
    }

    private function trace(): Trace
    {
        $length = intdiv(count($this->samples), max(1, count($this->channels)));

        return new Trace(
            $this->device(),
            $this->rate_hz,
            array_combine($this->channels, array_chunk($this->samples, max(1, $length))),
            $this->stance,
            $this->mass_kg,
        );
    }

    private function motion(): CoreMotion
    {
        return (new Motion([
            'view' => 'points',
            'rate_hz' => $this->points_hz,
            't0' => 0.0,
            'frames' => intdiv(count($this->coordinates), max(1, 3 * count($this->points))),
            'points' => $this->points,
            'coordinates' => $this->coordinates,
        ]))->toCore();
    }
}
