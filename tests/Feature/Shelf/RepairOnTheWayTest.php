<?php

use App\Models\PendingImport;
use App\Models\Recording;
use Core\Format\TraceCsv;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

/** Sends a trace whose samples went through $spoil, and stays on the way. */
function onTheWay(object $test, Trace $trace, ?callable $spoil = null): PendingImport
{
    $channels = [];
    foreach ($trace->channels as $name => $values) {
        $channels[$name] = $spoil === null
            ? $values
            : array_map(static fn (float $v): float => $spoil($name, $v), $values);
    }
    $spoilt = new Trace($trace->device, $trace->rateHz, $channels, $trace->stance, $trace->massKg);
    $test->actingAs($test->headCoach())->post('/imports', [
        'golfer' => App\Models\Golfer::query()->where('pseudonym', 'Wren')->value('id'),
        'trace' => Illuminate\Http\UploadedFile::fake()->createWithContent('swing.csv', TraceCsv::write($spoilt)),
        'meta' => Illuminate\Http\UploadedFile::fake()->createWithContent('swing.json', json_encode([
            'mass_kg' => 78, 'stance' => Core\Format\Json\StanceJson::write($trace->stance),
        ])),
    ])->assertSessionMissing('refused');

    return PendingImport::query()->latest('id')->firstOrFail();
}

it('offers a repair, makes it at a person’s yes, takes it back, and keeps it through the form', function () {
    $s = Swing::simulated(new GolferSpec('on the way', device: DeviceClass::Mat));
    $import = onTheWay($this, $s->trace, fn (string $n, float $v): float => str_contains($n, 'cop') ? $v / 10.0 : $v);
    $page = "/imports/{$import->public_id}";
    $this->get($page)->assertOk()->assertSee('Places are in centimetres: take them so');
    $this->post("$page/repairs", ['repair' => 'places-in-centimetres'])->assertSessionHas('done');
    $this->get($page)->assertSee('Places were taken as centimetres.')->assertSee('nothing wrong was found');
    // A second yes to the same, and a yes to what was never offered, change nothing.
    $this->post("$page/repairs", ['repair' => 'places-in-centimetres'])->assertSessionHas('refused');
    $this->post("$page/repairs", ['repair' => 'sides-mirrored'])->assertSessionHas('refused');
    $this->post("$page/repairs", ['repair' => 'burn'])->assertSessionHasErrors('repair');
    $this->post("$page/repairs", ['repair' => ['a']])->assertSessionHasErrors('repair');
    expect($import->refresh()->settings['repairs'])->toHaveCount(1);
    $this->put($page, ['club' => 'hybrid', 'lead_x' => 235, 'trail_x' => -235])->assertRedirect();
    expect($import->refresh()->settings['repairs'])->toHaveCount(1);
    $this->delete("$page/repairs")->assertSessionHas('done');
    $this->get($page)->assertSee('Places are in centimetres: take them so');
    $this->delete("$page/repairs");
    expect($import->refresh()->settings['repairs'])->toBe([]);
    $this->post("$page/repairs", ['repair' => 'places-in-centimetres']);
    $this->post("$page/finish")->assertSessionMissing('refused');
    $recording = Recording::query()->latest('id')->firstOrFail();
    expect($recording->trace()->channels['copx_mm'][100])->toEqualWithDelta($s->trace->channels['copx_mm'][100], 0.06)
        ->and($recording->club)->toBe('hybrid');
});

it('cuts a file of two swings apart at a person’s yes, a line each, and keeps both whole', function () {
    $one = Swing::simulated(new GolferSpec('cut one', device: DeviceClass::Mat))->trace;
    $two = Swing::simulated(new GolferSpec('cut two', device: DeviceClass::Mat))->trace;
    $channels = [];
    foreach ($one->channels as $name => $values) {
        $from = $values[count($values) - 1];
        $back = array_map(
            static fn (int $k): float => $from + ($two->channels[$name][0] - $from) * $k / 160.0,
            range(0, 159),
        );
        $channels[$name] = [...$values, ...$back, ...$two->channels[$name]];
    }
    $import = onTheWay($this, new Trace(DeviceClass::Mat, 100.0, $channels, $one->stance, 78.0));
    $page = "/imports/{$import->public_id}";
    $this->get($page)->assertSee('It holds 2 swings')->assertSee('Cut them apart');
    $this->post("$page/parts")->assertSessionHas('done')->assertRedirect();
    expect(PendingImport::query()->whereKey($import->id)->exists())->toBeFalse();
    $parts = PendingImport::query()->orderBy('id')->get();
    expect($parts)->toHaveCount(2)->and($parts[0]->batch)->toBe($parts[1]->batch);
    $this->get("/imports/batches/{$parts[0]->batch}")->assertOk()->assertSee('2 files, 2 of them ready');
    foreach ($parts as $i => $part) {
        $this->get("/imports/{$part->public_id}")->assertOk()->assertDontSee('It holds');
        // One swing is no several.
        $this->post("/imports/{$part->public_id}/parts")->assertSessionHas('refused');
        $this->post("/imports/{$part->public_id}/finish")->assertSessionMissing('refused');
        $recording = Recording::query()->latest('id')->firstOrFail();
        expect($recording->place)->toBe($i + 1)->and($recording->series)->toBe('swing.csv')
            ->and($recording->stationTimes()->all())->toHaveCount(9);
    }
    // What is nobody's business is nobody's.
    $import = onTheWay($this, Swing::simulated(new GolferSpec('third', device: DeviceClass::Mat))->trace);
    foreach (["/imports/{$import->public_id}/repairs", "/imports/{$import->public_id}/parts"] as $path) {
        $this->actingAs($this->person('tam'))->post($path, ['repair' => 'feet-exchanged'])->assertNotFound();
    }
    $this->delete("/imports/{$import->public_id}/repairs")->assertNotFound();
});
