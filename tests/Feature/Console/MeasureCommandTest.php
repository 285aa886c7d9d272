<?php

use Core\Format\Json\StanceJson;
use Core\Format\TraceCsv;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** @return array{string, string, Swing} trace file, side-car file, and the swing they hold */
function traceFiles(DeviceClass $device, array $plant = [], array $car = []): array
{
    $s = Swing::simulated(new GolferSpec('command', new Plant($plant), device: $device));
    $dir = sys_get_temp_dir().'/measure-'.bin2hex(random_bytes(4));
    mkdir($dir);
    file_put_contents("$dir/swing.csv", TraceCsv::write($s->trace));
    file_put_contents(
        "$dir/swing.json",
        json_encode([
            'mass_kg' => 78,
            'handedness' => 'right',
            'club' => 'hybrid',
            'stance' => StanceJson::write($s->stance),
            'stations' => array_map(fn ($t) => $t->t, $s->stations->all()),
            ...$car,
        ]),
    );

    return ["$dir/swing.csv", "$dir/swing.json", $s];
}

it('measures a file of any device without a database and publishes JSON by its schema', function (DeviceClass $device) {
    [$csv, $json] = traceFiles($device, ['hang-back' => 3]);
    DB::disconnect();
    config(['database.connections.pgsql.port' => 1]);
    expect(Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json, '--format' => 'json']))->toBe(0);
    $out = json_decode(Artisan::output());
    $validator = new JsonSchema\Validator;
    $validator->validate($out, (object) ['$ref' => 'file://'.base_path('docs/schemas/measure.schema.json')]);
    expect($validator->getErrors())
        ->toBe([])
        ->and($out->device)
        ->toBe($device->value)
        ->and($out->faults->{'hang-back'}->verdict)
        ->toBe('supported')
        ->and($out->stations->IM->source)
        ->toBe('file')
        ->and($out->measurements->lead_share->value->IM->value)
        ->toBe($out->measurements->impact_share->value)
        ->and($out->faults->{'knee-part'}->observability)
        ->toBe('not observable')
        ->and($out->faults->{'knee-part'}->verdict)
        ->toBe('not-observable')
        ->and($out->faults->{'hang-back'}->chance_wrong)
        ->toBeLessThan(0.025);
    config(['database.connections.pgsql.port' => env('DB_PORT')]);
})->with(DeviceClass::cases());

it('proposes stations where none are given, takes the lens it is told, and does not judge a rehearsal', function () {
    [$csv, $json] = traceFiles(DeviceClass::DualPlate, ['late-load' => 2]);
    Artisan::call('trace:measure', ['file' => $csv, '--format' => 'json']);
    $bare = json_decode(Artisan::output(), true);
    expect($bare['stations']['IM']['source'])
        ->toBe('trace')
        ->and($bare['stations']['IM']['doubt'])
        ->toContain('trace alone')
        ->and($bare['measurements']['rise']['reason'])
        ->toBe('needs the golfer’s mass')
        ->and($bare['measurements']['rise']['reason_code'])
        ->toBe(['code' => 'lack.mass']);
    Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json, '--format' => 'json', '--lens' => 'loaded-top']);
    expect(json_decode(Artisan::output(), true)['faults'])->not->toHaveKey('late-load');
    [$csv, $json] = traceFiles(DeviceClass::Mat, ['hang-back' => 3], ['swing' => 'rehearsal']);
    Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json, '--format' => 'json']);
    expect(json_decode(Artisan::output(), true)['faults']['hang-back']['sentence'])->toContain(
        'not judged by full-swing rules',
    );
});

it('proposes those that are not given beside those that are', function () {
    [$csv, $json, $s] = traceFiles(DeviceClass::DualPlate, [], ['stations' => ['TP' => 1.6, 'IM' => 1.93]]);
    expect(Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json, '--format' => 'json']))->toBe(0);
    $out = json_decode(Artisan::output());
    expect($out->stations->TP)->toMatchObject(['t_s' => 1.6, 'source' => 'file'])
        ->and($out->stations->LD->source)->toBe('trace')
        ->and($out->measurements->level_share->value)->toBeFloat()
        ->and(Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json, '--target' => 'up']))->toBe(1)
        ->and(Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json, '--target' => '-y']))->toBe(0);
});

it('prints a table for people and CSV for programs', function () {
    [$csv, $json] = traceFiles(DeviceClass::Plate);
    Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json]);
    expect(Artisan::output())->toContain('lead share at impact')->toContain('hanging back')->toContain('contradicted');
    Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json, '--format' => 'csv']);
    $rows = array_map(
        static fn (string $line): array => str_getcsv($line, ',', '"', ''),
        explode("\n", trim(Artisan::output())),
    );
    expect($rows[0])
        ->toBe(['measure', 'station', 'value', 'unit', 'uncertainty', 'censored', 'reason'])
        ->and(array_unique(array_map(count(...), $rows)))
        ->toBe([7])
        ->and(array_column($rows, 0))
        ->toContain('impact_share')
        ->and(count($rows))
        ->toBeGreaterThan(100);
});

it('answers bad input with exit 1 and one line', function (Closure $arguments, string $why) {
    [$csv, $json] = traceFiles(DeviceClass::Mat);
    $process = Symfony\Component\Process\Process::fromShellCommandline(
        'php artisan trace:measure '.implode(' ', array_map(escapeshellarg(...), $arguments($csv, $json))),
        base_path(),
    );
    $process->run();
    expect($process->getExitCode())
        ->toBe(1)
        ->and($process->getOutput())
        ->toBe('')
        ->and(trim($process->getErrorOutput()))
        ->toContain($why)
        ->not->toContain("\n");
})->with([
    [fn ($csv, $json) => ['/nowhere.csv'], 'nowhere.csv: the file cannot be read'],
    [fn ($csv, $json) => [$csv, '--device=dual-plate'], 'swing.csv, line 1, column lead_fx_n: the column is missing'],
    [fn ($csv, $json) => [$csv, '--device=scale'], "--device is 'scale'"],
    [fn ($csv, $json) => [$csv, '--lens=moonwalk'], "no lens 'moonwalk'"],
    [fn ($csv, $json) => [$csv, '--format=xml'], "--format is 'xml'"],
    [fn ($csv, $json) => [$csv, "--meta=$csv"], 'swing.csv: the file is not JSON'],
]);
