<?php

use App\Models\CaptureSession;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\TraceChannel;
use App\Operations\Actions\ExportLibrary;
use App\Operations\Actions\ImportLibrary;
use Core\CoreException;
use Core\Format\RecordingReader;
use Core\Format\SideCar;
use Core\Format\TraceCsv;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/*
 * Numbers that are not finite or beyond physical sense come in through no door – CSV, side-car, bundle, C3D, archive,
 * device – and are kept by no row.
 */

function aMat(): Swing
{
    static $swing = null;

    return $swing ??= Swing::simulated(new GolferSpec('numbers', device: DeviceClass::Mat));
}

/** A mat's CSV with one cell of the tenth row replaced. */
function csvWith(string $column, string $cell): string
{
    $lines = explode("\n", TraceCsv::write(aMat()->trace));
    $at = array_search($column, explode(',', $lines[0]), true);
    $cells = explode(',', $lines[10]);
    $cells[$at] = $cell;
    $lines[10] = implode(',', $cells);

    return implode("\n", $lines);
}

/** A bundle with a member replaced by raw JSON text. */
function bundleWith(string $path, string $json): string
{
    $swing = aMat();
    $text = Core\Format\RecordingBundle::write(
        new Core\Format\ImportedRecording(
            $swing->trace,
            new Core\Motion\Views($swing->motion()),
            $swing->stations,
            new SideCar(80.0, Core\Motion\Handedness::Right, 'hybrid', 'full', $swing->trace->stance),
        ),
    );
    $data = json_decode($text, true);
    $place = &$data;
    foreach (explode('/', $path) as $key) {
        $place = &$place[$key];
    }
    $place = '@@@';

    return str_replace('"@@@"', $json, json_encode($data));
}

$bad = ['1e308', '3e38', '1e999', '-1e999'];

it('refuses in a CSV, in a sentence with line and column', function (string $column, string $cell) {
    expect(fn () => RecordingReader::read(stream(csvWith($column, $cell)), 'swing.csv'))->toThrow(
        fn (CoreException $e) => expect(App\Exceptions\Refusal::sentenceOf($e))
            ->toContain('swing.csv')
            ->not->toContain('Exception'),
    );
})
    ->with(['lead_pct', 'copx_mm', 't_s'])
    ->with([...$bad, 'Inf', '-inf', 'NaN', 'abc', '0x10', '1,5']);

it('refuses time that runs backwards or stands still', function () {
    foreach (['0.0', '-3', csvTime(8)] as $t) {
        expect(fn () => RecordingReader::read(stream(csvWith('t_s', $t)), 'swing.csv'))->toRefuse('does not increase');
    }
});

function csvTime(int $row): string
{
    return explode(',', explode("\n", TraceCsv::write(aMat()->trace))[$row])[0];
}

it('refuses in a side-car', function (string $json) {
    expect(fn () => SideCar::read($json, 'swing.json'))->toRefuse('swing.json');
})->with([
    '{"mass_kg": 1e999}',
    '{"mass_kg": "80"}',
    '{"mass_kg": 3e38}',
    '{"mass_kg": -5}',
    '{"stations": {"IM": 1e308}}',
    '{"stations": {"IM": 1e999}}',
    '{"stations": {"IM": "now"}}',
    '{"stance": {"lead_foot": {"x_mm": 1e999}, "trail_foot": {"x_mm": -200}}}',
    '{"stance": {"lead_foot": {"x_mm": 3e38}, "trail_foot": {"x_mm": -200}}}',
    '{"stance": {"lead_foot": {"x_mm": 200, "length_mm": 1e999}, "trail_foot": {"x_mm": -200}}}',
    '{"stance": {"lead_foot": {"x_mm": 200, "flare_deg": 1e308}, "trail_foot": {"x_mm": -200}}}',
]);

it('refuses in a bundle', function (string $path, string $json) {
    expect(fn () => RecordingReader::read(stream(bundleWith($path, $json)), 'swing.json'))->toRefuse('swing.json');
})
    ->with([
        'trace/channels/lead_pct/5',
        'trace/rate_hz',
        'trace/t0_s',
        'mass_kg',
        'stance/lead_foot/x_mm',
        'views/0/points/pelvis/0/3',
        'views/0/rate_hz',
        'views/0/t0_s',
        'stations/IM/t_s',
        'stations/IM/uncertainty_s',
    ])
    ->with(['1e308', '1e999', '-1e999', '"text"', '{}']);

it('refuses in whatever a laboratory file decodes to: no trace and no body points can be made of it', function (
    float $value,
) {
    $channels = aMat()->trace->channels;
    $channels['copx_mm'][7] = $value;
    expect(fn () => new Trace(DeviceClass::Mat, 100.0, $channels))->toRefuse('which nothing measures');
    $points = aMat()->motion()->points;
    $points['pelvis'][0][3] = $value;
    expect(fn () => new Core\Motion\Motion(120.0, $points))->toRefuse('which nothing measures');
})->with([1e308, 3e38, INF, -INF]);

it('refuses from a device, takes nothing of the chunk, and goes on', function () {
    $token = deviceToken($this);
    $session = $this->withToken($token)
        ->postJson('/ingest/sessions', ['class' => 'mat', 'rate_hz' => 100, 'channels' => DeviceClass::Mat->channels()])
        ->assertCreated()
        ->json('session');
    $chunk = fn (string $value): string => '{"chunks":[{"seq":0,"first_sample":0,"device_s":0,"samples":[[50,50,0,0],['.
        $value.
        ',50,0,0]]}]}';
    foreach (['1e308', '1e999', '-1e999', '3e38'] as $value) {
        $this->withToken($token)
            ->call(
                'POST',
                "/ingest/sessions/$session/chunks",
                [],
                [],
                [],
                [
                    'CONTENT_TYPE' => 'application/json',
                    'HTTP_ACCEPT' => 'application/json',
                    'HTTP_AUTHORIZATION' => "Bearer $token",
                ],
                $chunk($value),
            )
            ->assertStatus(409)
            ->assertJsonPath('message', fn (string $m): bool => str_contains($m, 'which nothing measures'));
    }
    $this->withToken($token)
        ->call(
            'POST',
            "/ingest/sessions/$session/chunks",
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => 'application/json',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_AUTHORIZATION' => "Bearer $token",
            ],
            $chunk('"x"'),
        )
        ->assertStatus(422);
    expect(CaptureSession::query()->where('public_id', $session)->sole()->chunks)->toBe(0);
    $this->withToken($token)
        ->call(
            'POST',
            "/ingest/sessions/$session/chunks",
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => 'application/json',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_AUTHORIZATION' => "Bearer $token",
            ],
            $chunk('49.5'),
        )
        ->assertOk();
    foreach (['mass_kg' => 1e300, 'rate_hz' => 1e300] as $name => $value) {
        $this->withToken($token)
            ->postJson('/ingest/sessions', [
                'class' => 'mat',
                'rate_hz' => 100,
                'channels' => DeviceClass::Mat->channels(),
                $name => $value,
            ])
            ->assertStatus(422);
    }
    $this->withToken($token)
        ->postJson('/ingest/sessions', [
            'class' => 'mat',
            'rate_hz' => 100,
            'channels' => DeviceClass::Mat->channels(),
            'stance' => ['lead_foot' => ['x_mm' => 1e300], 'trail_foot' => ['x_mm' => -200]],
        ])
        ->assertStatus(422);
});

it('refuses a recording of an archive whose table holds them, and stores the others', function () {
    $file = tempnam(sys_get_temp_dir(), 'archive').'.zip';
    mayLeave();
    $n = app(ExportLibrary::class)($file)['written'];
    DB::statement('truncate sittings, cases, recordings, golfers cascade');
    $zip = new ZipArchive;
    $zip->open($file);
    $stations = explode("\n", (string) $zip->getFromName('stations.csv'));
    $cells = explode(',', $stations[1]);
    $cells[2] = '1e308';
    $stations[1] = implode(',', $cells);
    $zip->addFromString('stations.csv', implode("\n", $stations));
    $zip->close();
    $out = app(ImportLibrary::class)($file);
    unlink($file);
    expect($out['stored'])
        ->toBe($n - 1)
        ->and($out['refused'])
        ->toHaveCount(1)
        ->and($out['refused'][0])
        ->toContain('t_s');
});

it('refuses in the database, whatever writes', function (string $sql) {
    expect(
        fn () => DB::transaction(
            fn () => DB::statement(str_replace(':recording', (string) Recording::query()->value('id'), $sql)),
        ),
    )->toThrow(QueryException::class);
})->with([
    "update recordings set rate_hz = 'NaN' where id = :recording",
    "update recordings set rate_hz = 'Infinity' where id = :recording",
    'update recordings set rate_hz = 1e300 where id = :recording',
    "update recordings set t0 = '-Infinity' where id = :recording",
    "update recordings set mass_kg = 'NaN' where id = :recording",
    "update recordings set points_offset_s = 'NaN' where id = :recording",
    "update station_times set t_s = 'NaN' where recording_id = :recording",
    'update station_times set t_s = 1e308 where recording_id = :recording',
    'update station_times set uncertainty_s = -1 where recording_id = :recording',
    "update motions set rate_hz = 'NaN' where recording_id = :recording",
    "update trace_channels set maximum = 'Infinity' where recording_id = :recording",
    "update trace_channels set minimum = 'NaN' where recording_id = :recording",
    'update trace_channels set minimum = maximum + 1 where recording_id = :recording',
    'update trace_channels set missing = -1 where recording_id = :recording',
    'update trace_channels set missing = 100000000 where recording_id = :recording',
    "update trace_channels set samples = '\\x0000'::bytea where recording_id = :recording",
    'update trace_channels set minimum = null where recording_id = :recording',
]);

it('notices on reading that a channel does not hold what was stored, and exports the rest', function () {
    $recording = Recording::query()->orderBy('id')->firstOrFail();
    $channel = TraceChannel::query()->where('recording_id', $recording->id)->orderBy('id')->firstOrFail();
    DB::statement("update trace_channels set samples = set_byte(samples, 7, 127) where id = {$channel->id}");
    expect(fn () => $recording->fresh()->trace())->toRefuse('is damaged');
    $file = tempnam(sys_get_temp_dir(), 'archive').'.zip';
    mayLeave();
    $out = app(ExportLibrary::class)($file);
    unlink($file);
    expect($out['left_out'])
        ->toHaveKey($recording->public_id)
        ->and($out['written'])
        ->toBe(Recording::query()->count() - 1);
});

it('brings a database that holds such numbers forward: what was damage is missing', function () {
    $this->asOwner = true;
    $since = array_map(
        static fn (string $file): object => require $file,
        array_filter(
            glob(database_path('migrations/*.php')),
            static fn (string $file): bool => basename($file) >= '2026_11_27_000300',
        ),
    );
    array_map(static fn (object $m) => $m->down(), array_reverse($since));
    $channel = TraceChannel::query()->where('name', 'lead_pct')->orderBy('id')->firstOrFail();
    $values = $channel->samples;
    $values[3] = 3e38;
    $values[4] = INF;
    DB::table('trace_channels')
        ->where('id', $channel->id)
        ->update(['samples' => DB::raw("'\\x".bin2hex(pack('g*', ...$values))."'::bytea")]);
    array_map(static fn (object $m) => $m->up(), $since);
    $read = TraceChannel::query()->findOrFail($channel->id)->read();
    expect($read[3])->toBeNan()->and($read[4])->toBeNan()->and($read[5])->toBe($channel->samples[5]);
});

it('takes away what nothing hangs on, whole, and says so first', function () {
    // The films of the scenario are other tests' too.
    Storage::fake('films');
    $recording = stored(
        Golfer::query()->firstOrFail(),
        ['club' => 'hybrid', 'source' => 'file'],
        aMat()->trace,
        null,
        aMat()->motion(),
    );
    $this->actingAs($this->headCoach())
        ->get("/bench/{$recording->public_id}")
        ->assertOk()
        ->assertSee("/bench/{$recording->public_id}/remove");
    $this->get("/bench/{$recording->public_id}/remove")
        ->assertOk()
        ->assertSee('Nothing hangs on it');
    $this->delete("/bench/{$recording->public_id}")
        ->assertRedirect('/shelf')
        ->assertSessionHas('done');
    expect(Recording::query()->find($recording->id))
        ->toBeNull()
        ->and(TraceChannel::query()->where('recording_id', $recording->id)->exists())
        ->toBeFalse();
    foreach (['tam', 'odile'] as $who) {
        $other = $this->round('Spring')->cases()->with('recording')->firstOrFail()->recording;
        $this->actingAs($this->person($who))->get("/bench/{$other->public_id}/remove")->assertNotFound();
        $this->actingAs($this->person($who))->delete("/bench/{$other->public_id}")->assertNotFound();
        expect($other->fresh()->erased_at)->toBeNull();
    }
});

it('leaves of what was asked about what people said, marked, and works nothing out again', function () {
    // The films of the scenario are other tests' too.
    Storage::fake('films');
    $spring = $this->round('Spring');
    $recording = $spring->cases()->with('recording')->firstOrFail()->recording;
    $before = $spring->result->getAttributes();
    $calls = DB::table('calls')->count();
    $entries = DB::table('key_entries')->count();
    $head = $this->headCoach();
    $this->actingAs($head)
        ->get("/bench/{$recording->public_id}/remove")
        ->assertOk()
        ->assertSee('Spring round')
        ->assertSee('Winter panel study')
        ->assertSee('never worked out again');
    $this->delete("/bench/{$recording->public_id}")->assertRedirect('/shelf');
    expect($recording->fresh()->erased_at)
        ->not->toBeNull()
        ->and(DB::table('trace_channels')->where('recording_id', $recording->id)->count())
        ->toBe(0)
        ->and(DB::table('motions')->where('recording_id', $recording->id)->count())
        ->toBe(0)
        ->and(DB::table('films')->where('recording_id', $recording->id)->count())
        ->toBe(0)
        ->and(DB::table('measurement_sets')->where('recording_id', $recording->id)->count())
        ->toBe(0)
        ->and(DB::table('calls')->count())
        ->toBe($calls)
        ->and(DB::table('key_entries')->count())
        ->toBe($entries);
    foreach (["/agreement/{$spring->public_id}", '/panel/'.$this->round('Winter')->public_id] as $page) {
        $this->actingAs($head)->get($page)->assertOk()->assertSee('Inputs erased');
    }
    $this->get("/bench/{$recording->public_id}")->assertNotFound();
    $this->get('/shelf')->assertOk()->assertDontSee($recording->public_id);
    $this->get("/debrief/{$spring->public_id}/1")->assertOk();
    $this->get("/agreement/{$spring->public_id}/people/{$this->person('tam')->id}")->assertOk();
    expect(Illuminate\Support\Facades\Artisan::call('derived:refresh'))
        ->toBe(0)
        ->and($spring->fresh()->result->getAttributes())
        ->toBe($before);
    mayLeave();
    expect(fn () => app(ExportLibrary::class)(sys_get_temp_dir().'/erased.zip'))->not->toThrow(Throwable::class);
    @unlink(sys_get_temp_dir().'/erased.zip');
});

it('asks nobody any more about what is erased or whose consent has ended, and leads on', function (Closure $end) {
    // The films of the scenario are other tests' too.
    Storage::fake('films');
    $tam = $this->person('tam');
    $reading = $this->openReading($tam);
    $end($reading->case->recording, $this);
    $this->actingAs($tam)
        ->get("/read/{$reading->public_id}")
        ->assertStatus(410)
        ->assertSee('asked of nobody any more')
        ->assertSee('/read/next');
    foreach (['/evidence/1', '/sheet', '/film/1/face-on/stream'] as $part) {
        $this->getJson("/read/{$reading->public_id}$part")->assertStatus(410);
    }
    $this->postJson("/read/{$reading->public_id}/changes", $this->changes(['cue' => 'x']))->assertStatus(410);
    $next = $this->get('/read/next');
    expect($next->headers->get('Location'))->not->toContain($reading->public_id);
    $this->get('/')->assertOk()->assertDontSee($reading->public_id);
})->with([
    'erased' => fn (Recording $r, object $test) => app(App\Shelf\Actions\EraseRecording::class)($r, $test->headCoach()),
    'consent withdrawn' => fn (Recording $r) => $r->golfer->consents()->update(['withdrawn_at' => now()]),
    'a minor without a guardian' => fn (Recording $r) => $r->golfer->update(['is_minor' => true]),
]);
