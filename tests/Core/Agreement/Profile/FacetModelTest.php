<?php

use Core\Agreement\Profile\FacetModel;
use Core\Agreement\Profile\RoundsOnScale;
use Core\Chance\Chance;
use Core\Format\Json\FacetJson;
use Core\Format\Json\JsonObject;
use Core\Number\NelderMead;

/**
 * Calls of planted readers, cases and faults.
 *
 * @return array{list<array{bool, list<string>}>, list<list<float>>} calls, and what was planted by facet
 */
function facetCalls(string $seed, array $sizes, array $sds, float $mean, float $kept): array
{
    $c = new Chance($seed);
    $planted = [];
    foreach ($sizes as $f => $n) {
        $planted[] = array_map(static fn (): float => $sds[$f] * $c->normal(), range(1, $n));
    }
    $calls = [];
    foreach ($planted[0] as $r => $a) {
        foreach ($planted[1] as $k => $d) {
            foreach ($planted[2] as $f => $e) {
                if ($c->uniform() < $kept) {
                    $calls[] = [$c->uniform() < 1 / (1 + exp(-($mean + $a + $d + $e))), ["r$r", "c$k", "f$f"]];
                }
            }
        }
    }

    return [$calls, $planted];
}

// R 4.2.2, lme4 1.1.31: glmer(y ~ 1 + (1|reader) + (1|case) + (1|fault), family = binomial, nAGQ = 0)
it('equals a logistic mixed model with crossed effects, as another program fits it', function () {
    [$calls] = facetCalls('facets', [8, 40, 6], [0.7, 0.9, 0.5], 1.2, 0.8);
    $names = ['reader', 'case', 'fault'];
    $same = FacetModel::fit($calls, $names, [0.94325705, 1.01442152, 0.23270100]);
    expect($same->mean)->toEqualWithDelta(1.036505841, 2e-6)
        ->and($same->meanSe)->toEqualWithDelta(0.38809441, 1e-5)
        ->and($same->deviance)->toEqualWithDelta(1581.516, 1e-3);
    foreach (['r0' => -1.40992849, 'r2' => 1.29984602, 'r5' => 0.50287700, 'r7' => -1.00809625] as $reader => $v) {
        expect($same->facets['reader'][$reader]->estimate)->toEqualWithDelta($v, 2e-6);
    }
    foreach (['c0' => 1.45146885, 'c1' => 0.89176718, 'c10' => 1.26826179, 'c11' => -0.29902256] as $case => $v) {
        expect($same->facets['case'][$case]->estimate)->toEqualWithDelta($v, 2e-6);
    }
    $found = FacetModel::fit($calls, $names);
    expect($found->sd['reader'])->toEqualWithDelta(0.943257, 2e-4)
        ->and($found->sd['case'])->toEqualWithDelta(1.014422, 2e-4)
        ->and($found->sd['fault'])->toEqualWithDelta(0.232701, 2e-4)
        ->and($found->deviance)->toEqualWithDelta($same->deviance, 1e-5);
});

it('finds what was planted, with errors that hold it', function () {
    [$calls, $planted] = facetCalls('planted', [10, 60, 8], [0.6, 0.8, 0.4], 1.0, 0.9);
    $m = FacetModel::fit($calls, ['reader', 'case', 'fault']);
    $inside = $all = 0;
    foreach (['reader' => ['r', 0], 'case' => ['c', 1]] as $facet => [$letter, $f]) {
        foreach ($planted[$f] as $i => $true) {
            $e = $m->facets[$facet]["$letter$i"];
            $inside += abs($e->estimate - $true) <= 1.96 * $e->se ? 1 : 0;
            $all++;
        }
    }
    expect($inside / $all)->toBeGreaterThan(0.88)
        ->and($m->sd['reader'])->toBeGreaterThan(0.3)->toBeLessThan(1.0)
        ->and($m->sd['case'])->toEqualWithDelta(sqrt(array_sum(array_map(fn ($v) => $v * $v, $planted[1])) / 60), 0.15)
        ->and(abs(array_sum(array_map(fn ($e) => $e->estimate, $m->facets['case']))))->toBeLessThan(1.0);
});

it('does not depend on the order of the facets, the calls, or what levels are called', function () {
    [$calls] = facetCalls('order', [5, 20, 4], [0.6, 0.8, 0.4], 0.8, 0.9);
    $one = FacetModel::fit($calls, ['reader', 'case', 'fault'], [0.6, 0.8, 0.4]);
    $turned = array_map(static fn (array $c): array => [$c[0], ["z{$c[1][2]}", $c[1][0], "9{$c[1][1]}"]],
        array_reverse($calls));
    $two = FacetModel::fit($turned, ['fault', 'reader', 'case'], [0.4, 0.6, 0.8]);
    expect($two->deviance)->toEqualWithDelta($one->deviance, 1e-9)
        ->and($two->facets['case']['9c3']->estimate)->toEqualWithDelta($one->facets['case']['c3']->estimate, 1e-9)
        ->and($two->facets['case']['9c3']->se)->toEqualWithDelta($one->facets['case']['c3']->se, 1e-9)
        ->and($two->facets['case']['9c3']->seWithMean)->toEqualWithDelta($one->facets['case']['c3']->seWithMean, 1e-9)
        ->and($two->facets['reader']['r1']->seWithMean)->toEqualWithDelta($one->facets['reader']['r1']->seWithMean,
            1e-9);
    [$share, $low, $high] = $one->share($one->facets['reader']['r1']);
    expect($low)->toBeLessThan($share)->and($high)->toBeGreaterThan($share)
        // What the large facet's elimination gives, against the same facet kept small.
        ->and($one->facets['fault']['f1']->seWithMean)->toEqualWithDelta($two->facets['fault']['zf1']->seWithMean, 1e-9)
        ->and(FacetJson::read(json_decode(json_encode(FacetJson::write($one)), true)))->toEqual($one);
});

it('says in how many parts a design falls that share nothing', function () {
    [$one] = facetCalls('here', [3, 6, 2], [0.5, 0.5, 0.5], 0.8, 1.0);
    [$two] = facetCalls('there', [3, 6, 2], [0.5, 0.5, 0.5], 0.8, 1.0);
    $apart = array_map(static fn (array $c): array => [$c[0], ["x{$c[1][0]}", "x{$c[1][1]}", $c[1][2]]], $two);
    $linked = array_map(static fn (array $c): array => [$c[0], [$c[1][0], "x{$c[1][1]}", $c[1][2]]], $two);
    $names = ['reader', 'case', 'fault'];
    expect(FacetModel::fit($one, $names)->parts)->toBe(1)
        // Faults alone link nothing: readers and cases are other ones.
        ->and(FacetModel::fit([...$one, ...$apart], $names, null, ['reader', 'case'])->parts)->toBe(2)
        ->and(FacetModel::fit([...$one, ...$linked], $names, null, ['reader', 'case'])->parts)->toBe(1);
});

it('puts two rounds on one scale by the readers they share', function () {
    [$one] = facetCalls('round', [6, 25, 5], [0.6, 0.6, 0.3], 0.9, 1.0);
    $c = new Chance('harder');
    $calls = array_map(static fn (array $of): array => [$of[0], [...$of[1], 'spring']], $one);
    foreach ($one as [$right, $levels]) {
        // The same readers on other cases, of whom a quarter of the right calls are lost.
        $calls[] = [$right && $c->uniform() > 0.25, [$levels[0], "b{$levels[1]}", $levels[2], 'autumn']];
    }
    $m = FacetModel::fit($calls, ['reader', 'case', 'fault', 'round']);
    [$spring, $autumn] = [$m->facets['round']['spring'], $m->facets['round']['autumn']];
    expect($spring->estimate - $autumn->estimate)->toBeGreaterThan(0.3)->and($m->parts)->toBe(1);
});

it('shows a reader whose calls do not follow the others by the fit', function () {
    [$calls] = facetCalls('odd', [6, 40, 5], [0.3, 1.2, 0.3], 0.6, 1.0);
    $c = new Chance('coin');
    $odd = array_map(
        static fn (array $of): array => $of[1][0] === 'r5' ? [$c->uniform() < 0.6, $of[1]] : $of,
        $calls,
    );
    $readers = FacetModel::fit($odd, ['reader', 'case', 'fault'])->facets['reader'];
    $others = array_map(fn ($e) => $e->infit, array_diff_key($readers, ['r5' => 1]));
    expect($readers['r5']->infit)->toBeGreaterThan(max($others))->toBeGreaterThan(1.1)
        ->and($readers['r5']->n)->toBe(200);
});

it('is nothing where all calls are right, or none is, and bears one call a level', function () {
    expect(FacetModel::fit([[true, ['a', 'b']]], ['reader', 'case']))->toBeNull()
        ->and(FacetModel::fit([], ['reader', 'case']))->toBeNull();
    $m = FacetModel::fit([[true, ['a', 'x']], [false, ['b', 'y']], [true, ['c', 'z']]], ['reader', 'case']);
    expect($m->parts)->toBe(3)->and(is_finite($m->deviance))->toBeTrue();
});

it('finds the lowest point of a bent valley', function () {
    $valley = static fn (array $p): float => (1 - $p[0]) ** 2 + 100 * ($p[1] - $p[0] ** 2) ** 2;
    [$x, $y] = NelderMead::lowest($valley, [-1.2, 1.0], 0.5, 1e-14);
    expect($x)->toEqualWithDelta(1.0, 1e-4)->and($y)->toEqualWithDelta(1.0, 1e-4)
        ->and(NelderMead::lowest(static fn (array $p): float => ($p[0] - 3.0) ** 2, [0.0], 1.0)[0])
        ->toEqualWithDelta(3.0, 1e-4);
});

/**
 * Calls of a first and a second round: readers of both, some cases of both, the other cases of the second harder.
 *
 * @return array{list<array{bool, list<string>}>, list<array{bool, list<string>}>}
 */
function twoRoundsOfCalls(string $seed, float $moved, int $shared = 8): array
{
    $c = new Chance($seed);
    $out = [[], []];
    $readers = array_map(static fn (): float => 0.5 * $c->normal(), range(1, 8));
    $cases = array_map(
        static fn (int $k): float => 0.7 * $c->normal() - ($k >= 20 ? 0.8 : 0.0),
        range(0, 39 - $shared),
    );
    foreach ([range(0, 19), range(20 - $shared, 39 - $shared)] as $round => $own) {
        foreach ($readers as $r => $a) {
            foreach ($own as $k) {
                for ($f = 0; $f < 4; $f++) {
                    $logit = 1.0 + $a + $cases[$k] + 0.2 * $f + $round * $moved;
                    $out[$round][] = [$c->uniform() < 1 / (1 + exp(-$logit)), ["r$r", "c$k", "f$f"]];
                }
            }
        }
    }

    return $out;
}

it('tells what moved between two rounds from how hard their cases were, as often as it says', function () {
    $held = $raw = $alarms = 0;
    $bias = 0.0;
    for ($i = 0; $i < 150; $i++) {
        [$before, $now] = twoRoundsOfCalls("two rounds $i", 0.4);
        $found = RoundsOnScale::between($before, $now, FacetModel::fit($now, RoundsOnScale::FACETS, [0.5, 0.7, 0.3]));
        $held += abs($found->difference - 0.4) <= 1.96 * $found->se ? 1 : 0;
        $bias += ($found->difference - 0.4) / 150;
        $share = static fn (array $calls): float => count(array_filter(array_column($calls, 0))) / count($calls);
        $raw += $share($now) > $share($before) ? 1 : 0;
        [$before, $now] = twoRoundsOfCalls("nobody moved $i", 0.0);
        $alarms += RoundsOnScale::between($before, $now, FacetModel::fit($now, RoundsOnScale::FACETS, [0.5, 0.7, 0.3]))
            ->p() <= 0.05 ? 1 : 0;
    }
    // By the plain share most rounds would have been called worse.
    expect($raw / 150)->toBeLessThan(0.6)
        ->and($held / 150)->toBeGreaterThan(0.88)
        ->and(abs($bias))->toBeLessThan(0.15)
        ->and($alarms / 150)->toBeLessThan(0.12);
});

it('says how far two rounds are apart in points, and whether anything links them', function () {
    [$before, $now] = twoRoundsOfCalls('points', 0.9);
    $model = FacetModel::fit($now, RoundsOnScale::FACETS);
    $found = RoundsOnScale::between($before, $now, $model);
    [$by, $low, $high] = $found->points();
    expect($by)->toEqualWithDelta($found->second - $found->first, 1e-9)
        ->and($low)->toBeLessThan($by)->and($high)->toBeGreaterThan($by)
        ->and($found->parts)->toBe(1)
        ->and($found->calls)->toBe(count($before) + count($now))
        ->and(FacetJson::readRounds(JsonObject::from(FacetJson::writeRounds($found), 'it')))->toEqual($found);
    $others = array_map(static fn (array $c): array => [$c[0], ["x{$c[1][0]}", "x{$c[1][1]}", $c[1][2]]], $now);
    expect(RoundsOnScale::between($before, $others, $model)->parts)->toBe(2)
        ->and(RoundsOnScale::between($before, [], $model))->toBeNull();
    // Turned about, it is the same with the other sign.
    expect(RoundsOnScale::between($now, $before, $model)->difference)->toEqualWithDelta(-$found->difference, 1e-6);
});

it('takes a large round call by call, in little memory', function () {
    $c = new Chance('many');
    $calls = (function () use ($c): Generator {
        for ($i = 0; $i < 40_000; $i++) {
            [$reader, $case, $fault] = [$i % 40, intdiv($i, 40) % 100, intdiv($i, 4_000)];
            yield [$c->uniform() < 1 / (1 + exp(-(1.0 + 0.05 * ($reader - 20)))), ["r$reader", "c$case", "f$fault"]];
        }
    })();
    gc_collect_cycles();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $m = FacetModel::fit($calls, ['reader', 'case', 'fault'], [0.6, 0.3, 0.3]);
    $mb = (memory_get_peak_usage() - $before) / 1e6;
    // Kept as arrays of arrays they took more than forty.
    expect($mb)->toBeLessThan(16.0)
        ->and($m->facets['reader']['r39']->estimate - $m->facets['reader']['r0']->estimate)->toEqualWithDelta(1.95, 0.4)
        ->and($m->facets['fault']['f9']->n)->toBe(4_000)
        ->and($m->parts)->toBe(1);
});
