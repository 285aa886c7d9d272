<?php

use Core\Chance\Chance;
use Core\Motion\Handedness;
use Core\Motion\Station;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;
use Core\Trace\Quality;

/*
 * What somebody would compute who has nothing but the points and the plates: another table of segments than the
 * simulation's own (fractions of body mass and centres as they are usual in another school), central differences.
 */
const SEGMENTS = [
    ['neck', 'head', 0.073, 1.0],
    ['chest', 'pelvis', 0.507, 0.48],
    ['lead_shoulder', 'lead_elbow', 0.026, 0.51],
    ['trail_shoulder', 'trail_elbow', 0.026, 0.51],
    ['lead_elbow', 'lead_hand', 0.023, 0.63],
    ['trail_elbow', 'trail_hand', 0.023, 0.63],
    ['lead_hip', 'lead_knee', 0.103, 0.37],
    ['trail_hip', 'trail_knee', 0.103, 0.37],
    ['lead_knee', 'lead_ankle', 0.043, 0.37],
    ['trail_knee', 'trail_ankle', 0.043, 0.37],
    ['lead_heel', 'lead_toe', 0.015, 0.45],
    ['trail_heel', 'trail_toe', 0.015, 0.45],
];

const RATE = 240.0;

/** @return list<array<string, array{float, float, float}>> mm by frame and point */
function frames(Swing $s): array
{
    $out = [];
    foreach ($s->motion()->points as $name => $axes) {
        foreach ($axes[0] as $i => $x) {
            $out[$i][$name] = [$x, $axes[1][$i], $axes[2][$i]];
        }
    }

    return $out;
}

/** @return array{float, float, float} mm */
function centreOf(array $frame): array
{
    $sum = [0.0, 0.0, 0.0];
    foreach (SEGMENTS as [$a, $b, $mass, $at]) {
        foreach ([0, 1, 2] as $k) {
            $sum[$k] += $mass * ($frame[$a][$k] + $at * ($frame[$b][$k] - $frame[$a][$k]));
        }
    }

    return $sum;
}

/** @return array{r: float, rms: float} of forces of the plates and of the body's acceleration, %BW */
function newton(Swing $s, Axis $axis): array
{
    $k = $axis->value;
    $centres = array_map(centreOf(...), frames($s));
    $weight = $s->spec->massKg * 9.80665;
    $own = $plate = [];
    for ($i = 3; $i < count($centres) - 3; $i++) {
        $a = ($centres[$i + 3][$k] - 2 * $centres[$i][$k] + $centres[$i - 3][$k]) / (3 / RATE) ** 2 / 1000;
        $own[] = (100 * ($a + ($axis === Axis::Z ? 9.80665 : 0.0))) / 9.80665;
        $at = (int) round(($i / RATE) * 1000);
        $sum = 0.0;
        for ($j = $at - 6; $j <= $at + 6; $j++) {
            foreach (['lead', 'trail'] as $side) {
                $sum += $s->trace->channels[$side.['_fx_n', '_fy_n', '_fz_n'][$k]][$j] ?? 0.0;
            }
        }
        $plate[] = (100 * $sum) / 13 / $weight;
    }
    $n = count($own);
    [$mo, $mp] = [array_sum($own) / $n, array_sum($plate) / $n];
    $op = $oo = $pp = $off = 0.0;
    foreach ($own as $i => $o) {
        $op += ($o - $mo) * ($plate[$i] - $mp);
        $oo += ($o - $mo) ** 2;
        $pp += ($plate[$i] - $mp) ** 2;
        $off += ($o - $plate[$i]) ** 2;
    }

    return ['r' => $op / sqrt($oo * $pp), 'rms' => sqrt($off / $n)];
}

/** When the line from one point to another turns fastest from the top to shortly after impact, s, and the speed. */
function fastest(array $frames, Swing $s, string $from, string $to): array
{
    $best = [0.0, 0.0];
    $first = (int) ceil($s->stations->t(Station::Top) * RATE);
    $last = (int) floor(($s->stations->t(Station::Impact) + 0.05) * RATE);
    for ($i = $first; $i < $last; $i++) {
        $u = array_map(static fn (float $a, float $b): float => $b - $a, $frames[$i][$from], $frames[$i][$to]);
        $v = array_map(static fn (float $a, float $b): float => $b - $a, $frames[$i + 1][$from], $frames[$i + 1][$to]);
        $dot = array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $u, $v));
        $length = sqrt(array_sum(array_map(static fn (float $a): float => $a * $a, $u))) *
            sqrt(array_sum(array_map(static fn (float $a): float => $a * $a, $v)));
        $speed = rad2deg(acos(min(1.0, $dot / $length))) * RATE;
        $best = $speed > $best[1] ? [($i + 0.5) / RATE, $speed] : $best;
    }

    return $best;
}

/** @return array{float, float} when the club head is fastest, s, and how fast, m/s */
function swish(array $frames): array
{
    $best = [0.0, 0.0];
    for ($i = 0; $i + 1 < count($frames); $i++) {
        $speed = sqrt(array_sum(array_map(
            static fn (float $a, float $b): float => ($b - $a) ** 2,
            $frames[$i]['club_head'],
            $frames[$i + 1]['club_head'],
        ))) * RATE / 1000;
        $best = $speed > $best[1] ? [($i + 0.5) / RATE, $speed] : $best;
    }

    return $best;
}

dataset('golfers', [
    'plain' => [[], 1000.0, 1750.0, 470.0],
    'tall, a wood' => [[], 1065.0, 1880.0, 510.0],
    'small, a wedge' => [[], 910.0, 1580.0, 380.0],
    'hanging back on the heels' => [['hang-back' => 3, 'heel-fall' => 2], 1000.0, 1720.0, 460.0],
    'swaying, late, spinning' => [['sway' => 2, 'late-recentre' => 1.4, 'spin-out' => 2], 1000.0, 1780.0, 470.0],
    'standing up and falling off' => [['early-rise' => 3, 'fall-off' => 3], 1000.0, 1700.0, 450.0],
    'thrown ahead' => [['ahead-of-pressure' => 3], 1000.0, 1750.0, 470.0],
    'jumping' => [['jump-off-trail' => 3], 1000.0, 1750.0, 470.0],
]);

it('is pushed by the ground as its own mass is moved, in every direction', function (
    array $faults,
    float $club,
    float $height,
    float $stance,
) {
    $s = Swing::simulated(
        new GolferSpec('newton', new Plant($faults), heightMm: $height, clubMm: $club, stanceMm: $stance),
        RATE,
    );
    foreach (Axis::cases() as $axis) {
        expect(newton($s, $axis))
            ->r->toBeGreaterThanOrEqual(0.99, $axis->name)
            ->rms->toBeLessThanOrEqual(2.0, $axis->name);
    }
})->with('golfers');

it('stands over its pressure, is held by it while it swings, and comes to rest', function (
    array $faults,
    float $club,
    float $height,
    float $stance,
) {
    $s = Swing::simulated(
        new GolferSpec('topple', new Plant($faults), heightMm: $height, clubMm: $club, stanceMm: $stance),
        RATE,
    );
    $frames = frames($s);
    $centres = array_map(centreOf(...), $frames);
    $n = count($centres);
    // Standing still: the centre lies over the pressure, fore and aft and sideways.
    $at = static fn (string $name, int $i): float => $s->trace->channels[$name][$i];
    [$lead, $trail] = [$at('lead_fz_n', 40), $at('trail_fz_n', 40)];
    foreach (['copx_mm' => 0, 'copy_mm' => 1] as $name => $k) {
        $cop = ($lead * $at("lead_$name", 40) + $trail * $at("trail_$name", 40)) / ($lead + $trail);
        expect(abs($cop - $centres[(int) (0.04 * RATE)][$k]))->toBeLessThan(25.0);
    }
    // The force's impulse lifts the body as far as it is seen to rise, and it ends a little above its address.
    $speed = $lifted = 0.0;
    foreach ($s->trace->channels['lead_fz_n'] as $i => $f) {
        $speed += (($f + $s->trace->channels['trail_fz_n'][$i]) / $s->spec->massKg - 9.80665) / 1000;
        $lifted += $speed;
    }
    $rose = $centres[$n - 1][2] - $centres[0][2];
    expect($rose)->toBeGreaterThan(20.0)->toBeLessThan(100.0);
    expect(abs($lifted - $rose))->toBeLessThan(25.0);
    expect(abs($speed))->toBeLessThan(0.03);
})->with('golfers');

it('turns about its centre by the moments of the ground, about every axis', function () {
    $s = Swing::simulated(new GolferSpec('moments'), RATE);
    $frames = frames($s);
    $h = $c = [];
    foreach ($frames as $i => $frame) {
        $c[$i] = centreOf($frame);
    }
    // Each segment as two halves of its mass, so that it resists turning itself.
    $points = static function (array $frame): array {
        $out = [];
        foreach (SEGMENTS as [$a, $b, $mass, $at]) {
            foreach ([-0.3, 0.3] as $off) {
                $out[] = [$mass / 2, array_map(
                    static fn (float $x, float $y): float => $x + ($at + $off) * ($y - $x),
                    $frame[$a],
                    $frame[$b],
                )];
            }
        }

        return $out;
    };
    for ($i = 1; $i < count($frames) - 1; $i++) {
        $h[$i] = [0.0, 0.0, 0.0];
        $before = $points($frames[$i - 1]);
        $after = $points($frames[$i + 1]);
        foreach ($points($frames[$i]) as $p => [$mass, $at]) {
            $r = array_map(static fn (float $x, float $o): float => $x - $o, $at, $c[$i]);
            $v = [];
            foreach ([0, 1, 2] as $k) {
                $v[$k] =
                    (($after[$p][1][$k] - $before[$p][1][$k] - $c[$i + 1][$k] + $c[$i - 1][$k]) * RATE) / 2;
            }
            $h[$i][0] += $mass * ($r[1] * $v[2] - $r[2] * $v[1]);
            $h[$i][1] += $mass * ($r[2] * $v[0] - $r[0] * $v[2]);
            $h[$i][2] += $mass * ($r[0] * $v[1] - $r[1] * $v[0]);
        }
    }
    $ch = $s->trace->channels;
    $turned = $moment = [[], [], []];
    for ($i = 5; $i < count($frames) - 5; $i++) {
        $ms = (int) round(($i / RATE) * 1000);
        $about = [0.0, 0.0, 0.0];
        foreach (['lead', 'trail'] as $side) {
            [$fx, $fy, $fz] = [$ch["{$side}_fx_n"][$ms], $ch["{$side}_fy_n"][$ms], $ch["{$side}_fz_n"][$ms]];
            [$x, $y] = [$ch["{$side}_copx_mm"][$ms] - $c[$i][0], $ch["{$side}_copy_mm"][$ms] - $c[$i][1]];
            $about[0] += ($y * $fz + $c[$i][2] * $fy) / 1000;
            $about[1] += (-$c[$i][2] * $fx - $x * $fz) / 1000;
            // A plate's free moment opens positive, against the axis of this mirrored frame.
            $about[2] += ($x * $fy - $y * $fx) / 1000 - $ch["{$side}_mz_nm"][$ms];
        }
        foreach ([0, 1, 2] as $k) {
            $turned[$k][] = (($h[$i + 3][$k] - $h[$i - 3][$k]) * RATE) / 6 * $s->spec->massKg / 1e6;
            $moment[$k][] = $about[$k];
        }
    }
    foreach ([0 => 'x', 1 => 'y', 2 => 'z'] as $k => $axis) {
        $n = count($moment[$k]);
        [$mt, $mm] = [array_sum($turned[$k]) / $n, array_sum($moment[$k]) / $n];
        $tm = $tt = $mm2 = 0.0;
        foreach ($moment[$k] as $i => $m) {
            $tm += ($turned[$k][$i] - $mt) * ($m - $mm);
            $tt += ($turned[$k][$i] - $mt) ** 2;
            $mm2 += ($m - $mm) ** 2;
        }
        expect($tm / sqrt($tt * $mm2))->toBeGreaterThan(0.9, "about $axis");
    }
});

it('turns pelvis, chest, arm and club one after the other, and the club is fastest at the ball', function () {
    for ($i = 0; $i < many(8, 60); $i++) {
        $s = Swing::simulated(
            new GolferSpec(
                "sequence$i",
                clubMm: [1000.0, 1065.0, 910.0][$i % 3],
                stanceMm: [460.0, 500.0, 380.0][$i % 3],
            ),
            RATE,
        );
        $frames = frames($s);
        [$pelvis, $turned] = fastest($frames, $s, 'trail_hip', 'lead_hip');
        [$chest] = fastest($frames, $s, 'trail_shoulder', 'lead_shoulder');
        [$arm] = fastest($frames, $s, 'lead_shoulder', 'lead_hand');
        [$club, $speed] = swish($frames);
        expect($pelvis)
            ->toBeLessThan($chest, "golfer $i")
            ->and($chest)
            ->toBeLessThan($arm, "golfer $i")
            ->and($arm)
            ->toBeLessThan($club, "golfer $i")
            ->and(abs($club - $s->stations->t(Station::Impact)))
            ->toBeLessThan(0.012, "golfer $i")
            ->and($turned)
            ->toBeGreaterThan(300.0)
            ->toBeLessThan(600.0)
            ->and($speed)
            ->toBeGreaterThan(26.0)
            ->toBeLessThan(52.0);
    }
});

it('keeps the club still until it starts, though the body stirs before', function () {
    $s = Swing::simulated(new GolferSpec('still'), RATE);
    $frames = frames($s);
    $at = (int) floor($s->stations->t(Station::Address) * RATE);
    for ($i = 0; $i < $at; $i += 8) {
        foreach ([0, 1, 2] as $k) {
            expect(abs($frames[$i]['club_head'][$k] - $frames[$at]['club_head'][$k]))->toBeLessThan(3.0);
        }
    }
    expect(abs($frames[0]['pelvis'][0] - $frames[$at]['pelvis'][0]))->toBeGreaterThan(2.0);
});

it('differs from golfer to golfer as golfers do', function () {
    $of = static fn (callable $value): array => array_map(
        static fn (int $i): float => $value(Swing::simulated(new GolferSpec("various$i"))),
        range(0, 9),
    );
    $spread = static function (array $values): float {
        $mean = array_sum($values) / count($values);

        return sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / count($values));
    };
    expect($spread($of(fn (Swing $s): float => $s->stations->t(Station::Top) - $s->stations->t(Station::Address))))
        ->toBeGreaterThan(0.03)
        ->and($spread($of(fn (Swing $s): float => $s->stations->t(Station::Impact) - $s->stations->t(Station::Top))))
        ->toBeGreaterThan(0.008)
        ->and($spread($of(fn (Swing $s): float => max($s->trace->totalForce()->values))))
        ->toBeGreaterThan(2.0)
        ->and($spread($of(fn (Swing $s): float => min($s->motion()->points['pelvis'][0]))))
        ->toBeGreaterThan(3.0);
});

it('plants any strength of a fault, and several at once', function () {
    $late = static fn (float $severity): float => Swing::simulated(
        new GolferSpec('between', new Plant(['hang-back' => $severity])),
    )->trace->leadShare()->highest(1.9, 2.1)->value;
    expect($late(0.4))->toBeGreaterThan($late(1.1) + 2.0);
    expect($late(1.1))->toBeGreaterThan($late(1.9) + 2.0);
    expect($late(1.9))->toBeGreaterThan($late(2.7) + 2.0);
    expect(fn () => new Plant(['hang-back' => 0]))->toRefuse('1, 2 or 3');
    foreach (Plant::FAULTS as $i => $one) {
        $other = Plant::FAULTS[($i + 7) % count(Plant::FAULTS)];
        $third = Plant::FAULTS[($i + 13) % count(Plant::FAULTS)];
        $s = Swing::simulated(
            new GolferSpec("several$i", new Plant([$one => 2, $other => 1.5, $third => 2.5]), Handedness::Left),
            RATE,
        );
        foreach (Axis::cases() as $axis) {
            expect(newton($s, $axis))->rms->toBeLessThanOrEqual(2.0, "$one, $other, $third: $axis->name");
        }
        foreach ($s->trace->channels as $name => $values) {
            $held = array_filter($values, static fn (float $v): bool => ! is_nan($v));
            expect(array_filter($held, static fn (float $v): bool => is_infinite($v)))->toBe([], $name);
        }
    }
});

it('gives every instrument the same swing', function () {
    $of = static fn (DeviceClass $d): Swing => Swing::simulated(new GolferSpec('one swing', device: $d));
    $first = $of(DeviceClass::Mat);
    Swing::simulated(new GolferSpec('another'));
    expect($of(DeviceClass::DualPlate)->laboratoryPoints)
        ->toEqual($first->laboratoryPoints)
        ->and($of(DeviceClass::Plate)->stations)
        ->toEqual($first->stations);
});

it('makes a sound recording of any golfer with any faults: no check finds anything wrong with it', function () {
    $chance = new Chance('any golfer');
    for ($i = 0; $i < many(8, 200); $i++) {
        $faults = [];
        for ($k = $chance->between(1, 5); $k > 0; $k--) {
            $faults[Plant::FAULTS[$chance->between(0, count(Plant::FAULTS) - 1)]] = 0.01 + 2.99 * $chance->uniform();
        }
        $height = 1550.0 + 400.0 * $chance->uniform();
        $s = Swing::simulated(
            new GolferSpec(
                "any$i",
                new Plant($faults),
                device: DeviceClass::cases()[$i % 3],
                heightMm: $height,
                massKg: 45.0 + 75.0 * $chance->uniform(),
                clubMm: [910.0, 1000.0, 1065.0, 1100.0][$i % 4],
                stanceMm: $height * (0.23 + 0.06 * $chance->uniform()),
            ),
        );
        expect(array_column(Quality::findings($s->trace), 'kind'))->toBe([], "$i: ".json_encode($faults));
    }
});
