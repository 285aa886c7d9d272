<?php

use Core\Drawing\FlightShape;
use Core\Motion\Handedness;
use Core\Reading\BallFlight;
use Core\Reading\Turf;

it('draws a push and a fade away from the golfer, whichever hand, and never leaves its box', function () {
    foreach (Handedness::cases() as $hand) {
        $away = $hand === Handedness::Right ? 1 : -1;
        foreach ([-45.0, -6.0, 0.0, 6.0, 45.0] as $start) {
            foreach ([-60.0, -5.0, 0.0, 5.0, 60.0] as $curve) {
                $shape = FlightShape::ofFlight(new BallFlight($start, $curve, 'normal', 'centre'), $hand);
                $side = ($shape->endX - FlightShape::WIDTH / 2) * $away <=> 0;
                expect($side)->toBe($start + $curve <=> 0.0);
                expect($shape->endX)->toBeGreaterThan(0.0)->toBeLessThan((float) FlightShape::WIDTH)
                    ->and($shape->endY)->toBeGreaterThanOrEqual(0.0)->toBeLessThan((float) FlightShape::HEIGHT);
                expect($shape->above)->toMatch('/^M[\d.]+ [\d.]+Q-?[\d.]+ -?[\d.]+ [\d.]+ [\d.]+$/');
            }
        }
    }
});

it('draws low, normal and high apart', function () {
    $sides = array_map(
        fn (string $height): string => FlightShape::ofFlight(new BallFlight(0, 0, $height, 'fat'), Handedness::Left)
            ->side,
        BallFlight::HEIGHTS,
    );
    expect(array_unique($sides))->toHaveCount(3);
});

it('takes path, attack and turf where they were given, and says what was said', function () {
    $flight = new BallFlight(2.0, -3.0, 'low', 'thin', -4.0, 3.5, -5.0, Turf::DugBehind);
    expect(BallFlight::fromArray($flight->toArray()))->toEqual($flight);
    $before = ['start_deg' => 1.0, 'curve_deg' => 0.0, 'height' => 'low', 'strike' => 'toe', 'low_point_cm' => null];
    expect(BallFlight::fromArray($before)->toArray())->toBe($before);
    expect(fn () => new BallFlight(0, 0, 'low', 'toe', pathDeg: 31.0))->toRefuse('');
    expect(fn () => new BallFlight(NAN, 0, 'low', 'toe'))->toRefuse('');
    expect(fn () => new BallFlight(0, INF, 'low', 'toe'))->toRefuse('');
});
