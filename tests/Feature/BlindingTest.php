<?php

use App\Models\Call;
use App\Models\Film;
use App\Models\KeyEntry;
use App\Models\MeasurementSet;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Round;
use App\Models\RoundCase;
use App\Models\User;
use Core\Motion\View;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;

/*
 * The proof of blinding. Every GET route is asked for with every value its parameters can take, as one person.
 * Then everything this person must not know is changed – the key, the measurements and verdicts of every
 * recording that awaits a blind reading, all calls of everybody else in unpublished rounds – and every route is asked again. If any byte of
 * any answer depends on a secret, the two differ.
 */

/** @return list<string> every GET address with every value of its parameters; film in readings: all one's own, and a ninth of the others' */
function addresses(User $user): array
{
    $films = Reading::query()->orderBy('id')->get(['public_id', 'user_id', 'id'])->filter(fn (Reading $r): bool => $r->user_id === $user->id || $r->id % 9 === 0)->pluck('public_id')->all();
    $values = [
        'reading' => Reading::query()->orderBy('id')->pluck('public_id')->all(),
        'recording' => Recording::query()->orderBy('id')->pluck('public_id')->all(),
        'round' => Round::query()->orderBy('id')->pluck('public_id')->all(),
        'other' => Recording::query()->orderByDesc('id')->limit(3)->pluck('public_id')->all(),
        'session' => ['01J0000000000000000000000'],
        'import' => ['01J0000000000000000000000'],
        'fault' => ['hang-back', 'sway'],
        'swing' => [1, 2],
        'place' => [1, 2],
        'member' => User::query()->orderBy('id')->pluck('id')->all(),
        'view' => ['face-on', 'down-the-line'],
        'part' => ['stream', 'TP'],
        'film' => Film::query()->orderBy('id')->pluck('public_id')->all(),
        'entry' => KeyEntry::query()->orderBy('id')->limit(40)->pluck('id')->all(),
    ];
    $out = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (! in_array('GET', $route->methods(), true) || str_starts_with($route->uri(), 'storage/')) {
            continue;
        }
        $uris = ['/'.ltrim($route->uri(), '/')];
        foreach ($route->parameterNames() as $name) {
            $all = $name === 'reading' && str_contains($route->uri(), '/film/') ? $films : ($values[$name] ?? []);
            expect($values)->toHaveKey($name, message: "the blinding test does not know the parameter '$name' of {$route->uri()}");
            $uris = array_merge(...array_map(static fn (string $uri): array => array_map(static fn ($v): string => str_replace('{'.$name.'}', (string) $v, $uri), $all), $uris));
        }
        array_push($out, ...$uris);
    }

    return $out;
}

/** What a response says, without what is drawn anew each time. */
function said(TestResponse $response): string
{
    $body = (string) $response->baseResponse->getContent();
    $body = preg_replace(['/name="_token" value="[^"]*"/', '/name="csrf-token" content="[^"]*"/'], '', $body);
    $headers = collect($response->baseResponse->headers->all())->except(['date', 'set-cookie'])->all();

    return $response->baseResponse->getStatusCode()."\n".json_encode($headers)."\n".$body;
}

/** @return array<string, string> what every address says to this person */
function everythingSaidTo(object $test, User $user): array
{
    $out = [];
    foreach (addresses($user) as $address) {
        app('auth')->forgetGuards();
        $out[$address] = said($test->actingAs($user)->get($address));
    }

    return $out;
}

/** Changes every secret: keys, measurements, verdicts, and the calls of everybody but this person. */
function changeEverySecret(User $user): void
{
    DB::statement('alter table key_entries disable trigger user');
    DB::statement('alter table calls disable trigger user');
    DB::statement('alter table readings disable trigger user');
    $open = RoundCase::query()->whereHas('round', fn ($q) => $q->where('state', '<>', 'published'))->pluck('recording_id');
    expect($open)->not->toBeEmpty();
    foreach (KeyEntry::query()->whereIn('recording_id', $open)->get() as $e) {
        $e->update(['label' => $e->label === 'present' ? 'absent' : 'present', 'grade' => 'verified', 'sentence' => 'SECRET', 'verdict' => 'supported', 'present' => 5, 'absent' => 0, 'severity' => 3]);
    }
    foreach (MeasurementSet::query()->whereIn('recording_id', $open)->get() as $m) {
        $m->update([
            'measurements' => array_map(fn ($v) => isset($v['value']) && is_float($v['value']) ? [...$v, 'value' => $v['value'] + 7.7] : $v, $m->measurements),
            'faults' => array_map(fn ($lens) => array_map(fn ($f) => [...$f, 'verdict' => $f['verdict'] === 'supported' ? 'contradicted' : 'supported', 'sentence' => 'SECRET'], $lens), $m->faults),
            'quality' => [['kind' => 'stuck', 'severity' => 'serious', 'sentence' => 'SECRET', 'effect' => 'nulled', 'from_s' => 1.0, 'to_s' => 1.2, 'signals' => [], 'measurements' => []]],
        ]);
    }
    $others = Reading::query()->where('user_id', '<>', $user->id)->whereHas('case.round', fn ($q) => $q->where('state', '<>', 'published'))->pluck('id');
    expect($others)->not->toBeEmpty();
    Call::query()->whereIn('reading_id', $others)->delete();
    foreach ($others as $id) {
        Call::query()->create(['reading_id' => $id, 'fault' => 'sway', 'presence' => 'present', 'severity' => 3, 'confidence' => 95]);
    }
    Reading::query()->whereIn('id', $others)->update(['cue' => 'SECRET', 'first_causes' => '["sway"]', 'handed_in_at' => now()]);
}

it('tells an instructor nothing that depends on a key, a measurement or a colleague before publication', function (string $who) {
    $user = $this->person($who);
    expect(Reading::query()->where('user_id', $user->id)->whereHas('case.round', fn ($q) => $q->where('state', 'open'))->count())->toBeGreaterThan(0);
    $before = everythingSaidTo($this, $user);
    changeEverySecret($user);
    $after = everythingSaidTo($this, $user);
    foreach ($before as $address => $text) {
        expect($after[$address] === $text)->toBeTrue("$address tells $who something that depends on a secret");
        expect($text)->not->toContain('SECRET');
    }
    expect(count($before))->toBeGreaterThan(80);
})->with(['tam', 'kit', 'bea']);

it('would notice: the same changes do show to the head coach', function () {
    $before = everythingSaidTo($this, $this->headCoach());
    changeEverySecret($this->headCoach());
    $after = everythingSaidTo($this, $this->headCoach());
    $changed = array_keys(array_filter($before, static fn (string $text, string $address): bool => $after[$address] !== $text, ARRAY_FILTER_USE_BOTH));
    expect(count(array_filter($changed, static fn (string $a): bool => str_starts_with($a, '/panel/'))))->toBeGreaterThan(0)
        ->and(count(array_filter($changed, static fn (string $a): bool => str_starts_with($a, '/rounds/'))))->toBeGreaterThan(0)
        ->and($changed)->toContain('/');
});

it('gives an instructor the evidence of no case but their own', function () {
    $user = $this->person('tam');
    foreach (Reading::query()->with('case.round')->get() as $reading) {
        foreach (['', '/evidence/1', '/sheet', '/film/1/face-on/stream'] as $part) {
            $response = $this->actingAs($user)->get("/read/{$reading->public_id}$part");
            $given = ! str_contains($part, 'film') || in_array(View::FaceOn, $reading->case->filmViews(), true);
            $reading->user_id === $user->id && $given ? $response->assertOk() : $response->assertForbidden();
        }
    }
});

it('keeps the Bench shut for a recording that awaits a blind reading, and opens it after publication', function () {
    $user = $this->person('tam');
    foreach (RoundCase::query()->with('round', 'recording')->whereHas('round', fn ($q) => $q->where('kind', 'staff'))->get() as $case) {
        foreach (['', '/evidence'] as $part) {
            $response = $this->actingAs($user)->get("/bench/{$case->recording->public_id}$part");
            $case->round->state === 'published' ? $response->assertOk() : $response->assertForbidden();
        }
    }
});

it('shuts the Bench again when a published recording is dealt in a new round, and hides its answers', function () {
    $user = $this->person('tam');
    $spring = $this->round('Spring');
    $case = $spring->cases()->with('recording')->first();
    $this->actingAs($user)->get("/bench/{$case->recording->public_id}")->assertOk();
    $this->round('Autumn')->cases()->create(['recording_id' => $case->recording_id]);
    $this->actingAs($user)->get("/bench/{$case->recording->public_id}")->assertForbidden();
    $this->actingAs($user)->get("/agreement/{$spring->public_id}")->assertOk()->assertDontSee($case->recording->public_id);
});

it('puts only what is shown into the evidence, and never what was measured or planted', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    foreach ([[true, false], [false, true], [true, true]] as [$film, $trace]) {
        $reading->case->update(['shows_film' => $film, 'shows_trace' => $trace]);
        $json = $this->actingAs($user)->getJson("/read/{$reading->public_id}/evidence/1")->assertOk()->json();
        expect(array_keys($json))->toBe(['hand', 't0', 'duration', 'stations', 'stance', 'motion', 'films', 'trace'])
            ->and($json['motion'] !== null || $json['films'] !== [])->toBe($film)->and($json['trace'] !== null)->toBe($trace);
        $page = $this->actingAs($user)->get("/read/{$reading->public_id}")->assertOk();
        expect($page->getContent())->not->toContain($reading->case->recording->golfer->pseudonym)->not->toContain($reading->case->recording->public_id)->not->toContain('supported')->not->toContain('impact_share');
    }
    foreach (['planted', 'fault', 'verdict', 'severity', 'measure', 'key', 'seed', 'Wren', 'Heron'] as $word) {
        expect(json_encode($json))->not->toContain($word);
    }
});

it('deals every instructor an order of their own, which follows neither the recordings nor the key', function () {
    $orders = Reading::query()->whereHas('case.round', fn ($q) => $q->where('name', 'Spring round'))->with('case')->orderBy('position')->get()
        ->groupBy('user_id')->map(fn ($list) => $list->map(fn ($r) => $r->case->recording_id)->all());
    expect($orders->unique(fn ($o) => implode(',', $o))->count())->toBeGreaterThan(4);
    foreach ($orders as $order) {
        expect(collect($order)->sort()->values()->all())->toBe(Recording::query()->orderBy('id')->limit(5)->pluck('id')->all());
    }
    // Identifiers carry no order either.
    $ids = Reading::query()->orderBy('id')->pluck('public_id')->all();
    $sorted = $ids;
    sort($sorted);
    expect($ids)->not->toBe($sorted)->and(count(array_unique($ids)))->toBe(count($ids));
});

it('shows panel members nothing of each other before their study is published', function () {
    $panel = $this->person('odile');
    $study = $this->round('Winter');
    $this->actingAs($panel)->get("/panel/{$study->public_id}")->assertOk();
    DB::statement('alter table rounds disable trigger user');
    foreach (['open', 'closed'] as $state) {
        $study->update(['state' => $state]);
        $this->actingAs($panel)->get("/panel/{$study->public_id}")->assertForbidden();
        $this->actingAs($this->person('tam'))->get("/panel/{$study->public_id}")->assertForbidden();
    }
    $this->actingAs($this->headCoach())->get("/panel/{$study->public_id}")->assertOk();
});

it('shows colleagues only without their names', function () {
    $page = $this->actingAs($this->person('tam'))->get('/agreement/'.$this->round('Spring')->public_id)->assertOk();
    foreach (User::query()->where('role', 'instructor')->where('email', '<>', 'tam@fernhollow.example')->get() as $other) {
        $page->assertDontSee($other->name)->assertDontSee('u'.$other->id);
    }
    $page->assertSee('a colleague')->assertSee('you');
});
