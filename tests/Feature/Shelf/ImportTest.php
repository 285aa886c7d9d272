<?php

use App\Models\AuditEntry;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Models\Recording;
use App\Models\TraceChannel;
use Core\Format\Json\StanceJson;
use Core\Format\TraceCsv;
use Core\Motion\StationSource;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Storage;

function simulated(DeviceClass $device, array $faults = []): Swing
{
    return Swing::simulated(new GolferSpec('import', new Plant($faults), device: $device));
}

function sideCar(Swing $s, array $change = []): string
{
    return json_encode([
        'mass_kg' => 78,
        'handedness' => 'right',
        'club' => 'hybrid',
        'stance' => StanceJson::write($s->stance),
        'stations' => array_map(static fn ($t): float => $t->t, $s->stations->all()),
        'device' => ['class' => $s->trace->device->value, 'name' => 'studio'],
        ...$change,
    ]);
}

/**
 * Sends files and puts them on the Shelf as the head coach; the answer is that of the step that refused, or of the
 * last.
 */
function upload(object $test, string $csv, ?string $json = null, array $change = [])
{
    $sent = $test->actingAs($test->headCoach())->post('/imports', array_filter([
        'golfer' => Golfer::query()->where('pseudonym', 'Wren')->value('id'),
        'trace' => UploadedFile::fake()->createWithContent('swing.csv', $csv),
        'meta' => $json === null ? null : UploadedFile::fake()->createWithContent('swing.json', $json), ...$change,
    ]));
    $import = PendingImport::query()->latest('id')->first();

    return $import === null || $sent->getSession()->has('refused') || $sent->getSession()->has('errors')
        ? $sent
        : $test->post("/imports/{$import->public_id}/finish");
}

it('imports a file of every device class through the Shelf and measures it', function (DeviceClass $device) {
    $s = simulated($device, ['hang-back' => 3]);
    upload($this, TraceCsv::write($s->trace), sideCar($s))
        ->assertSessionHasNoErrors()
        ->assertSessionMissing('refused')
        ->assertSessionHas('done');
    $recording = Recording::query()->latest('id')->firstOrFail();
    expect($recording->device_class)
        ->toBe($device->value)
        ->and($recording->samples)
        ->toBe($s->trace->samples())
        ->and($recording->club)
        ->toBe('hybrid')
        ->and($recording->device_name)
        ->toBe('studio')
        ->and($recording->channels()->count())
        ->toBe(count($s->trace->channels))
        ->and($recording->stations()->where('source', 'file')->count())
        ->toBe(9)
        ->and($recording->stations()->where('source', 'trace')->count())
        ->toBe(9)
        ->and($recording->effectiveStations()->pluck('source')->unique()->all())
        ->toBe([Core\Motion\StationSource::File])
        ->and($recording->measured->faults['early-recentre']['hang-back']['verdict'])
        ->toBe('supported')
        ->and($recording->measured->faults['early-recentre']['sway']['verdict'])
        ->toBe('not measurable')
        ->and(AuditEntry::query()->where('action', 'import')->count())
        ->toBe(1);
    $kept = $recording->trace()->channels;
    foreach ($s->trace->channels as $name => $values) {
        expect($kept[$name][100])->toEqualWithDelta($values[100], 1e-3);
    }
    $this->actingAs($this->headCoach())
        ->get("/bench/{$recording->public_id}")
        ->assertOk()
        ->assertSee('no body points were recorded');
})->with(DeviceClass::cases());

it('imports a bare trace and says on the Bench what cannot be had without a side-car', function () {
    upload($this, TraceCsv::write(simulated(DeviceClass::Mat)->trace))->assertSessionHas('done');
    $recording = Recording::query()->latest('id')->firstOrFail();
    $this->actingAs($this->headCoach())
        ->get("/bench/{$recording->public_id}")
        ->assertOk()
        ->assertSee('It was proposed from the trace alone')
        ->assertSee('needs where the feet stood')
        ->assertSee('no body points were recorded');
    $this->actingAs($this->headCoach())
        ->getJson("/bench/{$recording->public_id}/evidence")
        ->assertOk()
        ->assertJsonCount(9, 'stations');
});

it('refuses a bad file with one sentence and stores nothing', function (Closure $files, string $message) {
    $before = [Recording::query()->count(), TraceChannel::query()->count(), AuditEntry::query()->count()];
    [$csv, $json] = $files();
    upload($this, $csv, $json)->assertSessionHas(
        'refused',
        fn (string $m): bool => str_contains($m, $message) && ! str_contains($m, "\n"),
    );
    expect([Recording::query()->count(), TraceChannel::query()->count(), AuditEntry::query()->count()])->toBe($before);
})->with([
    [fn () => ["t_s,lead_pct\n", null], 'swing.csv, line 1, column trail_pct: the column is missing'],
    [
        fn () => [str_replace("\n0.5000,", "\nhalf,", TraceCsv::write(simulated(DeviceClass::Mat)->trace)), null],
        "swing.csv, line 52, column t_s: 'half' is no number",
    ],
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
    Golfer::query()
        ->where('pseudonym', 'Wren')
        ->sole()
        ->consents()
        ->update(['expires_on' => now()->subDay()]);
    upload($this, TraceCsv::write(simulated(DeviceClass::Mat)->trace))->assertSessionHas(
        'refused',
        fn (string $m): bool => str_contains($m, 'no valid consent'),
    );
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
        expect(
            Artisan::call('recording:import', [
                'file' => "$dir/a.csv",
                '--meta' => "$dir/a.json",
                '--golfer' => 'Wren',
            ]),
        )
            ->toBe(0)
            ->and(Artisan::output())
            ->toContain('stored as recording')
            ->and(Artisan::call('recording:import', ['file' => "$dir/a.csv", '--golfer' => 'Wren']))
            ->toBe(1)
            ->and(Artisan::call('recording:import', ['file' => "$dir/none.csv", '--golfer' => 'Wren']))
            ->toBe(1)
            ->and(Artisan::call('recording:import', ['file' => "$dir/a.csv", '--golfer' => 'Dodo']))
            ->toBe(1)
            ->and(
                Artisan::call('recording:import', [
                    'file' => "$dir/a.csv",
                    '--golfer' => 'Wren',
                    '--device' => 'scale',
                ]),
            )
            ->toBe(1);
    } finally {
        array_map(unlink(...), glob("$dir/*"));
        rmdir($dir);
    }
});

it('shows what a foreign file would become, takes corrections, and remembers them for the next', function () {
    $s = simulated(DeviceClass::Mat);
    $csv = "when,west,east,px,py\n";
    foreach ($s->trace->channels['lead_pct'] as $i => $lead) {
        $csv .= sprintf(
            "%d,%s,%s,%s,%s\n",
            10 * $i,
            $lead,
            $s->trace->channels['trail_pct'][$i],
            $s->trace->channels['copx_mm'][$i] / 1000,
            $s->trace->channels['copy_mm'][$i] / 1000,
        );
    }
    $send = fn (string $text) => $this->actingAs($this->headCoach())->post('/imports', [
        'golfer' => Golfer::query()->where('pseudonym', 'Wren')->value('id'),
        'trace' => UploadedFile::fake()->createWithContent('odd.csv', $text),
    ]);
    $send($csv)->assertRedirect();
    $import = PendingImport::query()->latest('id')->sole();
    $this->get("/imports/{$import->public_id}")
        ->assertOk()
        ->assertSee('The columns are not recognised')
        ->assertDontSee('Put it on the Shelf');
    $this->post("/imports/{$import->public_id}/finish")->assertSessionHas('refused');
    $settings = [
        'device' => 'mat',
        'club' => 'hybrid',
        'series' => 'before',
        'lead_x' => '230',
        'trail_x' => '-230',
        'columns' => [
            't_s' => 'when',
            'lead_pct' => 'west',
            'trail_pct' => 'east',
            'copx_mm' => 'px',
            'copy_mm' => 'py',
        ],
        'units' => ['t_s' => 'ms', 'lead_pct' => '%', 'trail_pct' => '%', 'copx_mm' => 'm', 'copy_mm' => 'm'],
    ];
    $this->put("/imports/{$import->public_id}", $settings)->assertRedirect();
    $this->get("/imports/{$import->public_id}")
        ->assertOk()
        ->assertSee('class="curve"', false)
        ->assertSee('100 samples a second')
        ->assertSee('46 cm between the feet')
        ->assertSee('Put it on the Shelf');
    $this->post("/imports/{$import->public_id}/finish")->assertSessionHas('done');
    $recording = Recording::query()->latest('id')->firstOrFail();
    expect($recording->series)
        ->toBe('before')
        ->and($recording->club)
        ->toBe('hybrid')
        ->and($recording->trace()->channels['copx_mm'][60])
        ->toEqualWithDelta($s->trace->channels['copx_mm'][60], 0.01)
        ->and(PendingImport::query()->count())
        ->toBe(0)
        ->and(Storage::disk('imports')->exists($import->path))
        ->toBeFalse();
    // The next file with the same header is understood at once.
    $send(str_replace("\n100,", "\n101,", $csv))->assertRedirect();
    $next = PendingImport::query()->latest('id')->sole();
    $this->get("/imports/{$next->public_id}")
        ->assertOk()
        ->assertSee('Mapped as the last file')
        ->assertSee('Put it on the Shelf');
    $this->delete("/imports/{$next->public_id}")->assertRedirect('/shelf');
    expect(PendingImport::query()->count())->toBe(0);
});

it('imports a bundle and a C3D file by page and by command', function () {
    $s = Swing::simulated(new GolferSpec('bundle up', new Plant(['sway' => 3])));
    $bundle = Core\Format\RecordingBundle::write(
        new Core\Format\ImportedRecording(
            $s->trace,
            new Core\Motion\Views($s->motion()),
            null,
            new Core\Format\SideCar(78.0, Core\Motion\Handedness::Right, 'hybrid', 'full', $s->stance),
        ),
    );
    upload($this, $bundle)->assertSessionHas('done');
    $recording = Recording::query()->latest('id')->firstOrFail();
    expect($recording->views()->count())
        ->toBe(1)
        ->and($recording->measured->faults['early-recentre']['sway']['verdict'])
        ->toBe('supported')
        ->and($recording->effectiveStations()['IM']->source)
        ->toBe(StationSource::Motion);
    $left = str_replace('"handedness":"right"', '"handedness":"left"', $bundle);
    upload($this, $left)->assertSessionHas(
        'refused',
        fn (string $m): bool => str_contains($m, 'left-handed, but Wren is right-handed'),
    );
    $file = tempnam(sys_get_temp_dir(), 'vc').'.c3d';
    file_put_contents($file, chr(2).chr(0x50).str_repeat("\0", 2000));
    expect(Artisan::call('recording:import', ['file' => $file, '--golfer' => 'Wren']))
        ->toBe(1)
        ->and(Artisan::call('recording:import', ['file' => $file, '--golfer' => 'Wren', '--target' => 'up']))
        ->toBe(1);
    unlink($file);
});

it('keeps imports to the head coach and never takes settings that are none', function () {
    upload($this, TraceCsv::write(simulated(DeviceClass::Mat)->trace), null, []);
    $this->actingAs($this->headCoach())->post('/imports', [
        'golfer' => Golfer::query()->where('pseudonym', 'Wren')->value('id'),
        'trace' => UploadedFile::fake()->createWithContent('a.csv', "t_s,a\n"),
    ]);
    $import = PendingImport::query()->sole();
    foreach (
        ['mass_kg' => 5, 'device' => 'scale', 'target' => 'up', 'units' => ['t_s' => 'fortnight'], 'lead_x' => 'left'] as $name => $value
    ) {
        $this->put("/imports/{$import->public_id}", [$name => $value])->assertSessionHasErrors();
    }
    foreach (['tam', 'odile'] as $who) {
        $this->actingAs($this->person($who))->get("/imports/{$import->public_id}")->assertNotFound();
        $this->actingAs($this->person($who))->post("/imports/{$import->public_id}/finish")->assertNotFound();
    }
});

it('fetches a file that was laid aside once for each step, however much is asked of it', function () {
    $s = Swing::simulated(new GolferSpec('once', device: DeviceClass::Mat));
    $csv = "when,west,east,px,py\n";
    foreach ($s->trace->channels['lead_pct'] as $i => $lead) {
        $csv .= implode(',', [
            round($i / 100, 2),
            $lead,
            $s->trace->channels['trail_pct'][$i],
            $s->trace->channels['copx_mm'][$i],
            $s->trace->channels['copy_mm'][$i],
        ])."\n";
    }
    $disk = Storage::fake('imports');
    $reads = 0;
    $counting = Mockery::mock($disk)->makePartial();
    $counting->shouldReceive('readStream')->andReturnUsing(function (string $path) use ($disk, &$reads) {
        $reads++;

        return $disk->readStream($path);
    });
    Storage::set('imports', $counting);
    $this->actingAs($this->headCoach())->post('/imports', [
        'golfer' => Golfer::query()->where('pseudonym', 'Wren')->value('id'),
        'trace' => UploadedFile::fake()->createWithContent('odd.csv', $csv),
    ])->assertRedirect();
    $import = PendingImport::query()->latest('id')->sole();
    expect($import->checksum)->toBe(hash('sha256', $csv))->and($disk->get($import->path))->toBe($csv);
    $this->put("/imports/{$import->public_id}", [
        'device' => 'mat',
        'columns' => [
            't_s' => 'when',
            'lead_pct' => 'west',
            'trail_pct' => 'east',
            'copx_mm' => 'px',
            'copy_mm' => 'py',
        ],
        'units' => ['t_s' => 's', 'lead_pct' => '%', 'trail_pct' => '%', 'copx_mm' => 'mm', 'copy_mm' => 'mm'],
    ]);
    expect($reads)->toBe(0);
    $this->get("/imports/{$import->public_id}")->assertOk()->assertSee('Put it on the Shelf');
    expect($reads)->toBe(1);
    $this->post("/imports/{$import->public_id}/finish")->assertSessionHas('done');
    expect($reads)->toBe(2)->and($disk->exists($import->path))->toBeFalse();
});

it('takes from one person only so much a day', function () {
    config(['academy.upload_mb_a_day' => 1]);
    $csv = TraceCsv::write(simulated(DeviceClass::Mat)->trace);
    upload($this, $csv)->assertSessionMissing('refused');
    $large = $csv.str_repeat("\n", 1_048_576);
    upload($this, $large)->assertSessionHas('refused', fn (string $says): bool => str_contains($says, 'on one day'));
    // What was refused used nothing up.
    upload($this, TraceCsv::write(simulated(DeviceClass::Mat, ['hang-back' => 3])->trace))
        ->assertSessionMissing('refused');
    $day = fn (): int => (int) Cache::get('uploads|'.$this->headCoach()->id.'|'.now()->utc()->format('Ymd'));
    expect($day())->toBeGreaterThan(strlen($csv))->toBeLessThan(1_048_576);
    Carbon\Carbon::setTestNow(now()->addDay());
    expect($day())->toBe(0);
});
