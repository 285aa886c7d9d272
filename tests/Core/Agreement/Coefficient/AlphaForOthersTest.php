<?php

use Core\Agreement\Coefficient\Alpha;
use Core\Agreement\Coefficient\DistanceAlpha;
use Core\Agreement\Coefficient\IntervalAlpha;
use Core\Agreement\Coefficient\OrdinalAlpha;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Scale;
use Core\Chance\Chance;

/**
 * Grades of 1 to 4 that readers of differing severity give to cases, some left out.
 *
 * @param  float  $severity  SD between readers
 */
function gradedTable(
    string $seed,
    int $readers,
    int $cases,
    Scale $scale,
    float $severity = 0.8,
    float $missing = 0.0,
): ItemTable {
    $c = new Chance($seed);
    $true = array_map(static fn (): float => 1.4 * $c->normal(), range(1, $cases));
    $columns = [];
    for ($g = 0; $g < $readers; $g++) {
        $lean = $severity * $c->normal();
        $columns[] = array_map(static function (float $t) use ($c, $lean, $missing): int {
            $v = $t + $lean + 0.7 * $c->normal();

            return $c->uniform() < $missing
                ? ItemTable::MISSING
                : (int) ($v > -1.0) + (int) ($v > 0.0) + (int) ($v > 1.0);
        }, $true);
    }

    return new ItemTable($scale, ['1', '2', '3', '4'], [1.0, 2.0, 3.0, 4.0],
        array_map(static fn (int $g): string => "r$g", range(1, $readers)), $columns, range(0, $cases - 1));
}

function ratioDelta(float $a, float $b): float
{
    return (($a - $b) / ($a + $b)) ** 2;
}

/** @return array<int, list<list<float>>> what each case was given */
function ratioUnits(ItemTable $table): array
{
    $units = [];
    foreach ($table->columns as $column) {
        foreach ($column as $u => $k) {
            if ($k >= 0) {
                $units[$u][0][] = $table->numbers[$k];
            }
        }
    }

    return $units;
}

it('has what a case does to α from what α becomes when the case is there a little more often', function (Scale $scale) {
    $table = gradedTable('little more', 5, 12, $scale, missing: 0.15);
    $alpha = match ($scale) {
        Scale::Ordinal => new OrdinalAlpha($table),
        Scale::Ratio => DistanceAlpha::of(ratioUnits($table), ratioDelta(...)),
        default => new IntervalAlpha($table),
    };
    $influences = $alpha->influences();
    $many = 400_000;
    $draw = static function (int $case, int $more) use ($influences, $many): array {
        $out = [];
        foreach (array_keys($influences) as $c) {
            array_push($out, $c, $many + ($c === $case ? $more : 0));
        }

        return $out;
    };
    $values = 0;
    foreach ($table->r as $r) {
        $values += $r >= 2 ? $r : 0;
    }
    expect(array_sum($influences))->toEqualWithDelta(0.0, 1e-12);
    foreach ($influences as $case => $psi) {
        $slope = ($alpha->replicate($draw($case, 40))[0] - $alpha->replicate($draw($case, -40))[0]) / 80.0 * $many;
        // The values are never fewer by one where there are so many.
        expect($psi * $values / ($values - 1))->toEqualWithDelta($slope, 2e-3 * abs($slope) + 2e-3);
    }
})->with([Scale::Ordinal, Scale::Interval, Scale::Ratio]);

it('says the same of readers like these on two grades, whether grades are ranks or numbers', function () {
    $two = static function (Scale $scale): Figure {
        $table = gradedTable('two grades', 6, 25, $scale, missing: 0.1);
        $columns = array_map(
            static fn (array $column): array => array_map(
                static fn (int $k): int => $k < 0 ? $k : intdiv($k, 2),
                $column,
            ),
            $table->columns,
        );

        return Alpha::figure(
            new ItemTable($scale, ['1', '2'], [1.0, 2.0], $table->raters, $columns, $table->clusterOf),
            new Confidence(),
            null,
        );
    };
    $ranks = $two(Scale::Ordinal);
    foreach ([$two(Scale::Interval), $two(Scale::Ratio)] as $numbers) {
        expect($numbers->estimate)->toEqualWithDelta($ranks->estimate, 1e-12)
            ->and($numbers->newReaders->se)->toEqualWithDelta($ranks->newReaders->se, 1e-12)
            ->and($numbers->newReaders->low)->toEqualWithDelta($ranks->newReaders->low, 1e-12);
    }
    expect($ranks->newReaders->se)->toBeGreaterThan($ranks->se);
});

it('speaks of readers like these where readers are drawn too, about as often as it says', function () {
    $truth = 0.0;
    for ($i = 0; $i < 12; $i++) {
        $truth += (new OrdinalAlpha(gradedTable("truth $i", 250, 400, Scale::Ordinal)))->estimates()[0] / 12;
    }
    $these = $others = 0;
    for ($i = 0; $i < 300; $i++) {
        $f = Alpha::figure(gradedTable("round $i", 8, 40, Scale::Ordinal), new Confidence(), null);
        $these += $f->low <= $truth && $truth <= $f->high ? 1 : 0;
        $others += $f->newReaders->low <= $truth && $truth <= $f->newReaders->high ? 1 : 0;
    }
    expect($others / 300)->toBeGreaterThan(0.91)->toBeLessThan(0.995)
        ->and($these)->toBeLessThan($others);
});

it('gives a reason where there are few readers, and where every value would be met too often', function () {
    $few = Alpha::figure(gradedTable('few', 3, 20, Scale::Ratio), new Confidence(), null);
    $many = Alpha::figure(gradedTable('many', 16, 100, Scale::Ratio), new Confidence(), null);
    expect($few->newReaders->reason?->code)->toBe('undefined.few-readers-for-others')
        ->and($many->estimate)->not->toBeNull()
        ->and($many->newReaders->reason?->code)->toBe('undefined.too-many-values')
        ->and($many->newReaders->se)->toBeNull();
});
