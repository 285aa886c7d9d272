<?php

use App\Models\Reading;
use App\Models\Recording;
use Core\Reading\Stage;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

require_once dirname(__DIR__).'/Lessons/taught.php';

/*
 * Reading a page writes nothing. Every GET route is asked for over a connection that refuses writes; what it would have
 * had to make stands there already, or the page says that it is being made.
 */

/** @return list<string> every GET address, with a value for each parameter */
function pages(object $test): array
{
    $tam = $test->person('tam');
    [$given, $followUp] = followedUp($tam, $test->headCoach());
    $values = [
        'reading' => Reading::query()->where('user_id', $tam->id)->orderBy('id')->pluck('public_id')->take(3)->all(),
        'recording' => Recording::query()->orderBy('id')->pluck('public_id')->take(2)->all(),
        'other' => [Recording::query()->orderByDesc('id')->value('public_id')],
        'round' => App\Models\Sitting::query()->orderBy('id')->pluck('public_id')->all(),
        'member' => [$tam->id],
        'first' => [$tam->id],
        'second' => [$test->person('ines')->id],
        'station' => ['TP', 'IM'],
        'film' => [App\Models\Film::query()->value('public_id')],
        'fault' => ['hang-back'],
        'key' => ['hang-back'],
        'sitting' => ['x'],
        'set' => [App\Models\ContrastSet::query()->value('public_id') ?? 'x'],
        'made' => [1],
        'rule' => [App\Models\ReadinessRule::query()->value('public_id') ?? 'x'],
        'trial' => ['x'],
        'statement' => [App\Models\ReadinessDecision::query()->value('public_id') ?? 'x'],
        'swing' => [1],
        'place' => [1],
        'view' => ['face-on'],
        'part' => ['stream', 'faults'],
        'session' => ['x'],
        'following' => ['x'],
        'judging' => ['x'],
        'debriefing' => ['x'],
        'case' => [1],
        'code' => ['123456'],
        'import' => ['x'],
        'work' => ['x'],
        'token' => [str_repeat('z', 40)],
        'person' => [$tam->id],
        'golfer' => [App\Models\Golfer::query()->value('id')],
        'paper' => ['x'],
        'erasure' => ['x'],
        'lesson' => [$given->lesson->public_id],
        'prescription' => [$given->public_id],
        'followUp' => [$followUp->public_id],
        'batch' => [str_repeat('0', 26)],
    ];
    $out = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array('GET', $route->methods(), true) && ! str_starts_with($route->uri(), 'storage/')) {
            $uris = ['/'.ltrim($route->uri(), '/')];
            foreach ($route->parameterNames() as $name) {
                $uris = array_merge(
                    ...array_map(
                        static fn (string $uri): array => array_map(
                            static fn ($v): string => str_replace('{'.$name.'}', (string) $v, $uri),
                            $values[$name],
                        ),
                        $uris,
                    ),
                );
            }
            array_push($out, ...$uris);
        }
    }

    return $out;
}

it('answers every page over a connection that refuses writes', function (bool $bare) {
    $addresses = pages($this);
    if ($bare) {
        // Nothing is measured, as after a change of the codebook: the pages say so and do not do it.
        DB::table('measurement_sets')->delete();
    }
    DB::statement('set transaction read only');
    $codes = [];
    foreach (['maren', 'odile', 'tam'] as $who) {
        $user = $this->person($who);
        foreach ($addresses as $address) {
            app('auth')->forgetGuards();
            $status = $this->actingAs($user)->get($address)->baseResponse->getStatusCode();
            expect($status)->toBeIn([200, 302, 403, 404, 409, 410], "$address for $who");
            $codes[$status] = ($codes[$status] ?? 0) + 1;
        }
    }
    expect($codes[200])->toBeGreaterThan(60);
})->with(['everything measured' => [false], 'nothing measured' => [true]]);

it('would notice a write', function () {
    DB::statement('set transaction read only');
    expect(fn () => noted(null, 'x', 'y'))->toThrow(
        Illuminate\Database\QueryException::class,
        'read-only',
    );
});

it('says that a recording is being measured, and shows it when it is', function () {
    $recording = Recording::query()->orderBy('id')->firstOrFail();
    $recording->measured()->delete();
    $this->actingAs($this->headCoach())
        ->get("/bench/{$recording->public_id}")
        ->assertOk()
        ->assertSee('is being measured')
        ->assertSee("/bench/{$recording->public_id}/state");
    $this->getJson("/bench/{$recording->public_id}/state")
        ->assertOk()
        ->assertExactJson(['done' => false]);
    // The queue's worker finds it by itself.
    expect(app(App\Shelf\Actions\MeasureWhatIsStale::class)())->toBe(1);
    $this->getJson("/bench/{$recording->public_id}/state")->assertExactJson(['done' => true]);
    $this->get("/bench/{$recording->public_id}")->assertOk()->assertDontSee('is being measured');
});

it('works long work through once, takes up what was killed, and stops what is cancelled', function () {
    Illuminate\Support\Facades\Queue::fake();
    $works = app(App\Works\Works::class);
    $round = $this->round('Spring');
    DB::statement('alter table sittings disable trigger user');
    DB::table('sittings')->where('id', $round->id)->update(['state' => 'closed']);
    $round->refresh();
    $kept = static fn (): array => $round->result()->sole()->parts()->orderBy('id')->get()->map(
        static fn ($part): array => $part->only('part', 'subject', 'body'),
    )->all();
    $before = $kept();
    $work = $works->ask(App\Models\Enums\WorkKind::Publish, $round, $this->headCoach());
    expect($works->ask(App\Models\Enums\WorkKind::Publish, $round, $this->headCoach())->id)->toBe($work->id);
    // A run that was killed in the middle: it holds the work and tells nothing any more.
    DB::table('works')->where('id', $work->id)->update(['state' => 'running', 'attempts' => 1, 'beat_at' => now()]);
    app()->call([new App\Works\Jobs\DoWork($work->id), 'handle']);
    expect($work->refresh()->state->value)
        ->toBe('running')
        ->and($round->refresh()->state->value)
        ->toBe('closed');
    $this->actingAs($this->headCoach())
        ->get("/rounds/{$round->public_id}")
        ->assertOk()
        ->assertSee('The figures are being worked out')
        ->assertSee("/works/{$work->public_id}");
    $this->actingAs($this->person('tam'))
        ->get("/agreement/{$round->public_id}")
        ->assertNotFound();
    $this->travel(30)->seconds();
    expect($works->takeUp())->toBe(1);
    app()->call([new App\Works\Jobs\DoWork($work->id), 'handle']);
    expect($work->refresh()->state->value)
        ->toBe('done')
        ->and($work->attempts)
        ->toBe(2)
        ->and($round->refresh()->state->value)
        ->toBe('published')
        ->and($kept())
        ->toEqual($before);
    // The killed one comes back late: it may not finish what another has finished.
    $late = new ReflectionMethod(App\Works\Progress::class, 'claim');
    $old = clone $work;
    $old->attempts = 1;
    expect(fn () => DB::transaction(fn () => $late->invoke(App\Works\Progress::ofWork($old))))->toThrow(
        App\Works\WorkStopped::class,
    );
    app()->call([new App\Works\Jobs\DoWork($work->id), 'handle']);
    expect($work->refresh()->attempts)->toBe(2);
    // Cancelled: what waits is over at once, what runs is told the next time it tells.
    DB::table('sittings')->where('id', $round->id)->update(['state' => 'closed']);
    $again = $works->ask(App\Models\Enums\WorkKind::Publish, $round->refresh(), $this->headCoach());
    $this->actingAs($this->person('tam'))->delete("/works/{$again->public_id}")->assertNotFound();
    $this->actingAs($this->headCoach())->delete("/works/{$again->public_id}")->assertSessionHas('done');
    app()->call([new App\Works\Jobs\DoWork($again->id), 'handle']);
    expect($again->refresh()->state->value)->toBe('cancelled')->and($round->refresh()->state->value)->toBe('closed');
    $third = $works->ask(App\Models\Enums\WorkKind::Publish, $round, $this->headCoach());
    DB::table('works')->where('id', $third->id)->update(['cancelling' => true]);
    app()->call([new App\Works\Jobs\DoWork($third->id), 'handle']);
    expect($third->refresh()->state->value)->toBe('cancelled')->and($round->refresh()->state->value)->toBe('closed');
});

it('names who had been shown an answer when a sitting opens, and leaves them out of its blind figures', function () {
    $recording = $this->round('Spring')->cases()->with('recording')->firstOrFail()->recording;
    $tam = $this->person('tam');
    $new = App\Models\User::query()->create([
        'name' => 'Newcomer',
        'email' => 'newcomer@fernhollow.example',
        'password' => 'x',
        'role' => 'instructor',
    ]);
    $round = app(App\Sittings\Actions\PlanRound::class)(
        'Known to one',
        Core\Sight\SittingKind::Round,
        [$recording->id],
        [$tam->id, $new->id],
        'both',
        $this->headCoach(),
    );
    app(App\Sittings\Actions\OpenRound::class)($round, $this->headCoach());
    $of = fn ($user) => $round->refresh()->readings()->where('user_id', $user->id)->sole();
    expect($of($tam)->exposed)->toBeTrue()->and($of($new)->exposed)->toBeFalse();
    $this->actingAs($this->headCoach())
        ->get("/rounds/{$round->public_id}")
        ->assertOk()
        ->assertSee('Read by people who had seen the answer')
        ->assertSee('Tam Brackley, 1 case')
        ->assertDontSee('Newcomer, 1 case');
    foreach ([$tam, $new] as $user) {
        $this->actingAs($user)
            ->postJson("/read/{$of($user)->public_id}/changes", $this->changes($this->sheet()))
            ->assertOk();
        $this->post("/read/{$of($user)->public_id}/hand-in")->assertSessionHas('done');
    }
    $ratings = App\Agreement\RoundRatings::ofRound($round->refresh(), app(App\Codebook\Codebooks::class));
    expect($ratings->said->raterNames())
        ->toBe(["u{$new->id}"])
        ->and($ratings->left['exposed'])
        ->toBe(1);
    expect(
        Reading::query()
            ->where('stage', Stage::Reveal)
            ->whereIn('sitting_case_id', $round->cases()->select('id'))
            ->exists(),
    )->toBeFalse();
});
