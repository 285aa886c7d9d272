<?php

use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;

/** Fleiss (1971) as printed in Fleiss, Levin & Paik: 10 subjects, 14 raters, 5 categories. */
function fleissTable(): RatingSet
{
    $set = new RatingSet();
    foreach (
        [
            '0 0 0 0 14',
            '0 2 6 4 2',
            '0 0 3 5 6',
            '0 3 9 2 0',
            '2 2 8 1 1',
            '7 7 0 0 0',
            '3 2 6 3 0',
            '2 5 3 2 2',
            '6 5 2 1 0',
            '0 2 2 3 7',
        ] as $i => $row
    ) {
        $rater = 0;
        foreach (explode(' ', $row) as $k => $n) {
            for ($j = 0; $j < $n; $j++) {
                $set->add("c$i", '', sprintf('r%02d', $rater++), "k$k");
            }
        }
    }

    return $set;
}

/** Krippendorff (2011): 4 observers, 12 units, missing values. */
function krippendorffTable(): RatingSet
{
    return ratings([
        'A' => '1 2 3 3 2 1 4 1 2 . . .',
        'B' => '1 2 3 3 2 2 4 1 2 5 . 3',
        'C' => '. 3 3 3 2 3 4 2 2 5 1 .',
        'D' => '1 2 3 3 2 4 4 1 2 5 1 .',
    ]);
}

function coefficients(RatingSet $set, ?StudyOptions $options = null): array
{
    return published(
        (new Study($set, $options ?? new StudyOptions(pairs: false, bootstrap: 0)))->item($set->items()),
    )['coefficients'];
}

it('gives the published figures of Fleiss\' worked table with their standard errors', function (
    string $name,
    float $estimate,
    ?float $se,
) {
    $figure = coefficients(fleissTable())[$name];
    expect($figure['estimate'])->toEqualWithDelta($estimate, 1e-6);
    if ($se !== null) {
        expect($figure['se'])->toEqualWithDelta($se, 1e-6);
    }
})->with([
    ['percent_agreement', 0.378022, null],
    ['fleiss_kappa', 0.209931, 0.092371],
    ['gwet_ac1', 0.225614, 0.093324],
    ['brennan_prediger', 0.222527, 0.092898],
    ['krippendorff_alpha', 0.215574, null],
]);

it('gives the published figures of Krippendorff\'s table with missing ratings', function (
    string $name,
    float $estimate,
    float $se,
) {
    $figure = coefficients(krippendorffTable())[$name];
    expect($figure['estimate'])
        ->toEqualWithDelta($estimate, 1e-6)
        ->and($figure['se'])
        ->toEqualWithDelta($se, 1e-6)
        ->and($figure['method'])
        ->toBe('analytic');
})->with([
    ['percent_agreement', 0.818182, 0.101219],
    ['fleiss_kappa', 0.761169, 0.134939],
    ['gwet_ac1', 0.775444, 0.124737],
    ['brennan_prediger', 0.772727, 0.126523],
    ['krippendorff_alpha', 0.743421, 0.145574],
]);

it('gives Cohen\'s kappa and its standard error of the two by two table', function () {
    $kappa = (new CohenKappa([20, 5, 10, 15]))->kappa();
    expect($kappa->estimate)->toEqualWithDelta(0.4, 1e-6)->and($kappa->se)->toEqualWithDelta(0.126996, 1e-6)
        ->and($kappa->low)->toEqualWithDelta(0.4 - 1.959963985 * 0.126996, 1e-5);
});

it('explains a kappa by prevalence and bias', function () {
    $k = new CohenKappa([40, 9, 6, 45]);
    expect($k->agreement())
        ->toEqualWithDelta(0.85, 1e-12)
        ->and($k->pabak()->estimate)
        ->toEqualWithDelta(0.7, 1e-12)
        ->and($k->prevalenceIndex())
        ->toEqualWithDelta(-0.05, 1e-12)
        ->and($k->biasIndex())
        ->toEqualWithDelta(0.03, 1e-12)
        ->and((new CohenKappa([1, 0, 0, 0, 1, 0, 0, 0, 1]))->prevalenceIndex())
        ->toBeNull();
});

it('makes Conger\'s kappa of two raters their Cohen\'s kappa', function () {
    $set = ratings(['a' => 'x x y y x y x z z x', 'b' => 'x y y y x y x z x x']);
    $block = published((new Study($set, new StudyOptions(bootstrap: 0)))->item(['']));
    expect($block['coefficients']['conger_kappa']['estimate'])
        ->toEqualWithDelta($block['pairs'][0]['cohen_kappa']['estimate'], 1e-12)
        ->and(coefficients(krippendorffTable())['conger_kappa'])
        ->toBe([
            'estimate' => null,
            'reason' => 'needs every rater to have rated every case',
            'reason_code' => ['code' => 'undefined.incomplete'],
        ]);
});

it('takes percent agreement apart by category', function () {
    $set = ratings(['a' => 'p p p a a a a a a a', 'b' => 'p a p a a a p a a a']);
    $specific = (array) published((new Study($set, new StudyOptions(bootstrap: 0)))->item(['']))['specific_agreement'];
    expect($specific['p']['estimate'])
        ->toEqualWithDelta((2 * 2) / (2 * 2 + 2), 1e-12)
        ->and($specific['a']['estimate'])
        ->toEqualWithDelta((2 * 6) / (2 * 6 + 2), 1e-12)
        ->and($specific['a']['method'])
        ->toBe('jackknife');
});
