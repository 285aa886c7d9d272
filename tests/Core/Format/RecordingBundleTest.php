<?php

use Core\Codebook\SwingSize;
use Core\Format\ColumnMap;
use Core\Format\ImportedRecording;
use Core\Format\ImportSettings;
use Core\Format\Json\StanceJson;
use Core\Format\RecordingBundle;
use Core\Format\RecordingReader;
use Core\Format\SideCar;
use Core\Format\SwingFacts;
use Core\Format\TraceCsv;
use Core\Motion\Handedness;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Reading\BallFlight;
use Core\Reading\Turf;
use Core\Simulation\Camera;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;

function bundled(DeviceClass $device = DeviceClass::Mat): ImportedRecording
{
    $s = Swing::simulated(new GolferSpec('bundle', device: $device));

    return new ImportedRecording(
        $s->trace,
        new Views($s->motion(), Camera::record($s->motion(), View::FaceOn, 'b')),
        $s->stations,
        new SideCar(78.0, Handedness::Right, 'hybrid', 'full', $s->stance, null, $device, 'bench mat'),
    );
}

it('gives a recording back as it was, missing samples and blind axes included', function (DeviceClass $device) {
    $in = bundled($device);
    $out = RecordingBundle::read(RecordingBundle::write($in), 'swing.json');
    expect($out->trace->device)
        ->toBe($device)
        ->and($out->trace->rateHz)
        ->toBe($in->trace->rateHz)
        ->and($out->trace->massKg)
        ->toBe(78.0)
        ->and($out->facts->deviceName)
        ->toBe('bench mat')
        ->and($out->facts->club)
        ->toBe('hybrid')
        ->and(StanceJson::write($out->trace->stance))
        ->toEqual(StanceJson::write($in->trace->stance))
        ->and(array_keys($out->trace->channels))
        ->toBe(array_keys($in->trace->channels));
    foreach ($in->trace->channels as $name => $values) {
        foreach ($values as $i => $v) {
            expect(
                is_nan($v)
                    ? is_nan($out->trace->channels[$name][$i])
                    : abs($out->trace->channels[$name][$i] - $v) < 1e-4,
            )->toBeTrue();
        }
    }
    expect($out->views->of(View::FaceOn)->coordinate('pelvis', Axis::Y)->at(1.0))
        ->toBeNull()
        ->and($out->views->of(View::FaceOn)->coordinate('pelvis', Axis::X)->at(1.0))
        ->toEqualWithDelta($in->views->of(View::FaceOn)->coordinate('pelvis', Axis::X)->at(1.0), 1e-3)
        ->and($out->stations->t(Core\Motion\Station::Impact))
        ->toEqualWithDelta($in->stations->t(Core\Motion\Station::Impact), 1e-9);
})->with(DeviceClass::cases());

it('writes what its published schema says', function () {
    $validator = new JsonSchema\Validator;
    $data = json_decode(RecordingBundle::write(bundled()));
    $validator->validate(
        $data,
        (object) ['$ref' => 'file://'.dirname(__DIR__, 3).'/docs/schemas/recording.schema.json'],
    );
    expect($validator->getErrors())->toBe([]);
});

it('refuses a bundle that is none, in a sentence', function (array $change, string $why) {
    $data = array_replace_recursive(json_decode(RecordingBundle::write(bundled()), true), $change);
    expect(fn () => RecordingBundle::read(json_encode($data), 'b.json'))->toRefuse("b.json: $why");
})->with([
    [['format' => 'other'], 'this is no recording bundle'],
    [['version' => 9], 'it is of a version'],
    [['device' => ['class' => 'scale']], "device class is 'scale', not mat, plate or dual-plate"],
    [['trace' => ['rate_hz' => 0]], 'trace rate_hz must lie'],
    [['trace' => ['channels' => ['lead_pct' => 'x']]], 'trace channels lead_pct must be a list'],
    [['trace' => ['channels' => ['lead_pct' => ['x']]]], 'trace channels lead_pct holds something'],
    [['trace' => ['channels' => ['DROP TABLE' => [1]]]], 'trace channels DROP TABLE is no name'],
    [['mass_kg' => 9], 'mass_kg must lie'],
    [['handedness' => 'both'], "handedness is 'both', not right or left"],
    [['stations' => ['TP' => ['t_s' => 9.0]]], 'station LD'],
]);

it('tells the formats apart by their first bytes', function () {
    expect(RecordingReader::formatOf(substr(RecordingBundle::write(bundled()), 0, 512)))
        ->toBe('bundle')
        ->and(RecordingReader::formatOf("t_s,lead_pct\n"))
        ->toBe('csv')
        ->and(RecordingReader::formatOf(chr(2).chr(0x50).'xx'))
        ->toBe('c3d')
        ->and(RecordingReader::formatOf('P'))
        ->toBe('csv');
    $read = RecordingReader::read(stream(RecordingBundle::write(bundled())), 'swing.json', new SideCar(81.0));
    expect($read->trace->massKg)->toBe(81.0)->and($read->views->motions)->toHaveCount(2);
});

it('guesses the columns of foreign files by their words, sides by the hand', function (
    array $header,
    Handedness $hand,
    DeviceClass $device,
    array $expected,
) {
    $map = ColumnMap::guess($header, $hand);
    expect($map->device)->toBe($device)->and($map->missing())->toBe([]);
    foreach ($expected as $channel => [$column, $factor]) {
        expect($map->channels[$channel]['column'])->toBe($column)->and($map->factor($channel))->toBe($factor);
    }
})->with([
    'published' => [
        ['t_s', 'lead_pct', 'trail_pct', 'copx_mm', 'copy_mm'],
        Handedness::Right,
        DeviceClass::Mat,
        ['lead_pct' => ['lead_pct', 1.0], 't_s' => ['t_s', 1.0]],
    ],
    'left and right, milliseconds' => [
        ['Time (ms)', 'Left %', 'Right %', 'COP X (cm)', 'COP Y (cm)'],
        Handedness::Right,
        DeviceClass::Mat,
        ['t_s' => ['Time (ms)', 0.001], 'lead_pct' => ['Left %', 1.0], 'copx_mm' => ['COP X (cm)', 10.0]],
    ],
    'the other hand' => [
        ['Time (ms)', 'Left %', 'Right %', 'COP X (cm)', 'COP Y (cm)'],
        Handedness::Left,
        DeviceClass::Mat,
        ['lead_pct' => ['Right %', 1.0], 'trail_pct' => ['Left %', 1.0]],
    ],
    'a plate in kilonewtons and metres' => [
        ['timestamp', 'Fx [kN]', 'Fy [kN]', 'Fz [kN]', 'Mz [Nm]', 'COPx [m]', 'COPy [m]'],
        Handedness::Right,
        DeviceClass::Plate,
        ['fz_n' => ['Fz [kN]', 1000.0], 'copx_mm' => ['COPx [m]', 1000.0], 'mz_nm' => ['Mz [Nm]', 1.0]],
    ],
    'two plates, camel case' => [
        [
            'time',
            'LeftFx',
            'LeftFy',
            'LeftFz',
            'LeftMz',
            'LeftCopX',
            'LeftCopY',
            'RightFx',
            'RightFy',
            'RightFz',
            'RightMz',
            'RightCopX',
            'RightCopY',
        ],
        Handedness::Right,
        DeviceClass::DualPlate,
        ['lead_fz_n' => ['LeftFz', 1.0], 'trail_copy_mm' => ['RightCopY', 1.0]],
    ],
]);

it('reads a foreign file through its map into the same trace', function () {
    $s = Swing::simulated(new GolferSpec('foreign', device: DeviceClass::Mat));
    $rows = [['Zeit', 'ms', 'a', 'b', 'c', 'd']];
    foreach ($s->trace->channels['lead_pct'] as $i => $lead) {
        $rows[] = [
            'x',
            10 * $i,
            $lead / 100,
            $s->trace->channels['trail_pct'][$i] / 100,
            $s->trace->channels['copx_mm'][$i] / 10,
            $s->trace->channels['copy_mm'][$i] / 10,
        ];
    }
    $csv = implode("\n", array_map(static fn (array $r): string => implode(',', $r), $rows));
    $map = new ColumnMap(DeviceClass::Mat, [
        't_s' => ['column' => 'ms', 'unit' => 'ms'],
        'lead_pct' => ['column' => 'a', 'unit' => 'fraction'],
        'trail_pct' => ['column' => 'b', 'unit' => 'fraction'],
        'copx_mm' => ['column' => 'c', 'unit' => 'cm'],
        'copy_mm' => ['column' => 'd', 'unit' => 'cm'],
    ]);
    $trace = RecordingReader::read(stream($csv), 'f.csv', null, new ImportSettings(map: $map))->trace;
    expect($map->isPlain())
        ->toBeFalse()
        ->and($trace->rateHz)
        ->toEqualWithDelta(100.0, 1e-6)
        ->and($trace->leadShare()->at(1.0))
        ->toEqualWithDelta($s->trace->leadShare()->at(1.0), 1e-6)
        ->and($trace->channels['copx_mm'][50])
        ->toEqualWithDelta($s->trace->channels['copx_mm'][50], 1e-9)
        ->and(ColumnMap::guess(['a', 'b', 'c'], Handedness::Right))
        ->toBeNull()
        ->and(
            fn () => TraceCsv::read(
                stream($csv),
                'f.csv',
                null,
                null,
                null,
                new ColumnMap(DeviceClass::Mat, ['t_s' => ['column' => 'ms', 'unit' => 'ms']]),
            ),
        )
        ->toRefuse('no column was chosen');
});

it('carries the facts of a swing and its ball’s flight, and reads files that have neither', function () {
    $in = bundled();
    $facts = new SwingFacts('fade', SwingSize::Half, 31.5, 80, false, true, 'third', 4, new BallFlight(
        -2.5,
        6.0,
        'low',
        'thin',
        3.0,
        pathDeg: -1.0,
        turf: Turf::RolledUp,
    ));
    $text = RecordingBundle::write(new ImportedRecording($in->trace, $in->views, null, $in->facts, [], $facts));
    expect(RecordingBundle::read($text, 'b.json')->swing)->toEqual($facts);
    $old = json_decode($text);
    unset($old->facts, $old->flight);
    expect(RecordingBundle::read(json_encode($old), 'b.json')->swing)->toEqual(new SwingFacts());
});

it('refuses facts that no swing has', function (array $change, string $why) {
    $data = array_replace_recursive(json_decode(RecordingBundle::write(bundled()), true), $change);
    expect(fn () => RecordingBundle::read(json_encode($data), 'b.json'))->toRefuse("b.json: $why");
})->with([
    [['facts' => ['size' => 'vast']], 'facts size'],
    [['facts' => ['loft_deg' => 81]], 'facts loft_deg must lie between 0 and 80'],
    [['facts' => ['effort_pct' => 0]], 'facts effort_pct must lie between 1 and 120'],
    [['facts' => ['effort_pct' => 80.5]], 'facts effort_pct must be a whole number'],
    [['facts' => ['has_ball' => 'yes']], 'facts has_ball must be true, false or null'],
    [['facts' => ['place' => 501]], 'facts place must lie between 1 and 500'],
    [['facts' => ['series' => str_repeat('x', 61)]], 'facts series must be a short text'],
    [['flight' => ['start_deg' => 1.0]], ''],
    [['flight' => ['start_deg' => 99.0, 'curve_deg' => 0, 'height' => 'low', 'strike' => 'fat']], ''],
]);
