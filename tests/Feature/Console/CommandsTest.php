<?php

use App\Bench\Actions\MarkStation;
use App\Models\MeasurementSet;
use App\Models\Recording;
use App\Models\StationMark;
use Core\Format\Json\StanceJson;
use Core\Format\TraceCsv;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** @return string a file with this text, gone when the test is */
function holding(string $text, string $ending): string
{
    $file = sys_get_temp_dir().'/commands-'.bin2hex(random_bytes(5)).$ending;
    file_put_contents($file, $text);

    return $file;
}

it('writes the detection study to a file that says how it was made', function () {
    $file = holding('', '.md');
    expect(Artisan::call('study:detection', ['--golfers' => 2, '--seed' => 'two', '--out' => $file]))->toBe(0);
    $text = file_get_contents($file);
    expect($text)
        ->toContain('--golfers=2 --seed=two')
        ->toContain('| hanging back |')
        ->toContain('not observable')
        ->and(Artisan::call('study:detection', ['--golfers' => 1, '--out' => '/nowhere/x.md']))
        ->toBe(1);
    unlink($file);
});

it('keeps the published study in step with the core it speaks of', function () {
    $text = file_get_contents(base_path('docs/detection.md'));
    expect($text)->toContain('core version '.Core\Version::CURRENT)->toContain('--golfers=1500');
    foreach (Core\Codebook\Codebook::standard()->faults as $fault) {
        expect($text)->toContain("| {$fault->name} |");
    }
});

it('imports the swings of a series by command, cold ones marked', function () {
    foreach ([0 => true, 1 => false, 2 => false] as $i => $cold) {
        $s = Swing::simulated(new GolferSpec("series$i", device: DeviceClass::Mat));
        $csv = holding(TraceCsv::write($s->trace), '.csv');
        expect(
            Artisan::call('recording:import', [
                'file' => $csv,
                '--golfer' => 'Wren',
                '--series' => 'winter',
                '--cold' => $cold,
            ]),
        )->toBe(0);
        unlink($csv);
    }
    $series = Recording::query()->where('series', 'winter')->orderBy('id')->get();
    expect($series)->toHaveCount(3)->and($series->pluck('is_cold')->all())->toBe([true, false, false]);
});

it('measures only what another version or other inputs made', function () {
    $before = MeasurementSet::query()->orderBy('id')->pluck('updated_at', 'id');
    $this->travel(5)->minutes();
    Artisan::call('recordings:measure');
    expect(MeasurementSet::query()->orderBy('id')->pluck('updated_at', 'id')->toArray())->toEqual($before->toArray());
    $one = MeasurementSet::query()->orderBy('id')->firstOrFail();
    $one->update(['core_version' => '0.0.1']);
    $at = $one->fresh()->updated_at;
    $this->travel(5)->minutes();
    Artisan::call('recordings:measure');
    expect($one->fresh()->core_version)
        ->toBe(Core\Version::CURRENT)
        ->and($one->fresh()->updated_at->gt($at))
        ->toBeTrue();
});

it('carries series, clocks and marks over in an archive; who marked by hand stays behind', function () {
    $recording = Recording::query()->with(['stations', 'views'])->firstOrFail();
    $recording->update(['series' => 'before', 'is_cold' => true, 'points_offset_s' => 0.025]);
    app(
        MarkStation::class,
    )($recording, Station::Top, $recording->effectiveStations()['TP']->t_s + 0.01, $this->headCoach());
    mayLeave();
    $file = holding('', '.zip');
    Artisan::call('archive:export', ['file' => $file]);
    $checksum = $recording->checksum;
    $top = $recording->fresh()->effectiveStations()['TP']->t_s;
    DB::statement('truncate sittings, cases, recordings, golfers cascade');
    expect(Artisan::call('archive:import', ['file' => $file]))->toBe(0);
    $again = Recording::query()
        ->where('checksum', $checksum)
        ->with(['stations', 'views'])
        ->sole();
    expect($again->series)
        ->toBe('before')
        ->and($again->is_cold)
        ->toBeTrue()
        ->and($again->points_offset_s)
        ->toBe(0.025)
        ->and($again->effectiveStations()['TP']->t_s)
        ->toEqualWithDelta($top, 1e-9)
        ->and($again->effectiveStations()['TP']->source)
        ->toBe(StationSource::File)
        ->and(StationMark::query()->where('source', 'hand')->count())
        ->toBe(0);
    unlink($file);
});

it('judges a file under the lens it is told, and differently where the lenses differ', function () {
    $s = Swing::simulated(new GolferSpec('lenses', new Plant(['late-recentre' => 2]), device: DeviceClass::Mat));
    $csv = holding(TraceCsv::write($s->trace), '.csv');
    $json = holding(
        json_encode([
            'mass_kg' => 78,
            'stance' => StanceJson::write($s->stance),
            'stations' => array_map(static fn ($t): float => $t->t, $s->stations->all()),
        ]),
        '.json',
    );
    $verdicts = [];
    foreach (['early-recentre', 'loaded-top', 'quiet-centre'] as $lens) {
        Artisan::call('trace:measure', ['file' => $csv, '--meta' => $json, '--lens' => $lens, '--format' => 'json']);
        $verdicts[$lens] = json_decode(Artisan::output(), true)['faults']['late-recentre']['verdict'];
    }
    // About a tenth of a second late: a fault where pressure is to be back by the top, none where it is held to it.
    expect($verdicts)->toBe([
        'early-recentre' => 'supported',
        // 94 ms after the top, with a limit of 100 and a mat's 11 ms of uncertainty.
        'loaded-top' => 'leans-contradicted',
        'quiet-centre' => 'contradicted',
    ]);
    unlink($csv);
    unlink($json);
});
