<?php

use App\Models\FollowingAnswer;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\FollowingRounds;
use App\Sight\Onlookers;
use App\Sittings\Actions\CloseRound;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Sight\SittingKind;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** A panel of four on one swing, of whom two call a sway; closed, with its key. */
function splitPanel(object $test): Sitting
{
    $members = collect(['odile', 'piet', 'ros', 'gwil'])->map(fn (string $who): User => $test->person($who));
    $panel = app(PlanRound::class)('Split panel', SittingKind::Panel, [Recording::query()->min('id')],
        $members->pluck('id')->all(), 'both', $test->headCoach());
    app(OpenRound::class)($panel, $test->headCoach());
    app(Onlookers::class)->forget();
    foreach (Reading::query()->whereIn('sitting_case_id', $panel->cases()->select('id'))->with('user')->get() as $r) {
        $sways = in_array($r->user->email, ['odile@fernhollow.example', 'piet@fernhollow.example'], true);
        $said = $test->sheet($sways ? ['sway'] : []);
        if ($sways) {
            $said['call:sway']['pins'] = [['on' => 'film', 't' => 1.2, 'reason' => "seen by {$r->user->id}!"]];
        }
        $test->actingAs($r->user)->postJson("/read/{$r->public_id}/changes", $test->changes($said))->assertOk();
        $test->actingAs($r->user)->post("/read/{$r->public_id}/hand-in")->assertSessionHas('done');
    }
    app(CloseRound::class)->now($panel->refresh(), $test->headCoach());

    return $panel->refresh();
}

function followed(object $test, Sitting $panel): Sitting
{
    $test->actingAs($test->headCoach())->post("/panel/{$panel->public_id}/following")->assertSessionHas('done');

    return FollowingRounds::open($panel);
}

/** @param  array<string, mixed>  $more */
function answersFollowing(object $test, Sitting $following, string $who, array $more = []): TestResponse
{
    return $test->actingAs($test->person($who))->post("/following/{$following->public_id}/1", [
        'fault' => 'sway', 'presence' => 'present', 'severity' => 1, 'lies' => 'seeing', 'reason' => 'looked again',
        ...$more,
    ]);
}

function swayOf(Sitting $panel): KeyEntry
{
    return $panel->keys()->firstOrFail()->entries()->where('fault', 'sway')->sole();
}

it('puts what lacks a majority before the panel once more, and makes the key anew from what is said', function () {
    $panel = splitPanel($this);
    expect(swayOf($panel)->grade)->toBe('contested');
    $this->actingAs($this->headCoach())->get("/panel/{$panel->public_id}")->assertOk()
        ->assertSee('One question lacks a majority');
    $following = followed($this, $panel);
    expect($following->members()->count())->toBe(4)->and($following->cases()->count())->toBe(1);
    // Each sees the own call and the spread, and who did not answer stands by it.
    $this->actingAs($this->person('ros'))->get('/')->assertOk()->assertSee('One question of');
    $this->get("/following/{$following->public_id}")->assertOk()
        ->assertSee('You said')
        ->assertSee('film 1.20 s')
        ->assertSee('seen by')
        ->assertDontSee('Odile')
        ->assertDontSee('Piet');
    answersFollowing($this, $following, 'ros')->assertSessionHas('done');
    answersFollowing($this, $following, 'odile', ['reason' => '', 'lies' => 'definition', 'severity' => null])
        ->assertSessionHas('done');
    $this->actingAs($this->headCoach())->get("/panel/{$panel->public_id}")->assertSee('2 of 4 members');
    $this->post("/rounds/{$panel->public_id}/publish")->assertSessionHas('refused');
    $this->post("/panel/{$panel->public_id}/following/close")->assertSessionHas('done');
    $entry = swayOf($panel);
    expect([$entry->present, $entry->absent, $entry->label])->toBe([3, 1, 'present'])
        ->and($panel->keys()->firstOrFail()->number)->toBe(2)
        ->and(FollowingAnswer::query()->where('sitting_id', $following->id)
            ->where('user_id', $this->person('odile')->id)->sole()->severity->value)->toBe(2);
    $this->get("/panel/{$panel->public_id}")->assertOk()
        ->assertSee('2 answers, 1 changed (50 % stayed)')
        ->assertDontSee('One question lacks a majority')
        ->assertSee('seeing 1×, what the fault means 1×');
    // Published, its following rounds are too, and hide nothing any more.
    $this->post("/rounds/{$panel->public_id}/publish")->assertSessionHas('done');
    expect($following->refresh()->state->value)->toBe('published');
    $mine = collect($this->actingAs($this->person('ros'))->get('/own/data')->assertOk()->json('following_rounds'));
    expect($mine->firstWhere('round', $following->name))->toMatchArray([
        'fault' => 'sway', 'was' => 'absent', 'presence' => 'present', 'reason' => 'looked again', 'lies' => 'seeing',
    ]);
});

it('changes a call only with a reason, and says again only while it is open', function () {
    $panel = splitPanel($this);
    $following = followed($this, $panel);
    $at = "/following/{$following->public_id}/1";
    answersFollowing($this, $following, 'ros', ['reason' => ' '])->assertSessionHas('refused');
    answersFollowing($this, $following, 'ros', ['severity' => null])->assertSessionHas('refused');
    answersFollowing($this, $following, 'ros', ['lies' => 'elsewhere'])->assertSessionHasErrors('lies');
    answersFollowing($this, $following, 'ros', ['fault' => 'slide'])->assertSessionHas('refused');
    expect(FollowingAnswer::query()->where('sitting_id', $following->id)->count())->toBe(0);
    answersFollowing($this, $following, 'ros')->assertSessionHas('done');
    answersFollowing($this, $following, 'ros', ['presence' => 'absent', 'reason' => ''])->assertSessionHas('done');
    $said = FollowingAnswer::query()->where('sitting_id', $following->id)->sole();
    expect($said->presence->value)->toBe('absent')->and($said->severity)->toBeNull()->and($said->moved())->toBeFalse();
    $this->actingAs($this->person('ros'))
        ->postJson($at, ['fault' => 'sway', 'presence' => 'absent', 'lies' => 'school'])
        ->assertOk()->assertJson(['done' => true]);
    $this->postJson($at, ['fault' => 'sway', 'presence' => 'present', 'lies' => 'school'])
        ->assertStatus(422)->assertJsonPath('message', fn (string $m): bool => str_contains($m, 'reason'));
    $this->actingAs($this->headCoach())->post("/panel/{$panel->public_id}/following/close")->assertSessionHas('done');
    $this->actingAs($this->person('ros'))
        ->postJson($at, ['fault' => 'sway', 'presence' => 'absent', 'lies' => 'seeing'])
        ->assertStatus(423);
    expect(fn () => DB::transaction(fn () => $said->update(['reason' => 'later'])))->toThrow(QueryException::class)
        ->and(fn () => DB::transaction(fn () => $said->delete()))->toThrow(QueryException::class);
});

it('is theirs who were asked alone, and not while they read one of its swings blind elsewhere', function () {
    $panel = splitPanel($this);
    $following = followed($this, $panel);
    $at = "/following/{$following->public_id}";
    foreach (['suvi', 'tam'] as $who) {
        expect($this->actingAs($this->person($who))->get($at)->status())->toBeIn([403, 404]);
    }
    expect($this->actingAs($this->headCoach())->get($at)->status())->toBeIn([403, 404])
        ->and($this->actingAs($this->headCoach())->post("$at/1", [])->status())->toBeIn([403, 404]);
    $this->actingAs($this->person('ros'))->post("/panel/{$panel->public_id}/following")->assertNotFound();
    $this->post("/panel/{$panel->public_id}/following/close")->assertNotFound();
    $this->get("$at?place=2")->assertNotFound();
    $this->get("$at?place[]=1")->assertOk();
    $this->get('/following/nobody')->assertNotFound();
    // Numbers and key stay hidden, on the Bench too.
    $recording = $panel->cases()->firstOrFail()->recording;
    $this->get("/bench/{$recording->public_id}")->assertNotFound();
    $other = app(PlanRound::class)(
        'Elsewhere', SittingKind::Round, [$recording->id], [$this->person('tam')->id], 'both', $this->headCoach(),
    );
    DB::statement('alter table sittings disable trigger user');
    DB::statement('alter table sitting_cases disable trigger user');
    $other->members()->attach($this->person('ros'));
    $other->update(['state' => 'open']);
    app(Onlookers::class)->forget();
    $this->actingAs($this->person('ros'))->get($at)->assertNotFound();
    $this->get('/')->assertOk()->assertDontSee('following round');
    $this->postJson("$at/1", ['fault' => 'sway', 'presence' => 'absent', 'lies' => 'seeing'])->assertNotFound();
    // A following round that is open is no blind reading itself.
    $this->actingAs($this->person('gwil'))->get($at)->assertOk();
});

it('shows its members no number, verdict, key or name', function () {
    $panel = splitPanel($this);
    $following = followed($this, $panel);
    $recording = $panel->cases()->firstOrFail()->recording;
    foreach (['key_entries', 'key_cases', 'measurement_sets', 'recordings'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $page = fn (): string => preg_replace('/(csrf|_token)[^>]*>/', '', $this->actingAs($this->person('ros'))
        ->get("/following/{$following->public_id}")->assertOk()->getContent());
    $page();
    $before = $page();
    DB::table('measurement_sets')->where('recording_id', $recording->id)
        ->update(['measurements' => '{}', 'faults' => '{}']);
    DB::table('recordings')->where('id', $recording->id)->update(['outcome' => json_encode([
        'start_deg' => 9.0, 'curve_deg' => -9.0, 'height' => 'low', 'strike' => 'thin', 'low_point_cm' => null,
    ])]);
    $key = $panel->keys()->firstOrFail();
    $key->entries()->update([
        'verdict' => 'contradicted', 'judgement' => null, 'worded_then' => 'SECRET', 'margin' => 9.0,
    ]);
    $key->cases()->update(['body' => '{"secret": "SECRET"}']);
    app(Onlookers::class)->forget();
    expect($page())->toBe($before);
    foreach ($panel->members as $member) {
        expect($before)->not->toContain($member->email);
        if ($member->id !== $this->person('ros')->id) {
            expect($before)->not->toContain($member->name);
        }
    }
});

it('is held after the blind round and before publishing, one at a time and not for ever', function () {
    $panel = splitPanel($this);
    $open = fn () => $this->actingAs($this->headCoach())->post("/panel/{$panel->public_id}/following");
    $close = fn () => $this->post("/panel/{$panel->public_id}/following/close");
    $winter = $this->round('Winter');
    $this->actingAs($this->headCoach())->post("/panel/{$winter->public_id}/following")->assertSessionHas('refused');
    $this->post("/panel/{$this->round('Spring')->public_id}/following")->assertSessionHas('refused');
    $close()->assertSessionHas('refused');
    $open()->assertSessionHas('done');
    $open()->assertSessionHas('refused', fn (string $says): bool => str_contains($says, 'is open'));
    $close()->assertSessionHas('done');
    $open()->assertSessionHas('done');
    // What was said in the first stands in the second.
    $second = FollowingRounds::open($panel);
    answersFollowing($this, $second, 'gwil')->assertSessionHas('done');
    $this->actingAs($this->headCoach());
    $close()->assertSessionHas('done');
    $open()->assertSessionHas('refused');
    expect(swayOf($panel)->label)->toBe('present');
    $entry = swayOf($panel);
    expect($entry->present + $entry->absent)->toBe(4);
    $this->get('/rounds')->assertOk()->assertDontSee('following round');
});

it('lets only one of two heads open it', function () {
    $panel = splitPanel($this);
    followed($this, $panel);
    $open = fn () => DB::transaction(fn () => FollowingRounds::all()->where('parent_id', $panel->id)->firstOrFail()
        ->replicate(['public_id'])->save());
    expect($open)->toThrow(QueryException::class);
});
