<?php

use Core\Agreement\PanelVote;
use Core\Agreement\Profile\LatentKey;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;
use Core\CoreException;

/**
 * A panel of five and one reader, who err independently given the truth.
 *
 * @return array{RatingSet, int} the set, and how many questions the panel settled
 */
function paneled(string $seed, int $golfers, int $swings, float $s, float $f, float $prevalence = 0.35): array
{
    $c = new Chance($seed);
    $set = new RatingSet;
    $settled = 0;
    for ($g = 0; $g < $golfers; $g++) {
        $habit = $c->normal();
        for ($k = 0; $k < $swings; $k++) {
            $true = 0.7 * $habit + 0.71 * $c->normal() > Core\Number\Distribution::normalQuantile(1 - $prevalence);
            $votes = 0;
            for ($p = 0; $p < 5; $p++) {
                $votes += $c->uniform() < ($true ? 0.8 : 0.15) ? 1 : 0;
            }
            $value = $votes >= 4 ? 'present' : ($votes <= 1 ? 'absent' : '');
            $settled += $value === '' ? 0 : 1;
            $case = "$g-$k";
            $set->add($case, '', 'r', $c->uniform() < ($true ? $s : $f) ? 'present' : 'absent');
            $set->addKey($case, '', $value, PanelVote::counted($votes, 5 - $votes));
            $set->group($case, "g$g");
        }
    }

    return [$set, $settled];
}

it('finds what the panel hid: the truth behind votes, and the reader\'s rates against it', function () {
    [$set, $settled] = paneled('hidden', 400, 5, 0.9, 0.1);
    $block = published((new Study($set, new StudyOptions(bootstrap: 0)))->item(['']));
    $of = $block['key_error'];
    expect($of['questions'])->toBe(2000)->and($of['settled'])->toBe($settled)
        ->and($of['panel']['sensitivity'])->toEqualWithDelta(0.8, 0.02)
        ->and($of['panel']['specificity'])->toEqualWithDelta(0.85, 0.02)
        ->and($of['panel']['prevalence'])->toEqualWithDelta(0.35, 0.04)
        ->and($of['raters'][0]['sensitivity']['estimate'])->toEqualWithDelta(0.9, 0.03)
        ->and($of['raters'][0]['specificity']['estimate'])->toEqualWithDelta(0.9, 0.03)
        // The plain figures know only what was settled.
        ->and($block['against_key'][0]['n'])->toBe($settled)
        ->and($of['raters'][0]['if_contested_present']['estimate'])
        ->toBeLessThan($block['against_key'][0]['sensitivity']['estimate'])
        ->and($of['raters'][0]['if_contested_absent']['estimate'])
        ->toBeLessThan($block['against_key'][0]['specificity']['estimate']);
});

it('holds the reader\'s true rates in most of its intervals, where panel and reader err independently', function () {
    $inside = 0;
    $n = many(40, 400);
    for ($i = 0; $i < $n; $i++) {
        [$set] = paneled("study$i", 60, 5, 0.85, 0.12);
        $rater = published((new Study($set, new StudyOptions(bootstrap: 200, pairs: false)))
            ->item(['']))['key_error']['raters'][0];
        $inside += $rater['sensitivity']['low'] <= 0.85 && $rater['sensitivity']['high'] >= 0.85 ? 1 : 0;
        $inside += $rater['specificity']['low'] <= 0.88 && $rater['specificity']['high'] >= 0.88 ? 1 : 0;
        expect($rater['sensitivity']['method'])->toBe('percentile');
    }
    expect($inside / (2 * $n))->toBeGreaterThan(0.86);
});

it('asks for two hundred questions', function () {
    [$set] = paneled('few', 20, 5, 0.9, 0.1);
    $rater = published((new Study($set, new StudyOptions(bootstrap: 50)))->item(['']))['key_error']['raters'][0];
    expect($rater['sensitivity']['estimate'])->toBeNull()
        ->and($rater['sensitivity']['reason'])->toContain('200')->toContain('there are 100')
        ->and($rater['if_contested_present']['estimate'])->toBeFloat();
});

it('keeps what is verified or weighed, and lets it teach how the panel errs', function () {
    // 40 verified ones in which the panel split.
    $fit = LatentKey::fit([[3, 0, null], [0, 3, null], [1, 0, 1.0], [0, 1, 0.0]], [50, 50, 40, 40]);
    expect($fit->weights[2])->toBe(1.0)->and($fit->weights[3])->toBe(0.0)
        ->and($fit->weights[0])->toBeGreaterThan(0.99)
        ->and($fit->prevalence)->toEqualWithDelta(0.5, 0.01);
    // With every weight given a reader's rates are the plain ones, but for the halves.
    $fit = LatentKey::fit([[0, 0, 1.0], [0, 0, 0.0]], [30, 60]);
    [$s, $c] = $fit->reader([[24, 6], [6, 54]]);
    expect($s)->toEqualWithDelta(24.5 / 31, 1e-10)->and($c)->toEqualWithDelta(54.5 / 61, 1e-10);
});

it('solves the equations it states', function () {
    $patterns = [[5, 0, null], [3, 2, null], [1, 4, null], [0, 5, null], [0, 0, 0.4]];
    $times = [30, 20, 25, 60, 10];
    $fit = LatentKey::fit($patterns, $times);
    $sum = $hits = $of = 0.0;
    foreach ($patterns as $i => [$p, $a, $w]) {
        $yes = $fit->prevalence * $fit->sensitivity ** $p * (1 - $fit->sensitivity) ** $a;
        $no = (1 - $fit->prevalence) * (1 - $fit->specificity) ** $p * $fit->specificity ** $a;
        expect($fit->weights[$i])->toEqualWithDelta($w ?? $yes / ($yes + $no), 1e-9);
        $sum += $times[$i] * $fit->weights[$i];
        $hits += $times[$i] * $fit->weights[$i] * $p;
        $of += $times[$i] * $fit->weights[$i] * ($p + $a);
    }
    expect($fit->prevalence)->toEqualWithDelta(($sum + 0.5) / 146, 1e-10)
        ->and($fit->sensitivity)->toEqualWithDelta(($hits + 1) / ($of + 2), 1e-10);
});

it('bears a panel that never voted, and questions nobody read', function () {
    $fit = LatentKey::fit([[0, 0, null]], [10]);
    expect($fit->weights[0])->toBeGreaterThan(0.0)->toBeLessThan(1.0)
        ->and(LatentKey::fit([], [])->prevalence)->toBe(0.5)
        ->and($fit->reader([0 => [0, 0]])[0])->toBeFloat();
});

it('refuses votes that are none', function (Closure $make) {
    expect($make)->toThrow(CoreException::class);
})->with([
    'fewer than none' => [static fn () => PanelVote::counted(-1, 2)],
    'a weight above one' => [static fn () => PanelVote::weighed(1.1)],
    'no number' => [static fn () => PanelVote::weighed(NAN)],
]);
