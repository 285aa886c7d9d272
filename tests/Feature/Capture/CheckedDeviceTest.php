<?php

use App\Models\AuditEntry;
use App\Models\Device;
use App\Models\Golfer;
use App\Models\Recording;
use App\Shelf\Actions\MeasureRecording;
use App\Shelf\Actions\StoreRecording;
use Core\Measurement\Measure;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\ConstantErrors;
use Core\Trace\DeviceClass;

/** A device of that name on the Capture page, and a swing of it put on the Shelf. */
function sentBy(string $name, string $seed = 'by-device'): Recording
{
    $s = Swing::simulated(new GolferSpec($seed, device: DeviceClass::Mat));

    return app(StoreRecording::class)(
        Golfer::query()->where('handedness', 'right')->whereHas('consents')->orderBy('id')->firstOrFail(),
        ['club' => 'iron', 'source' => 'file', 'device_name' => $name],
        $s->trace,
        $s->stations,
    );
}

beforeEach(function () {
    $this->coach = $this->headCoach();
    $this->device = Device::query()->create([
        'name' => 'Bay mat', 'token_hash' => hash('sha256', 'bay'), 'created_by' => $this->coach->id,
    ]);
    $this->stated = ['share_points' => '0.5', 'cop_mm' => '2', 'source' => 'two scales, Gwil, 3 November'];
});

it('states what a device is off by, and every ± of what it records from then on goes by it', function () {
    $before = sentBy('Bay mat', 'before');
    $this->actingAs($this->coach)->put(route('capture.check', $this->device), $this->stated)
        ->assertRedirect(route('capture'))
        ->assertSessionHas('done', 'It holds for what “Bay mat” records from now on.');
    $after = sentBy('bay MAT', 'after');
    $other = sentBy('another', 'other');
    expect($before->fresh()->constant_errors)->toBeNull()
        ->and($other->fresh()->constant_errors)->toBeNull()
        ->and($after->fresh()->constantErrors()->sharePoints)->toBe(0.5)
        ->and($after->fresh()->constantErrors()->source)->toBe('two scales, Gwil, 3 November')
        ->and($after->fresh()->trace()->constantErrors()->copMm)->toBe(2.0);
    $plusMinus = static function (Recording $r): float {
        app(MeasureRecording::class)($r->fresh());

        return $r->fresh()->measured->measured()->get(Measure::SetupShare)->uncertainty;
    };
    expect($plusMinus($after))->toBeLessThan(0.6 * $plusMinus($before));
    // The page says so, to whom it may concern.
    $this->get(route('bench', $after))->assertOk()->assertSee('two scales, Gwil, 3 November');
    $this->get(route('bench', $before))->assertOk()->assertDontSee('two scales');
    $this->get(route('capture'))->assertOk()->assertSee('as checked: two scales, Gwil, 3 November');
    expect(AuditEntry::query()->where('action', 'device-checked')->count())->toBe(1);
    // Taken back: what came in meanwhile keeps what held then.
    $this->put(route('capture.check', $this->device), ['source' => ''])->assertRedirect(route('capture'));
    expect($this->device->fresh()->constant_errors)->toBeNull()
        ->and($after->fresh()->constant_errors)->not->toBeNull()
        ->and(sentBy('Bay mat', 'later')->constant_errors)->toBeNull();
});

it('believes the head coach’s check before what a file states of itself', function () {
    $this->device->update(['constant_errors' => ['share_points' => 3.0, 'source' => 'scales, last week']]);
    $s = Swing::simulated(new GolferSpec('file-says', device: DeviceClass::Mat));
    $stored = app(StoreRecording::class)(
        Golfer::query()->where('handedness', 'right')->whereHas('consents')->orderBy('id')->firstOrFail(),
        ['club' => 'iron', 'source' => 'file', 'device_name' => 'Bay mat'],
        $s->trace->checked(ConstantErrors::stated(DeviceClass::Mat, ['share_points' => 0.05, 'source' => 'the file'])),
        $s->stations,
    );
    expect($stored->fresh()->trace()->constantErrors()->sharePoints)->toBe(3.0)
        ->and($stored->fresh()->constantErrors()->source)->toBe('scales, last week');
});

it('refuses what no device is off by and what nobody says the source of, and keeps what held', function (array $said) {
    $this->device->update(['constant_errors' => ['share_points' => 0.5, 'source' => 'scales']]);
    $this->actingAs($this->coach)->put(route('capture.check', $this->device), $said)->assertSessionHasErrors();
    expect($this->device->fresh()->constant_errors)->toBe(['source' => 'scales', 'share_points' => 0.5]);
})->with([
    [['share_points' => '0.5']],
    [['share_points' => '99', 'source' => 'rod']],
    [['share_points' => '-1', 'source' => 'rod']],
    [['share_points' => ['1'], 'source' => 'rod']],
    [['cop_mm' => 'many', 'source' => 'rod']],
    [['cop_mm' => '2', 'source' => str_repeat('x', 201)]],
    [['cop_mm' => '2', 'source' => ['rod']]],
]);

it('is the head coach’s to state', function (string $role) {
    $this->actingAs($this->person($role))->put(route('capture.check', $this->device), $this->stated)->assertNotFound();
    expect($this->device->fresh()->constant_errors)->toBeNull();
})->with(['gwil', 'tam']);

it('is held by the database to say its source', function () {
    expect(fn () => $this->device->forceFill(['constant_errors' => ['share_points' => 1.0]])->save())
        ->toThrow(Illuminate\Database\QueryException::class);
});
