<?php

use App\Models\Academy;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\Recording;
use App\Words\Term;
use Core\Codebook\LimitRegion;
use Core\Codebook\LimitSeverity;
use Core\Codebook\LimitSide;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Lang;

/** A limit of this golfer. */
function limitOf(Golfer $golfer, array $change = []): GolferLimit
{
    return GolferLimit::query()->create(['golfer_id' => $golfer->id, 'region' => LimitRegion::Back, 'side' => null,
        'severity' => LimitSeverity::Avoid, ...$change]);
}

it('has a word for every region, side and severity', function () {
    foreach (LimitRegion::cases() as $region) {
        expect(Lang::has("limits.regions.$region->value"))->toBeTrue($region->value);
    }
    foreach (LimitSide::cases() as $side) {
        expect(Lang::has("limits.sides.$side->value"))->toBeTrue($side->value);
    }
    foreach (LimitSeverity::cases() as $severity) {
        expect(Lang::has("limits.severities.$severity->value"))->toBeTrue($severity->value);
    }
});

it('says in a line what holds today, coded first, then what was noted in words', function () {
    $golfer = Golfer::query()->create(['pseudonym' => 'Limited', 'handedness' => 'right']);
    expect(Term::limits($golfer->load('limitsInForce')))->toBeNull();
    limitOf($golfer);
    limitOf($golfer, ['region' => LimitRegion::Knee, 'side' => LimitSide::Trail, 'severity' => LimitSeverity::Careful]);
    limitOf($golfer, ['region' => LimitRegion::Eyes, 'ended_on' => '2020-01-01']);
    $golfer->update(['limits' => 'a long day at work']);
    expect(Term::limits($golfer->fresh('limitsInForce')))
        ->toBe('back: avoid; trail knee: careful; a long day at work');
});

it('ends with the academy’s own day', function () {
    Academy::here()?->update(['zone' => 'Pacific/Auckland']);
    $golfer = Golfer::query()->create(['pseudonym' => 'Limited', 'handedness' => 'right']);
    $limit = limitOf($golfer, ['ended_on' => '2026-11-29', 'is_cleared' => true, 'cleared_until' => '2026-11-28']);
    $at = function (string $utc) use ($golfer, $limit): array {
        Carbon::setTestNow(Carbon::parse($utc, 'UTC'));
        $out = [$golfer->limitsInForce()->count(), $limit->isClearedNow()];
        Carbon::setTestNow();

        return $out;
    };
    expect($at('2026-11-28 10:59:00'))->toBe([1, true])
        ->and($at('2026-11-28 11:01:00'))->toBe([0, false]);
});

it('is found on the Shelf by its region', function () {
    $recording = Recording::query()->with('golfer')->orderBy('id')->firstOrFail();
    $this->actingAs($this->headCoach())->get('/shelf?find=shoulder')->assertSee('No recording fits this filter.');
    limitOf($recording->golfer, ['region' => LimitRegion::Shoulder, 'side' => LimitSide::Both]);
    $this->get('/shelf?find=shoulder')->assertSee($recording->public_id)->assertSee('both shoulder: avoid');
});

it('shows a reader what is to be minded, and nothing that is over', function () {
    $tam = $this->person('tam');
    $reading = $this->openReading($tam);
    $golfer = $reading->case->recording->golfer;
    $golfer->limitsNoted()->delete();
    $limit = limitOf($golfer, ['region' => LimitRegion::Ankle, 'side' => LimitSide::Lead,
        'severity' => LimitSeverity::NotCleared]);
    $this->actingAs($tam)->get("/read/$reading->public_id")->assertOk()->assertSee('lead ankle: not cleared');
    $limit->update(['ended_on' => now()->subDay()->toDateString()]);
    $this->get("/read/$reading->public_id")->assertOk()->assertDontSee('lead ankle');
});

it('stands beside its caution wherever it is written down', function () {
    $golfer = Golfer::query()->firstOrFail();
    $this->actingAs($this->headCoach())->get("/golfers/$golfer->id")
        ->assertSee('This is no diagnosis')
        ->assertSee('go to a physician or physiotherapist');
});

it('takes no limit that is none', function (array $odd) {
    $golfer = Golfer::query()->firstOrFail();
    $before = GolferLimit::query()->count();
    $this->actingAs($this->headCoach())->post("/golfers/$golfer->id/limits", ['region' => 'back', 'severity' => 'avoid',
        ...$odd]);
    expect(GolferLimit::query()->count())->toBe($before);
})->with([
    [['region' => '']], [['region' => 'tail']], [['region' => ['back']]], [['severity' => 'much']],
    [['region' => 'knee']], [['region' => 'knee', 'side' => 'left']], [['since' => 'long ago']],
    [['since' => '2999-01-01']], [['is_cleared' => 'x']], [['is_cleared' => '1', 'cleared_until' => 'soon']],
    [['note' => str_repeat('x', 201)]],
]);

it('goes with its golfer, and not with another', function () {
    $mine = Golfer::query()->create(['pseudonym' => 'Mine', 'handedness' => 'right']);
    $other = Golfer::query()->create(['pseudonym' => 'Other', 'handedness' => 'right']);
    $limit = limitOf($mine);
    $kept = limitOf($other);
    $this->actingAs($this->headCoach())->delete("/golfers/$other->id/limits/$limit->id")->assertNotFound();
    expect($limit->refresh()->ended_on)->toBeNull();
    $this->delete("/golfers/$mine->id/limits/$limit->id")->assertSessionHas('done');
    expect($limit->refresh()->ended_on)->not->toBeNull()->and($kept->refresh()->ended_on)->toBeNull();
    $this->delete("/golfers/$mine->id", ['typed' => 'Mine'])->assertRedirect();
    expect(GolferLimit::query()->whereKey($limit->id)->exists())->toBeFalse()
        ->and(GolferLimit::query()->whereKey($kept->id)->exists())->toBeTrue();
});
