<?php

use Core\Chance\Chance;
use Core\Drawing\Axis;
use Core\Drawing\Estimate;
use Core\Drawing\Forest;
use Core\Drawing\ForestRow;
use Core\Drawing\Mark;

/** @return list<ForestRow> random shares with intervals around them, some without */
function someRows(Chance $c, int $n): array
{
    return array_map(function (int $i) use ($c): ForestRow {
        $v = $c->uniform();
        $e = static fn (string $series): Estimate => $c->uniform() < 0.2
            ? new Estimate($series, $v, null, null)
            : new Estimate($series, $v, $v * $c->uniform(), $v + (1 - $v) * $c->uniform());

        return new ForestRow("row $i", [$e('sensitivity'), $e('specificity')], $i === 0);
    }, range(0, $n - 1));
}

it('keeps every mark within the box, its interval around it, and rows in their order', function (bool $beside) {
    $c = new Chance('forest');
    foreach ([1, 2, 8, 40] as $n) {
        $rows = someRows($c, $n);
        $chart = $beside ? Forest::beside($rows, Axis::shares()) : Forest::beneath($rows, Axis::shares());
        expect($chart->names)->toHaveCount($n)->and($chart->marks)->toHaveCount(2 * $n);
        $y = array_map(static fn (Mark $m): float => $m->y, $chart->marks);
        $sorted = $y;
        sort($sorted);
        expect($y)->toBe($sorted)->and(max($y))->toBeLessThan($chart->foot);
        foreach ($chart->marks as $mark) {
            expect($mark->x)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual($chart->width);
            if ($mark->from !== null) {
                expect($mark->from)->toBeLessThanOrEqual($mark->x)->and($mark->to)->toBeGreaterThanOrEqual($mark->x);
            }
        }
    }
})->with(['names beside' => true, 'names above' => false]);

it('puts a value where the ticks around it say', function () {
    $axis = new Axis(0.0, 10.0, ['0' => 0.0, '10' => 10.0]);
    $chart = Forest::beside([new ForestRow('one', [new Estimate('a', 5.0, null, null)])], $axis);
    [$low, $high] = $chart->ticks;
    expect($chart->marks[0]->x)->toEqualWithDelta(($low->x + $high->x) / 2, 0.02)
        ->and([$low->text, $high->text])->toBe(['0', '10'])
        ->and($chart->marks[0]->from)->toBeNull();
});

it('draws names of a slim chart above their rows, and of a broad one beside them', function () {
    $rows = someRows(new Chance('names'), 3);
    $broad = Forest::beside($rows, Axis::shares());
    $slim = Forest::beneath($rows, Axis::shares());
    expect($slim->width)->toBeLessThan(390.0);
    foreach ([0, 1, 2] as $i) {
        expect($broad->names[$i]->x)->toBeLessThan($broad->ticks[0]->x)
            ->and($slim->names[$i]->y)->toBeLessThan($slim->marks[2 * $i]->y)
            ->and($broad->names[$i]->strong)->toBe($i === 0);
    }
});
