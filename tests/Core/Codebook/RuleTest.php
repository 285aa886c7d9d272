<?php

use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Codebook\Rule;
use Core\Codebook\Shown;
use Core\Codebook\Truth;
use Core\Codebook\Verdict;
use Core\Measurement\Bound;
use Core\Measurement\Lack;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;

/** Measurements with the given values, each ± 2; null stays unmeasured; [side, bound] is censored. */
function found(array $values): Measurements
{
    $out = [];
    foreach ($values as $name => $v) {
        [$key, $station] = array_pad(explode('@', $name, 2), 2, null);
        $unit = Measure::from($key)->unit();
        $m = match (true) {
            $v === null => Measured::none($unit, Remark::of(Lack::NotMeasured)),
            is_string($v) => Measured::word($unit, $v),
            is_array($v) => Measured::censored($unit, $v[0], (float) $v[1], 5.0, Bound::NeverRecentred),
            default => Measured::value($unit, (float) $v, 2.0),
        };
        if ($station === null) {
            $out[$key] = $m;
        } else {
            $out[$key][$station] = $m;
        }
    }

    return new Measurements($out);
}

$y = Truth::Yes;
$n = Truth::No;
$u = Truth::Unknown;

it('is three-valued: "and" is false when one operand is, unknown when one is missing', function (
    array $operands,
    Truth $both,
    Truth $either,
) {
    expect(Truth::both($operands))->toBe($both)->and(Truth::either($operands))->toBe($either);
})->with([
    [[$y, $y], $y, $y],
    [[$y, $n], $n, $y],
    [[$n, $n], $n, $n],
    [[$y, $u], $u, $y],
    [[$n, $u], $n, $u],
    [[$u, $u], $u, $u],
    [[$y, $n, $u], $n, $y],
]);

it('evaluates a condition at, below and above its threshold', function (string $op, float $value, Truth $expected) {
    expect(Rule::from(['impact_share', $op, 70])->evaluate(found(['impact_share' => $value])))->toBe($expected);
})->with([
    ['<', 69.9, $y],
    ['<', 70.0, $n],
    ['<=', 70.0, $y],
    ['>', 70.0, $n],
    ['>', 70.1, $y],
    ['>=', 70.0, $y],
    ['>=', 69.0, $n],
]);

it('compares words, and takes a station', function () use ($y, $n, $u) {
    expect(Rule::from(['cop_style', 'is', 'returning'])->evaluate(found(['cop_style' => 'returning'])))->toBe($y)
        ->and(Rule::from(['cop_style', 'not', 'returning'])->evaluate(found(['cop_style' => 'returning'])))->toBe($n)
        ->and(Rule::from(['pelvis_sway@LB', '<', -18])->evaluate(found(['pelvis_sway@LB' => -20])))->toBe($y)
        ->and(Rule::from(['pelvis_sway@IM', '<', -18])->evaluate(found(['pelvis_sway@LB' => -20])))->toBe($u);
});

it('lets a censored value decide only where its whole open side answers alike', function (
    array $rule,
    array $censored,
    Truth $expected,
) {
    expect(Rule::from($rule)->evaluate(found(['recentre_lead' => $censored])))->toBe($expected);
})->with([
    'later than impact is late' => [['recentre_lead', '<', -70], ['below', -250], $y],
    'and is not in time' => [['recentre_lead', '>', -40], ['below', -250], $n],
    'but says nothing of a bound beyond it' => [['recentre_lead', '<', -400], ['below', -250], $u],
    'earlier than takeaway is in time' => [['recentre_lead', '>', -40], ['above', 850], $y],
    'and is not late' => [['recentre_lead', '<', -70], ['above', 850], $n],
]);

it('tells how far from its threshold it stands, in units of the uncertainty', function () {
    $m = found(['impact_share' => 62, 'late_surge' => 17]);
    expect(Rule::from(['impact_share', '<', 68])->margin($m))
        ->toEqualWithDelta(3.0, 1e-12)
        ->and(Rule::from(['impact_share', '>', 68])->margin($m))
        ->toEqualWithDelta(-3.0, 1e-12)
        ->and(Rule::from(['all', ['impact_share', '<', 68], ['late_surge', '>', 14]])->margin($m))
        ->toEqualWithDelta(1.5, 1e-12)
        ->and(Rule::from(['any', ['impact_share', '<', 68], ['late_surge', '>', 14]])->margin($m))
        ->toEqualWithDelta(3.0, 1e-12)
        ->and(Rule::from(['all', ['impact_share', '<', 68], ['rise', '>', 14]])->margin($m))
        ->toBeNull();
});

it('refuses what is no rule', function (array $data, string $why) {
    expect(fn () => Rule::from($data))->toRefuse($why);
})->with([
    [['no_such_thing', '<', 1], "No measurement is called 'no_such_thing'"],
    [['impact_share', '≈', 1], 'operator out of'],
    [['impact_share', '<', 'much'], 'wrong type'],
    [['cop_style', 'is', 4], 'wrong type'],
    [['all'], 'needs at least one rule'],
    [['any', 'x'], 'must be a rule'],
    [[], 'condition is'],
]);

it('judges each fault on both sides of its thresholds and in between', function (
    string $fault,
    array $values,
    Verdict $verdict,
) {
    $j = Codebook::standard()->fault($fault)->judge(found($values));
    expect($j->verdict)
        ->toBe($verdict)
        ->and(inWords()->say($j->why, ['fault' => $fault]))
        ->toStartWith(ucfirst($fault))
        ->toEndWith('.')
        ->not->toMatch('/:[a-z]/');
})->with([
    ['sway', ['pelvis_sway@LB' => -22], Verdict::Supported],
    ['sway', ['pelvis_sway@LB' => -15], Verdict::Borderline],
    ['sway', ['pelvis_sway@LB' => -8], Verdict::Contradicted],
    ['sway', [], Verdict::NotMeasurable],
    ['no-load', ['trail_peak' => 50], Verdict::Supported],
    ['no-load', ['trail_peak' => 58], Verdict::Borderline],
    ['no-load', ['trail_peak' => 70], Verdict::Contradicted],
    ['late-load', ['trail_peak_at' => 0.9], Verdict::Supported],
    ['late-load', ['trail_peak_at' => 0.8], Verdict::Borderline],
    ['late-load', ['trail_peak_at' => 0.6], Verdict::Contradicted],
    ['late-recentre', ['recentre_lead' => -90], Verdict::Supported],
    ['late-recentre', ['recentre_lead' => -55], Verdict::Borderline],
    ['late-recentre', ['recentre_lead' => 10], Verdict::Contradicted],
    ['late-recentre', ['recentre_lead' => ['below', -250]], Verdict::Supported],
    ['early-lunge', ['top_share' => 75, 'chest_sway@LD' => null], Verdict::Supported],
    ['early-lunge', ['top_share' => 55, 'chest_sway@LD' => 20], Verdict::Supported],
    ['early-lunge', ['top_share' => 55, 'chest_sway@LD' => 4], Verdict::Contradicted],
    ['early-lunge', ['top_share' => 58], Verdict::NotMeasurable],
    ['early-lunge', ['top_share' => 54], Verdict::Contradicted],
    ['early-lunge', ['top_share' => 66, 'chest_sway@LD' => 4], Verdict::Borderline],
    ['hang-back', ['impact_share' => 60, 'cop_style' => 'forward', 'lead_peak' => 62], Verdict::Supported],
    ['hang-back', ['impact_share' => 66, 'cop_style' => 'returning', 'lead_peak' => 88], Verdict::Borderline],
    ['hang-back', ['impact_share' => 72, 'cop_style' => 'forward', 'lead_peak' => 75], Verdict::Borderline],
    ['hang-back', ['impact_share' => 85, 'cop_style' => 'forward', 'lead_peak' => 86], Verdict::Contradicted],
    ['late-arrival', ['impact_share' => 70, 'late_surge' => 20, 'cop_style' => 'forward'], Verdict::Supported],
    ['late-arrival', ['impact_share' => 78, 'late_surge' => 20, 'cop_style' => 'forward'], Verdict::Borderline],
    ['late-arrival', ['impact_share' => 85, 'late_surge' => 20], Verdict::Contradicted],
    ['late-arrival', ['impact_share' => 70, 'late_surge' => 3], Verdict::Contradicted],
    ['spin-out', ['foot_spin' => 32, 'level_share' => 50], Verdict::Supported],
    ['spin-out', ['foot_spin' => 32, 'level_share' => 70], Verdict::Contradicted],
    ['spin-out', ['foot_spin' => 18, 'lead_hip_back' => 2, 'level_share' => 60], Verdict::Borderline],
    ['spin-out', ['foot_spin' => 32], Verdict::NotMeasurable],
    ['spin-out', ['foot_spin' => 5], Verdict::NotMeasurable],
    ['spin-out', ['foot_spin' => 5, 'lead_hip_back' => 1], Verdict::Contradicted],
    ['late-push', ['rise' => 101, 'rise_at' => 40], Verdict::Supported],
    ['late-push', ['rise' => 150, 'rise_at' => -20], Verdict::Supported],
    ['late-push', ['rise' => 150, 'rise_at' => 60], Verdict::Contradicted],
    ['late-push', ['rise' => 130, 'rise_at' => 60], Verdict::Borderline],
    ['late-push', ['rise' => 150, 'rise_at' => 110], Verdict::Contradicted],
    ['late-push', ['rise' => 150, 'rise_at' => 20], Verdict::Borderline],
    ['fall-off', ['fallback' => 30, 'finish_share' => 60], Verdict::Supported],
    ['fall-off', ['fallback' => 5, 'finish_share' => 92], Verdict::Contradicted],
    ['fall-off', ['fallback' => 15, 'finish_share' => 80], Verdict::Borderline],
]);

it('puts the numbers and the rule into its sentence', function () {
    $says = fn (string $fault, array $found): string => inWords()->say(
        Codebook::standard()->fault($fault)->judge(found($found))->why,
        ['fault' => $fault],
    );
    expect($says('hang-back', ['impact_share' => 60, 'cop_style' => 'forward', 'lead_peak' => 62]))->toContain(
        'lead share at impact 60 ± 2 (rule: < 68 %)',
    );
    expect($says('late-push', []))->toContain('cannot be decided here')->toContain('not measurable');
});

it('knows what evidence shows a fault, and names the proxy', function (
    string $fault,
    Shown $shown,
    Observability $sight,
) {
    expect(Codebook::standard()->fault($fault)->observability($shown))->toBe($sight);
})->with([
    ['late-push', new Shown(DeviceClass::Mat, false), Observability::NotObservable],
    ['late-push', new Shown(DeviceClass::Mat, true), Observability::Indirect],
    ['late-push', new Shown(DeviceClass::Plate, false), Observability::Observable],
    ['sway', new Shown(DeviceClass::DualPlate, false), Observability::NotObservable],
    ['sway', new Shown(null, true), Observability::Observable],
    ['spin-out', new Shown(null, true), Observability::Indirect],
    ['spin-out', new Shown(DeviceClass::Mat, false), Observability::NotObservable],
    ['spin-out', new Shown(DeviceClass::Mat, true), Observability::Indirect],
    ['spin-out', new Shown(DeviceClass::Mat, false, true), Observability::Observable],
    ['hang-back', new Shown(null, true), Observability::Indirect],
    ['hang-back', new Shown(DeviceClass::Mat, false), Observability::Observable],
    ['fall-off', new Shown(null, true), Observability::Observable],
]);

it('lets a proxy speak for a fault that it cannot deny', function (string $fault, array $found, Shown $held) {
    // Found out by counting, docs/detection.md: who has the fault may look like this all the same.
    $judged = Codebook::standard()->fault($fault)->judge(found($found), $held);
    expect($judged->verdict)->toBe(Verdict::NotMeasurable)
        ->and($judged->why->code)->toBe(Core\Codebook\Ground::HintOnly->value);
})->with([
    ['jump-off-trail', ['trail_second_peak' => 0], new Shown(DeviceClass::Mat, false)],
    ['early-lunge', ['chest_sway@LD' => -5], new Shown(null, true)],
    ['no-load', ['chest_sway@LB' => -6], new Shown(null, true)],
    ['late-recentre', ['pelvis_sway@LD' => 40, 'chest_sway@LD' => 12], new Shown(null, true)],
    ['hang-back', ['chest_sway@IM' => 20, 'trail_heel_lift' => 12], new Shown(null, true)],
]);

it('names a proxy wherever it says indirect', function () {
    $filmOnly = new Shown(null, true);
    foreach (Codebook::standard()->faults as $fault) {
        if ($fault->observability($filmOnly) === Observability::Indirect) {
            expect(worded($fault->proxy($filmOnly)))->toBeString()->not->toBe('');
        }
    }
});

it('never says "weight" of a golfer', function () {
    foreach (Codebook::standard()->faults as $fault) {
        expect(
            strtolower($fault->name.$fault->lookFor.$fault->inTheTrace.$fault->counterExample),
        )->not->toContain('weight');
    }
});
