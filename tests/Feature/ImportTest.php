<?php

use App\Models\AuditEntry;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Models\Recording;
use App\Models\TraceChannel;
use Core\Format\TraceCsv;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;

function simulated(DeviceClass $device, array $faults = []): Swing
{
    return Swing::of(new GolferSpec('import', new Plant($faults), device: $device));
}

function sideCar(Swing $s, array $change = []): string
{
    return json_encode([
        'mass_kg' => 78, 'handedness' => 'right', 'club' => 'hybrid', 'stance' => $s->stance->toArray(),
        'stations' => array_map(static fn ($t): float => $t->t, $s->stations->all()), 'device' => ['class' => $s->trace->device->value, 'name' => 'studio'], ...$change,
    ]);
}

/** Sends files and puts them on the Shelf as the head coach; the answer is that of the step that refused, or of the last. */
function upload(object $test, string $csv, ?string $json = null, array $change = [])
{
    $sent = $test->actingAs($test->headCoach())->post('/imports', array_filter([
        'golfer' => Golfer::query()->where('pseudonym', 'Wren')->value('id'),
        'trace' => UploadedFile::fake()->createWithContent('swing.csv', $csv),
        'meta' => $json === null ? null : UploadedFile::fake()->createWithContent('swing.json', $json), ...$change,
    ]));
    $import = PendingImport::query()->latest('id')->first();

    return $import === null || $sent->getSession()->has('refused') || $sent->getSession()->has('errors') ? $sent : $test->post("/imports/{$import->public_id}/finish");
}

it('imports a file of every device class through the Shelf and measures it', function (DeviceClass $device) {
    $s = simulated($device, ['hang-back' => 3]);
    upload($this, TraceCsv::write($s->trace), sideCar($s))->assertSessionHasNoErrors()->assertSessionMissing('refused')->assertSessionHas('done');
    $recording = Recording::query()->latest('id')->firstOrFail();
    expect($recording->device_class)->toBe($device->value)->and($recording->samples)->toBe($s->trace->samples())->and($recording->club)->toBe('hybrid')->and($recording->device_name)->toBe('studio')
        ->and($recording->channels()->count())->toBe(count($s->trace->channels))->and($recording->stations()->where('source', 'file')->count())->toBe(9)->and($recording->stations()->where('source', 'trace')->count())->toBe(9)
        ->and($recording->effectiveStations()->pluck('source')->unique()->all())->toBe(['file'])
        ->and($recording->measured->faults['early-recentre']['hang-back']['verdict'])->toBe('supported')
        ->and($recording->measured->faults['early-recentre']['sway']['verdict'])->toBe('not measurable')
        ->and(AuditEntry::query()->where('action', 'import')->count())->toBe(1);
    $kept = $recording->trace()->channels;
    foreach ($s->trace->channels as $name => $values) {
        expect($kept[$name][100])->toEqualWithDelta($values[100], 1e-3);
    }
    $this->actingAs($this->headCoach())->get("/bench/{$recording->public_id}")->assertOk()->assertSee('no body points were recorded');
})->with(DeviceClass::cases());

it('imports a bare trace and says on the Bench what cannot be had without a side-car', function () {
    upload($this, TraceCsv::write(simulated(DeviceClass::Mat)->trace))->assertSessionHas('done');
    $recording = Recording::query()->latest('id')->firstOrFail();
    $this->actingAs($this->headCoach())->get("/bench/{$recording->public_id}")->assertOk()->assertSee('It was proposed from the trace alone')->assertSee('needs where the feet stood')->assertSee('no body points were recorded');
    $this->actingAs($this->headCoach())->getJson("/bench/{$recording->public_id}/evidence")->assertOk()->assertJsonCount(9, 'stations');
});

it('refuses a bad file with one sentence and stores nothing', function (Closure $files, string $message) {
    $before = [Recording::query()->count(), TraceChannel::query()->count(), AuditEntry::query()->count()];
    [$csv, $json] = $files();
    upload($this, $csv, $json)->assertSessionHas('refused', fn (string $m): bool => str_contains($m, $message) && ! str_contains($m, "\n"));
    expect([Recording::query()->count(), TraceChannel::query()->count(), AuditEntry::query()->count()])->toBe($before);
})->with([
    [fn () => ["t_s,lead_pct\n", null], 'swing.csv, line 1, column trail_pct: the column is missing'],
    [fn () => [str_replace("\n0.5000,", "\nhalf,", TraceCsv::write(simulated(DeviceClass::Mat)->trace)), null], "swing.csv, line 52, column t_s: 'half' is no number"],
    [fn () => [TraceCsv::write(simulated(DeviceClass::Mat)->trace), '{"mass_kg":'], 'swing.json: the file is not JSON'],
    [fn () => [TraceCsv::write(simulated(DeviceClass::Mat)->trace), '{"handedness":"left"}'], 'Wren is right-handed'],
    [fn () => ["\x89PNG\r\n\x1a\n".str_repeat("\x00\xff", 500), null], 'swing.csv, line 1'],
]);

it('stores the same samples only once', function () {
    $csv = TraceCsv::write(simulated(DeviceClass::Mat)->trace);
    upload($this, $csv)->assertSessionHas('done');
    $count = Recording::query()->count();
    upload($this, $csv)->assertSessionHas('refused', fn (string $m): bool => str_contains($m, 'already on the Shelf'));
    expect(Recording::query()->count())->toBe($count);
});

it('stores nothing for a golfer without a valid consent', function () {
    Golfer::query()->where('pseudonym', 'Wren')->sole()->consents()->update(['expires_on' => now()->subDay()]);
    upload($this, TraceCsv::write(simulated(DeviceClass::Mat)->trace))->assertSessionHas('refused', fn (string $m): bool => str_contains($m, 'no valid consent'));
});

it('asks for what is missing from the form', function () {
    $this->actingAs($this->headCoach())->post('/imports', [])->assertSessionHasErrors(['golfer', 'trace']);
    upload($this, 'x', null, ['golfer' => 0])->assertSessionHasErrors('golfer');
});

it('imports by command, and refuses by command', function () {
    $s = simulated(DeviceClass::Plate);
    $dir = sys_get_temp_dir().'/vc-'.bin2hex(random_bytes(4));
    mkdir($dir);
    file_put_contents("$dir/a.csv", TraceCsv::write($s->trace));
    file_put_contents("$dir/a.json", sideCar($s));
    try {
        expect(Artisan::call('recording:import', ['file' => "$dir/a.csv", '--meta' => "$dir/a.json", '--golfer' => 'Wren']))->toBe(0)
            ->and(Artisan::output())->toContain('stored as recording')
            ->and(Artisan::call('recording:import', ['file' => "$dir/a.csv", '--golfer' => 'Wren']))->toBe(1)
            ->and(Artisan::call('recording:import', ['file' => "$dir/none.csv", '--golfer' => 'Wren']))->toBe(1)
            ->and(Artisan::call('recording:import', ['file' => "$dir/a.csv", '--golfer' => 'Dodo']))->toBe(1)
            ->and(Artisan::call('recording:import', ['file' => "$dir/a.csv", '--golfer' => 'Wren', '--device' => 'scale']))->toBe(1);
    } finally {
        array_map(unlink(...), glob("$dir/*"));
        rmdir($dir);
    }
});
