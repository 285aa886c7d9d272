<?php

use Core\Format\C3d\C3dReader;
use Core\Format\C3d\Laboratory;
use Core\Format\FormatException;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Meter;
use Core\Motion\Handedness;
use Core\Motion\StationsFromMotion;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;

/** A C3D writer of its own, for the tests: nothing of the reader is used. */
final class C3dWriter
{
    public array $groups = [];

    /** Parameters that are set last, over those of every file. */
    public array $last = [];

    public function __construct(private int $processor, private bool $float)
    {
    }

    private function int(int $v): string
    {
        return pack($this->processor === 86 ? 'n' : 'v', $v & 0xFFFF);
    }

    public function float(float $v): string
    {
        if ($this->processor === 86) {
            return pack('G', $v);
        }
        if ($this->processor === 84) {
            return pack('g', $v);
        }
        $b = pack('g', $v * 4.0);

        return $b[2].$b[3].$b[0].$b[1];
    }

    public function set(string $group, string $name, int $type, array $dims, array $values): void
    {
        $this->groups[$group][$name] = [$type, $dims, $values];
    }

    private function parameters(): string
    {
        $out = '';
        $id = 0;
        foreach ($this->groups as $group => $params) {
            $id++;
            $out .= chr(strlen($group)).chr(256 - $id).$group.$this->int(3).chr(0);
            foreach ($params as $name => [$type, $dims, $values]) {
                $data = '';
                foreach ($values as $v) {
                    $data .= match ($type) {
                        -1 => str_pad((string) $v, $dims[0]), 1 => chr($v), 2 => $this->int($v), 4 => $this->float($v)
                    };
                }
                $body = chr($type & 0xFF).chr(count($dims)).implode('', array_map(chr(...), $dims)).$data.chr(0);
                $out .= chr(strlen($name)).chr($id).$name.$this->int(2 + strlen($body)).$body;
            }
        }
        $out .= chr(0).chr(0);
        $blocks = (int) ceil((4 + strlen($out)) / 512);

        return str_pad(chr(1).chr(0x50).chr($blocks).chr($this->processor).$out, 512 * $blocks, "\0");
    }

    /**
     * @param  array<string, array>  $points by label [x[], y[], z[]]; @param  array<string, list<float>>  $analog by
     * label
     */
    public function write(
        array $points,
        float $rate,
        array $analog,
        int $perFrame,
        float $scale = 0.1,
        float $analogScale = 0.05,
        array $patch = [],
    ): string {
        $frames = count(current($points)[0]);
        $this->set('POINT', 'USED', 2, [], [count($points)]);
        $this->set('POINT', 'FRAMES', 2, [], [$frames]);
        $this->set('POINT', 'SCALE', 4, [], [$this->float ? -$scale : $scale]);
        $this->set('POINT', 'RATE', 4, [], [$rate]);
        $this->set('POINT', 'UNITS', -1, [2], ['mm']);
        $this->set('POINT', 'LABELS', -1, [24, count($points)], array_keys($points));
        $this->set('ANALOG', 'USED', 2, [], [count($analog)]);
        $this->set('ANALOG', 'LABELS', -1, [8, count($analog)], array_keys($analog));
        $this->set('ANALOG', 'GEN_SCALE', 4, [], [1.0]);
        $this->set('ANALOG', 'SCALE', 4, [count($analog)], array_fill(0, count($analog), $analogScale));
        $this->set('ANALOG', 'OFFSET', 2, [count($analog)], array_fill(0, count($analog), 0));
        foreach ($this->last as [$group, $name, $type, $dims, $values]) {
            $this->set($group, $name, $type, $dims, $values);
        }
        $params = $this->parameters();
        $start = 2 + strlen($params) / 512;
        $head =
            chr(2).
            chr(0x50).
            $this->int(count($points)).
            $this->int(count($analog) * $perFrame).
            $this->int(1).
            $this->int($frames).
            $this->int(0).
            $this->float($this->float ? -$scale : $scale).
            $this->int((int) $start).
            $this->int($perFrame).
            $this->float($rate);
        $data = '';
        $values = array_values($analog);
        for ($f = 0; $f < $frames; $f++) {
            foreach ($points as [$x, $y, $z]) {
                foreach ([$x[$f], $y[$f], $z[$f]] as $v) {
                    $data .= $this->float
                        ? $this->float(is_nan($v) ? 0.0 : $v)
                        : $this->int((int) round(is_nan($v) ? 0 : $v / $scale));
                }
                $data .= is_nan($x[$f])
                    ? ($this->float
                        ? $this->float(-1.0)
                        : $this->int(-1))
                    : ($this->float
                        ? $this->float(0.0)
                        : $this->int(0));
            }
            for ($s = 0; $s < $perFrame; $s++) {
                foreach ($values as $channel) {
                    $v = $channel[$f * $perFrame + $s] / $analogScale;
                    $data .= $this->float ? $this->float($v) : $this->int((int) round($v));
                }
            }
        }

        return str_pad($head, 512, "\0").$params.$data;
    }
}

/**
 * Channels Fx Fy Fz Mx My Mz of a plate whose x axis lies along lab x, y along −lab y, z down, for a push at a place.
 */
function plateChannels(array $force, array $cop, array $moment, array $centre, float $depth = 40.0): array
{
    $out = array_fill(0, 6, []);
    foreach ($force[0] as $i => $x) {
        // What the golfer does to the plate, in the plate's axes.
        [$fx, $fy, $fz] = [-$x, $force[1][$i], $force[2][$i]];
        [$px, $py] = [$cop[0][$i] - $centre[0], -($cop[1][$i] - $centre[1])];
        [$mx, $my, $mz] = [$py * $fz, -$px * $fz, $px * $fy - $py * $fx + 1000.0 * $moment[$i]];
        // From the surface to the transducers, which lie below: r = (0, 0, −depth), M_o = M_s + r × F.
        foreach ([$fx, $fy, $fz, $mx + $depth * $fy, $my - $depth * $fx, $mz] as $k => $v) {
            $out[$k][] = $v;
        }
    }

    return $out;
}

/**
 * Fx12 Fx34 Fy14 Fy23 Fz1..4 of four transducers at ±a, ±b, that give these forces and moments about their middle.
 */
function transducers(array $six, float $a, float $b): array
{
    $out = array_fill(0, 8, []);
    foreach ($six[0] as $i => $fx) {
        [$fy, $fz, $mx, $my, $mz] = [$six[1][$i], $six[2][$i], $six[3][$i], $six[4][$i], $six[5][$i]];
        foreach ([
            $fx / 2 - $mz / (2 * $b), $fx / 2 + $mz / (2 * $b), $fy / 2, $fy / 2,
            ($fz + $mx / $b - $my / $a) / 4, ($fz + $mx / $b + $my / $a) / 4,
            ($fz - $mx / $b + $my / $a) / 4, ($fz - $mx / $b - $my / $a) / 4,
        ] as $k => $v) {
            $out[$k][] = $v;
        }
    }

    return $out;
}

/** A swing of the synthetic golfer as a laboratory with two plates would write it, X to the target. */
function labFile(
    Swing $s,
    int $processor,
    bool $float,
    int $type = 2,
    ?Closure $set = null,
    ?Closure $channel = null,
): string {
    $right = $s->spec->hand === Handedness::Right;
    $m = $right ? -1.0 : 1.0;
    $w = new C3dWriter($processor, $float);
    $points = $s->motion()->toLaboratory($s->spec->hand);
    $names = [];
    foreach ($points as $name => $axes) {
        $names['SUBJ:'.strtoupper($name)] = $axes;
    }
    $frames = count(current($points)[0]);
    $per = 8;
    $analog = [];
    $corners = [];
    foreach (['lead' => 300.0, 'trail' => -300.0] as $side => $cx) {
        $take = fn (string $c, float $sign = 1.0): array => array_map(
            static fn (int $i): float => $sign *
                (is_nan($v = $s->trace->series($side.$c)->at(min($i / 960, $s->trace->duration())) ?? 0.0)
                    ? 0.0
                    : $v),
            range(0, $frames * $per - 1),
        );
        $channels = plateChannels(
            [$take('_fx_n'), $take('_fy_n', $m), $take('_fz_n')],
            [$take('_copx_mm'), $take('_copy_mm', $m)],
            $take('_mz_nm', -$m),
            [$cx, 0.0],
        );
        if ($type === 1) {
            // Where it presses and the free moment there, in the plate's axes.
            $channels[3] = array_map(static fn (float $v): float => $v - $cx, $take('_copx_mm'));
            $channels[4] = array_map(static fn (float $v): float => -$v, $take('_copy_mm', $m));
            $channels[5] = array_map(static fn (float $v): float => 1000.0 * $v, $take('_mz_nm', -$m));
        } elseif ($type === 3) {
            $channels = transducers($channels, 120.0, 200.0);
        }
        foreach ($channels as $k => $values) {
            $values = $channel === null ? $values : array_map($channel, $values, array_keys($values));
            $analog[$side.$k] = $type === 4 ? array_map(static fn (float $v): float => $v / 10.0, $values) : $values;
        }
        // Corners 1 to 4 at +x+y, −x+y, −x−y, +x−y of the plate's axes; its y is the laboratory's −y.
        array_push($corners, $cx + 250, -300, 0, $cx - 250, -300, 0, $cx - 250, 300, 0, $cx + 250, 300, 0);
    }
    $w->set('FORCE_PLATFORM', 'USED', 2, [], [2]);
    $w->set('FORCE_PLATFORM', 'TYPE', 2, [2], [$type, $type]);
    $w->set('FORCE_PLATFORM', 'CORNERS', 4, [3, 4, 2], $corners);
    $origin = $type === 3 ? [120, 200, -40] : [0, 0, -40];
    $w->set('FORCE_PLATFORM', 'ORIGIN', 4, [3, 2], [...$origin, ...$origin]);
    $each = $type === 3 ? 8 : 6;
    $w->set('FORCE_PLATFORM', 'CHANNEL', 2, [$each, 2], range(1, 2 * $each));
    $set === null || $set($w);
    if ($type === 4) {
        $matrix = [];
        for ($i = 0; $i < 72; $i++) {
            $matrix[] = intdiv($i % 36, 6) === $i % 6 ? 10.0 : 0.0;
        }
        $w->set('FORCE_PLATFORM', 'CAL_MATRIX', 4, [6, 6, 2], $matrix);
    }

    return $w->write($names, 120.0, $analog, $per, 0.05, $float ? 1.0 : 20.0);
}

it('reads points and analog samples of every byte order and number format to 1e-4', function (
    int $processor,
    bool $float,
) {
    $wave = fn (float $a): array => array_map(
        static fn (int $i): float => round($a * sin($i / 9) + 100, 1),
        range(0, 99),
    );
    $points = ['HEEL' => [$wave(300.0), $wave(-20.0), $wave(5.0)], 'TOE' => [$wave(1.0), $wave(2.0), $wave(3.0)]];
    $points['TOE'][0][7] = NAN;
    $analog = [
        'A1' => array_map(static fn (int $i): float => round(50 * cos($i / 31), 2), range(0, 999)),
        'A2' => array_map(static fn (int $i): float => (float) ($i % 7), range(0, 999)),
    ];
    $c3d = C3dReader::read(
        (new C3dWriter($processor, $float))->write($points, 120.0, $analog, 10, 0.1, 0.01),
        'take.c3d',
    );
    expect(array_keys($c3d->points))
        ->toBe(['HEEL', 'TOE'])
        ->and($c3d->pointRateHz)
        ->toEqualWithDelta(120.0, 1e-6)
        ->and($c3d->analogRateHz)
        ->toEqualWithDelta(1200.0, 1e-4)
        ->and($c3d->analogLabels)
        ->toBe([1 => 'A1', 2 => 'A2']);
    foreach ($points as $name => $axes) {
        foreach ($axes as $axis => $values) {
            foreach ($values as $i => $v) {
                if ($name === 'TOE' && $i === 7) {
                    expect($c3d->points[$name][$axis][$i])->toBeNan();
                } else {
                    expect(abs($c3d->points[$name][$axis][$i] - $v))->toBeLessThan(1e-4);
                }
            }
        }
    }
    foreach (array_values($analog) as $c => $values) {
        expect(
            max(array_map(static fn (float $a, float $b): float => abs($a - $b), $c3d->analog[$c + 1], $values)),
        )->toBeLessThan(1e-4);
    }
})->with([[84, true], [84, false], [85, true], [85, false], [86, true], [86, false]]);

it('brings a laboratory\'s file into the stance\'s frame, for either hand, platform type and byte order', function (
    Handedness $hand,
    int $processor,
    int $type,
) {
    $s = Swing::simulated(new GolferSpec('lab', hand: $hand));
    $in = Laboratory::import(labFile($s, $processor, true, $type), 'lab.c3d', $hand);
    expect($in->trace->device)
        ->toBe(DeviceClass::DualPlate)
        ->and($in->trace->rateHz)
        ->toEqualWithDelta(960.0, 1e-3)
        ->and($in->trace->massKg)
        ->toEqualWithDelta(78.0, 0.3)
        ->and($in->facts->stance->lead->heading())
        ->toEqualWithDelta($s->stance->lead->heading(), 0.5)
        ->and(implode(' ', sentences($in->notes)))
        ->toContain('nearer the target');
    $ours = Meter::read(new Evidence($s->stations, $s->trace, $s->motion(), $s->stance));
    $theirs = Meter::read(
        new Evidence(StationsFromMotion::find($in->views)->times, $in->trace, $in->views, $in->facts->stance),
    );
    foreach (
        [
            'impact_share' => null,
            'trail_peak' => null,
            'rise' => null,
            'twist' => null,
            'side_push' => null,
            'heel_toe_trail' => null,
            'toe_drift' => null,
            'edge_fraction' => null,
            'foot_spin' => null,
            'pelvis_depth' => null,
            'pelvis_sway' => 'LB',
            'pelvis_turn' => 'IM',
            'mass_ahead' => 'LD',
            'knee_gap' => 'TP',
            'lead_flare' => null,
        ] as $key => $at
    ) {
        [$a, $b] = [$ours->get(Measure::from($key), $at), $theirs->get(Measure::from($key), $at)];
        expect(abs($a->number() - $b->number()))->toBeLessThan(
            1.6 * max($a->uncertainty, $b->uncertainty),
            "$key: {$a->number()} ± {$a->uncertainty}, in the file {$b->number()}",
        );
    }
})->with([
    [Handedness::Right, 84, 2],
    [Handedness::Left, 84, 2],
    [Handedness::Right, 85, 4],
    [Handedness::Left, 86, 4],
    [Handedness::Right, 84, 1],
    [Handedness::Left, 86, 1],
    [Handedness::Right, 85, 3],
    [Handedness::Left, 84, 3],
]);

it('gives the same whichever laboratory axis points to the target', function (string $axis, callable $turn) {
    $s = Swing::simulated(new GolferSpec('turned'));
    $plain = Laboratory::import(labFile($s, 84, true), 'a.c3d', Handedness::Right);
    $c3d = C3dReader::read(labFile($s, 84, true), 'a.c3d');
    $points = array_map(static function (array $p) use ($turn): array {
        $xy = array_map($turn, $p[0], $p[1]);

        return [array_column($xy, 0), array_column($xy, 1), $p[2]];
    }, $c3d->points);
    $w = new C3dWriter(84, true);
    foreach ($c3d->parameters['FORCE_PLATFORM'] as $name => $p) {
        $values =
            $name === 'CORNERS'
                ? array_merge(
                    ...array_map(
                        static fn (array $c): array => [...$turn($c[0], $c[1]), $c[2]],
                        array_chunk($p['values'], 3),
                    ),
                )
                : $p['values'];
        $w->set(
            'FORCE_PLATFORM',
            $name,
            in_array($name, ['CORNERS', 'ORIGIN'], true) ? 4 : 2,
            $p['dimensions'],
            $values,
        );
    }
    $turned = Laboratory::import(
        $w->write($points, 120.0, array_combine($c3d->analogLabels, $c3d->analog), 8, 0.05, 1.0),
        'b.c3d',
        Handedness::Right,
        $axis,
    );
    foreach (['lead_copx_mm', 'trail_copy_mm', 'lead_fx_n', 'trail_fy_n', 'lead_mz_nm'] as $channel) {
        expect($turned->trace->series($channel)->at(1.2))->toEqualWithDelta(
            $plain->trace->series($channel)->at(1.2),
            0.01,
        );
    }
    expect($turned->views->coordinate('pelvis', Axis::Y)->at(1.2))->toEqualWithDelta(
        $plain->views->coordinate('pelvis', Axis::Y)->at(1.2),
        0.01,
    );
})->with([
    ['+y', fn (float $x, float $y): array => [-$y, $x]],
    ['-x', fn (float $x, float $y): array => [-$x, -$y]],
    ['-y', fn (float $x, float $y): array => [$y, -$x]],
]);

it('knows its points by side and part, whatever the case and prefix', function (
    string $label,
    ?string $right,
    ?string $left,
) {
    expect(Laboratory::pointName($label, Handedness::Right))
        ->toBe($right)
        ->and(Laboratory::pointName($label, Handedness::Left))
        ->toBe($left);
})->with([
    ['LEFT_HEEL', 'lead_heel', 'trail_heel'],
    ['Anna:RKnee', 'trail_knee', 'lead_knee'],
    ['trail_toe', 'trail_toe', 'trail_toe'],
    ['Hip_L', 'lead_hip', 'trail_hip'],
    ['club_head', 'club_head', 'club_head'],
    ['MARK7', null, null],
    ['*12', null, null],
]);

it('refuses what is cut off, lies or means harm, in a sentence and without filling memory', function (
    callable $spoil,
    string $why,
) {
    $points = ['HEEL' => array_fill(0, 3, array_fill(0, 200, 1.0))];
    $good = (new C3dWriter(84, true))->write($points, 120.0, ['A' => array_fill(0, 2000, 0.0)], 10);
    $before = memory_get_usage();
    expect(fn () => C3dReader::read($spoil($good), 'bad.c3d'))->toRefuse("bad.c3d: $why");
    expect(memory_get_usage() - $before)->toBeLessThan(8_000_000);
})->with([
    'nothing' => [fn (string $b) => '', 'this is no C3D file'],
    'text' => [fn (string $b) => str_repeat('t_s,lead_pct', 200), 'this is no C3D file'],
    'cut off in the data' => [
        fn (string $b) => substr($b, 0, 5000),
        'the header announces 200 frames, but the file ends after',
    ],
    'cut off in the parameters' => [fn (string $b) => substr($b, 0, 1030), 'the '],
    'a parameter section elsewhere' => [fn (string $b) => chr(250).substr($b, 1), 'the parameter section lies outside'],
    'an unknown processor' => [fn (string $b) => substr_replace($b, chr(99), 515, 1), 'the processor type is 99'],
    'a rate of nothing' => [fn (string $b) => str_replace(pack('g', 120.0), pack('g', 0.0), $b), 'the frame rate'],
    'a rate that is no number' => [
        fn (string $b) => str_replace(pack('g', 120.0), pack('g', NAN), $b),
        'the frame rate',
    ],
    'a parameter longer than its section' => [
        fn (string $b) => substr_replace($b, chr(255).chr(255), strpos($b, 'LABELS') + 10, 2),
        'the parameter',
    ],
]);

it('bears any bytes: two thousand spoilt files give an error or a recording, never anything else', function () {
    $good = (new C3dWriter(84, false))->write(
        ['HEEL' => array_fill(0, 3, array_fill(0, 20, 1.0))],
        120.0,
        ['A' => array_fill(0, 80, 0.0)],
        4,
    );
    mt_srand(11);
    $refused = 0;
    for ($i = 0; $i < 2000; $i++) {
        $bytes = $good;
        for ($k = 0; $k <= $i % 6; $k++) {
            $bytes[mt_rand(0, min(1500, strlen($bytes) - 1))] = chr(mt_rand(0, 255));
        }
        try {
            C3dReader::read($bytes, 'x.c3d');
        } catch (FormatException) {
            $refused++;
        }
    }
    expect($refused)->toBeGreaterThan(100)->toBeLessThan(1900);
});

it('asks for a platform of a type it reads, and for one at all', function () {
    $w = new C3dWriter(84, true);
    $points = ['HEEL' => array_fill(0, 3, array_fill(0, 50, 1.0))];
    expect(
        fn () => Laboratory::import(
            $w->write($points, 120.0, ['A' => array_fill(0, 200, 0.0)], 4),
            'x.c3d',
            Handedness::Right,
        ),
    )->toRefuse('no force platform');
    $w->set('FORCE_PLATFORM', 'USED', 2, [], [1]);
    $w->set('FORCE_PLATFORM', 'TYPE', 2, [1], [5]);
    expect(
        fn () => Laboratory::import(
            $w->write($points, 120.0, ['A' => array_fill(0, 200, 0.0)], 4),
            'x.c3d',
            Handedness::Right,
        ),
    )->toRefuse('of type 5');
});

it('refuses a forged file whose force or points no instrument gives, and takes what is no number as missing', function (
    float $value,
    bool $inPoints,
    ?string $why,
) {
    $bytes = labFile(Swing::simulated(new GolferSpec('forged')), 84, true);
    [$points, $analog, $start] = [unpack('v', $bytes, 2)[1], unpack('v', $bytes, 4)[1], unpack('v', $bytes, 16)[1]];
    $frame = 512 * ($start - 1) + 50 * (16 * $points + 4 * $analog);
    // All of one frame's samples, or one coordinate of its first point.
    $bytes = $inPoints
        ? substr_replace($bytes, pack('g', $value), $frame, 4)
        : substr_replace($bytes, str_repeat(pack('g', $value), $analog), $frame + 16 * $points, 4 * $analog);
    $read = fn () => Laboratory::import($bytes, 'forged.c3d', Handedness::Right);
    if ($why !== null) {
        expect($read)->toRefuse($why);

        return;
    }
    $in = $read();
    expect(
        json_encode(array_map(fn (array $v): bool => array_filter($v, is_infinite(...)) === [], $in->trace->channels)),
    )
        ->not->toContain('false')
        ->and(array_filter($in->trace->channels['lead_fz_n'], is_nan(...)))
        ->not->toBe([]);
})->with([
    'a force of 3e38' => [3e38, false, 'which nothing measures'],
    'an infinite force' => [INF, false, 'which nothing measures'],
    'one below nought' => [-INF, false, 'which nothing measures'],
    'an infinite point' => [INF, true, 'which nothing measures'],
    'a point at 1e30 mm' => [1e30, true, 'which nothing measures'], 'a force that is no number' => [NAN, false, null],
]);

it('takes the baseline off where the file names frames of it', function () {
    $s = Swing::simulated(new GolferSpec('zeroed'));
    $plain = Laboratory::import(labFile($s, 84, true), 'a.c3d', Handedness::Right);
    // Ten frames with nothing on the plates, and every channel off by 30.
    $set = fn (C3dWriter $w) => $w->set('FORCE_PLATFORM', 'ZERO', 2, [2], [1, 10]);
    $off = labFile($s, 84, true, 2, $set, static fn (float $v, int $i): float => ($i < 80 ? 0.0 : $v) + 30.0);
    $none = labFile($s, 84, true, 2, null, static fn (float $v, int $i): float => ($i < 80 ? 0.0 : $v) + 30.0);
    $at = static fn (Core\Format\ImportedRecording $in): float => $in->trace->channels['lead_fz_n'][1000];
    expect($at(Laboratory::import($off, 'b.c3d', Handedness::Right, massKg: 78.0)))
        ->toEqualWithDelta($at($plain), 0.01)
        ->and(abs($at(Laboratory::import($none, 'c.c3d', Handedness::Right, massKg: 78.0)) - $at($plain)))
        ->toEqualWithDelta(30.0, 0.01);
});

it('reads unsigned integers about the middle of their range', function (int $processor) {
    $w = new C3dWriter($processor, false);
    $w->last = [['ANALOG', 'FORMAT', -1, [8], ['UNSIGNED']], ['ANALOG', 'OFFSET', 2, [1], [32768]]];
    $truth = array_map(static fn (int $i): float => 700.0 * sin($i / 9.0), range(0, 199));
    $bytes = $w->write(
        ['HEEL' => array_fill(0, 3, array_fill(0, 50, 1.0))],
        120.0,
        ['A' => array_map(static fn (float $v): float => $v + 32768 * 0.05, $truth)],
        4,
    );
    foreach (C3dReader::read($bytes, 'u.c3d')->analog[1] as $i => $v) {
        expect($v)->toEqualWithDelta($truth[$i], 0.03);
    }
})->with([84, 85, 86]);

it('takes marked events for stations, and the mass that the file states', function () {
    $s = Swing::simulated(new GolferSpec('marked'));
    $events = function (array $labels, array $times) use ($s): Core\Format\ImportedRecording {
        return Laboratory::import(labFile($s, 84, true, 2, function (C3dWriter $w) use ($labels, $times): void {
            $w->set('EVENT', 'USED', 2, [], [count($labels)]);
            $w->set('EVENT', 'LABELS', -1, [16, count($labels)], $labels);
            $w->set('EVENT', 'TIMES', 4, [2, count($times)], array_merge(...array_map(
                static fn (float $t): array => [0.0, $t],
                $times,
            )));
            $w->set('PROCESSING', 'BODYMASS', 4, [], [81.5]);
        }), 'e.c3d', Handedness::Right);
    };
    $in = $events(['Address', 'Top of backswing', 'IM', 'a note'], [0.5, 1.4, 1.66, 1.0]);
    expect(array_map(static fn ($t): float => round($t->t, 3), $in->stations->all()))
        ->toBe(['AD' => 0.5, 'TP' => 1.4, 'IM' => 1.66])
        ->and($in->trace->massKg)->toEqualWithDelta(81.5, 1e-3)
        ->and(implode(' ', sentences($in->notes)))->toContain('81.5 kg, is the one that the file states');
    // What stands in no order a swing has is left out and said, and refuses nothing.
    $odd = $events(['Impact', 'Top'], [0.5, 1.4]);
    expect($odd->stations)->toBeNull()
        ->and(implode(' ', sentences($odd->notes)))->toContain('no order that a swing has');
    expect($events(['a', 'b'], [NAN, -4.0])->stations)->toBeNull();
});
