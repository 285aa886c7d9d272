<?php

use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;

/*
 * Every coefficient once more, straight from its definition by going through pairs of ratings one by one,
 * compared with the fast way on random data with missing ratings.
 */

/** @return array<string, list<string>> ratings by case, drawn at random, some missing */
function randomCases(string $seed, int $q, int $cases = 14, int $raters = 5, float $missing = 0.2): array
{
    $c = new Chance($seed);
    $out = [];
    for ($i = 0; $i < $cases; $i++) {
        $lean = $c->between(0, $q - 1);
        for ($r = 0; $r < $raters; $r++) {
            $value = $c->uniform() < 0.6 ? $lean : $c->between(0, $q - 1);
            $out["c$i"]["r$r"] = $c->uniform() < $missing ? '' : 'k'.$value;
        }
    }

    return $out;
}

function studyOf(array $cases): array
{
    $set = new \Core\Agreement\RatingSet();
    foreach ($cases as $case => $row) {
        foreach ($row as $rater => $value) {
            $set->add($case, '', $rater, $value);
        }
    }

    return published((new Study($set, new StudyOptions(bootstrap: 0)))->item(['']));
}

/** Ratings of each case without the missing ones. */
function present(array $cases): array
{
    return array_values(
        array_filter(
            array_map(
                static fn (array $row): array => array_values(
                    array_filter($row, static fn (string $v): bool => $v !== ''),
                ),
                $cases,
            ),
        ),
    );
}

/** Share of ordered pairs of different raters within a case that satisfy a test, averaged over cases with a pair. */
function meanPairShare(array $rows, Closure $holds): float
{
    $shares = [];
    foreach ($rows as $row) {
        $n = $yes = 0;
        foreach ($row as $i => $a) {
            foreach ($row as $j => $b) {
                if ($i !== $j) {
                    $n++;
                    $yes += $holds($a, $b) ? 1 : 0;
                }
            }
        }
        if ($n > 0) {
            $shares[] = $yes / $n;
        }
    }

    return array_sum($shares) / count($shares);
}

/** Average share of a case's ratings that fall in each category. */
function proportions(array $rows): array
{
    $pi = [];
    foreach ($rows as $row) {
        foreach ($row as $v) {
            $pi[$v] = ($pi[$v] ?? 0.0) + 1 / count($row) / count($rows);
        }
    }

    return $pi;
}

dataset(
    'random studies',
    array_merge(
        ...array_map(
            static fn (int $q): array => array_map(static fn (string $s): array => [$s, $q], [
                'one',
                'two',
                'three',
                'four',
            ]),
            [2, 3, 5],
        ),
    ),
);

it('computes percent agreement as the mean share of agreeing pairs', function (string $seed, int $q) {
    $cases = randomCases($seed, $q);
    expect(studyOf($cases)['coefficients']['percent_agreement']['estimate'])->toEqualWithDelta(
        meanPairShare(present($cases), static fn ($a, $b) => $a === $b),
        1e-12,
    );
})->with('random studies');

it('computes Fleiss\' kappa, AC1 and Brennan–Prediger from the chance each defines', function (string $seed, int $q) {
    $cases = randomCases($seed, $q);
    $rows = present($cases);
    $pa = meanPairShare($rows, static fn ($a, $b) => $a === $b);
    $pi = proportions($rows);
    $categories = count($pi);
    $chance = [
        'fleiss_kappa' => array_sum(array_map(static fn ($p) => $p * $p, $pi)),
        'gwet_ac1' => array_sum(array_map(static fn ($p) => $p * (1 - $p), $pi)) / ($categories - 1),
        'brennan_prediger' => 1 / $categories,
    ];
    $c = studyOf($cases)['coefficients'];
    foreach ($chance as $name => $pe) {
        expect($c[$name]['estimate'])->toEqualWithDelta(($pa - $pe) / (1 - $pe), 1e-12);
    }
})->with('random studies');

it('computes alpha as one minus observed over expected disagreement of all pairable values', function (
    string $seed,
    int $q,
) {
    $cases = randomCases($seed, $q);
    $rows = array_values(array_filter(present($cases), static fn (array $row): bool => count($row) > 1));
    $observed = 0.0;
    $all = array_merge(...$rows);
    $n = count($all);
    foreach ($rows as $row) {
        foreach ($row as $i => $a) {
            foreach ($row as $j => $b) {
                $observed += $i !== $j && $a !== $b ? 1 / (count($row) - 1) : 0.0;
            }
        }
    }
    $expected = 0;
    foreach ($all as $i => $a) {
        foreach ($all as $j => $b) {
            $expected += $i !== $j && $a !== $b ? 1 : 0;
        }
    }
    expect(studyOf($cases)['coefficients']['krippendorff_alpha']['estimate'])->toEqualWithDelta(
        1 - $observed / $n / ($expected / ($n * ($n - 1))),
        1e-12,
    );
})->with('random studies');

it('computes Conger\'s chance from every pair of raters\' own habits', function (string $seed, int $q) {
    $cases = randomCases($seed, $q, missing: 0.0);
    $byRater = [];
    foreach ($cases as $row) {
        foreach ($row as $rater => $v) {
            $byRater[$rater][] = $v;
        }
    }
    $pe = [];
    foreach ($byRater as $g => $a) {
        foreach ($byRater as $h => $b) {
            if ($g !== $h) {
                $same = 0;
                foreach ($a as $x) {
                    foreach ($b as $y) {
                        $same += $x === $y ? 1 : 0;
                    }
                }
                $pe[] = $same / (count($a) * count($b));
            }
        }
    }
    $pe = array_sum($pe) / count($pe);
    $pa = meanPairShare(present($cases), static fn ($a, $b) => $a === $b);
    expect(studyOf($cases)['coefficients']['conger_kappa']['estimate'])->toEqualWithDelta(
        ($pa - $pe) / (1 - $pe),
        1e-12,
    );
})->with('random studies');

it(
    'computes specific agreement as the chance that the second of a pair agrees when the first says the category',
    function (string $seed, int $q) {
        $cases = randomCases($seed, $q);
        $block = studyOf($cases);
        foreach ($block['categories'] as $category) {
            $asked = $agreed = 0;
            foreach (present($cases) as $row) {
                foreach ($row as $i => $a) {
                    foreach ($row as $j => $b) {
                        $asked += $i !== $j && $a === $category ? 1 : 0;
                        $agreed += $i !== $j && $a === $category && $b === $category ? 1 : 0;
                    }
                }
            }
            expect(((array) $block['specific_agreement'])[$category]['estimate'])->toEqualWithDelta(
                $agreed / $asked,
                1e-12,
            );
        }
    },
)->with('random studies');

it('computes Cohen\'s kappa of every pair from its own table, and its error close to a jackknife', function (
    string $seed,
    int $q,
) {
    $cases = randomCases($seed, $q, cases: 60);
    foreach (studyOf($cases)['pairs'] as $pair) {
        $both = array_values(
            array_filter(
                array_map(static fn (array $row): array => [$row[$pair['a']], $row[$pair['b']]], $cases),
                static fn (array $p): bool => $p[0] !== '' && $p[1] !== '',
            ),
        );
        $kappa = static function (array $both): float {
            $n = count($both);
            $same = count(array_filter($both, static fn ($p) => $p[0] === $p[1])) / $n;
            $one = array_count_values(array_column($both, 0));
            $two = array_count_values(array_column($both, 1));
            $pe = 0.0;
            foreach ($one as $k => $c) {
                $pe += ($c * ($two[$k] ?? 0)) / $n / $n;
            }

            return ($same - $pe) / (1 - $pe);
        };
        expect($pair['n'])
            ->toBe(count($both))
            ->and($pair['cohen_kappa']['estimate'])
            ->toEqualWithDelta($kappa($both), 1e-12);
        $left = [];
        foreach (array_keys($both) as $i) {
            $rest = $both;
            unset($rest[$i]);
            $left[] = $kappa(array_values($rest));
        }
        $mean = array_sum($left) / count($left);
        $jackknife = sqrt(
            ((count($left) - 1) / count($left)) * array_sum(array_map(static fn ($v) => ($v - $mean) ** 2, $left)),
        );
        expect($pair['cohen_kappa']['se'] / $jackknife)
            ->toBeGreaterThan(0.85)
            ->toBeLessThan(1.12);
    }
})->with([['one', 2], ['two', 3]]);

it('has analytic errors close to a jackknife over cases', function (string $name) {
    $cases = randomCases('errors', 3, cases: 80, missing: 0.15);
    $full = studyOf($cases)['coefficients'][$name];
    $left = [];
    foreach (array_keys($cases) as $case) {
        $rest = $cases;
        unset($rest[$case]);
        $left[] = studyOf($rest)['coefficients'][$name]['estimate'];
    }
    $mean = array_sum($left) / count($left);
    $jackknife = sqrt(
        ((count($left) - 1) / count($left)) * array_sum(array_map(static fn ($v) => ($v - $mean) ** 2, $left)),
    );
    expect($full['se'] / $jackknife)
        ->toBeGreaterThan(0.93)
        ->toBeLessThan(1.07);
})->with(['percent_agreement', 'fleiss_kappa', 'gwet_ac1', 'brennan_prediger', 'krippendorff_alpha']);

it('reads PABAK and the indices off the two by two table', function () {
    // Byrt, Bishop & Carlin's relations: κ = (PABAK − PI² + BI²)/(1 − PI² + BI²).
    foreach ([[[20, 5], [10, 15]], [[80, 4], [6, 10]], [[45, 15], [25, 15]]] as $table) {
        $k = new CohenKappa(array_merge(...$table));
        $pi = $k->prevalenceIndex();
        $bi = $k->biasIndex();
        expect($k->kappa()->estimate)->toEqualWithDelta(
            ($k->pabak()->estimate - $pi ** 2 + $bi ** 2) / (1 - $pi ** 2 + $bi ** 2),
            1e-12,
        );
    }
});
