<?php

use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Coefficient\RankAgreement;
use Core\Agreement\Coefficient\VarianceComponents;
use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Weights;
use Core\Consensus\Appropriateness;
use Core\Consensus\DisagreementIndex;
use Core\Consensus\DrillConsensus;
use Core\Consensus\DrillScore;
use Core\Consensus\Harm;

/** Two raters' table of counts as rating set. */
function fromTable(array $table): RatingSet
{
    $set = new RatingSet;
    $case = 0;
    foreach ($table as $i => $row) {
        foreach ($row as $j => $n) {
            for ($k = 0; $k < $n; $k++) {
                $set->add(sprintf('c%04d', $case), '', 'a', (string) $i);
                $set->add(sprintf('c%04d', $case++), '', 'b', (string) $j);
            }
        }
    }

    return $set;
}

function blockOf(RatingSet $set, array $options = []): array
{
    return published((new Study($set, new StudyOptions(...['bootstrap' => 0, ...$options])))->item($set->items()));
}

/** A cases × judges table of numbers. */
function numbers(array $rows, Scale $scale = Scale::Interval): RatingSet
{
    $set = new RatingSet($scale);
    foreach ($rows as $i => $row) {
        foreach (explode(' ', $row) as $j => $v) {
            $set->add(sprintf('t%02d', $i), '', "j$j", $v);
        }
    }

    return $set;
}

const SHROUT_FLEISS = ['9 2 5 8', '6 1 3 2', '8 4 6 8', '7 1 2 6', '10 5 6 9', '6 2 4 7'];

// Fleiss (1971), psychiatric diagnoses: 30 patients, 6 psychiatrists, 5 diagnoses; proportions and κ as printed there.
it('gives Fleiss\' diagnoses', function () {
    $set = new RatingSet();
    foreach (
        [
            '00060',
            '03003',
            '01401',
            '00006',
            '03030',
            '20400',
            '00402',
            '20310',
            '20040',
            '00006',
            '10050',
            '11040',
            '03300',
            '10050',
            '02031',
            '00501',
            '30012',
            '51000',
            '02040',
            '10203',
            '00006',
            '01050',
            '02013',
            '20040',
            '10041',
            '05010',
            '40002',
            '02040',
            '10500',
            '00006',
        ] as $i => $row
    ) {
        $rater = 0;
        foreach (str_split($row) as $k => $n) {
            for ($j = 0; $j < (int) $n; $j++) {
                $set->add(sprintf('p%02d', $i), '', 'r'.$rater++, "d$k");
            }
        }
    }
    $block = blockOf($set);
    expect(round($block['coefficients']['fleiss_kappa']['estimate'], 3))->toBe(0.430)->and($block['ratings'])->toBe(180)
        ->and(round($block['coefficients']['percent_agreement']['estimate'], 4))->toBe(0.5556);
});

// Krippendorff (2011), Computing Krippendorff's Alpha-Reliability: sections A (binary) and B (nominal, two observers).
it('gives Krippendorff\'s two observers', function (array $rows, float $alpha) {
    expect(round(blockOf(ratings($rows))['coefficients']['krippendorff_alpha']['estimate'], 3))->toBe($alpha);
})->with([
    'binary' => [['a' => '0 1 0 0 0 0 0 0 1 0', 'b' => '1 1 1 0 0 1 0 0 0 0'], 0.095],
    'nominal' => [['a' => 'a a b b d c c c e d d a', 'b' => 'b a b b b c c c e d d d'], 0.692],
]);

// The other scales on the table of 4 observers and 12 units (Krippendorff 2011, section C; ratio from the same paper's
// D).
it('gives Krippendorff\'s ordinal, interval and ratio alpha', function (Scale $scale, float $alpha) {
    $set = new RatingSet($scale);
    foreach (
        [
            'A' => '1 2 3 3 2 1 4 1 2 . . .',
            'B' => '1 2 3 3 2 2 4 1 2 5 . 3',
            'C' => '. 3 3 3 2 3 4 2 2 5 1 .',
            'D' => '1 2 3 3 2 4 4 1 2 5 1 .',
        ] as $rater => $row
    ) {
        foreach (explode(' ', $row) as $i => $v) {
            // Two spellings of the same number are the same value.
            $set->add(sprintf('u%02d', $i), '', $rater, $v === '.' ? '' : ($rater === 'B' ? "$v.0" : $v));
        }
    }
    $figure = blockOf($set)['coefficients']['krippendorff_alpha'];
    expect($figure['estimate'])
        ->toEqualWithDelta($alpha, 1e-6)
        ->and($figure['method'])
        ->toBe('jackknife')
        ->and($figure['se'])
        ->toBeGreaterThan(0.05);
})->with([[Scale::Ordinal, 0.815388], [Scale::Interval, 0.849107], [Scale::Ratio, 0.797403]]);

// Feinstein & Cicchetti (1990), High agreement but low kappa I; the specific agreements from part II of the same year.
it('gives the four tables of high agreement and low kappa', function (
    array $table,
    float $agreement,
    float $kappa,
    float $positive,
    float $negative,
) {
    $block = blockOf(fromTable($table));
    $specific = (array) $block['specific_agreement'];
    expect(round($block['pairs'][0]['percent_agreement'], 2))
        ->toBe($agreement)
        ->and(round($block['pairs'][0]['cohen_kappa']['estimate'], 2))
        ->toBe($kappa)
        ->and(round($specific['0']['estimate'], 2))
        ->toBe($positive)
        ->and(round($specific['1']['estimate'], 2))
        ->toBe($negative);
})->with([
    [[[40, 9], [6, 45]], 0.85, 0.70, 0.84, 0.86],
    [[[80, 10], [5, 5]], 0.85, 0.32, 0.91, 0.40],
    [[[45, 15], [25, 15]], 0.60, 0.13, 0.69, 0.43],
    [[[25, 35], [5, 35]], 0.60, 0.26, 0.56, 0.64],
]);

// Byrt, Bishop & Carlin (1993): indices of the second of these tables.
it('explains the low kappa by prevalence and bias', function () {
    $k = new CohenKappa([80, 10, 5, 5]);
    expect($k->pabak()->estimate)
        ->toEqualWithDelta(0.7, 1e-12)
        ->and($k->prevalenceIndex())
        ->toEqualWithDelta(0.75, 1e-12)
        ->and($k->biasIndex())
        ->toEqualWithDelta(0.05, 1e-12);
});

// Fleiss, Levin & Paik (2003), table 18.1: 100 patients, three diagnoses; overall κ 0.68.
it('gives the diagnoses on 100 patients', function () {
    $kappa = (new CohenKappa([75, 1, 4, 5, 4, 1, 0, 0, 10]))->kappa();
    expect(round($kappa->estimate, 2))->toBe(0.68);
});

// Boyd and others' 85 xeromammograms read by two radiologists, κ unweighted, linear and quadratic to four digits.
it('weighs disagreements', function (?string $weights, float $kappa) {
    $set = new RatingSet(Scale::Ordinal);
    $case = 0;
    foreach ([[21, 12, 0, 0], [4, 17, 1, 0], [3, 9, 15, 2], [0, 0, 0, 1]] as $i => $row) {
        foreach ($row as $j => $n) {
            for ($k = 0; $k < $n; $k++) {
                $set->add('c'.$case, '', 'a', (string) ($i + 1));
                $set->add('c'.$case++, '', 'b', (string) ($j + 1));
            }
        }
    }
    $table = ItemTable::fromRatings($set, ['']);
    $w = $weights === null ? Weights::identity(4) : Weights::asked($table, $weights);
    $cells = array_fill(0, 16, 0);
    foreach ($table->columns[0] as $u => $a) {
        $cells[4 * $a + $table->columns[1][$u]]++;
    }
    expect(round((new CohenKappa($cells, new Confidence, $w))->kappa()->estimate, 4))->toBe($kappa);
    if ($weights !== null) {
        $block = blockOf($set, ['weights' => $weights]);
        expect(round($block['pairs'][0]['cohen_kappa']['estimate'], 4))
            ->toBe($kappa)
            ->and(round($block['coefficients']['conger_kappa']['estimate'], 4))
            ->toBe($kappa)
            ->and(round($block['coefficients']['light_kappa']['estimate'], 4))
            ->toBe($kappa);
    }
})->with([[null, 0.4728], ['linear', 0.5684], ['quadratic', 0.6714]]);

// Shrout & Fleiss (1979), table 4, with the intervals to six digits.
it('gives the six intraclass correlations with their intervals', function (
    string $name,
    float $value,
    float $low,
    float $high,
) {
    $figure = blockOf(numbers(SHROUT_FLEISS))['coefficients'][$name];
    expect($figure['estimate'])
        ->toEqualWithDelta($value, 1e-6)
        ->and($figure['low'])
        ->toEqualWithDelta($low, 1e-6)
        ->and($figure['high'])
        ->toEqualWithDelta($high, 1e-6)
        ->and($figure['se'])
        ->toBeNull();
})->with([
    ['icc_1_1', 0.165742, -0.132932, 0.72256],
    ['icc_2_1', 0.289764, 0.018787, 0.761084],
    ['icc_3_1', 0.714841, 0.342465, 0.945858],
    ['icc_1_k', 0.442797, -0.884442, 0.912415],
    ['icc_2_k', 0.620051, 0.071137, 0.927232],
    ['icc_3_k', 0.909316, 0.675675, 0.985892],
]);

// Its mean squares as printed, 11.24 between targets, 32.49 between judges, 1.02 residual, give the components.
it('shares out the variance of the same table', function () {
    $v = VarianceComponents::fitted(ItemTable::fromRatings(numbers(SHROUT_FLEISS), ['']));
    expect($v->case->estimate)
        ->toEqualWithDelta((11.24 - 1.02) / 4, 0.005)
        ->and($v->rater->estimate)
        ->toEqualWithDelta((32.49 - 1.02) / 6, 0.005)
        ->and($v->caseRater->estimate)
        ->toEqualWithDelta(1.02, 0.005);
    [$one, $four] = [$v->decisionStudy([1], [6])[0], $v->decisionStudy([4], [6])[0]];
    expect($one['absolute'])
        ->toEqualWithDelta(0.289764, 1e-6)
        ->and($one['relative'])
        ->toEqualWithDelta(0.714841, 1e-6)
        ->and($four['absolute'])
        ->toEqualWithDelta(0.620051, 1e-6)
        ->and($four['relative'])
        ->toEqualWithDelta(0.909316, 1e-6);
});

// Bland & Altman (1986), peak expiratory flow by two meters: bias −2.1 (−22.0 to 17.8), limits −79.7 … 75.5 with s =
// 38.8 and two standard deviations; here 1.96.
it('gives the limits of agreement of two flow meters', function () {
    $large = [494, 395, 516, 434, 476, 557, 413, 442, 650, 433, 417, 656, 267, 478, 178, 423, 427];
    $mini = [512, 430, 520, 428, 500, 600, 364, 380, 658, 445, 432, 626, 260, 477, 259, 350, 451];
    $f = (new BlandAltman(array_map(floatval(...), $large), array_map(floatval(...), $mini)))->figures();
    $s = ($f['upper_limit']->estimate - $f['bias']->estimate) / 1.96;
    expect(round($f['bias']->estimate, 1))
        ->toBe(-2.1)
        ->and(round($f['bias']->low, 1))
        ->toBe(-22.0)
        ->and(round($f['bias']->high, 1))
        ->toBe(17.8)
        ->and(round($s, 1))
        ->toBe(38.8)
        ->and(round($f['bias']->estimate - 2 * $s, 1))
        ->toBe(-79.6)
        ->and(round($f['lin_concordance']->estimate, 2))
        ->toBe(0.94);
});

// Siegel (1956), chapter 9: three executives rank six applicants, W = 0.16; authoritarianism and striving of twelve
// students, ρ = 0.82.
it('gives Siegel\'s rankings', function () {
    $w = RankAgreement::kendall([[1, 6, 3, 2, 5, 4], [1, 5, 6, 4, 2, 3], [6, 3, 2, 5, 4, 1]]);
    $rho = RankAgreement::spearman(
        [82, 98, 87, 40, 116, 113, 111, 83, 85, 126, 106, 117],
        [42, 46, 39, 37, 65, 88, 86, 56, 62, 92, 54, 81],
    );
    expect(round($w['w']->estimate, 2))
        ->toBe(0.16)
        ->and($w['df'])
        ->toBe(5)
        ->and(round($rho->estimate, 2))
        ->toBe(0.82)
        ->and($rho->low)
        ->toBeGreaterThan(0.3)
        ->toBeLessThan(0.6);
});

// RAND/UCLA Appropriateness Method User's Manual (2001), appendix: IPRAS by the middle of the interpercentile range.
it('tells disagreement of a panel from agreement', function () {
    expect((new DisagreementIndex([5, 5, 5]))->ipras)
        ->toBe(2.35)
        ->and((new DisagreementIndex([1, 1, 1]))->ipras)
        ->toBe(8.35);
    $split = new DisagreementIndex([1, 1, 2, 2, 5, 8, 8, 9, 9]);
    expect($split->disagrees)->toBeTrue()->and($split->index)->toBeGreaterThan(1.0);
    $verdict = static fn (array $scores): ?Appropriateness => DrillConsensus::of(array_map(
        static fn (int $s): DrillScore => new DrillScore($s, $s <= 3 ? Harm::AddsFault : null),
        $scores,
    ))->verdict();
    expect($verdict([9, 9, 9, 8]))->toBe(Appropriateness::Helps)
        ->and($verdict([1, 1, 2, 2, 5, 8, 8, 9, 9]))->toBe(Appropriateness::Uncertain)
        ->and($verdict([1, 2, 1, 3, 2]))->toBe(Appropriateness::Harms)
        ->and($verdict([4, 5, 5, 6]))->toBe(Appropriateness::Uncertain)
        ->and($verdict([6, 6, 7, 7]))->toBe(Appropriateness::Uncertain)
        ->and($verdict([]))->toBeNull()
        ->and(DrillConsensus::of([], true)->verdict())->toBe(Appropriateness::Unsafe)
        ->and(fn () => new DrillScore(3))->toRefuse('adds a fault')
        ->and(fn () => new DrillScore(4, Harm::Unsafe))->toRefuse('adds a fault')
        ->and(fn () => new DrillScore(10))->toRefuse('1 to 9');
});
