<?php

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\Said;
use Core\Codebook\SwingReport;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Occasion;
use Core\Motion\Motion;
use Core\Motion\Station;
use Core\Motion\StationFinder;
use Core\Motion\StationSource;
use Core\Motion\StationTimes;
use Core\Motion\Views;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;
use Core\Trace\Trace;

/*
 * What is no swing at a ball is made here of closed forms, so that nothing of it comes from what makes the swings. What
 * a body does meanwhile is a pose at address, moved.
 */

/** What two plates of closed forms would have told a single one. */
function onOnePlate(Trace $dual): Trace
{
    $c = $dual->channels;
    $out = [];
    foreach ($c['lead_fz_n'] as $i => $lead) {
        $total = $lead + $c['trail_fz_n'][$i];
        $out['fx_n'][] = $c['lead_fx_n'][$i] + $c['trail_fx_n'][$i];
        $out['fy_n'][] = $c['lead_fy_n'][$i] + $c['trail_fy_n'][$i];
        $out['fz_n'][] = $total;
        $out['mz_nm'][] = 0.0;
        $out['copx_mm'][] = 460.0 * $lead / max(1.0, $total) - 230.0;
        $out['copy_mm'][] = 0.0;
    }

    return new Trace(DeviceClass::Plate, $dual->rateHz, $out, $dual->stance, 80.0);
}

/** @param  callable(float): float  $share  @param  callable(float): float  $total */
function onDevice(DeviceClass $device, callable $share, callable $total, float $duration): Trace
{
    $dual = $device === DeviceClass::Mat ? null : dualTrace($share, $total, 250.0, $duration);

    return match ($device) {
        DeviceClass::Mat => matTrace($share, 100.0, $duration),
        DeviceClass::Plate => onOnePlate($dual),
        DeviceClass::DualPlate => $dual,
    };
}

/** @param  callable(string, list<float>, float): list<float>  $moved  a point of the pose at address, at a time */
function posing(callable $moved, float $duration, string $seed): Motion
{
    $chance = new Chance("pose|$seed");
    $pose = Swing::simulated(new GolferSpec('poses'))->motion();
    $points = [];
    foreach ($pose->points as $name => $axes) {
        for ($i = 0; $i < $duration * 120.0; $i++) {
            foreach ($moved($name, [$axes[0][40], $axes[1][40], $axes[2][40]], $i / 120.0) as $a => $v) {
                $points[$name][$a][$i] = $v + $chance->normal(0.0, 1.0);
            }
        }
    }

    return new Motion(120.0, $points);
}

/** Each kind of what is no swing at a ball, with numbers of its own. @return array{Trace, ?Motion} */
function noSwing(string $kind, DeviceClass $device, Chance $chance, string $seed): array
{
    $u = static fn (float $from, float $to): float => $from + ($to - $from) * $chance->uniform();
    $duration = $u(3.5, 6.0);
    if ($kind === 'stands') {
        [$level, $by, $hz] = [$u(42.0, 58.0), $u(0.3, 3.0), $u(0.2, 0.9)];
        $share = static fn (float $t): float => $level + $by * sin(6.28 * $hz * $t) + 0.3 * sin(31.0 * $t);

        return [onDevice($device, $share, static fn (float $t): float => 100.0 + 0.7 * sin(9.0 * $t), $duration),
            posing(static fn (string $n, array $p, float $t): array => [$p[0] + $by * sin($hz * $t), $p[1], $p[2]],
                $duration, $seed)];
    }
    if ($kind === 'waggles') {
        [$level, $by, $hz, $far] = [$u(44.0, 58.0), $u(1.0, 6.0), $u(0.8, 2.2), $u(80.0, 320.0)];
        $share = static fn (float $t): float => $level + $by * sin(6.28 * $hz * $t);

        $press = static fn (float $t): float => 100.0 + 1.5 * sin(12.56 * $hz * $t);

        return [onDevice($device, $share, $press, $duration),
            posing(static function (string $n, array $p, float $t) use ($hz, $far): array {
                $part = $n === 'club_head' ? 1.0 : (str_ends_with($n, '_hand') || $n === 'grip' ? 0.15 : 0.0);
                $back = (1.0 - cos(6.28 * $hz * $t)) / 2.0 * $far * $part;

                return [$p[0] - $back, $p[1] - 0.3 * $back, $p[2] + 0.4 * $back];
            }, $duration, $seed)];
    }
    if ($kind === 'walks on') {
        // Three steps with all on one foot, then still.
        [$step, $lean] = [$u(0.45, 0.7), $u(45.0, 56.0)];
        $share = corners([[0.0, 0.0], [$step - 0.1, 0.0], [$step + 0.05, 100.0], [2 * $step - 0.1, 100.0],
            [2 * $step + 0.05, 0.0], [3 * $step - 0.1, 0.0], [3 * $step + 0.1, $lean + 15.0],
            [3 * $step + 0.5, $lean], [9.0, $lean]]);
        $total = static fn (float $t): float => $t > 3 * $step + 0.6 ? 100.0 : 100.0 + 14.0 * sin(12.56 / $step * $t);

        return [onDevice($device, $share, $total, $duration), posing(
            static fn (string $n, array $p, float $t): array => [
                $p[0] - 900.0 * max(0.0, 3 * $step - $t), $p[1], $p[2],
            ],
            $duration, $seed)];
    }
    // A rehearsal of a swing at less than half its tempo: the same way, with what a body of that pace presses.
    $slow = $u(2.0, 3.0);
    $fault = Plant::FAULTS[(int) $u(0.0, 22.9)];
    $s = Swing::simulated(new GolferSpec("slow|$seed", new Plant([$fault => $u(1.0, 3.0)])));
    $c = $s->trace->channels;
    $weight = (float) $s->trace->bodyWeightN();
    $channels = DeviceClass::DualPlate->channels();
    $series = static fn (callable $of): array => array_map($of, array_keys($c['lead_fz_n']));
    $lead = $series(static fn (int $i): float => $c['lead_fz_n'][$i] / ($c['lead_fz_n'][$i] + $c['trail_fz_n'][$i]));
    $press = $series(static fn (int $i): float => 100.0 + 100.0 / $slow ** 2
        * (($c['lead_fz_n'][$i] + $c['trail_fz_n'][$i]) / $weight - 1.0));
    $at = static fn (array $of, float $t): float => $of[min(count($of) - 1, (int) ($t / $slow * 1000.0))];
    expect(count($channels))->toBe(12);

    return [
        onDevice($device, static fn (float $t): float => 100.0 * $at($lead, $t),
            static fn (float $t): float => $at($press, $t), $slow * $s->trace->duration() - 0.1),
        new Motion(120.0 / $slow, $s->motion()->points),
    ];
}

/** @return array<string, Said> by fault, of what is said at all */
function saidOf(Evidence $evidence): array
{
    $out = [];
    foreach ((new SwingReport($evidence))->faults(Codebook::standard()) as $key => $verdict) {
        $out[$key] = $verdict->said();
    }

    return $out;
}

/** @return list<string> kinds of what is found about the occasion */
function occasionOf(Evidence $evidence): array
{
    return array_values(array_intersect(
        array_column((new SwingReport($evidence))->assessment->findings, 'kind'),
        Occasion::KINDS,
    ));
}

it('supports no fault of what is no swing, whoever set the stations', function (string $kind) {
    $n = many(9, 150);
    for ($i = 0; $i < $n; $i++) {
        $device = DeviceClass::cases()[$i % 3];
        [$trace, $motion] = noSwing($kind, $device, new Chance("$kind|$i"), "$kind|$i");
        foreach ([[$trace, new Views], [$trace, new Views($motion)]] as [$held, $views]) {
            $found = StationFinder::find($views, $held)?->times;
            // Somebody who does not look, and marks the stations where a swing might be.
            $byHand = StationTimes::fromSeconds(
                ['AD' => 0.6, 'TB' => 0.95, 'LB' => 1.15, 'TP' => 1.5, 'LD' => 1.64, 'SD' => 1.7, 'IM' => 1.75,
                    'ST' => 1.82, 'FI' => 2.4],
                0.01,
                StationSource::Hand,
            );
            foreach ([$found ?? StationTimes::fromTimes([]), $byHand] as $set => $stations) {
                if ($kind === 'rehearses' && $set === 1) {
                    continue;
                }
                $said = saidOf(new Evidence($stations, $held, $views, Stance::ofWidth(460.0)));
                expect(array_keys($said, Said::Supported, true))->toBe([], "$kind $i {$device->value} $set")
                    ->and(array_keys($said, Said::LeansSupported, true))->toBe([], "$kind $i {$device->value} $set");
            }
        }
    }
})->with(['stands', 'waggles', 'walks on', 'rehearses']);

it('tells two swings in one recording, and measures none until one of them is meant', function () {
    $n = many(4, 100);
    for ($i = 0; $i < $n; $i++) {
        $device = DeviceClass::cases()[$i % 3];
        $fault = Plant::FAULTS[$i % count(Plant::FAULTS)];
        $one = Swing::simulated(new GolferSpec("one$i", new Plant([$fault => 2]), device: $device));
        $two = Swing::simulated(new GolferSpec("two$i", device: $device));
        $rest = (int) (3.0 * $one->trace->rateHz);
        $channels = [];
        foreach ($one->trace->channels as $name => $values) {
            $from = end($values);
            $back = array_map(
                static fn (int $k): float => $from + ($two->trace->channels[$name][0] - $from)
                    * (1.0 - cos(M_PI * $k / $rest)) / 2.0,
                range(0, $rest - 1),
            );
            $channels[$name] = [...$values, ...$back, ...$two->trace->channels[$name]];
        }
        $trace = new Trace($device, $one->trace->rateHz, $channels, $one->stance, 78.0);
        $points = [];
        $frames = (int) round(120.0 * ($one->trace->samples() + $rest) / $one->trace->rateHz);
        foreach ($one->motion()->points as $name => $axes) {
            foreach ($axes as $a => $values) {
                $to = $two->motion()->points[$name][$a];
                $between = $frames - count($values);
                $from = end($values);
                $back = array_map(
                    static fn (int $k): float => $from + ($to[0] - $from) * (1.0 - cos(M_PI * $k / $between)) / 2.0,
                    range(0, $between - 1),
                );
                $points[$name][$a] = [...$values, ...$back, ...$to];
            }
        }
        $shift = ($one->trace->samples() + $rest) / $one->trace->rateHz;
        $second = StationTimes::fromSeconds(
            array_map(static fn ($s): float => $s->t + $shift, $two->stations->all()),
            0.004,
            StationSource::Hand,
        );
        foreach ([new Views, new Views(new Motion(120.0, $points))] as $k => $views) {
            $found = StationFinder::find($views, $trace);
            $evidence = new Evidence($found->times, $trace, $views, $one->stance);
            expect(occasionOf($evidence))->toBe([Occasion::SEVERAL], "$i $fault {$device->value} $k")
                ->and(array_filter(
                    saidOf($evidence),
                    static fn (Said $s): bool => ! in_array($s, [Said::NotMeasurable, Said::NotObservable], true),
                ))->toBe([]);
            // The stations that were found are all of one of the two.
            $all = array_map(static fn ($s): float => $s->t, $found->times->all());
            expect(max($all) - min($all))->toBeLessThan(3.2);
            // One is marked by hand: that one is measured, and is the second that has no fault.
            $marked = new Evidence($second, $trace, $views, $two->stance);
            expect((new SwingReport($marked))->assessment->measurements->get(Measure::ImpactShare)->value)
                ->toBeFloat()
                ->and(array_keys(saidOf($marked), Said::Supported, true))->toBe([]);
        }
    }
});

it('refuses no sound swing for what it is, whatever its faults and its device', function () {
    $refused = [];
    $n = many(24, 500);
    for ($i = 0; $i < $n; $i++) {
        $chance = new Chance("sound|$i");
        $faults = [];
        for ($k = $i % 4; $k > 0; $k--) {
            $faults[Plant::FAULTS[(int) (22.99 * $chance->uniform())]] = 0.5 + 2.5 * $chance->uniform();
        }
        if (isset($faults['no-load'], $faults['late-load'])) {
            unset($faults['late-load']);
        }
        [$club, $stance] = [[1000.0, 460.0], [1065.0, 500.0], [910.0, 380.0]][$i % 3];
        $s = Swing::simulated(new GolferSpec(
            "sound|$i", new Plant($faults), device: DeviceClass::cases()[intdiv($i, 3) % 3],
            heightMm: 1580.0 + 370.0 * $chance->uniform(), massKg: 50.0 + 60.0 * $chance->uniform(),
            clubMm: $club, stanceMm: $stance,
        ));
        foreach ([new Views, new Views($s->motion())] as $views) {
            $times = StationFinder::find($views, $s->trace)?->times;
            if ($times === null || Occasion::findings(new Evidence($times, $s->trace, $views)) !== []) {
                $refused[] = "$i {$s->spec->device->value} ".json_encode($faults);
            }
        }
    }
    expect(count($refused))->toBeLessThanOrEqual((int) (0.01 * 2 * $n), implode("\n", $refused));
});

it('reads the stations of a swing after walking on and waggling, not those of the way there', function () {
    foreach (DeviceClass::cases() as $device) {
        $s = Swing::simulated(new GolferSpec('after steps', device: $device));
        $rate = $s->trace->rateHz;
        $steps = onDevice($device, corners([[0.0, 0.0], [0.5, 0.0], [0.65, 100.0], [1.1, 100.0], [1.25, 0.0],
            [1.6, 0.0], [1.9, 70.0], [2.3, 52.0]]), static fn (float $t): float => 100.0 + 10.0 * sin(20.0 * $t), 3.0);
        $channels = [];
        foreach ($s->trace->channels as $name => $values) {
            for ($k = 0, $pieces = []; $k < 3.0 * $rate; $k++) {
                $pieces[] = $steps->channels[$name][(int) ($k / $rate * $steps->rateHz)] ?? $values[0];
            }
            $channels[$name] = [...$pieces, ...$values];
        }
        $trace = new Trace($device, $rate, $channels, $s->stance, 78.0);
        $found = StationFinder::find(new Views, $trace)->times;
        foreach ($s->stations->all() as $code => $time) {
            $of = $found->get(Station::from($code));
            expect(abs($of->t - $time->t - 3.0))->toBeLessThan($of->uncertainty, "$code {$device->value}");
        }
        expect(occasionOf(new Evidence($found, $trace)))->toBe([]);
    }
    // A waggle that lifts the shaft over the horizontal is not the takeaway.
    $s = Swing::simulated(new GolferSpec('waggles first'));
    $before = posing(static function (string $n, array $p, float $t): array {
        $up = $t > 0.3 && $t < 1.5 ? (1.0 - cos(6.28 * ($t - 0.3) / 1.2)) / 2.0 : 0.0;

        return $n === 'club_head' ? [$p[0] - 500.0 * $up, $p[1] - 200.0 * $up, $p[2] + 950.0 * $up] : $p;
    }, 2.0, 'waggle');
    $points = [];
    foreach ($s->motion()->points as $name => $axes) {
        foreach ($axes as $a => $values) {
            $way = $before->points[$name][$a];
            $off = $values[0] - $way[count($way) - 1];
            $points[$name][$a] = [...array_map(static fn (float $v): float => $v + $off, $way), ...$values];
        }
    }
    $found = StationFinder::find(new Views(new Motion(120.0, $points)), null)->times;
    foreach (['AD' => 0.04, 'TB' => 0.012, 'LB' => 0.012, 'TP' => 0.012, 'IM' => 0.006] as $code => $within) {
        $station = Station::from($code);
        expect(abs($found->t($station) - $s->stations->t($station) - 2.0))->toBeLessThan($within, $code);
    }
});
