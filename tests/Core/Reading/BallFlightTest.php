<?php

use Core\CoreException;
use Core\Reading\BallFlight;
use Core\Simulation\Flight;

it('survives being written down, and refuses what nobody could have seen', function () {
    $flight = new BallFlight(-2.5, 7.0, 'high', 'heel', 3.0);
    expect(BallFlight::fromArray($flight->toArray()))
        ->toEqual($flight)
        ->and(BallFlight::fromArray((new BallFlight(0.0, 0.0, 'low', 'top'))->toArray())->lowPointCm)
        ->toBeNull();
    foreach (
        [
            [50.0, 0.0, 'low', 'top'],
            [0.0, -70.0, 'low', 'top'],
            [0.0, 0.0, 'low', 'top', 60.0],
            [0.0, 0.0, 'lofty', 'top'],
            [0.0, 0.0, 'low', 'shank'],
        ] as $of
    ) {
        expect(fn () => new BallFlight(...$of))->toThrow(CoreException::class);
    }
    foreach (
        [['start_deg' => 'left'], ['start_deg' => 1.0, 'curve_deg' => 1.0, 'height' => 3, 'strike' => 'top']] as $data
    ) {
        expect(fn () => BallFlight::fromArray($data))->toRefuse('needs its');
    }
});

it('tends to what the planted fault tends to give, and often enough does not', function () {
    $thin = $fat = $plain = 0;
    for ($i = 0; $i < 400; $i++) {
        $plain += Flight::simulated("plain$i", 'straight', [])->strike === 'centre' ? 1 : 0;
        $flight = Flight::simulated("hang$i", 'straight', ['hang-back' => 3]);
        $fat += in_array($flight->strike, ['fat', 'thin', 'top'], true) ? 1 : 0;
        expect(Flight::simulated("hang$i", 'straight', ['hang-back' => 3]))->toEqual($flight);
    }
    expect($plain)->toBe(400)->and($fat)->toBeGreaterThan(200)->toBeLessThan(400);
    $curve = fn (string $shape): float => array_sum(
        array_map(fn (int $i): float => Flight::simulated("c$i", $shape, [])->curveDeg, range(1, 200)),
    ) / 200;
    expect($curve('draw'))
        ->toBeLessThan(-3.0)
        ->and($curve('fade'))
        ->toBeGreaterThan(3.0)
        ->and(abs($curve('straight')))
        ->toBeLessThan(0.6);
});
