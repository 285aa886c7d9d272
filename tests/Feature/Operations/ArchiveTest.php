<?php

use App\Models\Golfer;
use App\Models\Recording;
use App\Models\StationMark;
use App\Operations\Actions\ExportLibrary;
use App\Operations\Actions\ImportLibrary;
use App\Shelf\Actions\StoreRecording;
use Core\Reading\BallFlight;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\Trace;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

/** @return string the demo's library as an archive */
function archived(): string
{
    $file = sys_get_temp_dir().'/library-'.bin2hex(random_bytes(4)).'.zip';
    expect(Artisan::call('archive:export', ['file' => $file]))->toBe(0);

    return $file;
}

beforeEach(fn () => mayLeave());

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
        'films.csv',
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
    $names = array_map(fn (int $i): string => $zip->getNameIndex($i), range(0, $zip->numFiles - 1));
    $bundles = array_slice(array_values(preg_grep('/^recordings\/.*json$/', $names)), 0, 25);
    $part = array_sum(array_map(fn (string $name): int => $zip->statName($name)['size'], $bundles));
    expect($n['written'])
        ->toBe(Recording::query()->count())
        ->toBeGreaterThan(51)
        ->and($zip->numFiles)
        ->toBe($n['written'] + 5 + count(file("zip://$file#films.csv")) + count(preg_grep('/\.jpg$/', $names)))
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

it('leaves out golfers who did not agree that it leaves the academy', function () {
    Golfer::query()->where('pseudonym', 'Wren')->sole()->consents()->where('scope', 'research')
        ->update(['withdrawn_at' => now()]);
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
            ->and($golfer->consentsTo(Core\Sight\Scope::TeachingMaterial))->toBeFalse();
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

it('carries facts, flights and films there and back, and refuses a film that is another', function () {
    Storage::fake('films');
    Queue::fake();
    $r = Recording::query()->orderBy('id')->firstOrFail();
    DB::table('films')->where('recording_id', '<>', $r->id)->delete();
    $facts = ['size' => 'half', 'loft_deg' => 31.5, 'effort_pct' => 80, 'has_ball' => true, 'place' => 2,
        'series' => 'third', 'shape' => 'fade', 'outcome' => (new BallFlight(1.5, -3.0, 'low', 'thin'))->toArray()];
    $r->update($facts);
    $film = $r->films()->firstOrFail();
    $bytes = '....ftypisom'.random_bytes(400);
    $film->update(['container' => 'mov', 'checksum' => hash('sha256', $bytes), 'bytes' => strlen($bytes),
        'received' => strlen($bytes), 'offset_s' => 0.125, 'slowed' => 4, 'camera_height_cm' => 90.0,
        'clock_by' => 'stations']);
    $r->films()->whereKeyNot($film->id)->delete();
    $film->update(['stills' => ['TP' => 3, 'IM' => 5]]);
    Storage::disk('films')->put($film->path('TP.jpg'), 'a picture');
    Storage::disk('films')->put($film->path('original.mp4'), $bytes);
    $file = archived();
    $spoilt = "$file.spoilt.zip";
    copy($file, $spoilt);
    $zip = new ZipArchive;
    $zip->open($spoilt);
    $name = "films/$r->public_id/$film->view.mp4";
    expect($zip->getFromName($name))->toBe($bytes);
    expect($zip->getFromName("films/$r->public_id/$film->view-TP.jpg"))->toBe('a picture')
        ->and($zip->locateName("films/$r->public_id/$film->view-IM.jpg"))->toBeFalse();
    $zip->addFromString($name, '....ftypisom another');
    $zip->close();
    $all = Recording::query()->count();
    anotherInstallation();
    Storage::fake('films');
    $out = app(ImportLibrary::class)($spoilt);
    expect($out['stored'])->toBe($all - 1)
        ->and($out['refused'][0])->toContain("$film->view.mp4 is not as it was packed")
        ->and(Storage::disk('films')->allFiles())->toBe([])
        ->and(app(ImportLibrary::class)($file)['stored'])->toBe(1);
    $came = Recording::query()->where('checksum', $r->checksum)->firstOrFail();
    expect($came->only(array_keys($facts)))->toEqual($facts);
    $again = $came->films()->firstOrFail();
    expect($again->only(['view', 'name', 'bytes', 'slowed', 'offset_s', 'checksum', 'camera_height_cm', 'clock_by']))
        ->toEqual($film->only(['view', 'name', 'bytes', 'slowed', 'offset_s', 'checksum', 'camera_height_cm',
            'clock_by']))
        ->and($again->state)->toBe('waiting')
        ->and(Storage::disk('films')->get($again->path('original.mp4')))->toBe($bytes);
    Queue::assertPushed(App\Shelf\Jobs\FilmConversion::class, 1);
    expect(app(ImportLibrary::class)($file)['known'])->toBe($all);
    array_map(unlink(...), [$file, $spoilt]);
});

it('reads archives that were written before films and facts travelled', function () {
    $file = archived();
    $zip = new ZipArchive;
    $zip->open($file);
    $zip->deleteName('films.csv');
    foreach (range(0, 3) as $i) {
        $old = json_decode($zip->getFromIndex($i), true);
        unset($old['facts'], $old['flight']);
        $zip->addFromString($zip->getNameIndex($i), json_encode($old));
    }
    $zip->close();
    anotherInstallation();
    expect(Artisan::call('archive:import', ['file' => $file]))->toBe(0);
    unlink($file);
});

it('writes one recording alone, with its golfer and nobody else', function () {
    $r = Recording::query()->with('golfer')->orderByDesc('id')->firstOrFail();
    $file = sys_get_temp_dir().'/one-'.bin2hex(random_bytes(4)).'.zip';
    expect(Artisan::call('archive:export', ['file' => $file, '--recording' => $r->public_id]))->toBe(0)
        ->and(Artisan::output())->toContain('1 recordings written');
    $zip = new ZipArchive;
    $zip->open($file);
    expect(explode("\n", trim($zip->getFromName('golfers.csv'))))->toHaveCount(2)
        ->and($zip->getFromName('golfers.csv'))->toContain($r->golfer->pseudonym)
        ->and($zip->locateName("recordings/$r->public_id.json"))->not->toBeFalse();
    anotherInstallation();
    Storage::fake('films');
    Queue::fake();
    expect(app(ImportLibrary::class)($file)['stored'])->toBe(1)
        ->and(Recording::query()->sole()->checksum)->toBe($r->checksum);
    // One that may not leave is not written.
    Golfer::query()->sole()->consents()->where('scope', 'research')->update(['withdrawn_at' => now()]);
    $id = Recording::query()->sole()->public_id;
    Artisan::call('archive:export', ['file' => $file, '--recording' => $id]);
    expect(Artisan::output())->toContain('0 recordings written')
        ->toContain('1 recordings stay: their golfers have not');
    unlink($file);
});
