<?php

use App\Exceptions\ActionException;
use App\Models\FollowingAnswer;
use App\Models\KeyEntry;
use App\Models\Sitting;
use App\Panel\Actions\BuildKey;
use App\Panel\Actions\OpenFollowing;
use App\Panel\FollowingRounds;
use App\Panel\KeyInputs;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

it('plans a panel with rules of its own, and a round with none', function () {
    $swings = $this->round('Spring')->cases()->with('swings')->limit(2)->get()
        ->map(fn ($c): int => $c->swings->firstOrFail()->recording_id)->all();
    $plan = fn (string $name, array $with) => $this->actingAs($this->headCoach())->from('/rounds/plan')->post('/rounds', [
        'name' => $name, 'kind' => 'panel', 'show' => 'both', 'recordings' => $swings,
        'members' => [$this->person('odile')->id], ...$with,
    ]);
    $plan('Strict', ['majority' => 100, 'able' => 5, 'rounds' => 1, 'stability' => 80, 'due' => '2031-02-03'])
        ->assertSessionHas('done');
    $strict = Sitting::query()->where('name', 'Strict')->sole();
    expect($strict->panelRules())->majority->toBe(1.0)->able->toBe(5)->rounds->toBe(1)->stability->toBe(0.8)
        ->and($strict->due_on->toDateString())->toBe('2031-02-03');
    $plan('Usual', [])->assertSessionHas('done');
    expect(Sitting::query()->where('name', 'Usual')->sole()->panelRules())->majority->toBe(0.75)->able->toBe(3);
    $plan('Staff', ['kind' => 'round', 'members' => [$this->person('tam')->id], 'majority' => 90])
        ->assertSessionHas('done');
    expect(Sitting::query()->where('name', 'Staff')->sole()->majority)->toBeNull();
    foreach ([['majority' => 50], ['able' => 1], ['rounds' => 6], ['stability' => 101], ['due' => 'soon']] as $wrong) {
        $plan('Wrong', $wrong)->assertSessionHasErrors(array_key_first($wrong));
    }
    expect(fn () => $strict->update(['majority' => null]))->toThrow(QueryException::class);
});

it('makes the key by the study’s own majority: a stricter one settles less and nothing more', function () {
    $panel = $this->round('Winter');
    $labels = static fn (Sitting $of): array => $of->keys()->first()->entries()->get()
        ->mapWithKeys(static fn (KeyEntry $e): array => ["$e->case_id|$e->fault" => $e->label])->all();
    $before = $labels($panel);
    $inputs = KeyInputs::checksum($panel);
    DB::statement('alter table sittings disable trigger user');
    $panel->update(['majority' => 1.0, 'able' => 3, 'following_rounds' => 2, 'stability' => 0.9]);
    expect(KeyInputs::checksum($panel->refresh()))->not->toBe($inputs);
    app(BuildKey::class)->now($panel);
    $after = $labels($panel->refresh());
    $fewer = 0;
    foreach ($after as $question => $label) {
        expect($label === 'none' || $label === $before[$question])->toBeTrue("$question: {$before[$question]}, now $label");
        $fewer += $label === 'none' && $before[$question] !== 'none' ? 1 : 0;
    }
    expect($fewer)->toBeGreaterThan(0);
    $this->actingAs($this->headCoach())->get("/panel/{$panel->public_id}")->assertSee('100 %');
    // Said outright what is the academy's is no other input.
    $panel->update(['majority' => 0.75, 'able' => 3]);
    expect(KeyInputs::checksum($panel->refresh()))->toBe($inputs);
});

it('asks a panel that has settled nothing more', function () {
    $panel = $this->round('Winter');
    DB::statement('alter table sittings disable trigger user');
    DB::statement('alter table following_answers disable trigger user');
    $panel->update(['state' => 'closed']);
    $last = FollowingRounds::of($panel)->orderByDesc('id')->first();
    $answers = FollowingAnswer::query()->where('sitting_id', $last->id);
    expect($answers->count())->toBeGreaterThan(2);
    $stays = 1.0 - $answers->get()->filter(fn (FollowingAnswer $a): bool => $a->moved())->count() / $answers->count();
    $with = fn (float $stability) => $panel->update(['majority' => 0.75, 'able' => 3, 'following_rounds' => 5,
        'stability' => $stability]);
    $with(max(0.51, $stays));
    expect(FollowingRounds::haveSettled($panel))->toBe($stays > 0.5);
    if ($stays > 0.5) {
        expect(fn () => app(OpenFollowing::class)($panel, $this->headCoach()))
            ->toThrow(ActionException::class, 'the panel has settled');
        $this->actingAs($this->headCoach())->get("/panel/{$panel->public_id}")->assertSee('The panel has settled');
    }
    $with(1.0);
    expect(FollowingRounds::haveSettled($panel))->toBe($stays >= 1.0);
});
