<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

/** One thing that goes wrong with an instrument, done to a sound trace. */
final readonly class Mishap
{
    private const GRAVITY = 9.80665;

    /**
     * @param  list<DeviceClass>  $devices  what it can befall
     * @param  list<string>  $kinds  findings any of which tells it
     * @param  string  $channels  a pattern of the channels that it changes
     * @param  \Closure(float, float, float, float, float): float  $value  of a sample, the time since the moment it
     *     happens at in s, the channel's value at that moment and its largest, and the golfer's weight in N
     * @param  bool  $exchanges  whether lead and trail of these channels change places
     * @param  float  $rate  times the true one
     * @param  float  $mass  times the true one
     * @param  float  $lost  a stretch cut out while the clock runs on, s
     */
    private function __construct(
        public array $devices,
        public array $kinds,
        private string $channels,
        private \Closure $value,
        private bool $exchanges = false,
        private float $rate = 1.0,
        private float $mass = 1.0,
        private float $lost = 0.0,
    ) {
    }

    /** @return array<string, self> by code */
    public static function all(): array
    {
        $plates = [DeviceClass::Plate, DeviceClass::DualPlate];
        $two = [DeviceClass::DualPlate];
        $all = DeviceClass::cases();
        $mat = [DeviceClass::Mat];
        $same = static fn (float $x): float => $x;
        $times = static fn (float $by): \Closure => static fn (float $x): float => $by * $x;
        $plus = static fn (float $by): \Closure => static fn (float $x): float => $x + $by;
        $pushed = static fn (float $percent): \Closure => static fn (
            float $x,
            float $t,
            float $first,
            float $most,
            float $weight,
        ): float => $x + $percent / 100.0 * $weight;
        $slips = static fn (float $length): \Closure => static fn (
            float $x,
            float $t,
        ): float => $t >= 0.0 && $t < $length ? $x + 70.0 : $x;

        return [
            'places-in-metres' => new self($all, ['units'], '/cop[xy]_mm$/', $times(0.001)),
            'places-in-centimetres' => new self($all, ['units', 'outside'], '/cop[xy]_mm$/', $times(0.1)),
            'forces-in-kilograms' => new self($plates, ['units'], '/f[xyz]_n$/', $times(1.0 / self::GRAVITY)),
            'shares-as-parts' => new self($mat, ['units'], '/_pct$/', $times(0.01)),
            'times-in-milliseconds' => new self($all, ['units', 'rate'], '/^$/', $same, rate: 0.001),
            'origin-in-corner' => new self($two, ['origin', 'outside'], '/copx_mm$/', $plus(300.0)),
            'heel-and-toe-exchanged' => new self($two, ['reversed'], '/(copy_mm|fy_n)$/', $times(-1.0)),
            'plates-exchanged' => new self($two, ['swapped'], '/^(lead|trail)_/', $same, true),
            'shares-exchanged' => new self($mat, ['swapped'], '/^(lead|trail)_pct$/', $same, true),
            'push-across-off' => new self($plates, ['zero'], '/fy_n$/', $pushed(-6.0)),
            'push-along-off' => new self($plates, ['zero'], '/fx_n$/', $pushed(4.0)),
            'twist-off' => new self(
                $plates,
                ['zero'],
                '/mz_nm$/',
                static fn (float $x, float $t, float $first, float $most, float $weight): float => $x
                    + 0.3 * $weight / self::GRAVITY,
            ),
            'shares-to-ninety' => new self($mat, ['shares', 'sum'], '/^trail_pct$/', $plus(-10.0)),
            'hum' => new self(
                $plates,
                ['hum'],
                '/f[xyz]_n$/',
                static fn (float $x, float $t, float $first, float $most, float $weight): float => $x
                    + 0.04 * $weight * sin(2.0 * M_PI * 50.0 * $t),
            ),
            'slipped-and-back' => new self($all, ['slipped'], '/copx_mm$/', $slips(0.12)),
            'slipped-for-good' => new self($all, ['slipped', 'foot-off'], '/copx_mm$/', $slips(INF)),
            'stuck' => new self(
                $all,
                ['stuck', 'slipped'],
                '/(lead_fz_n|lead_pct|trail_pct|^fz_n|copx_mm)$/',
                static fn (float $x, float $t, float $first): float => $t >= 0.0 && $t < 0.2 ? $first : $x,
            ),
            'saturated' => new self(
                $plates,
                ['saturated'],
                '/fz_n$/',
                static fn (float $x, float $t, float $first, float $most): float => min($x, 0.8 * $most),
            ),
            'soft-end' => new self(
                $plates,
                ['saturated'],
                '/fz_n$/',
                static fn (float $x, float $t, float $first, float $most): float => $x < 0.75 * $most
                    ? $x
                    : (0.75 + 0.12 * tanh(($x / $most - 0.75) / 0.12)) * $most,
            ),
            'gap' => new self(
                $all,
                ['dropped'],
                '/./',
                static fn (float $x, float $t): float => $t >= 0.0 && $t < 0.12 ? NAN : $x,
            ),
            'stretch-lost' => new self($all, ['lost', 'foot-off'], '/./', $same, lost: 0.06),
            'foot-off' => new self(
                [DeviceClass::Mat, DeviceClass::DualPlate],
                ['foot-off'],
                '/(lead_pct|lead_fz_n)$/',
                static fn (float $x, float $t): float => $t >= 0.0 && $t < 0.25 ? 0.35 * $x : $x,
            ),
            'mass-stated-wrong' => new self($plates, ['mass'], '/^$/', $same, mass: 1.25),
            'gain-of-one-plate' => new self($two, ['mass', 'upheld', 'zero'], '/^lead_f[xyz]_n$/', $times(1.2)),
        ];
    }

    /**
     * @param  float  $at  the moment at which it happens, where it happens at one, s
     *
     * @throws CoreException
     */
    public function doneTo(Trace $trace, float $at): Trace
    {
        $from = (int) round(($at - $trace->t0) * $trace->rateHz);
        $weight = self::GRAVITY * ($trace->massKg ?? 78.0);
        $channels = $trace->channels;
        foreach ($trace->channels as $name => $values) {
            if (preg_match($this->channels, $name) !== 1) {
                continue;
            }
            $most = -INF;
            foreach ($values as $v) {
                $most = $v > $most ? $v : $most;
            }
            $other = strtr($name, ['lead' => 'trail', 'trail' => 'lead']);
            $channels[$name] = [];
            foreach ($this->exchanges ? $trace->channels[$other] : $values as $i => $v) {
                $channels[$name][] = ($this->value)(
                    $v,
                    (float) ($i - $from) / $trace->rateHz,
                    $values[$from] ?? $v,
                    $most,
                    $weight,
                );
            }
        }

        $long = (int) round($this->lost * $trace->rateHz);
        foreach ($long > 0 ? $channels : [] as $name => $values) {
            array_splice($values, $from, $long);
            $channels[$name] = $values;
        }

        return new Trace(
            $trace->device,
            $this->rate * $trace->rateHz,
            $channels,
            $trace->stance,
            $this->mass * ($trace->massKg ?? 78.0),
            $trace->t0 / $this->rate,
        );
    }
}
