<?php

use App\Agreement\Actions\ComputeResult;
use App\Agreement\KeptFigures;
use App\Models\KeyCase;
use App\Panel\Actions\BuildKey;
use App\Sight\Onlookers;
use Core\Reading\CaseKind;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

it('keeps with the key what the panel says of every case, and freezes it with the key', function () {
    $panel = $this->round('Winter');
    $key = $panel->keys()->firstOrFail();
    expect($key->cases()->count())->toBe($panel->cases()->where('occasion', 1)->count());
    foreach ($key->cases as $case) {
        $said = $case->toCore();
        expect($said->readers)->toBe(5)->and($said->causes->n)->toBe(5);
    }
    expect($key->frozen_at)->not->toBeNull()
        ->and(fn () => DB::transaction(fn () => $key->cases()->update(['body' => '{}'])))
        ->toThrow(QueryException::class)
        ->and(fn () => DB::transaction(fn () => $key->cases()->delete()))->toThrow(QueryException::class);
});

it('says it on the panel’s page, what has its majority in bold', function () {
    $panel = $this->round('Winter');
    $page = $this->actingAs($this->headCoach())->get("/panel/{$panel->public_id}")->assertOk()
        ->assertSee(__('panel.advice.title'))
        ->getContent();
    $settled = $panel->keys()->firstOrFail()->cases->filter(
        fn (KeyCase $c): bool => ($c->toCore()->causes->settled() ?? []) !== [],
    );
    expect($settled)->not->toBeEmpty()
        ->and(substr_count($page, '<b>'))->toBeGreaterThanOrEqual($settled->count());
});

it('tells nothing of a case that the one who asks still has to read blind', function () {
    $panel = $this->round('Winter');
    $case = $panel->cases()->where('occasion', 1)->with('recording.golfer')->firstOrFail();
    $mine = $panel->keys()->firstOrFail()->cases()->where('case_id', $case->case_id)->firstOrFail();
    DB::statement('alter table key_cases disable trigger user');
    $mine->update(['body' => [...$mine->body, 'drills' => [['name' => 'SECRET', 'n' => 5]]]]);
    $at = "/panel/{$panel->public_id}";
    $this->actingAs($this->headCoach())->get($at)->assertOk()->assertSee('SECRET');
    DB::statement('alter table sitting_cases disable trigger user');
    DB::statement('alter table sittings disable trigger user');
    $open = $this->round('Autumn');
    $open->addCase(CaseKind::Single, [$case->recording->id], true, true);
    $open->members()->attach($this->headCoach());
    app(Onlookers::class)->forget();
    $this->actingAs($this->headCoach())->get($at)->assertOk()->assertDontSee('SECRET');
});

it('leaves out of it sheets of before, which could not say it', function () {
    $panel = $this->round('Winter');
    foreach (['readings', 'key_versions', 'key_cases'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $panel->readings()->update(['readings.sheet' => 1]);
    $key = app(BuildKey::class)->now($panel->refresh());
    expect($key->cases()->count())->toBe(0);
    $this->actingAs($this->headCoach())->get("/panel/{$panel->public_id}")->assertOk()
        ->assertSee('could not yet say causes outside the feet');
    // The staff's alike.
    $round = $this->round('Spring');
    $round->readings()->update(['readings.sheet' => 1, 'readings.version' => 9]);
    app(ComputeResult::class)($round->refresh());
    expect(KeptFigures::ofRound($round)->advice())->toBeNull();
    $this->get("/agreement/{$round->public_id}?part=advice")->assertOk()
        ->assertSee('could not yet say causes outside the feet');
});

it('shows the head coach what the staff would do, and nobody else the others’', function () {
    $round = $this->round('Spring');
    $advice = KeptFigures::ofRound($round)->advice();
    expect($advice->beside)->toHaveCount(8)
        ->and($advice->settled['priority'])->toBeGreaterThan(0)
        ->and($advice->among['causes']->estimate)->toBeGreaterThan(0.0);
    $this->actingAs($this->headCoach())
        ->get("/agreement/{$round->public_id}?part=advice")
        ->assertOk()
        ->assertSee('Two colleagues share')
        ->assertSee('Kit Marlpit')
        ->assertSee('licensed professionals');
    $this->actingAs($this->person('kit'))
        ->get("/agreement/{$round->public_id}?part=advice")
        ->assertDontSee('Two colleagues share')
        ->assertDontSee('Tam Brackley');
});
