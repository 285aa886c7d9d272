<?php

declare(strict_types=1);

use Core\Drawing\WatchPlot;

it('draws looks between their limits, however far one is beyond', function () {
    expect(WatchPlot::of([]))->toBeNull()
        ->and(WatchPlot::of([['right' => 0.0, 'present' => 0.0, 'limit' => 2.0]]))->toBeNull();
    $plot = WatchPlot::of([
        ['right' => -0.5, 'present' => 0.2, 'limit' => 2.4],
        ['right' => -9.0, 'present' => 1.0, 'limit' => 2.6],
        ['right' => 0.0, 'present' => 0.0, 'limit' => 2.5],
    ]);
    expect(array_keys($plot->lines))->toBe(['right', 'present', 'above', 'below']);
    foreach ($plot->lines as $line) {
        $points = array_map(fn (string $p): array => array_map(floatval(...), explode(',', $p)), explode(' ', $line));
        expect($points)->toHaveCount(3);
        foreach ($points as [$x, $y]) {
            expect($x)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(WatchPlot::WIDTH)
                ->and($y)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(WatchPlot::HEIGHT);
        }
    }
    // Right less often is lower in the picture.
    $ys = array_map(fn (string $p): float => (float) explode(',', $p)[1], explode(' ', $plot->lines['right']));
    expect($ys[1])->toBeGreaterThan($ys[0])->and($ys[0])->toBeGreaterThan($ys[2]);
});
