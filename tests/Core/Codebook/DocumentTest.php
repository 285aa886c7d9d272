<?php

use Core\Codebook\ClubGroup;
use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\Condition;
use Core\Codebook\Observability;
use Core\Codebook\Shown;
use Core\Codebook\SwingReport;
use Core\Codebook\Verdict;
use Core\Format\Json\SwingJson;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Motion\View;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\ConstantErrors;
use Core\Trace\DeviceClass;
use Core\Trace\Signal;

/** Measurements with the given values, by key or key@STATION, each ±1. */
function values(array $values): Measurements
{
    $out = [];
    foreach ($values as $name => $v) {
        [$key, $at] = array_pad(explode('@', $name), 2, null);
        $m = is_string($v) ? Measured::word('', $v) : Measured::value(Measure::from($key)->unit(), (float) $v, 1.0);
        if ($at === null) {
            $out[$key] = $m;
        } else {
            $out[$key][$at] = $m;
        }
    }

    return new Measurements($out);
}

it('draws every line of the catalogue where the brief draws it, under every lens', function (
    string $lens,
    string $fault,
    array $values,
    string $verdict,
) {
    expect(Codebook::standard($lens)->judge($fault, values($values))->verdict->value)->toBe($verdict);
})->with(function () {
    // fault => [values supporting, between, contradicting], thresholds from the catalogue
    $default = [
        'setup-bias' => [['setup_share' => 66.1], ['setup_share' => 60], ['setup_share' => 46]],
        'locked-feet' => [['lead_flare' => 7.9], ['lead_flare' => 12], ['lead_flare' => 15.1]],
        'sway' => [['pelvis_sway@LB' => -18.1], ['pelvis_sway@LB' => -15], ['pelvis_sway@LB' => -11.9]],
        'no-load' => [['trail_peak' => 53.9], ['trail_peak' => 57], ['trail_peak' => 61.1]],
        'outer-edge' => [['edge_fraction' => 32.1], ['edge_fraction' => 25], ['edge_fraction' => 17.9]],
        'late-load' => [['trail_peak_at' => 0.86], ['trail_peak_at' => 0.78], ['trail_peak_at' => 0.69]],
        'late-recentre' => [['recentre_lead' => -70.1], ['recentre_lead' => -55], ['recentre_lead' => -39.9]],
        'early-lunge' => [
            ['top_share' => 50, 'chest_sway@LD' => 16.1],
            ['top_share' => 65, 'chest_sway@LD' => 12],
            ['top_share' => 62.9, 'chest_sway@LD' => 8.9],
        ],
        'ahead-of-pressure' => [
            ['mass_ahead@LD' => 22.1, 'level_share' => 57.9],
            ['mass_ahead@LD' => 15, 'level_share' => 57],
            ['mass_ahead@LD' => 30, 'level_share' => 64],
        ],
        'jump-off-trail' => [['trail_jump' => 1.121], ['trail_jump' => 1.08], ['trail_jump' => 1.04]],
        'chest-first' => [['chest_first' => 20.1], ['chest_first' => 0], ['chest_first' => -20.1]],
        'spin-out' => [
            ['foot_spin' => 5, 'lead_hip_back' => 6.1, 'level_share' => 54.9],
            ['foot_spin' => 11, 'lead_hip_back' => 4, 'level_share' => 60],
            ['foot_spin' => 11.9, 'lead_hip_back' => 2.9, 'level_share' => 40],
        ],
        'knee-part' => [['knee_gap_growth' => 4.1], ['knee_gap_growth' => 2], ['knee_gap_growth' => -0.1]],
        'heel-pop' => [
            ['trail_heel_lift_at' => 95.1, 'heel_direction' => 35],
            ['trail_heel_lift_at' => 120, 'heel_direction' => 140],
            ['trail_heel_lift_at' => 120, 'heel_direction' => 14.9],
        ],
        'knees-in' => [['knee_set' => -8.1], ['knee_set' => -5], ['knee_set' => -1.9]],
        'roll-down' => [['edge_fraction_down' => 30.1], ['edge_fraction_down' => 20], ['edge_fraction_down' => 11.9]],
        'trail-rise' => [['trail_side_rise' => 4.1], ['trail_side_rise' => 3], ['trail_side_rise' => 1.4]],
        'head-back' => [
            ['head_sway@IM' => -4.1, 'chest_over_lead' => 39.9],
            ['head_sway@IM' => -3, 'chest_over_lead' => 50],
            ['head_sway@IM' => -9, 'chest_over_lead' => 60.1],
        ],
        'thrown-back' => [
            ['thrown_back' => 8.1, 'lead_peak' => 79.9, 'cop_style' => 'forward'],
            ['thrown_back' => 9, 'lead_peak' => 59, 'cop_style' => 'forward'],
            ['thrown_back' => 20, 'lead_peak' => 80, 'cop_style' => 'returning'],
        ],
        'slide' => [
            ['pelvis_sway@IM' => 28.1, 'pelvis_turn@IM' => 19.9],
            ['pelvis_sway@IM' => 22, 'pelvis_turn@IM' => 25],
            ['pelvis_sway@IM' => 30, 'pelvis_turn@IM' => 32.1],
        ],
        'early-rise' => [
            ['pelvis_depth' => 5, 'pelvis_depth_pct' => 3.6],
            ['pelvis_depth' => 4],
            ['pelvis_depth' => 3.2, 'pelvis_depth_pct' => 1.7],
        ],
        'toe-dive' => [['toe_drift' => 14.1], ['toe_drift' => 10], ['toe_drift' => 5.9]],
        'heel-fall' => [['toe_drift' => -14.1], ['toe_drift' => -10], ['toe_drift' => -5.9]],
        'weak-couple' => [
            ['heel_toe_trail' => 12, 'heel_toe_ratio' => 0.89, 'heel_toe_trail_at' => 0],
            ['heel_toe_trail' => 7, 'heel_toe_ratio' => 2, 'heel_toe_trail_at' => 0],
            ['heel_toe_trail' => 8.5, 'heel_toe_ratio' => 1.3, 'heel_toe_trail_at' => -40],
        ],
        'hang-back' => [
            ['impact_share' => 67.9, 'cop_style' => 'returning', 'lead_peak' => 79.9],
            ['impact_share' => 72, 'cop_style' => 'forward', 'lead_peak' => 75],
            ['impact_share' => 77, 'cop_style' => 'forward', 'lead_peak' => 78],
        ],
        'late-arrival' => [
            ['impact_share' => 75.9, 'late_surge' => 14.1, 'cop_style' => 'forward'],
            ['impact_share' => 70, 'late_surge' => 14.1, 'cop_style' => 'returning'],
            ['impact_share' => 80, 'late_surge' => 20, 'cop_style' => 'forward'],
        ],
        'late-push' => [
            ['rise' => 150, 'rise_at' => -0.1],
            ['rise' => 110, 'rise_at' => 50],
            ['rise' => 138, 'rise_at' => 25],
        ],
        'fall-off' => [
            ['fallback' => 25.1, 'finish_share' => 90],
            ['fallback' => 20, 'finish_share' => 80],
            ['fallback' => 11.9, 'finish_share' => 88],
        ],
    ];
    $other = [
        ['loaded-top', 'no-load', ['trail_peak' => 67.9], 'supported'],
        ['loaded-top', 'no-load', ['trail_peak' => 74.1], 'contradicted'],
        ['loaded-top', 'late-recentre', ['recentre_lead' => -139], 'borderline'],
        ['loaded-top', 'late-recentre', ['recentre_lead' => -141], 'supported'],
        ['loaded-top', 'late-recentre', ['recentre_lead' => -99], 'contradicted'],
        ['loaded-top', 'early-lunge', ['top_share' => 46.1, 'chest_sway@LD' => 0], 'supported'],
        ['loaded-top', 'early-lunge', ['top_share' => 37.9, 'chest_sway@LD' => 8], 'contradicted'],
        ['loaded-top', 'jump-off-trail', ['trail_jump' => 1.29], 'borderline'],
        ['loaded-top', 'jump-off-trail', ['trail_jump' => 1.18], 'contradicted'],
        ['quiet-centre', 'no-load', ['trail_peak' => 52.1], 'contradicted'],
        ['quiet-centre', 'no-load', ['trail_peak' => 47.9], 'supported'],
        ['quiet-centre', 'late-recentre', ['recentre_lead' => -150], 'borderline'],
        ['quiet-centre', 'early-lunge', ['top_share' => 62.1, 'chest_sway@LD' => 0], 'supported'],
        ['quiet-centre', 'jump-off-trail', ['trail_jump' => 1.26], 'borderline'],
        ['quiet-centre', 'jump-off-trail', ['trail_jump' => 1.31], 'supported'],
        ['quiet-centre', 'jump-off-trail', ['trail_jump' => 1.22], 'contradicted'],
        ['quiet-centre', 'roll-down', ['edge_fraction_down' => 39], 'borderline'],
        ['quiet-centre', 'roll-down', ['edge_fraction_down' => 40.1], 'supported'],
        ['quiet-centre', 'lead-leg-leave', ['lead_leg_drift' => 26.1, 'lead_knee_gain' => 4.9], 'supported'],
        ['quiet-centre', 'lead-leg-leave', ['lead_leg_drift' => 40, 'lead_knee_gain' => 10.1], 'contradicted'],
        ['quiet-centre', 'lead-leg-leave', ['lead_leg_drift' => 17.9], 'contradicted'],
        ['quiet-centre', 'early-lunge', ['top_share' => 45.9], 'contradicted'],
        ['quiet-centre', 'early-lunge', ['top_share' => 50], 'not measurable'],
        ['loaded-top', 'early-lunge', ['top_share' => 31.9], 'contradicted'],
        // Came, and in part went back: neither hanging back nor spared from being looked at.
        ['early-recentre', 'hang-back', ['impact_share' => 60, 'cop_style' => 'returning', 'lead_peak' => 80],
            'borderline'],
        [
            'quiet-centre',
            'hang-back',
            ['impact_share' => 61.9, 'cop_style' => 'forward', 'lead_peak' => 70],
            'supported',
        ],
        [
            'quiet-centre',
            'hang-back',
            ['impact_share' => 72, 'cop_style' => 'forward', 'lead_peak' => 70],
            'contradicted',
        ],
        ['quiet-centre', 'sway', ['pelvis_sway@LB' => -12.1], 'supported'],
        ['quiet-centre', 'sway', ['pelvis_sway@LB' => -6.9], 'contradicted'],
        ['quiet-centre', 'heel-pop', ['trail_heel_lift_at' => 76, 'heel_direction' => 90], 'supported'],
        ['quiet-centre', 'heel-pop', ['trail_heel_lift_at' => 44], 'contradicted'],
    ];
    foreach ($default as $fault => $three) {
        foreach (['supported', 'borderline', 'contradicted'] as $i => $verdict) {
            yield "$fault $verdict" => ['early-recentre', $fault, $three[$i], $verdict];
        }
    }
    foreach ($other as $row) {
        yield implode(' ', [$row[0], $row[1], json_encode($row[2])]) => $row;
    }
});

it('keeps to three-valued logic where an operand is missing', function (
    string $fault,
    array $values,
    Verdict $verdict,
) {
    expect(Codebook::standard()->judge($fault, values($values))->verdict)->toBe($verdict);
})->with([
    ['early-lunge', ['top_share' => 75], Verdict::Supported],
    ['early-lunge', ['top_share' => 50], Verdict::Contradicted],
    ['early-lunge', ['top_share' => 60], Verdict::NotMeasurable],
    ['early-rise', ['pelvis_depth' => 6.1], Verdict::Supported],
    ['heel-pop', ['trail_heel_lift_at' => 110], Verdict::NotMeasurable],
    ['spin-out', ['foot_spin' => 40], Verdict::NotMeasurable],
    ['spin-out', ['level_share' => 70], Verdict::Contradicted],
    ['weak-couple', ['heel_toe_trail' => 4], Verdict::Supported],
    ['hang-back', ['impact_share' => 80], Verdict::Contradicted],
]);

it('leaves out the faults that do not count under a lens', function () {
    expect(Codebook::standard()->keys())
        ->toHaveCount(28)
        ->and(array_diff(Codebook::standard()->keys(), Codebook::standard('loaded-top')->keys()))
        ->toEqualCanonicalizing(['late-load', 'heel-pop', 'trail-rise'])
        ->and(array_diff(Codebook::standard()->keys(), Codebook::standard('quiet-centre')->keys()))
        ->toEqualCanonicalizing(['late-load'])
        ->and(array_diff(Codebook::standard('quiet-centre')->keys(), Codebook::standard()->keys()))
        ->toEqualCanonicalizing(['lead-leg-leave'])
        ->and(CodebookDocument::standard()->differingOn('hang-back'))
        ->toBe(['quiet-centre'])
        ->and(CodebookDocument::standard()->differingOn('toe-dive'))
        ->toBe([]);
});

it('has the bands of the brief, and others for a wedge', function () {
    expect(Codebook::standard('loaded-top')->lens->bands['top_share'])
        ->toBe([12.0, 32.0])
        ->and(Codebook::standard('quiet-centre')->lens->bands['recentre_lead'])
        ->toBe([-130.0, 0.0])
        ->and(Codebook::standard()->lens->bands['pelvis_sway@LB'])
        ->toBe([-12.0, -1.0])
        ->and(CodebookDocument::standard()->under('early-recentre', ClubGroup::Wedge)->lens->bands['setup_share'])
        ->toBe([50.0, 64.0])
        ->and(ClubGroup::ofClub('pitching wedge'))
        ->toBe(ClubGroup::Wedge)
        ->and(ClubGroup::ofClub('7-iron'))
        ->toBe(ClubGroup::Iron)
        ->and(ClubGroup::ofClub('hybrid'))
        ->toBe(ClubGroup::Wood)
        ->and(ClubGroup::ofClub(null))
        ->toBeNull();
});

it('does not judge a rehearsal or an exaggerating drill by full-swing rules', function (string $swing) {
    $j = CodebookDocument::standard()
        ->under('early-recentre', null, $swing)
        ->judge('hang-back', values(['impact_share' => 50, 'cop_style' => 'forward', 'lead_peak' => 60]));
    expect($j->verdict)->toBe(Verdict::NotMeasurable)->and(inWords()->say($j->why))->toContain('full-swing rules');
})->with(['rehearsal', 'drill']);

it('survives being written down and read again, and refuses what is no codebook', function (
    array $change,
    string $why,
) {
    $data = json_decode(json_encode(CodebookDocument::standard()->toArray()), true);
    $again = CodebookDocument::fromArray($data);
    foreach (array_keys($again->lenses()) as $lens) {
        expect($again->under($lens)->fault('hang-back')->supported->remark())->toEqual(
            Codebook::standard($lens)->fault('hang-back')->supported->remark(),
        );
    }
    $broken = array_replace_recursive($data, $change);
    expect(fn () => CodebookDocument::fromArray($broken))->toRefuse($why);
})->with([
    [['version' => ''], 'version'],
    [['faults' => ['sway' => ['name' => '']]], "fault 'sway' needs 'name'"],
    [['faults' => ['sway' => ['station' => 'XX']]], "'sway' has a 'station'"],
    [['faults' => ['sway' => ['supported' => ['charm', '<', 3]]]], "no measurement is called 'charm'"],
    [['faults' => ['sway' => ['supported' => ['trail_peak', '~', 3]]]], 'operator'],
    [
        ['faults' => ['sway' => ['sights' => [['needs' => ['telepathy'], 'sight' => 'observable']]]]],
        "needs 'telepathy'",
    ],
    [['lenses' => ['loaded-top' => ['off' => ['moonwalk']]]], "fault 'moonwalk'"],
    [['lenses' => ['loaded-top' => ['bands' => ['top_share' => [40, 20]]]]], 'low below high'],
    [['lenses' => ['loaded-top' => ['bands' => ['charm' => [1, 2]]]]], 'no measurement'],
]);

it('knows what each kind of evidence can show', function (
    string $fault,
    Shown $shown,
    Observability $sight,
    ?string $proxy,
) {
    $f = Codebook::standard()->fault($fault);
    expect($f->observability($shown))->toBe($sight);
    if ($proxy !== null) {
        expect(worded($f->proxy($shown)))->toContain($proxy);
    }
})->with([
    ['jump-off-trail', new Shown(DeviceClass::Mat, false), Observability::Indirect, 'second press'],
    ['jump-off-trail', new Shown(DeviceClass::Plate, false), Observability::NotObservable, null],
    ['jump-off-trail', new Shown(DeviceClass::DualPlate, false), Observability::Observable, null],
    ['weak-couple', new Shown(DeviceClass::Plate, true), Observability::NotObservable, null],
    ['weak-couple', new Shown(DeviceClass::DualPlate, false), Observability::Observable, null],
    ['knee-part', new Shown(DeviceClass::DualPlate, true), Observability::NotObservable, null],
    ['knee-part', new Shown(null, false, true), Observability::Observable, null],
    ['toe-dive', new Shown(null, false, false, [View::FaceOn]), Observability::NotObservable, null],
    ['toe-dive', new Shown(null, false, false, [View::DownTheLine]), Observability::Indirect, 'heels up'],
    ['outer-edge', new Shown(DeviceClass::Mat, false, footCop: false), Observability::NotObservable, null],
    ['outer-edge', new Shown(DeviceClass::Mat, false), Observability::Observable, null],
    ['hang-back', new Shown(DeviceClass::Plate, false, stance: false), Observability::NotObservable, null],
    ['late-push', new Shown(DeviceClass::Plate, false, mass: false), Observability::NotObservable, null],
    ['hang-back', new Shown(DeviceClass::Mat, false, lost: [Signal::Share]), Observability::NotObservable, null],
    ['chest-first', new Shown(DeviceClass::Mat, true, rateHz: 40.0), Observability::Indirect, '40 samples'],
    ['chest-first', new Shown(DeviceClass::Mat, true, rateHz: 100.0), Observability::Observable, null],
    ['slide', new Shown(null, false, false, [View::FaceOn]), Observability::Indirect, 'apparent width'],
]);

it('judges by a proxy only where nothing better is held, says so, and trusts it half as much', function () {
    $mat = new Shown(DeviceClass::Mat, false);
    $j = Codebook::standard()->judge('jump-off-trail', values(['trail_second_peak' => 9]), $mat);
    expect($j->verdict)
        ->toBe(Verdict::Supported)
        ->and(worded($j->proxy))
        ->toBe('a second press of the trail foot')
        ->and($j->margin)
        ->toEqualWithDelta(1.5, 1e-9)
        ->and(inWords()->say($j->why))
        ->toContain('by a proxy (a second press of the trail foot)')
        ->and($j->deciding)
        ->toEqual([new Condition(Measure::TrailSecondPeak, null, '>', 6.0)])
        ->and(
            Codebook::standard()->judge(
                'jump-off-trail',
                values(['trail_second_peak' => 9, 'trail_jump' => 1.0]),
                new Shown(DeviceClass::DualPlate, false),
            )->verdict,
        )
        ->toBe(Verdict::Contradicted)
        ->and(Codebook::standard()->judge('jump-off-trail', values(['trail_second_peak' => 9]))->verdict)
        ->toBe(Verdict::NotMeasurable);
});

it('publishes a swing by its schema, for every device and with nothing but a trace', function (?DeviceClass $device) {
    $s = Swing::simulated(new GolferSpec('report', new Plant(['sway' => 2]), device: $device ?? DeviceClass::Mat));
    $report = new SwingReport(
        new Evidence(
            $s->stations,
            $device === null
                ? $s->trace->checked(ConstantErrors::stated(DeviceClass::Mat, ['source' => 'known masses']))
                : $s->trace,
            $device === null ? null : $s->motion(),
            $s->stance,
        ),
    );
    $validator = new JsonSchema\Validator();
    $data = json_decode(json_encode(SwingJson::publish($report, Codebook::standard(), inWords())));
    $data->stations = (object) array_map(static function (object $t): object {
        $t->source = 'file';

        return $t;
    }, (array) $data->stations);
    $validator->validate(
        $data,
        (object) ['$ref' => 'file://'.dirname(__DIR__, 3).'/docs/schemas/measure.schema.json'],
    );
    expect(array_map(static fn (array $e): string => $e['property'].': '.$e['message'], $validator->getErrors()))
        ->toBe([])
        ->and($data->constant_errors->source ?? null)
        ->toBe($device === null ? 'known masses' : null)
        ->and($report->faults(Codebook::standard())['sway']->judgement->verdict)
        ->toBe($device === null ? Verdict::NotMeasurable : Verdict::Supported);
})->with([...DeviceClass::cases(), null]);

it('is what its published schema says, shipped or of before, and the schema refuses what it would refuse', function () {
    $errors = static function (array $document): array {
        $validator = new JsonSchema\Validator;
        $data = json_decode(json_encode($document, JSON_THROW_ON_ERROR));
        $validator->validate(
            $data,
            (object) ['$ref' => 'file://'.dirname(__DIR__, 3).'/docs/schemas/codebook.schema.json'],
        );

        return array_map(static fn (array $e): string => $e['property'].': '.$e['message'], $validator->getErrors());
    };
    $document = CodebookDocument::standard()->with('words', 'press', ['word' => 'press', 'means' => 'ours']);
    $first = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/resources/codebooks/1.json'), true);
    expect($errors($document->toArray()))->toBe([])->and($errors($document->whole()))->toBe([])
        ->and($errors($first))->toBe([])
        ->and($errors([...$document->toArray(), 'lenses' => []]))->not->toBe([])
        ->and($errors([...$document->toArray(), 'version' => 'no blanks']))->not->toBe([]);
});
