<?php

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\SwingCatcher;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\Assembly;
use Core\Trace\DeviceClass;
use Core\Trace\DeviceClock;

it('puts chunks together in the order of their samples, and leaves a hole where one is missing', function () {
    $out = Assembly::assembled(
        ['a', 'b'],
        [[4, [4.0, 40.0, 5.0, 50.0]], [0, [0.0, 0.0, 1.0, 10.0]], [4, [4.0, 40.0, 5.0, 50.0]]],
        1,
        6,
    );
    expect($out['a'][0])
        ->toBe(1.0)
        ->and($out['a'][1])
        ->toBeNan()
        ->and($out['a'][3])
        ->toBe(4.0)
        ->and($out['b'][4])
        ->toBe(50.0)
        ->and($out['b'][5])
        ->toBeNan()
        ->and(count($out['a']))
        ->toBe(6)
        ->and(fn () => Assembly::assembled([], [], 0, 3))
        ->toThrow(CoreException::class);
});

it('compares a device\'s clock with its own ticks and with ours', function () {
    $marks = fn (float $rate, float $offset): array => array_map(
        static fn (int $i): array => [
            'sample' => (int) (($i * $rate) / 10),
            'device_s' => $i / 10,
            'server_s' => $i / 10 + $offset + ($i % 3) / 50,
        ],
        range(0, 60),
    );
    expect(DeviceClock::fitted([], 100.0))
        ->toBeNull()
        ->and(DeviceClock::fitted($marks(100.0, 0.1), 100.0)->warnings())
        ->toBe([])
        ->and(sentences(DeviceClock::fitted($marks(100.0, -7300.0), 100.0)->warnings())[0])
        ->toContain('2 hours fast')
        ->and(sentences(DeviceClock::fitted($marks(90.0, 0.0), 100.0)->warnings())[0])
        ->toContain('90 samples a second, 10 % fewer')
        ->and(DeviceClock::fitted(array_slice($marks(90.0, 0.0), 0, 5), 100.0)->rateHz)
        ->toBeNull();
});

it('catches a swing about a second after it, once, and no step from foot to foot', function (DeviceClass $device) {
    foreach ([[], ['hang-back' => 2], ['late-load' => 3], ['sway' => 2]] as $i => $plant) {
        $s = Swing::simulated(new GolferSpec("catch$i", new Plant($plant), device: $device));
        $im = $s->stations->t(Station::Impact);
        expect(SwingCatcher::look($s->trace->between(0.0, $im + 0.5), -1.0))->toBeNull();
        $seen = SwingCatcher::look($s->trace, -1.0);
        expect($seen)
            ->not->toBeNull()
            ->and(abs($seen->impact - $im))
            ->toBeLessThan(0.16)
            ->and($seen->from)
            ->toBeLessThan($s->stations->t(Station::Address))
            ->and(SwingCatcher::look($s->trace, $seen->impact))
            ->toBeNull();
    }
    expect(SwingCatcher::look(matTrace(fn ($t) => 50 + 14 * sin(4 * $t), 100.0, 9.0), -1.0))
        ->toBeNull()
        ->and(SwingCatcher::look(matTrace(fn () => 50.0, 100.0, 9.0), -1.0))
        ->toBeNull();
})->with(DeviceClass::cases());

it('takes no walking on, waggle, rehearsal of the shift or step off the device for a swing', function (
    callable $share,
) {
    $seen = SwingCatcher::look(matTrace($share, 100.0, 9.0), -1.0);
    expect($seen)->toBeNull();
})->with([
    'walking on' => [fn (float $t): float => $t < 4.0 ? 100.0 : 50.0],
    'a waggle' => [fn (float $t): float => 50.0 + 6.0 * sin(9.0 * $t)],
    'leaning to the lead side and staying' => [corners([[0.0, 50.0], [6.5, 50.0], [7.0, 60.0], [9.0, 60.0]])],
    'a slow sway from foot to foot' => [fn (float $t): float => 50.0 + 30.0 * sin(0.8 * $t)],
    'nobody there' => [fn (float $t): float => NAN],
]);

it('catches the second of two swings when the first has been caught', function () {
    $one = Swing::simulated(new GolferSpec('first', device: DeviceClass::Mat));
    $two = Swing::simulated(new GolferSpec('second', device: DeviceClass::Mat));
    $channels = [];
    foreach ($one->trace->channels as $name => $values) {
        $channels[$name] = [
            ...$values,
            ...array_fill(0, 60, end($values)),
            ...array_slice($two->trace->channels[$name], 0),
        ];
    }
    $both = new Core\Trace\Trace(DeviceClass::Mat, 100.0, $channels, $one->stance, 78.0);
    $first = SwingCatcher::look($both->between(0.0, $one->trace->duration()), -1.0);
    $second = SwingCatcher::look($both, $first->impact);
    $expected = $one->trace->samples() / 100 + 0.6 + $two->stations->t(Station::Impact);
    expect($second)
        ->not->toBeNull()
        ->and(abs($second->impact - $expected))
        ->toBeLessThan(0.15)
        ->and($second->from)
        ->toBeGreaterThan($first->impact);
});
