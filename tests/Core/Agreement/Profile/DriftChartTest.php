<?php

use Core\Agreement\Profile\DriftChart;
use Core\Chance\Chance;

/**
 * A reader beside others, on golfers who are each easy or hard for all, with what each golfer does to this reader
 * alone.
 *
 * @return list<array{golfer: string, right: float, present: float}>
 */
function against(string $seed, int $golfers, float $drift = 0.0, float $own = 0.1): array
{
    $c = new Chance($seed);
    $out = [];
    for ($g = 0; $g < $golfers; $g++) {
        $hard = 0.2 * ($c->uniform() - 0.5);
        $lean = $own * $c->normal();
        for ($k = 0, $n = $c->between(2, 12); $k < $n; $k++) {
            $true = $c->uniform() < 0.3;
            $p = 0.8 + $hard;
            $others = 0.0;
            for ($r = 0; $r < 6; $r++) {
                $others += $c->uniform() < ($true ? $p : 1 - $p) ? 1 / 6 : 0;
            }
            $move = $lean + ($g >= 2 * $golfers / 3 ? $drift : 0.0);
            $called = $c->uniform() < min(1.0, max(0.0, ($true ? $p : 1 - $p) + $move));
            $out[] = [
                'golfer' => "g$g",
                'right' => ($called === $true ? 1.0 : 0.0) - ($true ? $others : 1 - $others),
                'present' => ($called ? 1.0 : 0.0) - $others,
            ];
        }
    }

    return $out;
}

it('raises a false alarm no more often than it says, though golfers lean a reader together', function () {
    $alarms = $small = 0;
    $n = many(150, 2000);
    for ($i = 0; $i < $n; $i++) {
        $chart = DriftChart::ofCalls(against("still$i", 30), seed: $i, permutations: 199);
        $small += $chart->p <= 0.05 ? 1 : 0;
        $alarms += array_filter(array_column($chart->points, 'beyond')) === [] ? 0 : 1;
    }
    expect($small / $n)->toBeLessThan($n > 500 ? 0.065 : 0.09)->and($alarms / $n)->toBeLessThan($n > 500 ? 0.07 : 0.1);
});

it('sees a reader who begins to over-call, and when', function () {
    $chart = DriftChart::ofCalls(against('over', 240, 0.4, 0.02));
    expect($chart->p)->toBeLessThan(0.01)
        ->and($chart->points)->toHaveCount(12)
        ->and(array_sum(array_column($chart->points, 'golfers')))->toBe(240)
        ->and(max(array_column(array_slice($chart->points, 8), 'z_present')))->toBeGreaterThan($chart->limit)
        ->and($chart->points[0]['beyond'])->toBeFalse()
        ->and($chart->limit)->toBeGreaterThan(2.0)->toBeLessThan(4.0);
});

it('counts a golfer who comes again in the stretch of the first time', function () {
    $calls = against('again', 24);
    $twice = [...$calls, ['golfer' => 'g0', 'right' => 0.2, 'present' => 0.1]];
    $chart = DriftChart::ofCalls($twice);
    expect($chart->points[0]['calls'])->toBe(DriftChart::ofCalls($calls)->points[0]['calls'] + 1)
        ->and(array_sum(array_column($chart->points, 'golfers')))->toBe(24);
});

it('tells nothing of fewer than 24 golfers, and bears calls that never differ', function () {
    expect(DriftChart::ofCalls(against('few', 23)))->toBeNull()->and(DriftChart::ofCalls([]))->toBeNull();
    $same = array_map(
        static fn (int $g): array => ['golfer' => "g$g", 'right' => 0.0, 'present' => 0.0],
        range(1, 30),
    );
    $chart = DriftChart::ofCalls($same);
    expect($chart->p)->toBe(1.0)->and(array_column($chart->points, 'beyond'))->not->toContain(true)
        ->and($chart->points[0]['z_right'])->toBe(0.0);
});
