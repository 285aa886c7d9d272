<?php

use Core\Format\RecordingReader;
use Core\Format\SideCar;
use Core\Format\TraceCsv;
use Core\Motion\Handedness;
use Core\Motion\Station;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;

function matCsv(int $rows = 100, ?callable $cell = null): string
{
    $out = "t_s,lead_pct,trail_pct,copx_mm,copy_mm\n";
    for ($i = 0; $i < $rows; $i++) {
        $row = [sprintf('%.2f', $i / 100), '55', '45', '20.5', '-3'];
        $out .= implode(',', $cell === null ? $row : $cell($i, $row))."\n";
    }

    return $out;
}

it('writes and reads a trace of each device class to the same numbers', function (DeviceClass $device) {
    $trace = Swing::simulated(new GolferSpec('csv', device: $device))->trace;
    $read = TraceCsv::read(stream(TraceCsv::write($trace)), 'a.csv', null, $trace->stance, 78.0);
    expect($read->device)
        ->toBe($device)
        ->and($read->rateHz)
        ->toBe($trace->rateHz)
        ->and($read->samples())
        ->toBe($trace->samples());
    foreach ($trace->channels as $name => $values) {
        foreach ([0, 10, 200] as $i) {
            is_nan($values[$i])
                ? expect($read->channels[$name][$i])->toBeNan()
                : expect($read->channels[$name][$i])->toEqualWithDelta($values[$i], 1e-9);
        }
    }
})->with(DeviceClass::cases());

it('takes a byte order mark, other line ends, further columns and empty cells', function () {
    $csv = "\xEF\xBB\xBF".str_replace("\n", "\r\n", matCsv(50, fn ($i, $r) => [...$r, 'note'."$i"]));
    $csv = str_replace('copx_mm,copy_mm', 'copx_mm,copy_mm,remark', $csv);
    $csv = preg_replace('/0\.10,55/', '0.10,', $csv);
    $trace = TraceCsv::read(stream($csv), 'a.csv');
    expect($trace->samples())
        ->toBe(50)
        ->and($trace->channels['lead_pct'][10])
        ->toBeNan()
        ->and($trace->channels)
        ->not->toHaveKey('remark');
});

it('lays an uneven clock on an even grid and leaves a long gap missing', function () {
    $jittered = TraceCsv::read(
        stream(
            matCsv(
                100,
                fn ($i, $r) => [
                    sprintf('%.4f', $i / 100 + ($i % 2 ? 0.003 : 0.0)),
                    (string) $i,
                    (string) (100 - $i),
                    '0',
                    '0',
                ],
            ),
        ),
        'a.csv',
    );
    expect($jittered->leadShare()->at(0.5))->toEqualWithDelta(50.0, 0.6);
    $gap = TraceCsv::read(
        stream(matCsv(100, fn ($i, $r) => [sprintf('%.2f', $i / 100 + ($i >= 50 ? 0.5 : 0.0)), ...array_slice($r, 1)])),
        'a.csv',
    );
    expect($gap->leadShare()->at(0.75))
        ->toBeNull()
        ->and($gap->leadShare()->at(1.2))
        ->toEqualWithDelta(55.0, 1e-6);
});

it('refuses a bad file with one sentence naming file, line and column', function (string $csv, string $message) {
    expect(fn () => TraceCsv::read(stream($csv), 'swing.csv'))->toRefuse($message);
})->with([
    'empty' => ['', 'swing.csv: the file is empty'],
    'no time' => ["a,b\n1,2\n", 'swing.csv, line 1, column t_s: the column is missing'],
    'no class' => ["t_s,b\n1,2\n", 'swing.csv: line 1: no device class has these columns'],
    'a missing channel' => [
        "t_s,lead_pct,trail_pct,copx_mm\n",
        'swing.csv, line 1, column copy_mm: the column is missing',
    ],
    'a column twice' => [
        "t_s,lead_pct,lead_pct\n",
        'swing.csv, line 1, column lead_pct: the column stands in the header twice',
    ],
    'a word' => [
        matCsv(30, fn ($i, $r) => $i === 7 ? [$r[0], 'high', ...array_slice($r, 2)] : $r),
        "swing.csv, line 9, column lead_pct: 'high' is no number",
    ],
    'infinity' => [
        matCsv(30, fn ($i, $r) => $i === 7 ? [$r[0], '1e999', ...array_slice($r, 2)] : $r),
        "swing.csv, line 9, column lead_pct: '1e999' is no number",
    ],
    'too many per cent' => [
        matCsv(30, fn ($i, $r) => $i === 3 ? [$r[0], '450', ...array_slice($r, 2)] : $r),
        'swing.csv, line 5, column lead_pct: 450 is no per cent',
    ],
    'time standing still' => [
        matCsv(30, fn ($i, $r) => $i === 12 ? ['0.11', ...array_slice($r, 1)] : $r),
        'swing.csv, line 14, column t_s: the time does not increase',
    ],
    'a short row' => [
        matCsv(30, fn ($i, $r) => $i === 4 ? array_slice($r, 0, 3) : $r),
        'swing.csv, line 6, column copx_mm: 3 cells where the header has 5',
    ],
    'a long row' => [
        matCsv(30, fn ($i, $r) => $i === 4 ? [...$r, '9'] : $r),
        'swing.csv, line 6, column 6: 6 cells where the header has 5',
    ],
    'too few samples' => [matCsv(5), 'swing.csv: 5 samples are too few'],
    'not UTF-8' => [matCsv(3)."0.04,\xFF\xFE,1,1,1\n", 'swing.csv, line 5, column 1: the text is not UTF-8'],
    'an open quote' => [
        matCsv(3).'0.04,"5,1,1,1'."\n",
        'swing.csv, line 5, column 1: a quotation mark is opened and never closed',
    ],
    'an endless line' => [
        't_s,'.str_repeat('x', 1_200_000),
        'swing.csv, line 1, column 1: the line is longer than a megabyte',
    ],
    'a million columns' => [str_repeat('a,', 400_000)."\n", 'swing.csv, line 1, column 2000: more columns than'],
    'gaps without end' => [
        matCsv(100, fn ($i, $r) => [sprintf('%.2f', $i / 100 + ($i === 99 ? 50_000.0 : 0.0)), ...array_slice($r, 1)]),
        'swing.csv: the times leave gaps too wide',
    ],
]);

it('reads the side-car', function () {
    $car = SideCar::read(
        '{"mass_kg":80,"handedness":"left","club":"hybrid","swing":"full","stance":{'
            .'"lead_foot":{"x_mm":250,"y_mm":0,"length_mm":270,"width_mm":100},"trail_foot":{"x_mm":-250,"y_mm":5}},'
            .'"stations":{"IM":1.66,"AD":0.5,"TP":1.4},"device":{"class":"mat","rate_hz":100,"name":"bench mat"}}',
        'a.json',
    );
    expect($car->massKg)
        ->toBe(80.0)
        ->and($car->hand)
        ->toBe(Handedness::Left)
        ->and($car->club)
        ->toBe('hybrid')
        ->and($car->stance->widthMm())
        ->toEqualWithDelta(hypot(500, 5), 1e-9)
        ->and($car->stations->t(Station::Top))
        ->toBe(1.4)
        ->and($car->device)
        ->toBe(DeviceClass::Mat)
        ->and($car->deviceName)
        ->toBe('bench mat');
    $empty = SideCar::read('{"further":1}', 'a.json');
    expect($empty->massKg)->toBeNull()->and($empty->stance)->toBeNull()->and($empty->stations)->toBeNull();
});

it('believes the clock of a file and not a side-car that says another rate, and says so', function () {
    $csv = TraceCsv::write(matTrace(corners([[0.0, 55.0], [3.0, 85.0]])));
    $notes = static function (string $device) use ($csv): array {
        return RecordingReader::read(stream($csv), 'a.csv', SideCar::read("{\"device\":{$device}}", 'a.json'))->notes;
    };
    expect($notes('{"rate_hz":101}'))->toBe([])
        ->and($notes('{"class":"mat"}'))->toBe([])
        ->and(sentences($notes('{"rate_hz":1000}')))
        ->toBe(['The side-car says 1,000 samples a second, the file’s own times 100: its times were believed. If they are '
            .'wrong, every time and rate is.'])
        ->and(fn () => SideCar::read('{"device":{"rate_hz":0}}', 'a.json'))
        ->toRefuse('a.json: device.rate_hz is 0; a device sends up to 100000 samples a second');
});

it('refuses a side-car that is wrong, naming the member', function (string $json, string $message) {
    expect(fn () => SideCar::read($json, 'a.json'))->toRefuse($message);
})->with([
    ['{', 'a.json: the file is not JSON'],
    ['[1]', 'a.json: the file must hold one JSON object'],
    ['{"mass_kg":"heavy"}', 'mass_kg must be a number'],
    ['{"mass_kg":7}', 'a golfer has 20 to 250'],
    ['{"handedness":"both"}', "handedness is 'both'"],
    ['{"device":{"class":"scale"}}', "device class is 'scale'"],
    ['{"stance":{"lead_foot":{"x_mm":-200},"trail_foot":{"x_mm":200}}}', 'feet swapped'],
    ['{"stance":{"lead_foot":{}}}', 'stance lead_foot x_mm must be a number'],
    ['{"stations":{"TP":2.0,"IM":1.0}}', 'station IM (1.000 s) must come after TP'],
    ['{"stations":{"QQ":1}}', "'QQ' is no station"],
    ['{"club":5}', 'club must be a short text'],
    ['{"stance":4}', 'stance must be an object'],
]);

it('needs the stance for the share of a plate read from a file', function () {
    $trace = Swing::simulated(new GolferSpec('plate', device: DeviceClass::Plate))->trace;
    $csv = TraceCsv::write($trace);
    expect(TraceCsv::read(stream($csv), 'a.csv')->leadShare())
        ->toBeNull()
        ->and(TraceCsv::read(stream($csv), 'a.csv', null, Stance::ofWidth(470.0))->leadShare())
        ->not->toBeNull();
});
