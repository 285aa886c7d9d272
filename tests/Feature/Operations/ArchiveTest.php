<?php

use App\Models\Golfer;
use App\Models\Recording;
use App\Models\StationMark;
use App\Operations\Actions\ExportLibrary;
use App\Operations\Actions\ImportLibrary;
use App\Shelf\Actions\StoreRecording;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\Trace;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** @return string the demo's library as an archive */
function archived(): string
{
    $file = sys_get_temp_dir().'/library-'.bin2hex(random_bytes(4)).'.zip';
    expect(Artisan::call('archive:export', ['file' => $file]))->toBe(0);

    return $file;
}

/** Takes away every recording, as if on another installation. */
function anotherInstallation(): void
{
    DB::statement('truncate sittings, cases, recordings, golfers cascade');
}

it('writes the library as tables with their schema, and another installation takes it in whole', function () {
    $before = Recording::query()->with(['golfer', 'channels', 'views', 'stations'])->orderBy('id')->get();
    $measured = app(App\Shelf\Actions\MeasureRecording::class)($before[2])->measurements;
    $file = archived();
    $zip = new ZipArchive;
    $zip->open($file);
    $package = json_decode($zip->getFromName('datapackage.json'), true);
    expect(array_column($package['resources'], 'path'))->toBe([
        'golfers.csv',
        'consents.csv',
        'recordings.csv',
        'stations.csv',
    ]);
    foreach ($package['resources'] as $resource) {
        expect(str_getcsv(strtok($zip->getFromName($resource['path']), "\n"), ',', '"', ''))->toBe(
            array_column($resource['schema']['fields'], 'name'),
        );
    }
    anotherInstallation();
    expect(Artisan::call('archive:import', ['file' => $file]))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain($before->count().' stored');
    $after = Recording::query()
        ->with(['golfer', 'channels', 'views', 'stations'])
        ->orderBy('id')
        ->get();
    foreach ($before as $i => $r) {
        expect($after[$i]->checksum)
            ->toBe($r->checksum)
            ->and($after[$i]->golfer->pseudonym)
            ->toBe($r->golfer->pseudonym)
            ->and($after[$i]->stations)
            ->toHaveCount($r->stations->count())
            ->and($after[$i]->club)
            ->toBe($r->club);
    }
    $again = app(App\Shelf\Actions\MeasureRecording::class)($after[2])->measurements;
    foreach (['impact_share', 'trail_peak', 'tempo', 'foot_spin'] as $key) {
        expect($again[$key]['value'])->toEqualWithDelta($measured[$key]['value'], 1e-3);
    }
    expect(Artisan::call('recordings:measure'))
        ->toBe(0)
        ->and(App\Models\MeasurementSet::query()->count())
        ->toBe($before->count());
    unlink($file);
});

it('writes a large library in parts, whole, and lets go of each part once written', function () {
    $golfer = Golfer::query()->consenting()->firstOrFail();
    $swing = Swing::simulated(new GolferSpec('many'));
    $first = array_key_first($swing->trace->channels);
    for ($i = 0; $i < 46; $i++) {
        $channels = $swing->trace->channels;
        $channels[$first][$i] += 0.01;
        app(StoreRecording::class)(
            $golfer,
            ['club' => 'hybrid', 'source' => 'file'],
            new Trace($swing->trace->device, $swing->trace->rateHz, $channels, $swing->stance),
            $swing->stations,
            $swing->motion(),
            false,
        );
    }
    $file = sys_get_temp_dir().'/library-'.bin2hex(random_bytes(4)).'.zip';
    $held = [];
    $n = app(ExportLibrary::class)($file, function (int $done) use (&$held): void {
        $held[$done] = memory_get_usage();
    });
    $zip = new ZipArchive;
    $zip->open($file);
    $part = array_sum(array_map(fn (int $i): int => $zip->statIndex($i)['size'], range(0, 24)));
    expect($n['written'])
        ->toBe(Recording::query()->count())
        ->toBeGreaterThan(51)
        ->and($zip->numFiles)
        ->toBe($n['written'] + 5)
        ->and($held[51] - $held[26])
        ->toBeLessThan(0.2 * $part)
        ->and($held[25] - $held[2])
        ->toBeGreaterThan(0.5 * $part);
    $rows = array_slice(explode("\n", trim($zip->getFromName('recordings.csv'))), 1);
    expect($rows)->toHaveCount($n['written']);
    foreach ($rows as $row) {
        expect(json_decode($zip->getFromName(array_slice(str_getcsv($row, ',', '"', ''), -1)[0])))->toBeObject();
    }
    unlink($file);
});

it('carries how the film\'s clock was set', function () {
    Recording::query()->orderBy('id')->firstOrFail()->update(['points_offset_s' => 0.25, 'points_drift_ppm' => 1200.0]);
    $file = archived();
    anotherInstallation();
    expect(Artisan::call('archive:import', ['file' => $file]))->toBe(0);
    $r = Recording::query()->orderBy('id')->firstOrFail();
    expect($r->points_offset_s)
        ->toBe(0.25)
        ->and($r->points_drift_ppm)
        ->toBe(1200.0)
        ->and(Recording::query()->where('points_drift_ppm', '!=', 0)->count())
        ->toBe(1);
    unlink($file);
});

it('goes on where it was killed, and stores nothing twice', function () {
    $file = archived();
    $all = Recording::query()->count();
    anotherInstallation();
    try {
        app(ImportLibrary::class)($file, function (int $done): void {
            if ($done === 3) {
                throw new RuntimeException('killed');
            }
        });
    } catch (RuntimeException) {
    }
    expect(Recording::query()->count())->toBe(3);
    $out = app(ImportLibrary::class)($file);
    // A checksum written by an older release is no reason to call what is here a fault.
    $zip = new ZipArchive;
    $zip->open($file);
    $zip->addFromString(
        'recordings.csv',
        preg_replace('/[0-9a-f]{64}/', str_repeat('0', 64), $zip->getFromName('recordings.csv')),
    );
    $zip->close();
    expect($out)
        ->toBe(['stored' => $all - 3, 'known' => 3, 'refused' => []])
        ->and(app(ImportLibrary::class)($file)['known'])
        ->toBe($all)
        ->and(StationMark::query()->count())
        ->toBeGreaterThan(8 * $all);
    unlink($file);
});

it('leaves out golfers without a valid consent', function () {
    Golfer::query()->where('pseudonym', 'Wren')->sole()->consents()->update(['withdrawn_at' => now()]);
    $file = archived();
    $zip = new ZipArchive;
    $zip->open($file);
    expect($zip->getFromName('golfers.csv'))
        ->not->toContain('Wren')
        ->and($zip->getFromName('recordings.csv'))
        ->not->toContain('Wren');
    unlink($file);
});

it('refuses what is no archive, and names the recording that is spoilt while it keeps the rest', function () {
    $file = archived();
    $all = Recording::query()->count();
    anotherInstallation();
    $zip = new ZipArchive;
    $zip->open($file);
    $name = $zip->getNameIndex(0);
    $zip->addFromString($name, '{"format":');
    $zip->close();
    $out = app(ImportLibrary::class)($file);
    expect($out['stored'])
        ->toBe($all - 1)
        ->and($out['refused'])
        ->toHaveCount(1)
        ->and($out['refused'][0])
        ->toContain($name);
    $zip->open($file);
    $zip->deleteName('golfers.csv');
    $zip->close();
    expect(Artisan::call('archive:import', ['file' => $file]))
        ->toBe(1)
        ->and(Artisan::call('archive:import', ['file' => __FILE__]))
        ->toBe(1)
        ->and(Artisan::call('archive:export', ['file' => '/nowhere/x.zip']))
        ->toBe(1);
    unlink($file);
});

it('takes what was once called training as staff training, and no use that nobody knows', function () {
    $file = archived();
    $change = function (string $from, string $to) use ($file): string {
        $copy = $file.bin2hex(random_bytes(3)).'.zip';
        copy($file, $copy);
        $zip = new ZipArchive;
        $zip->open($copy);
        $zip->addFromString('consents.csv', str_replace($from, $to, (string) $zip->getFromName('consents.csv')));
        $zip->close();

        return $copy;
    };
    $old = $change(',staff-training,', ',training,');
    $odd = $change(',lessons,', ',"anything, at all",');
    anotherInstallation();
    expect(Artisan::call('archive:import', ['file' => $odd]))->toBe(1)
        ->and(Artisan::output())->toContain('which is no use that is known')
        ->and(Golfer::query()->exists())->toBeFalse();
    expect(Artisan::call('archive:import', ['file' => $old]))->toBe(0);
    foreach (Golfer::query()->with('consents')->get() as $golfer) {
        expect($golfer->consentsTo(Core\Sight\Scope::StaffTraining))->toBeTrue()
            ->and($golfer->consentsTo(Core\Sight\Scope::Research))->toBeFalse();
    }
    // The same again changes nothing.
    $before = [DB::table('consents')->count(), Golfer::query()->count(), Recording::query()->count()];
    expect(Artisan::call('archive:import', ['file' => $old]))->toBe(0)
        ->and([DB::table('consents')->count(), Golfer::query()->count(), Recording::query()->count()])->toBe($before);
});

it('carries every scope of a consent there and back', function () {
    $scopes = fn (): array => DB::table('consents')->join('golfers', 'golfers.id', '=', 'consents.golfer_id')
        ->orderBy('pseudonym')->orderBy('scope')->orderBy('given_on')
        ->get(['pseudonym', 'scope', 'given_on', 'expires_on', 'guardian'])->map(fn ($r): array => (array) $r)->all();
    Golfer::query()->firstOrFail()->consents()->create(['scope' => 'research', 'given_on' => '2026-01-01',
        'expires_on' => '2031-01-01', 'guardian' => 'a parent']);
    $before = $scopes();
    $file = archived();
    anotherInstallation();
    expect(Artisan::call('archive:import', ['file' => $file]))->toBe(0)->and($scopes())->toEqual($before);
});
