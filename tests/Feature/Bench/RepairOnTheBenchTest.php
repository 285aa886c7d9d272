<?php

use App\Exceptions\ActionException;
use App\Models\AuditEntry;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\StationMark;
use App\Shelf\Actions\RepairRecording;
use Core\Motion\StationSource;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

/** A swing on a mat on the Shelf, its samples spoilt, with nothing but its trace. */
function spoiltOnShelf(callable $spoil, string $seed = 'spoilt'): Recording
{
    $whole = Swing::simulated(new GolferSpec($seed, device: DeviceClass::Mat))->trace;
    $channels = [];
    foreach ($whole->channels as $name => $values) {
        $channels[$name] = array_map(static fn (float $v): float => $spoil($name, $v), $values);
    }

    return stored(
        Golfer::query()->where('pseudonym', 'Wren')->firstOrFail(),
        ['club' => 'hybrid', 'source' => 'file'],
        new Trace($whole->device, $whole->rateHz, $channels, $whole->stance, $whole->massKg),
    );
}

it('offers a repair of what is on the Shelf, makes it at a yes, measures anew, and takes it back', function () {
    $recording = spoiltOnShelf(fn (string $n, float $v): float => str_contains($n, 'cop') ? $v / 10.0 : $v);
    $page = "/bench/{$recording->public_id}";
    $raw = $recording->channels()->where('name', 'copx_mm')->firstOrFail()->read();
    $this->actingAs($this->headCoach())->get($page)->assertOk()->assertSee('Places are in centimetres: take them so');
    $before = $recording->measured->inputs_checksum;
    $this->post("$page/repairs", ['repair' => 'places-in-centimetres'])->assertSessionHas('done');
    $recording = $recording->fresh();
    expect($recording->trace()->channels['copx_mm'][50])->toEqualWithDelta(10.0 * $raw[50], 1e-3)
        // What was recorded stays as it came.
        ->and($recording->channels()->where('name', 'copx_mm')->firstOrFail()->read())->toBe($raw)
        ->and($recording->measured->inputs_checksum)->not->toBe($before);
    $this->get($page)->assertSee('Places were taken as centimetres.')
        ->assertDontSee('Places are in centimetres: take them so');
    // The same again, what was never offered, and what is no repair change nothing.
    $this->post("$page/repairs", ['repair' => 'places-in-centimetres'])->assertSessionHas('refused');
    $this->post("$page/repairs", ['repair' => 'sides-mirrored'])->assertSessionHas('refused');
    $this->post("$page/repairs", ['repair' => 'burn'])->assertSessionHasErrors('repair');
    expect($recording->fresh()->repairs)->toHaveCount(1);
    $this->delete("$page/repairs")->assertSessionHas('done');
    $this->delete("$page/repairs")->assertSessionHas('refused');
    expect($recording->fresh()->repairs)->toBe([])
        ->and(AuditEntry::query()->whereIn('action', ['repair', 'repair-back'])->count())->toBe(2);
});

it('finds anew what only the trace told, and leaves what a person marked', function () {
    $recording = spoiltOnShelf(
        fn (string $n, float $v): float => match (true) {
            str_ends_with($n, '_pct') => 100.0 - $v,
            default => $v,
        },
        'exchanged',
    );
    $page = "/bench/{$recording->public_id}";
    $this->actingAs($this->headCoach())->get($page)->assertSee('Exchange the two shares');
    StationMark::query()->create([
        'recording_id' => $recording->id, 'code' => 'IM', 'source' => StationSource::Hand, 't_s' => 1.2,
        'uncertainty_s' => 0.01, 'marked_by' => $this->headCoach()->id,
    ]);
    $this->post("$page/repairs", ['repair' => 'shares-exchanged'])->assertSessionHas('done');
    $told = static fn (): array => StationMark::query()->where('recording_id', $recording->id)
        ->where('source', StationSource::Trace)->pluck('t_s', 'code')->all();
    $whole = Swing::simulated(new GolferSpec('exchanged', device: DeviceClass::Mat));
    // What would lie before the impact that a person marked and comes after it is not put there.
    expect($told())->not->toHaveKey('SD')
        ->and($told()['FI'])->toEqualWithDelta($whole->stations->all()['FI']->t, 0.35)
        ->and(
            StationMark::query()->where('recording_id', $recording->id)->where('source', StationSource::Hand)->count(),
        )
        ->toBe(1);
});

it('changes nothing that readers are looking at, and only at a head coach’s yes', function () {
    $recording = spoiltOnShelf(fn (string $n, float $v): float => str_contains($n, 'cop') ? $v / 10.0 : $v);
    $page = "/bench/{$recording->public_id}/repairs";
    foreach (['tam', 'odile'] as $who) {
        $status = $this->actingAs($this->person($who))->post($page, ['repair' => 'places-in-centimetres'])->status();
        expect($status)->toBeIn([403, 404]);
    }
    expect($recording->fresh()->repairs)->toBe([]);
    $round = App\Models\Sitting::query()->where('state', 'open')->firstOrFail();
    $swing = $round->cases()->firstOrFail()->swings()->firstOrFail();
    $shown = Recording::query()->findOrFail($swing->recording_id);
    $shown->forceFill(['repairs' => [['kind' => 'places-in-metres', 'x_mm' => 0.0, 'y_mm' => 0.0]]])->save();
    expect(fn () => app(RepairRecording::class)->back($shown, $this->headCoach()))
        ->toThrow(ActionException::class);
    expect($shown->fresh()->repairs)->toHaveCount(1);
});
