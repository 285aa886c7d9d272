<?php

use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Judgement;
use Core\Codebook\Observability;
use Core\Codebook\Said;
use Core\Codebook\Verdict;
use Core\Consensus\Grade;
use Core\Consensus\Label;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Remark\Remark;

/** What is said of hanging back (supported below 68, contradicted from 77 on) at a share at impact of ± 2. */
function hanging(?float $share): FaultVerdict
{
    $unit = Measure::ImpactShare->unit();
    $measured = new Measurements([
        'impact_share' => $share === null
            ? Measured::none($unit, Remark::of(\Core\Measurement\Lack::NotMeasured))
            : Measured::value($unit, $share, 2.0),
        'cop_style' => Measured::word(Measure::CopStyle->unit(), 'forward'),
        'lead_peak' => Measured::value(Measure::LeadPeak->unit(), 90.0, 2.0),
    ]);
    $fault = Codebook::standard()->fault('hang-back');

    return new FaultVerdict(Observability::Observable, null, $fault->judge($measured));
}

it('leans where the value clears its threshold by less than its own uncertainty, and verifies nothing there', function (
    float $share,
    Said $said,
    string $sentence,
    Grade $present,
    Grade $absent,
) {
    $verdict = hanging($share);
    expect($verdict->said())
        ->toBe($said)
        ->and(inWords()->say($verdict->judgement->why, ['fault' => 'hanging back']))
        ->toContain($sentence)
        ->and(Grade::grading(Label::Present, $verdict->judgement))
        ->toBe($present)
        ->and(Grade::grading(Label::Absent, $verdict->judgement))
        ->toBe($absent);
})->with([
    'far below' => [60.0, Said::Supported, 'is supported', Grade::Verified, Grade::Conflict],
    'just clear' => [65.9, Said::Supported, 'is supported', Grade::Verified, Grade::Conflict],
    'not quite' => [66.5, Said::LeansSupported, 'leans to supported', Grade::Borderline, Grade::Borderline],
    'a hair' => [67.99, Said::LeansSupported, 'leans to supported', Grade::Borderline, Grade::Borderline],
    'between' => [72.0, Said::Borderline, 'in the margin', Grade::Borderline, Grade::Borderline],
    'a hair above' => [77.01, Said::LeansContradicted, 'leans to contradicted', Grade::Borderline, Grade::Borderline],
    'clear above' => [79.5, Said::Contradicted, 'is contradicted', Grade::Conflict, Grade::Verified],
]);

it('tells what was not measured from what nothing held can show', function () {
    expect(hanging(null)->said())
        ->toBe(Said::NotMeasurable)
        ->and((new FaultVerdict(Observability::NotObservable, null, hanging(null)->judgement))->said())
        ->toBe(Said::NotObservable);
});

it('says how likely the true value lies on the other side, as often as it does', function () {
    $chance = new Chance('leaning');
    $wrong = $all = [];
    for ($i = 0; $i < many(40000, 400000); $i++) {
        // Any true value as likely as another about the threshold of 68; what is measured errs as its ± says.
        $true = 60.0 + 16.0 * $chance->uniform();
        $judgement = hanging($true + $chance->normal(0.0, 2.0 / 1.96))->judgement;
        if ($judgement->verdict !== Verdict::Supported || $judgement->margin > 1.5) {
            continue;
        }
        $bin = (int) floor(2.0 * $judgement->margin);
        $all[$bin][] = $judgement->chanceWrong();
        $wrong[$bin] = ($wrong[$bin] ?? 0) + ($true >= 68.0 ? 1 : 0);
    }
    foreach ($all as $bin => $said) {
        $n = count($said);
        $stated = array_sum($said) / $n;
        expect(abs($wrong[$bin] / $n - $stated))->toBeLessThan(4.0 * sqrt($stated * (1.0 - $stated) / $n) + 0.003);
    }
    expect($all)->toHaveCount(3);
});

it('claims no chance of being wrong where it claims nothing', function (string $verdict, ?float $margin, ?float $chance) {
    $said = (new Judgement(Verdict::from($verdict), $margin, Remark::wordedThen('So.')))->chanceWrong();
    $chance === null ? expect($said)->toBeNull() : expect($said)->toEqualWithDelta($chance, 1e-4);
})->with([
    ['borderline', -0.4, null],
    ['not measurable', null, null],
    ['supported', null, null],
    ['supported', 0.0, 0.5],
    ['contradicted', 1.0, 0.025],
    ['supported', 2.0, 0.00004],
]);
