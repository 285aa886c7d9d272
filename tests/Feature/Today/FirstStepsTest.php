<?php

use App\Models\Enums\UserState;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Today\Pages\FirstSteps;
use Core\Sight\Role;
use Illuminate\Support\Facades\DB;

/** @return list<bool> which steps are done */
function stepsDone(): array
{
    return array_column(app(FirstSteps::class)->of(), 'done');
}

it('goes away once a round is published', function () {
    expect(app(FirstSteps::class)->of())->toBe([]);
    $this->actingAs($this->headCoach())->get('/')->assertOk()->assertDontSee('What to do first');
});

it('says what a new academy does one after the other, and what is done of it', function () {
    DB::statement('truncate sittings, cases cascade');
    expect(stepsDone())->toBe([true, true, true, false, false]);
    DB::table('consents')->delete();
    expect(stepsDone())->toBe([true, false, true, false, false]);
    Recording::query()->delete();
    expect(stepsDone())->toBe([true, false, false, false, false]);
    // Two on the panel are too few for a majority; an instructor who may sit there makes the third.
    User::query()->where('role', Role::Panel)->orderBy('id')->skip(2)->take(9)->get()
        ->each(fn (User $u) => $u->forceFill(['state' => UserState::Left])->save());
    expect(stepsDone()[0])->toBeFalse();
    $this->person('tam')->forceFill(['on_panel' => true])->save();
    expect(stepsDone()[0])->toBeTrue();
    Golfer::query()->delete();
    $this->actingAs($this->headCoach())->get('/')->assertOk()->assertSee('What to do first')
        ->assertSee('Invite your people')->assertSee('Take up golfers');
    // A reader is told nothing of it.
    $this->actingAs($this->person('tam'))->get('/')->assertOk()->assertDontSee('What to do first');
});

it('counts a published panel, not a draft of one', function () {
    $winter = $this->round('Winter');
    DB::statement('alter table sittings disable trigger user');
    Sitting::query()->whereKeyNot($winter->id)->update(['state' => 'draft', 'opened_at' => null, 'closed_at' => null,
        'published_at' => null]);
    expect(stepsDone())->toBe([true, true, true, true, false]);
    Sitting::query()->update(['state' => 'draft', 'opened_at' => null, 'closed_at' => null, 'published_at' => null]);
    expect(stepsDone())->toBe([true, true, true, false, false]);
});
