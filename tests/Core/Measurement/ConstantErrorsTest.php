<?php

use Core\Format\RecordingBundle;
use Core\Format\RecordingReader;
use Core\Format\SideCar;
use Core\Format\TraceCsv;
use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\ConstantErrors;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

/** @return array<string, Measured> */
function withErrors(Swing $s, Trace $trace): array
{
    return array_filter(
        Assessment::ofEvidence(new Evidence($s->stations, $trace, null, $s->stance))->measurements->all(),
        static fn (mixed $m): bool => $m instanceof Measured && $m->uncertainty !== null,
    );
}

it('makes every ± with what a device was found to be off by, and leaves what it measures', function (DeviceClass $device) {
    $s = Swing::simulated(new GolferSpec('checked', new Plant(['hang-back' => 2]), device: $device));
    $class = withErrors($s, $s->trace);
    $same = withErrors($s, $s->trace->checked(ConstantErrors::stated($device, ['source' => 'nothing but a look'])));
    expect($same)->toEqual($class);
    $fine = withErrors($s, $s->trace->checked(ConstantErrors::stated($device, [
        'share_points' => 0.1, 'force_percent' => 0.05, 'moment_nm' => 0.1, 'cop_mm' => 0.3, 'source' => 'masses',
    ])));
    $coarse = withErrors($s, $s->trace->checked(ConstantErrors::stated($device, [
        'share_points' => 6, 'force_percent' => 3.0, 'moment_nm' => 5.0, 'cop_mm' => 20.0, 'source' => 'another device',
    ])));
    foreach ($class as $key => $m) {
        // A time at which a level is crossed is freed of the bias that a level off by so much gives it.
        if (is_float($m->value)) {
            expect(abs($fine[$key]->value - $m->value))->toBeLessThan(0.5 * $m->uncertainty + 1e-9, $key);
        }
        expect($fine[$key]->uncertainty)->toBeLessThanOrEqual(1.1 * $m->uncertainty + 1e-9, $key)
            ->and($coarse[$key]->uncertainty)->toBeGreaterThanOrEqual(0.9 * $m->uncertainty - 1e-9, $key);
    }
    // Absolute values live on it, times and differences do not.
    $share = Measure::ImpactShare->value;
    expect($fine[$share]->uncertainty)->toBeLessThan(0.9 * $class[$share]->uncertainty)
        ->and($coarse[$share]->uncertainty)->toBeGreaterThan(6.0)
        ->and($coarse[Measure::ThrownBack->value]->uncertainty ?? 0.0)
        ->toEqualWithDelta($class[Measure::ThrownBack->value]->uncertainty ?? 0.0, 0.05);
})->with(DeviceClass::cases());

it('refuses what no instrument is off by, and what nobody says the source of', function (array $stated, string $why) {
    expect(fn () => ConstantErrors::stated(DeviceClass::Mat, $stated))->toRefuse($why);
})->with([
    [['share_points' => 1.0], 'how the constant errors were found out'],
    [['share_points' => 1.0, 'source' => '  '], 'how the constant errors were found out'],
    [['share_points' => 1.0, 'source' => str_repeat('x', 201)], 'at most 200'],
    [['share_points' => 0.0, 'source' => 'rod'], 'share_points must be a number from 0.05 to 15'],
    [['cop_mm' => NAN, 'source' => 'rod'], 'cop_mm'],
    [['moment_nm' => INF, 'source' => 'rod'], 'moment_nm'],
    [['force_percent' => '1', 'source' => 'rod'], 'force_percent'],
    [['force_percent' => [1.0], 'source' => 'rod'], 'force_percent'],
]);

it('takes them from a side-car, and refuses those in a sentence that names the file', function () {
    $s = Swing::simulated(new GolferSpec('checked-car', device: DeviceClass::Mat));
    $read = static function (array $errors) use ($s): Trace {
        $stream = fopen('php://memory', 'r+b');
        fwrite($stream, TraceCsv::write($s->trace));
        rewind($stream);
        $car = SideCar::read(json_encode(['device' => ['class' => 'mat', 'constant_errors' => $errors]]), 'car.json');

        $in = RecordingReader::read($stream, 'mat.csv', $car);
        expect(implode(' ', sentences($in->notes)))->toContain("as stated with the file: {$in->trace->stated->source}");
        // A bundle carries them on.
        $again = RecordingReader::read(stream(RecordingBundle::write($in)), 'mat.json')->trace;
        expect($again->stated)->toEqual($in->trace->stated);

        return $in->trace;
    };
    $trace = $read(['share_points' => 0.8, 'source' => 'two scales, 1 November']);
    expect($trace->constantErrors()->sharePoints)->toBe(0.8)
        ->and($trace->constantErrors()->copMm)->toBe(DeviceClass::Mat->copOffset())
        ->and($trace->between(0.0, 0.5)->constantErrors()->source)->toBe('two scales, 1 November')
        ->and(fn () => $read(['share_points' => 0.8]))->toRefuse('mat.csv')
        ->and(fn () => $read(['share_points' => 99, 'source' => 'rod']))->toRefuse('share_points must be');
});
