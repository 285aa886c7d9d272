<?php

use Core\CoreException;
use Core\Measurement\SharedEvent;
use Core\Motion\ClockMatch;
use Core\Motion\Motion;
use Core\Motion\Station;
use Core\Motion\StationsFromMotion;
use Core\Motion\StationsFromTrace;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Simulation\Camera;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Series;

/**
 * @return array{list<float>, int, int, int} absolute errors, how many lie outside their own uncertainty, more than
 * three frames and their uncertainty off unflagged, missing
 */
function stationErrors(Closure $find, int $golfers): array
{
    $errors = [];
    $outside = $unflagged = $missing = 0;
    for ($i = 0; $i < $golfers; $i++) {
        $s = Swing::simulated(
            new GolferSpec(
                "st$i",
                new Plant($i % 3 === 0 ? [] : [Plant::FAULTS[$i % 23] => 1 + ($i % 3)]),
                device: DeviceClass::cases()[$i % 3],
                clubMm: [1000.0, 1065.0, 910.0][$i % 3],
            ),
        );
        $found = $find($s, $i);
        foreach ($s->stations->all() as $code => $true) {
            $time = $found?->times->get(Station::from($code));
            if ($time === null) {
                $missing++;

                continue;
            }
            $errors[] = abs($time->t - $true->t);
            $outside += end($errors) > $time->uncertainty ? 1 : 0;
            $unflagged +=
                end($errors) > max(3 / 120, $time->uncertainty) && ! $found->isDoubtful(Station::from($code)) ? 1 : 0;
        }
    }
    sort($errors);

    return [$errors, $outside, $unflagged, $missing];
}

it('finds the stations in noisy body points: median within a frame, none three frames off unflagged', function (
    View $view,
) {
    [$errors, $outside, $unflagged, $missing] = stationErrors(
        fn (Swing $s, int $i) => StationsFromMotion::find(new Views(Camera::record($s->motion(), $view, "x$i"))),
        many(8, 24),
    );
    $n = count($errors);
    fwrite(
        STDERR,
        sprintf(
            '  stations from %s at 120 a second: median %.1f ms, 95 in 100 within %.1f ms, %d of %d outside their own '
                ."uncertainty\n",
            $view->value,
            1000 * $errors[intdiv($n, 2)],
            1000 * $errors[(int) (0.95 * $n)],
            $outside,
            $n,
        ),
    );
    expect($errors[intdiv($n, 2)])
        ->toBeLessThan(1 / 120)
        ->and($unflagged)
        ->toBe(0)
        ->and($missing)
        ->toBe(0)
        ->and($outside / $n)
        ->toBeLessThan(0.06);
})->with(View::cases())->group('study');

it('proposes stations from the trace alone, widely, and marks every one as doubtful', function () {
    [$errors, $outside, $unflagged, $missing] = stationErrors(
        fn (Swing $s) => StationsFromTrace::find($s->trace),
        many(9, 30),
    );
    expect($outside / count($errors))
        ->toBeLessThan(0.06)
        ->and($unflagged)
        ->toBe(0)
        ->and($missing)
        ->toBe(0)
        ->and(StationsFromTrace::find(matTrace(fn () => 50.0)))
        ->toBeNull();
});

it(
    'says so when the club was never still or the swing is an odd one, and finds nothing where nothing swings',
    function () {
        $s = Swing::simulated(new GolferSpec('odd'));
        $from = (int) round(($s->stations->t(Station::Address) + 0.12) * 120);
        $points = array_map(
            static fn (array $axes): array => array_map(static fn (array $v): array => array_slice($v, $from), $axes),
            $s->motion()->points,
        );
        $late = StationsFromMotion::find(new Views(new Motion(120.0, $points, $from / 120)));
        expect($late?->isDoubtful(Station::Address))->toBeTrue();
        $still = array_map(
            static fn (array $axes): array => array_map(
                static fn (array $v): array => array_fill(0, 200, $v[0]),
                $axes,
            ),
            $s->motion()->points,
        );
        expect(StationsFromMotion::find(new Views(new Motion(120.0, $still))))
            ->toBeNull()
            ->and(StationsFromMotion::find(new Views(new Motion(120.0, ['pelvis' => $s->motion()->points['pelvis']]))))
            ->toBeNull();
    },
);

it('matches clocks by impact, and keeps both uncertainties', function () {
    $match = ClockMatch::byImpact(
        new StationTime(1.7, 0.004, StationSource::Motion),
        new StationTime(1.937, 0.003, StationSource::Trace),
    );
    expect($match->clock->offsetS)
        ->toEqualWithDelta(0.237, 1e-12)
        ->and($match->uncertaintyS)
        ->toEqualWithDelta(0.005, 1e-12)
        ->and($match->clock->toRecording(1.0))
        ->toEqualWithDelta(1.237, 1e-12);
});

it('matches clocks by a signal both saw', function (float $offset, float $noise) {
    mt_srand(7);
    $wave = fn (float $t): float => exp(-((($t - 1.4) / 0.12) ** 2)) - 0.8 * exp(-((($t - 1.7) / 0.08) ** 2));
    $film = new Series(
        120.0,
        array_map(fn (int $i): float => $wave($i / 120) + ($noise * mt_rand(-100, 100)) / 100, range(0, 359)),
        0.0,
    );
    $trace = new Series(1000.0, array_map(fn (int $i): float => 40 * $wave($i / 1000 - $offset), range(0, 2999)), 0.0);
    $match = ClockMatch::byCorrelation($film, $trace);
    expect(abs($match->clock->offsetS - $offset))
        ->toBeLessThan(0.004)
        ->toBeLessThan($match->uncertaintyS)
        ->and($match->by)
        ->toBe('correlation');
})->with([[0.0, 0.0], [0.213, 0.1], [-0.35, 0.1]]);

it('matches the push of the ground with the acceleration of the body, or says nothing', function () {
    $s = Swing::simulated(new GolferSpec('c1', new Plant(['late-load' => 2]), device: DeviceClass::Plate));
    $film = Camera::record($s->motion(), View::FaceOn, 'c1');
    $shifted = new Motion($film->rateHz, $film->points, $film->t0 - 0.137, $film->view);
    expect(abs(SharedEvent::match(new Views($shifted), $s->trace)->clock->offsetS - 0.137))
        ->toBeLessThan(0.012)
        ->and(SharedEvent::match(new Views($film->seen(View::DownTheLine)), $s->trace))
        ->toBeNull()
        ->and(SharedEvent::match(new Views($film), Swing::simulated(new GolferSpec('c1', device: DeviceClass::Mat))->trace))
        ->toBeNull();
});

it('fits offset and drift to events of a long take', function () {
    $events = array_map(static fn (float $t): array => [$t, $t + 0.25 + 80e-6 * ($t - 10.0)], [
        10.0,
        60.0,
        120.0,
        300.0,
        610.0,
    ]);
    $match = ClockMatch::byEvents($events, 0.004);
    expect($match->clock->offsetS)
        ->toEqualWithDelta(0.25, 1e-9)
        ->and($match->clock->driftPpm)
        ->toEqualWithDelta(80.0, 1e-6)
        ->and($match->driftUncertaintyPpm)
        ->toBeLessThan(15.0)
        ->and($match->clock->toRecording(310.0))
        ->toEqualWithDelta(310.0 + 0.25 + 80e-6 * 300, 1e-9)
        ->and(fn () => ClockMatch::byEvents([[1.0, 1.2]], 0.004))
        ->toRefuse('two events');
});

it('fits a drift of events with jitter within its own stated uncertainty, and no drift as none', function (float $ppm) {
    $chance = new Core\Chance\Chance("drift $ppm");
    $within = 0;
    for ($take = 0; $take < 100; $take++) {
        $events = [];
        foreach ([5.0, 47.0, 121.0, 260.0, 402.0, 595.0] as $t) {
            $events[] = [$t, $t + 0.3 + 1e-6 * $ppm * ($t - 5.0) + $chance->normal(0.0, 0.002)];
        }
        $match = ClockMatch::byEvents($events, 0.004);
        $within += abs($match->clock->driftPpm - $ppm) <= $match->driftUncertaintyPpm ? 1 : 0;
        // The offset is that at the first event, whatever the drift.
        expect(abs($match->clock->offsetS - 0.3))->toBeLessThan(0.008);
    }
    // 0.004 s is two standard deviations of one event.
    expect($within)->toBeGreaterThanOrEqual(88);
})->with([0.0, 35.0, -120.0]);

it('refuses a drift from one moment alone', function () {
    expect(fn () => ClockMatch::byEvents([[2.0, 2.3], [2.0, 2.31]], 0.004))
        ->toRefuse('different times')
        ->and(fn () => ClockMatch::byEvents([], 0.004))
        ->toThrow(CoreException::class);
});

it('resamples without aliasing: a tone above the new half rate vanishes, one below stays', function () {
    $tone = fn (float $hz): Series => new Series(
        1000.0,
        array_map(static fn (int $i): float => sin((2 * M_PI * $hz * $i) / 1000), range(0, 3000)),
    );
    $power = function (Series $s): float {
        $middle = array_slice($s->values, 20, count($s->values) - 40);

        return sqrt(2 * array_sum(array_map(static fn (float $v): float => $v * $v, $middle)) / count($middle));
    };
    expect($power($tone(180.0)->resampled(120.0)))
        ->toBeLessThan(0.01)
        ->and($power($tone(100.0)->resampled(120.0)))
        ->toBeLessThan(0.02)
        ->and($power($tone(20.0)->resampled(120.0)))
        ->toEqualWithDelta(1.0, 0.03);
    $slow = $tone(5.0)->resampled(250.0);
    foreach ([0.5, 1.234, 2.0] as $t) {
        expect($slow->at($t))->toEqualWithDelta(sin(2 * M_PI * 5 * $t), 0.01);
    }
});
