<?php

use Core\CoreException;
use Core\Film\FrameClock;

it('finds the rate a camera keeps from times as files round them', function (float $rate, int $digits) {
    $times = array_map(static fn (int $n): float => round($n / $rate, $digits), range(0, 400));
    expect(FrameClock::rateFor($times))->toEqualWithDelta($rate, 1e-9);
})->with([[30.0, 3], [60.0, 3], [120.0, 4], [240.0, 4], [60000 / 1001, 6], [30000 / 1001, 6], [25.0, 2]]);

it('takes an odd rate as it is and none above 240', function () {
    expect(FrameClock::rateFor(array_map(static fn (int $n): float => $n / 37.0, range(0, 60))))
        ->toEqualWithDelta(37.0, 1e-3)
        ->and(FrameClock::rateFor(array_map(static fn (int $n): float => $n / 1000.0, range(0, 60))))
        ->toBe(240.0);
});

it('puts every picture of an even film in its own frame', function () {
    $times = array_map(static fn (int $n): float => $n / 120.0, range(0, 359));
    $clock = FrameClock::fromTimes($times, 120.0);
    expect($clock->frames())->toBe(360)->and($clock->taken)->toBe($times)->and($clock->isUneven())->toBeFalse();
    foreach ([0, 1, 77, 359] as $n) {
        expect($clock->frameAt(($n + 0.5) / 120.0))->toBe($n)->and($clock->frameAt($n / 120.0))->toBe($n);
    }
    expect($clock->frameAt(-1.0))->toBe(0)->and($clock->frameAt(99.0))->toBe(359);
});

it('holds the latest picture over a pause and says when it was really taken', function () {
    // 60 a second; the third picture comes late by nearly two frames.
    $clock = FrameClock::fromTimes([0.0, 1 / 60, 3.9 / 60, 5 / 60], 60.0);
    expect($clock->taken)->toBe([0.0, 1 / 60, 1 / 60, 1 / 60, 3.9 / 60, 5 / 60])->and($clock->isUneven())->toBeTrue()
        ->and($clock->worstShift())->toEqualWithDelta(2 / 60, 1e-9);
});

it('stays within half a frame while the camera gives as many pictures as the stream has frames', function (int $seed) {
    $chance = new Core\Chance\Chance("jitter|$seed");
    $times = [0.0];
    for ($n = 1; $n < 300; $n++) {
        $times[] = max(end($times) + 1e-3, ($n + 0.4 * ($chance->uniform() - 0.5)) / 60.0);
    }
    $clock = FrameClock::fromTimes($times, 60.0);
    foreach ($clock->taken as $n => $t) {
        expect(abs($t - $n / 60.0))->toBeLessThanOrEqual(0.5 / 60.0 + 1e-9);
    }
})->with([1, 2, 3]);

it('refuses nothing at all', function () {
    expect(fn () => FrameClock::fromTimes([], 60.0))->toThrow(CoreException::class)
        ->and(fn () => FrameClock::usualInterval([0.0]))->toThrow(CoreException::class);
});

it('knows every rate that cameras keep by its times, rounded to microseconds or not', function (float $rate) {
    $times = array_map(static fn (int $n): float => round($n / $rate, 6), range(0, 600));
    expect(FrameClock::rateFor($times))->toBe($rate);
    // A clock that runs a little fast or slow is still that of such a camera; one that is five in a hundred off is not.
    foreach ([1.015, 0.985] as $off) {
        $found = FrameClock::rateFor(array_map(static fn (float $t): float => $t / $off, $times));
        expect(abs($found / $rate - 1.0))->toBeLessThan(0.04);
    }
})->with([
    24000 / 1001, 24.0, 25.0, 30000 / 1001, 30.0, 48.0, 50.0, 60000 / 1001, 60.0, 90.0, 100.0, 120000 / 1001, 120.0,
    200.0, 240000 / 1001, 240.0,
]);

it('holds as many frames as were counted, the last picture over what is beyond it', function () {
    $times = [0.0, 0.5, 1.0];
    expect(FrameClock::fromTimes($times, 2.0)->taken)->toBe($times)
        ->and(FrameClock::fromTimes($times, 2.0, 5)->taken)->toBe([0.0, 0.5, 1.0, 1.0, 1.0])
        ->and(FrameClock::fromTimes($times, 2.0, 2)->taken)->toBe([0.0, 0.5])
        // On the half between two frames a picture goes to the later one.
        ->and(FrameClock::fromTimes([0.0, 0.25], 2.0)->taken)->toBe([0.0, 0.25])
        ->and(FrameClock::fromTimes([0.0, 0.2499], 2.0)->taken)->toBe([0.2499])
        ->and(static fn () => FrameClock::fromTimes($times, 0.0))->toThrow(CoreException::class)
        ->and(static fn () => FrameClock::fromTimes($times, -1.0))->toThrow(CoreException::class);
});

it('calls a film uneven beyond a tenth of a frame', function (float $late, bool $is) {
    expect(FrameClock::fromTimes([0.0, (1.0 + $late) / 60, 2 / 60], 60.0)->isUneven())->toBe($is);
})->with([[0.0, false], [0.09, false], [0.11, true], [-0.09, false], [-0.11, true]]);
