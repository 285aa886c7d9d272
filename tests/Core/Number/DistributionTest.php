<?php

use Core\Number\Distribution;
use Core\Number\SpecialFunction;

// Reference values to 17 digits from R 4.2.2's stats package (pnorm, qnorm, pt, qt, pchisq, qchisq, pf, qf, pbeta,
// qbeta).
it('gives probabilities and quantiles to 1e-10', function (string $function, array $arguments, float $expected) {
    $v = Distribution::$function(...$arguments);
    expect(abs($v - $expected))->toBeLessThan(1e-10 * ($expected === 0.0 ? 1.0 : abs($expected)));
})->with([
    ['normal', [-8], 6.2209605742717849e-16],
    ['normal', [-3.5], 0.00023262907903552494],
    ['normal', [-1.96], 0.024997895148220428],
    ['normal', [-0.10000000000000001], 0.46017216272297101],
    ['normal', [0.5], 0.69146246127401301],
    ['normal', [1.2815515655446004], 0.90000000000000002],
    ['normal', [2.5], 0.99379033467422384],
    ['normal', [5], 0.99999971334842808],
    ['normalQuantile', [9.9999999999999998e-13], -7.0344838253011321],
    ['normalQuantile', [9.9999999999999995e-07], -4.7534243088228987],
    ['normalQuantile', [0.001], -3.0902323061678132],
    ['normalQuantile', [0.025000000000000001], -1.9599639845400538],
    ['normalQuantile', [0.29999999999999999], -0.52440051270804067],
    ['normalQuantile', [0.5], 0],
    ['normalQuantile', [0.90000000000000002], 1.2815515655446008],
    ['normalQuantile', [0.97499999999999998], 1.9599639845400536],
    ['normalQuantile', [0.99999000000000005], 4.2648907939238399],
    ['student', [-1.5, 1], 0.1871670418109988],
    ['student', [2.2000000000000002, 2], 0.92059551209602986],
    ['student', [0.29999999999999999, 3.5], 0.60943329508005517],
    ['student', [-4, 11], 0.0010430967834874764],
    ['student', [1.96, 199], 0.97430408304791993],
    ['student', [-2.5, 5000], 0.0062255580998605746],
    ['student', [3, 1000000], 0.99865006872928919],
    ['studentQuantile', [0.97499999999999998, 1], 12.706204736174694],
    ['studentQuantile', [0.97499999999999998, 2], 4.3026527297494619],
    ['studentQuantile', [0.025000000000000001, 3], -3.1824463052837091],
    ['studentQuantile', [0.995, 9], 3.2498355415921254],
    ['studentQuantile', [0.90000000000000002, 27.5], 1.3131038929353875],
    ['studentQuantile', [0.97499999999999998, 199], 1.9719565442517519],
    ['studentQuantile', [0.999, 5000], 3.0918631199609816],
    ['studentQuantile', [1e-08, 12], -12.984098090861071],
    ['studentQuantile', [0.59999999999999998, 4], 0.27072229470759746],
    ['chiSquare', [0.01, 1], 0.079655674554057962],
    ['chiSquare', [3.8399999999999999, 1], 0.94995647875129474],
    ['chiSquare', [2, 2], 0.63212055882855767],
    ['chiSquare', [11, 5.5], 0.93174296652726052],
    ['chiSquare', [80, 100], 0.070335066659394957],
    ['chiSquare', [1100, 1000], 0.98538559187370478],
    ['chiSquare', [0.5, 30], 5.6345587204509913e-22],
    ['chiSquareTail', [80, 20], 3.9259322262861883e-09],
    ['chiSquareTail', [4, 1], 0.045500263896358473],
    ['chiSquareTail', [300, 100], 7.4121008573228746e-22],
    ['chiSquareQuantile', [0.94999999999999996, 1], 3.841458820694124],
    ['chiSquareQuantile', [0.050000000000000003, 1], 0.0039321400000195249],
    ['chiSquareQuantile', [0.001, 4], 0.090804035538979117],
    ['chiSquareQuantile', [0.5, 7.5], 6.8449054696010707],
    ['chiSquareQuantile', [0.98999999999999999, 100], 135.80672317102679],
    ['chiSquareQuantile', [0.97499999999999998, 1000], 1089.5309127749135],
    ['chiSquareQuantile', [9.9999999999999995e-07, 3], 0.0002418104872012428],
    ['f', [0.20000000000000001, 1, 1], 0.26772047280123001],
    ['f', [4, 5, 15], 0.98338632923589997],
    ['f', [1, 3, 200], 0.60607835019092182],
    ['f', [2.5, 40, 8], 0.91390364036876126],
    ['f', [0.90000000000000002, 500, 700], 0.10325550577134918],
    ['f', [12, 2, 3.5], 0.97288017620891787],
    ['fTail', [20, 5, 15], 3.756392250880834e-06],
    ['fTail', [40, 3, 30], 1.322735745057204e-10],
    ['fQuantile', [0.97499999999999998, 5, 15], 3.5764153492790602],
    ['fQuantile', [0.025000000000000001, 5, 15], 0.15557596307848698],
    ['fQuantile', [0.94999999999999996, 1, 1], 161.44763879758818],
    ['fQuantile', [0.98999999999999999, 3, 200], 3.8810217726221881],
    ['fQuantile', [0.5, 40, 8], 1.0711057960099464],
    ['fQuantile', [0.97499999999999998, 5, 4.2000000000000002], 8.7760516744065047],
    ['fQuantile', [0.001, 10, 10], 0.1142352382974805],
    ['beta', [0.10000000000000001, 0.5, 0.5], 0.20483276469913345],
    ['beta', [0.29999999999999999, 2, 5], 0.57982500000000015],
    ['beta', [0.94999999999999996, 30, 1.5], 0.37602186332111753],
    ['beta', [0.5, 1000, 1001], 0.50891950557292709],
    ['beta', [0.001, 0.20000000000000001, 3], 0.3314585160989153],
    ['betaQuantile', [0.025000000000000001, 3, 8], 0.066739511177734467],
    ['betaQuantile', [0.97499999999999998, 3, 8], 0.5560954623076414],
    ['betaQuantile', [0.5, 0.5, 0.5], 0.49999999999999989],
    ['betaQuantile', [0.10000000000000001, 100, 2], 0.96203467587519698],
    ['betaQuantile', [0.98999999999999999, 0.29999999999999999, 4], 0.51181873043007808],
    ['betaQuantile', [0.025000000000000001, 600, 400], 0.56946894140776716],
]);

it('reaches the ends of every range', function () {
    expect(Distribution::normalQuantile(0.0))
        ->toBe(-INF)
        ->and(Distribution::normalQuantile(1.0))
        ->toBe(INF)
        ->and(Distribution::normal(INF))
        ->toBe(1.0)
        ->and(Distribution::normal(-INF))
        ->toBe(0.0)
        ->and(Distribution::studentQuantile(0.0, 3.0))
        ->toBe(-INF)
        ->and(Distribution::studentQuantile(0.5, 3.0))
        ->toBe(0.0)
        ->and(Distribution::chiSquareQuantile(0.0, 2.0))
        ->toBe(0.0)
        ->and(Distribution::chiSquareQuantile(1.0, 2.0))
        ->toBe(INF)
        ->and(Distribution::fQuantile(1.0, 2.0, 2.0))
        ->toBe(INF)
        ->and(Distribution::fQuantile(0.0, 2.0, 2.0))
        ->toBe(0.0)
        ->and(Distribution::betaQuantile(1.0, 2.0, 2.0))
        ->toBe(1.0)
        ->and(Distribution::betaQuantile(0.0, 2.0, 2.0))
        ->toBe(0.0)
        ->and(Distribution::chiSquare(-1.0, 2.0))
        ->toBe(0.0)
        ->and(Distribution::fTail(-1.0, 2.0, 5.0))
        ->toBe(1.0)
        ->and(Distribution::beta(1.0, 2.0, 2.0))
        ->toBe(1.0);
});

it('takes quantiles back to their probabilities, over five decades of degrees of freedom', function () {
    foreach ([0.5, 1.0, 7.3, 60.0, 900.0, 40000.0] as $df) {
        foreach ([1e-7, 0.01, 0.2, 0.5, 0.77, 0.999] as $p) {
            expect(Distribution::student(Distribution::studentQuantile($p, $df), $df))
                ->toEqualWithDelta($p, 1e-11)
                ->and(Distribution::chiSquare(Distribution::chiSquareQuantile($p, $df), $df))
                ->toEqualWithDelta($p, 1e-11)
                ->and(Distribution::f(Distribution::fQuantile($p, $df, 9.0), $df, 9.0))
                ->toEqualWithDelta($p, 1e-11)
                ->and(Distribution::beta(Distribution::betaQuantile($p, $df, 3.0), $df, 3.0))
                ->toEqualWithDelta($p, 1e-10);
        }
    }
});

it('knows the logarithm of the gamma function', function (float $x, float $expected) {
    expect(SpecialFunction::logGamma($x))->toEqualWithDelta($expected, 1e-13 * max(1.0, abs($expected)));
})->with([
    [1.0, 0.0],
    [0.5, log(sqrt(M_PI))],
    [5.0, log(24.0)],
    [11.0, log(3628800.0)],
    [171.0, 706.57306224578747],
    [1e-5, 11.512919692895826],
    [12345.678, 103959.91990554606],
]);
