<?php

declare(strict_types=1);

use App\Academy\OneTimeCode;
use App\Models\AuditEntry;
use App\Models\Film;
use App\Models\Reading;
use App\Operations\Actions\WatchClock;
use App\Shelf\Actions\RestartConversions;
use App\Shelf\Jobs\FilmConversion;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/*
 * A clock that is put back by hours while people work: nothing waits for a time that was, nobody is kept out, no door
 * stays open longer, and every step of a round can be taken.
 */

const BACK_S = 5 * 3600;

beforeEach(fn () => Carbon::setTestNow('2027-03-01 15:00:00'));

function putBack(int $seconds = BACK_S): void
{
    Carbon::setTestNow(now()->subSeconds($seconds));
}

it('notices that the clock went back, frees what would wait for it, and writes it down once', function () {
    $watch = app(WatchClock::class);
    expect($watch())->toBe(0);
    Carbon::setTestNow(now()->addMinutes(5));
    expect($watch())->toBe(0);
    // Clocks of several machines differ a little.
    putBack(60);
    expect($watch())->toBe(0);
    $job = DB::table('jobs')->insertGetId(['queue' => 'default', 'payload' => '{}', 'attempts' => 0,
        'available_at' => now()->getTimestamp(), 'created_at' => now()->getTimestamp()]);
    $held = DB::table('jobs')->insertGetId(['queue' => 'default', 'payload' => '{}', 'attempts' => 1,
        'reserved_at' => now()->getTimestamp(), 'available_at' => now()->getTimestamp(),
        'created_at' => now()->getTimestamp()]);
    Cache::put('limit', 99, 60);
    $film = Film::query()->firstOrFail();
    $film->update(['state' => 'converting', 'beat_at' => now()]);
    $person = $this->person('tam');
    $secret = OneTimeCode::secret();
    $person->forceFill(['factor_secret' => $secret, 'factor_step' => intdiv(now()->getTimestamp(), 30)])->save();

    putBack();
    expect($watch())->toBeGreaterThan(BACK_S - 1)
        ->and(DB::table('jobs')->where('id', $job)->value('available_at'))
        ->toBeLessThanOrEqual(now()->getTimestamp() + 120)
        ->and(DB::table('jobs')->where('id', $held)->value('reserved_at'))->toBe(now()->getTimestamp())
        ->and(Cache::get('limit'))->toBeNull()
        ->and($person->refresh()->factor_step)->toBe(intdiv(now()->getTimestamp(), 30) + 1)
        ->and($watch())->toBe(0)
        ->and(AuditEntry::query()->where('action', 'clock-put-back')->count())->toBe(1);
    Queue::fake([FilmConversion::class]);
    Carbon::setTestNow(now()->addSeconds(20));
    expect(app(RestartConversions::class)())->toBe(1);
    $this->actingAs($this->headCoach())->get('/record')->assertOk()->assertSee('the server’s clock was put back');
});

it('keeps nobody out for as long as the clock went back, and counts what failed before', function () {
    $try = fn (string $password) => $this->post(
        '/login',
        ['email' => 'tam@fernhollow.example', 'password' => $password],
    );
    for ($i = 0; $i < 6; $i++) {
        $try('wrong');
    }
    app(WatchClock::class)();
    putBack();
    app(WatchClock::class)();
    $try('fernhollow-winter')->assertSessionHas('refused');
    Carbon::setTestNow(now()->addSeconds(31));
    $try('fernhollow-winter')->assertRedirect('/');
    $this->post('/logout');
    // That it was let in at a later time does not cover what fails now.
    putBack();
    for ($i = 0; $i < 6; $i++) {
        Cache::flush();
        $try('wrong');
    }
    Cache::flush();
    $try('fernhollow-winter')->assertSessionHas('refused');
    $this->assertGuest();
});

it('ends a log-in after its hours, and asks for the password again, though both began at a later time', function () {
    $this->post('/login', ['email' => 'maren@fernhollow.example', 'password' => 'fernhollow-winter'])
        ->assertRedirect('/');
    putBack();
    $this->get('/')->assertOk();
    $this->get('/record/file')->assertRedirect('/confirm');
    for ($hours = 1; $hours <= 13; $hours++) {
        Carbon::setTestNow(now()->addHour());
        $last = $this->get('/');
    }
    $last->assertRedirect('/login');
});

it('goes through a round whatever the clock does between two steps', function (string $seed) {
    $chance = new Core\Chance\Chance("clock|$seed");
    $jump = static function () use ($chance): void {
        Carbon::setTestNow(now()->addSeconds($chance->between(-6 * 3600, 4 * 3600)));
        app(WatchClock::class)();
    };
    $head = $this->headCoach();
    $round = planned($this);
    $jump();
    $this->actingAs($head)->post("/rounds/{$round->public_id}/open")->assertSessionHas('done');
    foreach ($round->members as $reader) {
        $readings = Reading::query()->where('user_id', $reader->id)
            ->whereIn('sitting_case_id', $round->cases()->select('id'))->get();
        foreach ($readings as $reading) {
            $jump();
            $this->actingAs($reader)->get("/read/{$reading->public_id}")->assertOk();
            $jump();
            $this->actingAs($reader)
                ->postJson("/read/{$reading->public_id}/changes", $this->changes($this->sheet(['hang-back'])))
                ->assertOk()->assertJsonPath('refused', []);
            $jump();
            $this->actingAs($reader)->post("/read/{$reading->public_id}/hand-in")->assertRedirect();
            expect($reading->refresh()->handed_in_at)->not->toBeNull();
        }
    }
    foreach (['close', 'publish'] as $step) {
        $jump();
        $this->actingAs($head)->post("/rounds/{$round->public_id}/$step")->assertSessionHas('done');
    }
    $jump();
    $this->actingAs($head)->get("/agreement/{$round->public_id}")->assertOk();
    $this->actingAs($round->members->first())->get("/agreement/{$round->public_id}")->assertOk();
    $this->actingAs($head)->post("/agreement/{$round->public_id}/export")->assertSessionDoesntHaveErrors();
    $jump();
    foreach (['/', '/rounds', '/record', '/people', '/shelf'] as $path) {
        $this->actingAs($head)->get($path)->assertSuccessful();
    }
})->with(array_map(strval(...), range(1, many(4, 60))));
