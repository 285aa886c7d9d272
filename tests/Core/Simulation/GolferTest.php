<?php

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\Measurement\Evidence;
use Core\Measurement\Measured;
use Core\Measurement\Meter;
use Core\Motion\Handedness;
use Core\Motion\Motion;
use Core\Motion\View;
use Core\Reading\Presence;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Rater;
use Core\Simulation\Swing;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;

function distance(Motion $m, string $a, string $b, int $i): float
{
    return sqrt(
        array_sum(
            array_map(static fn (int $k): float => ($m->points[$a][$k][$i] - $m->points[$b][$k][$i]) ** 2, [0, 1, 2]),
        ),
    );
}

function swing(
    string $seed,
    array $faults = [],
    Handedness $hand = Handedness::Right,
    DeviceClass $device = DeviceClass::DualPlate,
    float $club = 1000.0,
    float $height = 1750.0,
): Swing {
    return Swing::simulated(new GolferSpec($seed, new Plant($faults), $hand, $device, $height, 78.0, $club));
}

it('keeps every limb at its length through the whole swing', function (array $faults, float $club, float $height) {
    $m = swing('limbs', $faults, club: $club, height: $height)->motion();
    $bones = [['hip', 'knee'], ['knee', 'ankle'], ['shoulder', 'elbow'], ['elbow', 'hand'], ['heel', 'ball']];
    foreach (
        [
            ...array_map(static fn ($b) => ["lead_$b[0]", "lead_$b[1]"], $bones),
            ...array_map(static fn ($b) => ["trail_$b[0]", "trail_$b[1]"], $bones),
            ['pelvis', 'chest'],
            ['lead_hip', 'trail_hip'],
            ['lead_shoulder', 'trail_shoulder'],
            ['grip', 'club_head'],
            ['neck', 'head'],
        ] as [$a, $b]
    ) {
        $first = distance($m, $a, $b, 0);
        for ($i = 1; $i < $m->frames(); $i += 3) {
            expect(distance($m, $a, $b, $i))->toEqualWithDelta($first, 0.5, "$a to $b in frame $i");
        }
    }
})->with([
    [[], 1000.0, 1750.0],
    [['sway' => 3, 'hang-back' => 3], 1060.0, 1880.0],
    [['spin-out' => 3, 'fall-off' => 3, 'late-push' => 3], 910.0, 1620.0],
]);

it('holds the club at both hands, and the feet on or above the ground', function () {
    $m = swing('ground', ['early-lunge' => 2])->motion();
    for ($i = 0; $i < $m->frames(); $i += 2) {
        expect(distance($m, 'lead_hand', 'trail_hand', $i))->toEqualWithDelta(75.0, 0.5);
        foreach (['lead_heel', 'lead_toe', 'trail_heel', 'trail_toe', 'club_head'] as $p) {
            expect($m->points[$p][2][$i])->toBeGreaterThan(-25.0);
        }
    }
});

it('moves smoothly: no point leaps between frames', function () {
    $m = swing('smooth', ['late-recentre' => 2])->motion();
    foreach (['pelvis', 'chest', 'head', 'lead_knee', 'trail_knee', 'lead_hip'] as $p) {
        for ($i = 1; $i < $m->frames(); $i++) {
            $step = sqrt(
                array_sum(
                    array_map(static fn (int $k): float => ($m->points[$p][$k][$i] - $m->points[$p][$k][$i - 1]) ** 2, [
                        0,
                        1,
                        2,
                    ]),
                ),
            );
            expect(($step * 120) / 1000)->toBeLessThan(3.5, "$p in frame $i moves faster than a body does (m/s)");
        }
    }
});

it('reaches its stations as they are defined', function () {
    $s = swing('stations');
    $m = $s->motion();
    $level = static fn (string $a, string $b, string $code): float => $m
        ->coordinate($a, Axis::Z)
        ->at($s->stations->all()[$code]->t) - $m->coordinate($b, Axis::Z)->at($s->stations->all()[$code]->t);
    foreach (['TB', 'SD', 'ST'] as $code) {
        expect($level('grip', 'club_head', $code))->toEqualWithDelta(0.0, 12.0);
    }
    expect($m->coordinate('club_head', Axis::Z)->at($s->stations->all()['IM']->t))
        ->toEqualWithDelta(15.0, 12.0)
        ->and($m->coordinate('club_head', Axis::Z)->at($s->stations->all()['AD']->t))
        ->toEqualWithDelta(15.0, 8.0)
        ->and($m->coordinate('chest', Axis::X)->at($s->stations->all()['FI']->t))
        ->toBeGreaterThan(50.0);
});

it('gives a left-handed golfer the lead and trail measurements of the mirrored right-handed one', function (
    DeviceClass $device,
) {
    $right = swing('mirror', ['late-recentre' => 2, 'sway' => 1], Handedness::Right, $device);
    $left = swing('mirror', ['late-recentre' => 2, 'sway' => 1], Handedness::Left, $device);
    expect(array_map(static fn (float $y): float => -$y, $right->laboratoryPoints['pelvis'][1]))
        ->toEqual($left->laboratoryPoints['pelvis'][1])
        ->and($right->laboratoryPoints['left_heel'][0])
        ->toEqual($left->laboratoryPoints['right_heel'][0])
        ->and(Meter::read(new Evidence($left->stations, $left->trace, $left->motion(), $left->stance))->all())
        ->toEqual(Meter::read(new Evidence($right->stations, $right->trace, $right->motion(), $right->stance))->all());
})->with(DeviceClass::cases());

it('is the same for the same seed and another for another', function () {
    expect(swing('x')->trace->channels)
        ->toEqual(swing('x')->trace->channels)
        ->and(swing('x')->trace->channels)
        ->not->toEqual(swing('y')->trace->channels);
});

it('presses with its body weight while standing, and moves its centre by the force it shows', function () {
    $s = swing('newton');
    $total = $s->trace->totalForce();
    expect($total->mean(0.1, 0.7))->toEqualWithDelta(100.0, 0.5);
    // Impulse along the target line from address to impact = mass × change of speed of the centre.
    $fx = 0.0;
    $m = $s->motion();
    [$a, $b] = [0.5, $s->stations->all()['LD']->t];
    foreach ($s->trace->channels['lead_fx_n'] as $i => $v) {
        if ($i / 1000 >= $a && $i / 1000 < $b) {
            $fx += ($v + $s->trace->channels['trail_fx_n'][$i]) / 1000;
        }
    }
    $centre = static fn (float $t): float => 0.55 * $m->coordinate('pelvis', Axis::X)->at($t) +
        0.45 * $m->coordinate('chest', Axis::X)->at($t);
    $speed = static fn (float $t): float => ($centre($t + 0.02) - $centre($t - 0.02)) / 0.04 / 1000;
    expect($fx)->toEqualWithDelta(78.0 * ($speed($b) - $speed($a)), 6.0);
});

it('agrees across the three device classes within their stated uncertainty', function (string $key) {
    $value = [];
    foreach (DeviceClass::cases() as $device) {
        $s = swing('classes', device: $device);
        $value[$device->value] = Meter::read(new Evidence($s->stations, $s->trace, null, $s->stance))->get(
            \Core\Measurement\Measure::from($key),
        );
    }
    foreach ($value as $v) {
        expect(abs($v->number() - $value['dual-plate']->number()))->toBeLessThan(
            1.5 * ($v->uncertainty + $value['dual-plate']->uncertainty) + 0.5,
        );
    }
})->with(['setup_share', 'trail_peak', 'top_share', 'impact_share', 'finish_share', 'recentre_lead']);

it('refuses a fault it cannot plant', function () {
    expect(fn () => new Plant(['moonwalk' => 2]))
        ->toRefuse("'moonwalk' cannot be planted")
        ->and(fn () => new Plant(['sway' => 4]))
        ->toRefuse('1, 2 or 3');
});

it(
    'reads like the rater it models: keener raters find more, over-callers call more, the candid say "cannot tell"',
    function () {
        $codebook = Codebook::standard();
        $count = static function (Rater $rater, Shown $shown) use ($codebook): array {
            $n = ['hit' => 0, 'false' => 0, 'cannot' => 0];
            for ($i = 0; $i < 60; $i++) {
                $calls = $rater->read(
                    $codebook,
                    ['late-push' => 2, 'sway' => 2],
                    $shown,
                    $i,
                    ['TP' => 1.5, 'LB' => 1.2, 'IM' => 1.8],
                    new Chance("rater$i"),
                )->calls;
                foreach ($calls as $key => $call) {
                    $n['hit'] +=
                        $call->presence === Presence::Present && in_array($key, ['late-push', 'sway'], true) ? 1 : 0;
                    $n['false'] +=
                        $call->presence === Presence::Present && ! in_array($key, ['late-push', 'sway'], true) ? 1 : 0;
                    $n['cannot'] += $call->presence === Presence::CannotTell ? 1 : 0;
                }
            }

            return $n;
        };
        $both = new Shown(DeviceClass::DualPlate, true);
        $keen = $count(new Rater(4.0, 0.0), $both);
        $dull = $count(new Rater(1.5, 0.0), $both);
        $loud = $count(new Rater(2.5, -0.8), $both);
        $meek = $count(new Rater(2.5, 0.8), $both);
        $blind = new Shown(DeviceClass::Mat, false);
        expect($keen['hit'])
            ->toBeGreaterThan($dull['hit'])
            ->and($loud['false'])
            ->toBeGreaterThan(3 * $meek['false'])
            ->and($count(new Rater(2.5, 0.0, candour: 1.0), $blind)['cannot'])
            ->toBeGreaterThanOrEqual(180)
            ->and($count(new Rater(2.5, 0.0, candour: 0.0), $both)['cannot'])
            ->toBeLessThan(45);
    },
);

it(
    'pins and marks where it has something to see: on film alone never the trace, without film no times of its own',
    function (Shown $shown, array $on, bool $marks) {
        $pins = $marked = [];
        for ($i = 0; $i < 20; $i++) {
            $reading = (new Rater(4.0, -0.5))->read(
                Codebook::standard(),
                ['sway' => 3, 'spin-out' => 3],
                $shown,
                $i,
                ['LB' => 1.2, 'TP' => 1.5, 'IM' => 1.8],
                new Chance("pins$i"),
            );
            array_push(
                $pins,
                ...array_merge(
                    ...array_values(
                        array_map(static fn ($c) => array_map(static fn ($p) => $p->on, $c->pins), $reading->calls),
                    ),
                ),
            );
            $marked[] = $reading->marks;
        }
        $kinds = array_values(array_unique($pins));
        sort($kinds);
        expect($kinds)
            ->toBe($on)
            ->and(array_filter($marked))
            ->toHaveCount($marks ? 20 : 0);
        if ($marks) {
            expect(max(array_map(static fn ($m) => abs($m['TP'] - 1.5), $marked)))
                ->toBeGreaterThan(max(array_map(static fn ($m) => abs($m['IM'] - 1.8), $marked)))
                ->toBeLessThan(0.06);
        }
    },
)->with([
    'figure alone' => [new Shown(null, true), ['film'], true],
    'filmed views alone' => [new Shown(null, false, views: [View::FaceOn]), ['film'], true],
    'trace alone' => [new Shown(DeviceClass::Mat, false), ['trace'], false],
    'both' => [new Shown(DeviceClass::DualPlate, false, views: [View::FaceOn]), ['film', 'trace'], true],
]);

it('finds what was planted and nothing else over seeded golfers', function () {
    $planted = ['hang-back', 'spin-out', 'late-recentre'];
    $devices = DeviceClass::cases();
    $codebook = Codebook::standard();
    $found = $asked = $false = $clean = array_fill_keys($planted, 0);
    for ($i = 0, $n = many(32, 200); $i < $n; $i++) {
        // As many golfers for each fault, at severity 2 or 3, and as many without any.
        $fault = $planted[$i % 4] ?? null;
        $s = swing(
            "golfer$i",
            $fault === null ? [] : [$fault => 2 + (intdiv($i, 4) % 2)],
            $i % 5 === 0 ? Handedness::Left : Handedness::Right,
            $devices[$i % 3],
        );
        $m = Meter::read(new Evidence($s->stations, $s->trace, $s->motion(), $s->stance));
        foreach ($planted as $key) {
            $verdict = $codebook->fault($key)->judge($m)->verdict->value;
            if ($key === $fault) {
                $asked[$key]++;
                $found[$key] += $verdict === 'supported' ? 1 : 0;
            } elseif ($fault === null || ! in_array($key, Plant::ENTAILS[$fault] ?? [], true)) {
                $clean[$key]++;
                $false[$key] += $verdict === 'supported' ? 1 : 0;
            }
        }
    }
    foreach ($planted as $key) {
        fwrite(
            STDERR,
            sprintf(
                "  %s: found %d of %d planted, supported in %d of %d without it\n",
                $key,
                $found[$key],
                $asked[$key],
                $false[$key],
                $clean[$key],
            ),
        );
        expect($found[$key] / $asked[$key])
            ->toBeGreaterThanOrEqual(0.97)
            ->and($false[$key] / $clean[$key])
            ->toBeLessThanOrEqual(0.02);
    }
})->group('study');

it('leaves a golfer without a planted fault without a supported one', function (DeviceClass $device) {
    for ($i = 0; $i < 8; $i++) {
        $s = swing("clean$i", device: $device);
        $m = Meter::read(new Evidence($s->stations, $s->trace, $s->motion(), $s->stance));
        foreach (Codebook::standard()->faults as $key => $fault) {
            expect($fault->judge($m)->verdict->value)->not->toBe('supported', "$key in golfer $i");
        }
        expect($m->get(\Core\Measurement\Measure::ImpactShare))->toBeInstanceOf(Measured::class);
    }
})->with(DeviceClass::cases());

it('plants each of its faults so that the rules find it', function (string $fault) {
    foreach ([2, 3] as $severity) {
        $s = swing("plant-$fault", [$fault => $severity]);
        $m = Meter::read(new Evidence($s->stations, $s->trace, $s->motion(), $s->stance));
        $lens = $fault === 'lead-leg-leave' ? 'quiet-centre' : 'early-recentre';
        expect(Codebook::standard($lens)->fault($fault)->judge($m)->verdict->value)->toBe('supported');
    }
})->with(Plant::FAULTS);
