<?php

use App\Models\PracticeSitting;
use App\Models\TrainingGoal;
use App\Practice\Goals;
use App\Practice\Hours;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** So many answers of a person in practice, each after so many seconds. */
function answeredIn(App\Models\User $user, int $n, ?string $fault = null, int $seconds = 30): void
{
    $sitting = PracticeSitting::query()
        ->create(['user_id' => $user->id, 'mode' => 'fault', 'questions' => 10, 'ended_at' => now()]);
    $recording = App\Models\Recording::query()->orderBy('id')->value('id');
    for ($i = 1; $i <= $n; $i++) {
        DB::table('practice_answers')->insert([
            'practice_sitting_id' => $sitting->id, 'place' => $i, 'mode' => 'fault', 'skill' => $fault ?? 'sway',
            'recording_id' => $recording, 'fault' => $fault ?? 'sway',
            'key_entry_id' => App\Models\KeyEntry::query()->where('fault', $fault ?? 'sway')->value('id'),
            'topic' => '{}', 'why' => '{"code":"x","with":{}}', 'difficulty' => 0.0, 'said' => 'present',
            'right' => true,
            'asked_at' => now(), 'answered_at' => now()->addSeconds($seconds),
        ]);
    }
}

it('counts what was done since a goal was set, of the fault it is about, and puts it on Today of both', function () {
    $tam = $this->person('tam');
    answeredIn($tam, 5, 'sway');
    $this->travel(1)->minutes();
    $this->actingAs($this->headCoach())->post('/plans', ['person' => $tam->id, 'kind' => 'practise', 'fault' => 'sway', 'amount' => 8,
        'due_on' => now()->addDays(5)->toDateString()])->assertSessionHasNoErrors()->assertSessionHas('done');
    $this->travel(1)->minutes();
    answeredIn($tam, 3, 'sway');
    answeredIn($tam, 4, 'hang-back');
    $goal = app(Goals::class)->of($tam)[0];
    expect([$goal['done'], $goal['of'], $goal['isDone'], $goal['by']])->toBe([3, 8, false, $this->headCoach()->name]);
    $this->actingAs($tam)
        ->get('/')
        ->assertOk()
        ->assertSee('8 questions on drifting off the ball answered in practice')
        ->assertSee('3/8');
    $this->actingAs($this->headCoach())->get('/')->assertOk()->assertSee('3/8')->assertSee($tam->name);
    $this->actingAs($this->person('kit'))->get('/')->assertDontSee('3/8');
    $this->get('/plans')->assertOk()->assertDontSee('3/8');
    answeredIn($tam, 5, 'sway');
    expect(app(Goals::class)->of($tam)[0]['isDone'])->toBeTrue()
        ->and(app(Goals::class)->waiting($tam))->toBe([]);
    $this->actingAs($this->headCoach())->get('/plans')->assertOk()->assertSee('done');
});

it('says what is late, lets who set it drop it, and nobody else', function () {
    $tam = $this->person('tam');
    $this->actingAs($tam)->post('/plans', ['person' => $this->person('kit')->id, 'kind' => 'words', 'words' => 'look at ten finishes',
        'due_on' => now()->toDateString()])->assertSessionHas('done');
    $own = TrainingGoal::query()->sole();
    // Nobody but a head coach sets a goal for somebody else.
    expect($own->user_id)->toBe($tam->id);
    $this->actingAs($this->headCoach())
        ->post('/plans', ['person' => $tam->id, 'kind' => 'test', 'due_on' => now()->toDateString()]);
    $set = TrainingGoal::query()->where('kind', 'test')->sole();
    $this->travel(2)->days();
    $this->actingAs($tam)->get('/')->assertSee('late');
    $this->get('/plans')->assertSee('2 are late');
    $this->delete("/plans/$set->public_id")->assertNotFound();
    foreach (['kit', 'odile'] as $other) {
        $this->actingAs($this->person($other))->delete("/plans/$own->public_id")->assertNotFound();
        $this->post("/plans/$own->public_id/done")->assertNotFound();
    }
    $this->actingAs($this->headCoach())->post("/plans/$own->public_id/done")->assertNotFound();
    $this->actingAs($tam)->post("/plans/$set->public_id/done")->assertSessionHas('refused');
    $this->post("/plans/$own->public_id/done")->assertSessionHas('done');
    $this->delete("/plans/$own->public_id")->assertSessionHas('done');
    // What is done is not dropped.
    expect($own->fresh()->dropped_at)->toBeNull()->and($own->fresh()->done_at)->not->toBeNull();
    $this->actingAs($this->headCoach())->delete("/plans/$set->public_id");
    expect($set->fresh()->dropped_at)->not->toBeNull();
});

it('takes nothing that is none', function () {
    $this->actingAs($this->person('tam'));
    $good = ['kind' => 'practise', 'fault' => 'sway', 'amount' => 5, 'due_on' => now()->addDay()->toDateString()];
    foreach ([['kind' => 'win'], ['kind' => ['practise']], ['fault' => 'no-such'], ['amount' => 0], ['amount' => 501], ['due_on' => 'soon'],
        ['due_on' => now()->subDay()->toDateString()], ['kind' => 'words'],
        ['kind' => 'words', 'words' => str_repeat('x', 301)],
        ['person' => 999_999]] as $odd) {
        $this->post('/plans', [...$good, ...$odd])->assertSessionHasErrors();
    }
    expect(TrainingGoal::query()->count())->toBe(0);
    foreach ([['kind' => 'words', 'words' => ''], ['kind' => 'test', 'fault' => 'sway'], ['kind' => 'practise', 'amount' => 0]] as $row) {
        expect(fn () => DB::transaction(fn () => DB::table('training_goals')->insert([
            'public_id' => str_repeat('a', 26), 'user_id' => $this->person('tam')->id,
            'set_by' => $this->person('tam')->id,
            'due_on' => '2030-01-01', 'amount' => 1, ...$row,
        ])))->toThrow(QueryException::class);
    }
    for ($i = 0; $i < 41; $i++) {
        $last = $this->post('/plans', $good);
    }
    $last->assertSessionHas('refused');
    expect(TrainingGoal::query()->count())->toBe(40);
});

it('writes the hours as they were measured, one’s own, and everybody’s for who leads', function () {
    $tam = $this->person('tam');
    DB::table('practice_answers')->delete();
    answeredIn($tam, 4, seconds: 90);
    answeredIn($tam, 1, seconds: 7200);
    [$from, $to] = [Carbon::now()->subDay(), Carbon::now()->addDay()];
    $own = collect(Hours::of($tam, $from, $to));
    expect($own)->toHaveCount(1)
        // Four of a minute and a half, and one that lay open.
        ->and($own[0][3])->toBe(5)->and($own[0][4])->toBe(11.0);
    $this->actingAs($tam)
        ->get('/plans/hours?from='.now()->subYear()->toDateString().'&to='.now()->toDateString())
        ->assertOk()
        ->assertHeader('content-type', 'text/csv; charset=utf-8')
        ->assertSee($tam->name)
        ->assertDontSee($this->person('kit')->name);
    $this->actingAs($this->headCoach())
        ->get('/plans/hours?from='.now()->subYear()->toDateString().'&to='.now()->toDateString())
        ->assertSee($tam->name)->assertSee($this->person('kit')->name);
    foreach (['from=x&to=2026-01-01', 'from=2026-02-01&to=2026-01-01', ''] as $odd) {
        $this->get("/plans/hours?$odd")->assertRedirect();
    }
});
