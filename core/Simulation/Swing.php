<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Motion\Finish;
use Core\Motion\Motion;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\Vec3;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Stance;
use Core\Trace\Trace;

/**
 * One recorded swing of a synthetic golfer, as a laboratory would hand it over: points in the laboratory's
 * frame named by left and right, the instrument's trace in the stance's frame, and the true station times.
 *
 * @phpstan-type Made array{body: Body, forces: array<string, list<float>>, stations: array<string, float>}
 */
final class Swing
{
    /** The point that rises above another at a station; at impact the head passes its place instead. */
    private const LEVELS = [
        'TB' => ['club_head', 'grip'],
        'LB' => ['lead_hand', 'lead_shoulder'],
        'LD' => ['lead_shoulder', 'lead_hand'],
        'SD' => ['grip', 'club_head'],
        'IM' => ['club_head', 'club_head'],
        'ST' => ['club_head', 'grip'],
    ];

    /** Half-width of the 95 % interval of a station marked on 240 Hz motion by crossing or reversal, s. */
    private const STATION_UNCERTAINTY = 0.003;

    /** Half-width of the 95 % range of where a foot is said to stand, mm. */
    private const FEET_MM = 5.0;

    /** @var array{string, Made}|null */
    private static ?array $last = null;

    /** @param  array<string, array{list<float>, list<float>, list<float>}>  $laboratoryPoints */
    private function __construct(
        public readonly GolferSpec $spec,
        public readonly float $motionRateHz,
        public readonly array $laboratoryPoints,
        public readonly Trace $trace,
        public readonly Stance $stance,
        public readonly StationTimes $stations,
    ) {
    }

    /** @throws CoreException */
    public static function simulated(GolferSpec $spec, float $motionRateHz = 120.0): self
    {
        ['body' => $body, 'forces' => $forces, 'stations' => $stations] = self::swung($spec);

        return new self(
            $spec,
            $motionRateHz,
            $body->motion($motionRateHz)->toLaboratory($spec->hand),
            Instrument::record($spec->device, $forces, $body->stance, $spec->massKg, $spec->seed),
            $body->stance,
            StationTimes::fromSeconds($stations, self::STATION_UNCERTAINTY, StationSource::Motion),
        );
    }

    /**
     * The swing itself, before anything records it: the last is kept, for it is the same on every instrument.
     *
     * @return Made
     *
     * @throws CoreException
     */
    private static function swung(GolferSpec $spec): array
    {
        $key = json_encode([
            $spec->seed,
            $spec->plant->faults,
            $spec->heightMm,
            $spec->massKg,
            $spec->clubMm,
            $spec->stanceMm,
            get_object_vars($spec->pace),
        ], JSON_THROW_ON_ERROR);
        if (self::$last === null || self::$last[0] !== $key) {
            $score = new Score($spec);
            $body = Balance::body($spec, $score);
            self::$last = [
                $key,
                [
                    'body' => $body,
                    'forces' => Ground::forces($spec, $score, $body),
                    'stations' => self::stations($score, $body, $spec->pace->restS > 0.0),
                ],
            ];
        }

        return self::$last[1];
    }

    /**
     * When the stations really are, by their definitions: the body's balance moves what the score meant by some ms.
     *
     * @param  bool  $rests  whether the shaft rests at the top, which ends when it is meant to go
     * @return array<string, float> seconds by code
     */
    private static function stations(Score $score, Body $body, bool $rests): array
    {
        $place = $body->pose($score->stations['AD'])['club_head']->x;
        $out = $score->stations;
        foreach (self::LEVELS as $code => [$above, $below]) {
            // From below to above within an interval that holds no other station.
            [$low, $high] = [$out[$code] - 0.03, $out[$code] + 0.03];
            $isBefore = static function (float $t) use ($code, $body, $place, $above, $below): bool {
                $pose = $body->pose($t);

                return $code === 'IM' ? $pose['club_head']->x < $place : $pose[$above]->z < $pose[$below]->z;
            };
            if (! $isBefore($low) || $isBefore($high)) {
                // A small swing does not come to it.
                unset($out[$code]);

                continue;
            }
            for ($i = 0; $i < 18; $i++) {
                $middle = ($low + $high) / 2;
                [$low, $high] = $isBefore($middle) ? [$middle, $high] : [$low, $middle];
            }
            $out[$code] = ($low + $high) / 2;
        }
        $out['TP'] = $rests ? $out['TP'] : self::reversal($body, $out['TP'], $out['IM']);
        $out['FI'] = self::rest($score, $body);

        return $out;
    }

    /** When the shaft's rate about the normal of the downswing changes sign, near where it is meant to, s. */
    private static function reversal(Body $body, float $near, float $im): float
    {
        $turns = static function (float $t) use ($body): Vec3 {
            [$a, $b] = [$body->pose($t - 0.002), $body->pose($t + 0.002)];

            return $a['club_head']->minus($a['grip'])->cross($b['club_head']->minus($b['grip']));
        };
        $normal = $turns($im - 0.06)->plus($turns($im - 0.04))->plus($turns($im - 0.02));
        [$low, $high] = [$near - 0.03, $near + 0.03];
        if ($turns($low)->dot($normal) > 0.0 || $turns($high)->dot($normal) < 0.0) {
            return $near;
        }
        for ($i = 0; $i < 16; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $turns($middle)->dot($normal) < 0.0 ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }

    /** The first rest of club and pelvis after impact, s. */
    private static function rest(Score $score, Body $body): float
    {
        $step = 0.004;
        for ($t = $score->stations['IM'] + 0.25; $t < $score->duration; $t += $step) {
            [$before, $after] = [$body->pose($t - $step / 2), $body->pose($t + $step / 2)];
            $speed = static fn (string $p): float => $after[$p]->minus($before[$p])->length() / $step;
            if ($speed('club_head') < Finish::CLUB_REST && $speed('pelvis') < Finish::PELVIS_REST) {
                return $t;
            }
        }

        return $score->stations['FI'];
    }

    /**
     * The same swing on another instrument, or on the same under other conditions.
     *
     * @throws CoreException
     */
    public function on(DeviceClass $device, string $seed, Conditions $conditions): Trace
    {
        $trace = Instrument::record(
            $device,
            self::swung($this->spec)['forces'],
            $this->stance,
            $this->spec->massKg,
            $seed,
            $conditions,
        );
        if ($device !== DeviceClass::Plate) {
            return $trace;
        }
        // On a single plate the share is made of where somebody drew the feet.
        $chance = new Chance("feet|$seed");
        $drawn = static fn (Foot $f): Foot => new Foot(
            $f->xMm + $conditions->offset($chance, self::FEET_MM),
            $f->yMm,
            $f->lengthMm,
            $f->widthMm,
            $f->flareDeg,
        );
        $stance = new Stance($drawn($this->stance->lead), $drawn($this->stance->trail));

        return new Trace($device, $trace->rateHz, $trace->channels, $stance, $trace->massKg);
    }

    /**
     * The true times of the stations, without any doubt.
     *
     * @throws CoreException
     */
    public function exactStations(): StationTimes
    {
        return StationTimes::fromTimes(array_map(
            static fn (StationTime $t): StationTime => new StationTime($t->t, 0.0, StationSource::File),
            $this->stations->all(),
        ));
    }

    /**
     * What really happened, as two plates without any error would tell it, and a camera that sees all.
     *
     * @return array{Trace, Motion}
     *
     * @throws CoreException
     */
    public function truth(float $motionRateHz): array
    {
        ['forces' => $forces, 'body' => $body] = self::swung($this->spec);
        $channels = [];
        foreach (DeviceClass::DualPlate->channels() as $name) {
            $channels[$name] = $forces[$name];
        }

        return [
            new Trace(DeviceClass::DualPlate, Ground::RATE, $channels, $this->stance, $this->spec->massKg),
            $body->motion($motionRateHz),
        ];
    }

    /** @throws CoreException */
    public function motion(): Motion
    {
        return Motion::fromLaboratory($this->motionRateHz, $this->laboratoryPoints, $this->spec->hand);
    }
}
