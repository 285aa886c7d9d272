<?php

use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Coefficient\WithAbstentions;
use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\Resample;
use Core\Chance\Chance;
use Core\Number\Distribution;

// Errors and their ends, from their definitions: sorted lists, sums over cases, cases left out one at a time.

/** @param  list<float>  $values  at h = (B + 1)p between the sorted values */
function sortedQuantile(array $values, float $p): float
{
    sort($values);
    $h = max(1.0, min((float) count($values), (count($values) + 1) * $p));
    $i = (int) floor($h);

    return $values[$i - 1] + ($h - $i) * (($values[$i] ?? $values[$i - 1]) - $values[$i - 1]);
}

it('finds quantiles by strips as by sorting, with ties, few values and far ones', function () {
    $c = new Chance('strips');
    foreach ([1, 2, 3, 10, 199, 200, 201, 1000] as $n) {
        foreach (['normal', 'ties', 'far', 'same'] as $kind) {
            $values = array_map(static fn (): float => match ($kind) {
                'normal' => $c->normal(),
                'ties' => (float) $c->between(0, 4),
                'far' => $c->uniform() < 0.01 ? 1e12 : $c->normal(),
                'same' => 0.25,
            }, range(1, $n));
            foreach ([[0.025, 0.975], [0.0, 1.0], [0.3, 0.31], [0.999, 0.001]] as [$p, $q]) {
                $is = Resample::quantiles($values, [$p, $q]);
                expect($is[0])->toEqualWithDelta(sortedQuantile($values, $p), 1e-9 * max(1.0, abs($is[0])))
                    ->and($is[1])->toEqualWithDelta(sortedQuantile($values, $q), 1e-9 * max(1.0, abs($is[1])));
            }
        }
    }
});

it('corrects a bootstrap for its bias and its acceleration as it was defined', function () {
    foreach (range(1, 10) as $seed) {
        $c = new Chance("bca $seed");
        $estimate = 0.1 * $c->normal();
        // Some replicates are the estimate itself: they count half.
        $replicates = array_map(static fn (int $i): float => $i % 11 === 0
            ? $estimate
            : $estimate + 0.05 + 0.2 * $c->normal() + 0.1 * $c->normal() ** 2, range(1, 300));
        $left = array_map(static fn (): float => $estimate + 0.02 * $c->normal() ** 3, range(1, 20));
        $below = count(array_filter($replicates, static fn (float $v): bool => $v < $estimate - 1e-12));
        $equal = count(array_filter($replicates, static fn (float $v): bool => abs($v - $estimate) <= 1e-12));
        $z0 = Distribution::normalQuantile(($below + $equal / 2) / 300);
        $mean = array_sum($left) / 20;
        $power = static fn (int $k): float => array_sum(
            array_map(static fn (float $v): float => ($mean - $v) ** $k, $left),
        );
        $a = $power(3) / (6 * $power(2) ** 1.5);
        $end = static fn (float $z): float => Distribution::normal($z0 + ($z0 + $z) / (1 - $a * ($z0 + $z)));
        $middle = array_sum($replicates) / 300;
        $sd = sqrt(
            array_sum(array_map(static fn (float $v): float => ($v - $middle) ** 2, $replicates)) / 299,
        );
        $of = Resample::bca($estimate, $replicates, $left, 0.9, 320);
        expect($of->method)->toBe('bca')
            ->and($of->se)->toEqualWithDelta($sd, 1e-12)
            ->and($of->low)->toEqualWithDelta(sortedQuantile($replicates, $end(-1.6448536269514722)), 1e-7)
            ->and($of->high)->toEqualWithDelta(sortedQuantile($replicates, $end(1.6448536269514722)), 1e-7)
            ->and($of->dropped)->toBe(20);
    }
    // Nothing on one side of the estimate, or cases that all do the same: percentiles, and the same count of dropped.
    $above = array_map(static fn (int $i): float => 1.0 + $i / 100, range(1, 99));
    foreach ([[0.5, [0.1, 0.2]], [1.5, [0.2, 0.2]], [1.5, [0.2, NAN]], [1.5, []]] as [$estimate, $left]) {
        $of = Resample::bca($estimate, $above, $left, 0.8, 100);
        expect([$of->method, $of->dropped])->toBe(['percentile', 1])
            ->and([$of->low, $of->high])->toEqualWithDelta([1.1, 1.9], 1e-9);
    }
    expect(Resample::bca(0.3, [0.3], [], 0.95, 1)->se)->toBe(0.0);
});

it('has the bias and the limits of two timings as on paper, of cases alone and by golfer', function () {
    [$x, $y] = [[10.0, 14.0, 9.0, 22.0, 17.0, 12.0], [8.0, 15.0, 9.0, 18.0, 16.0, 6.0]];
    $of = static function (array $x, array $y): array {
        $n = count($x);
        $d = array_map(static fn (float $a, float $b): float => $a - $b, $x, $y);
        $bias = array_sum($d) / $n;
        $s = sqrt(array_sum(array_map(static fn (float $v): float => ($v - $bias) ** 2, $d)) / ($n - 1));
        [$mx, $my] = [array_sum($x) / $n, array_sum($y) / $n];
        $mean = static fn (array $a, float $m, array $b, float $k): float => array_sum(
            array_map(static fn (float $v, float $w): float => ($v - $m) * ($w - $k), $a, $b),
        ) / $n;

        return [
            'bias' => $bias, 'lower_limit' => $bias - 1.96 * $s, 'upper_limit' => $bias + 1.96 * $s,
            'lin_concordance' => 2 * $mean($x, $mx, $y, $my)
                / ($mean($x, $mx, $x, $mx) + $mean($y, $my, $y, $my) + ($mx - $my) ** 2),
            's' => $s,
        ];
    };
    $paper = $of($x, $y);
    $figures = (new BlandAltman($x, $y))->figures();
    // t of 5 degrees of freedom.
    $t = 2.5705818366147395;
    foreach (['bias' => 1 / 6, 'lower_limit' => 1 / 6 + 1.96 ** 2 / 10, 'upper_limit' => 1 / 6 + 1.96 ** 2 / 10] as $name => $variance) {
        $se = $paper['s'] * sqrt($variance);
        expect($figures[$name]->estimate)->toEqualWithDelta($paper[$name], 1e-12, $name)
            ->and($figures[$name]->se)->toEqualWithDelta($se, 1e-12, $name)
            ->and($figures[$name]->high)->toEqualWithDelta($paper[$name] + $t * $se, 1e-6, $name)
            ->and($figures[$name]->low)->toEqualWithDelta($paper[$name] - $t * $se, 1e-6, $name);
    }
    expect($figures['lin_concordance']->estimate)->toEqualWithDelta($paper['lin_concordance'], 1e-12);
    $whose = [0, 0, 1, 2, 2, 3];
    $clustered = (new BlandAltman($x, $y))->clustered($whose);
    foreach (['bias', 'lower_limit', 'upper_limit', 'lin_concordance'] as $name) {
        $squares = 0.0;
        foreach (range(0, 3) as $g) {
            $keep = array_keys(array_filter($whose, static fn (int $w): bool => $w !== $g));
            $pick = static fn (array $of): array => array_map(static fn (int $i): float => $of[$i], $keep);
            $squares += ($of($pick($x), $pick($y))[$name] - $paper[$name]) ** 2;
        }
        expect($clustered[$name]->estimate)->toEqualWithDelta($paper[$name], 1e-12, $name)
            ->and($clustered[$name]->se)->toEqualWithDelta(sqrt($squares * 3 / 4), 1e-9, $name)
            // Six cases of four golfers, in sizes 2, 1, 2, 1.
            ->and($clustered[$name]->clusters)->toEqualWithDelta(36 / 10, 1e-12);
    }
    $one = (new BlandAltman([3.0], [1.0]))->figures();
    expect([$one['bias']->estimate, $one['bias']->se, $one['upper_limit']->estimate])->toBe([2.0, null, null])
        ->and((new BlandAltman([], []))->figures()['bias']->estimate)->toBeNull()
        ->and((new BlandAltman([2.0, 2.0], [2.0, 2.0]))->figures()['lin_concordance']->estimate)->toBeNull();
});

it('counts who cannot tell among those asked, and among those who might have said so', function () {
    foreach (range(1, 12) as $seed) {
        $c = new Chance("abstain $seed");
        $rows = [];
        foreach (range(1, $c->between(2, 5)) as $rater) {
            $rows["r$rater"] = array_map(static fn (): string => match ($c->between(0, 9)) {
                0 => '.', 1, 2 => 'cannot-tell', 3, 4, 5 => 'present', default => 'absent',
            }, range(1, 14));
        }
        $table = ItemTable::fromRatings(ratings($rows), ['']);
        $off = $table->code('cannot-tell');
        /** @param  list<int>  $units */
        $values = static function (array $units) use ($rows): array {
            $agree = $n = 0;
            $specific = ['present' => [0, 0], 'absent' => [0, 0]];
            foreach ($units as $u) {
                $given = array_filter(array_column($rows, $u), static fn (string $v): bool => $v !== '.');
                $r = count($given);
                if ($r < 2) {
                    continue;
                }
                $n++;
                $of = array_count_values($given);
                foreach (['present', 'absent'] as $k) {
                    $said = $of[$k] ?? 0;
                    $agree += $said * ($said - 1) / ($r * ($r - 1));
                    $specific[$k][0] += $said * ($said - 1);
                    $specific[$k][1] += ($said + ($of['cannot-tell'] ?? 0)) * ($r - 1);
                }
            }
            $share = static fn (array $s): float => $s[1] === 0 ? NAN : $s[0] / $s[1];

            return [$agree / $n, ($agree / $n - 0.5) / 0.5, ...array_map($share, array_values($specific))];
        };
        $units = range(0, 13);
        [$all, [$codes]] = [$values($units), [array_values(array_diff(range(0, $table->q - 1), [$off]))]];
        [$coefficients, $specific] = (new WithAbstentions($table, $off))->figures(new Confidence, null);
        $squares = [0.0, 0.0, 0.0, 0.0];
        $linear = 0.0;
        foreach ($units as $u) {
            foreach ($values(array_values(array_diff($units, [$u]))) as $i => $v) {
                $squares[$i] += ($v - $all[$i]) ** 2;
            }
            $given = array_filter(array_column($rows, $u), static fn (string $v): bool => $v !== '.');
            $paired = count(array_filter($units, static fn (int $w): bool => count(array_filter(
                array_column($rows, $w),
                static fn (string $v): bool => $v !== '.',
            )) > 1));
            $linear += count($given) < 2 ? 0.0 : (14 * ($values([$u])[0] - $all[0]) / $paired) ** 2;
        }
        expect($coefficients['percent_agreement']->estimate)->toEqualWithDelta($all[0], 1e-12)
            ->and($coefficients['brennan_prediger']->estimate)->toEqualWithDelta($all[1], 1e-12)
            ->and($coefficients['percent_agreement']->se)->toEqualWithDelta(sqrt($linear / (14 * 13)), 1e-9)
            ->and($coefficients['brennan_prediger']->se)->toEqualWithDelta(2 * sqrt($linear / (14 * 13)), 1e-9);
        foreach (['present', 'absent'] as $k => $name) {
            $figure = $specific[array_search($table->code($name), $codes, true)];
            expect($figure->estimate)->toEqualWithDelta($all[2 + $k], 1e-12, $name);
            if ($figure->method === 'cluster jackknife') {
                // Only cases of which it was said, or might have been, are clusters of it.
                $g = count(array_filter($units, static function (int $u) use ($rows, $name): bool {
                    $given = array_filter(array_column($rows, $u), static fn (string $v): bool => $v !== '.');

                    return count($given) > 1 && array_intersect([$name, 'cannot-tell'], $given) !== [];
                }));
                expect($figure->se)->toEqualWithDelta(sqrt($squares[2 + $k] * ($g - 1) / $g), 1e-9, $name);
            }
        }
    }
});
