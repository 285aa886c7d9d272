<?php

use App\Exceptions\ActionException;
use App\Models\Check;
use App\Models\CheckLook;
use App\Models\CheckPlan;
use App\Models\KeyVersion;
use App\Models\Notice;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\User;
use App\Readiness\Actions\HoldChecks;
use App\Readiness\CheckCases;
use App\Readiness\TestCases;
use App\Sight\Onlookers;
use App\Sittings\Actions\PlanRound;
use Core\Sight\SittingKind;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/readers.php';

/** The staff knows all of the little academy's swings: these three are new, and know none. */
function newStaff(): array
{
    User::query()->where('role', 'instructor')->update(['state' => 'disabled']);

    return array_map(whoReadNothing(...), ['First New', 'Second New', 'Third New', 'Fourth New']);
}

function startedChecks(object $test, int $weekday = 1): CheckPlan
{
    $key = KeyVersion::query()->newest()->orderByDesc('id')->firstOrFail();
    $test->actingAs($test->headCoach())
        ->post('/checks', ['key' => $key->id, 'weekday' => $weekday])
        ->assertRedirect('/checks');

    return CheckPlan::query()->latest('id')->firstOrFail();
}

/** All of this week's readings of a person, handed in: right as often as said. */
function checkRead(Check $check, User $user, float $right, int $seed): void
{
    DB::statement('alter table readings disable trigger user');
    DB::statement('alter table calls disable trigger user');
    $labels = [];
    foreach (App\Models\KeyEntry::query()->where('key_version_id', $check->plan->key_version_id)->get() as $e) {
        $labels[$e->case_id][$e->fault] = $e->scoredLabel();
    }
    $chance = new Core\Chance\Chance("$seed|$user->name");
    foreach ($check->sitting->readings()->where('readings.user_id', $user->id)->with('case')->get() as $reading) {
        $rows = [];
        foreach ($labels[$reading->case->case_id] as $fault => $label) {
            $is = $label === 'present';
            $rows[] = ['reading_id' => $reading->id, 'fault' => $fault,
                'presence' => ($chance->uniform() < $right) === $is ? 'present' : 'absent', 'confidence' => 70];
        }
        App\Models\Call::query()->insert($rows);
        DB::table('readings')->where('id', $reading->id)->update(['handed_in_at' => now()]);
    }
}

it('lets no round of the staff use up what is set apart, and a panel judge it', function () {
    $staff = newStaff();
    $plan = startedChecks($this);
    DB::table('check_plans')->where('id', $plan->id)->update(['cases' => json_encode(array_slice($plan->cases, 1))]);
    $apart = CheckPlan::kept();
    $free = Recording::query()->whereKeyNot($apart)->orderBy('id')->firstOrFail()->id;
    $asks = fn (string $kind, array $swings, array $members) => app(PlanRound::class)(
        'Spring', SittingKind::from($kind), $swings, $members, 'trace', $this->headCoach(),
    );
    expect(fn () => $asks('round', [$free, $apart[0], $apart[1]], [$staff[0]->id]))
        ->toThrow(ActionException::class, '2 swings are set apart');
    expect($asks('round', [$free], [$staff[0]->id])->exists)->toBeTrue();
    $panel = User::query()->where('role', 'panel')->firstOrFail();
    expect($asks('panel', [$apart[0]], [$panel->id])->exists)->toBeTrue();
    $this->get('/rounds/plan/choices?'.http_build_query(['recordings' => [$apart[0]]]))
        ->assertSee('set apart for weekly checks');
    $plan->update(['ended_at' => now()]);
    expect($asks('round', [$apart[0]], [$staff[0]->id])->exists)->toBeTrue();
});

it('puts three kept cases before everybody every week, by itself, once', function () {
    $staff = newStaff();
    Carbon::setTestNow('2027-01-04 08:00'); // a Monday
    $plan = startedChecks($this, 3);
    $hold = app(HoldChecks::class);
    expect($hold->open())->toBeNull()->and(Check::query()->count())->toBe(0);
    Carbon::setTestNow('2027-01-06 08:00');
    $check = $hold->open();
    expect($check)->not->toBeNull()
        ->and($hold->open())->toBeNull()
        ->and($check->sitting->cases()->count())->toBe(CheckCases::WEEKLY)
        ->and($check->sitting->cases()->where('reserved', true)->count())->toBe(3);
    foreach ($staff as $user) {
        app(Onlookers::class)->forget();
        expect(Reading::query()->where('user_id', $user->id)->count())->toBe(3);
        $page = $this->actingAs($user)->get('/')->assertOk()->assertSee('This week’s check');
        $this->get('/read/next')->assertRedirect();
    }
    // It stands in no list of rounds, and no panel member nor former reader has it.
    $this->actingAs($this->headCoach())->get('/rounds')->assertDontSee('This week’s check');
    $this->actingAs($this->person('odile'))->get('/')->assertDontSee('This week’s check');
    // Next week takes others, until all have come.
    $first = $check->sitting->cases()->pluck('case_id')->all();
    Carbon::setTestNow('2027-01-13 08:00');
    $second = $hold->open()->sitting->cases()->pluck('case_id')->all();
    expect(array_intersect($first, $second))->toBe([])
        ->and($check->sitting->fresh()->state->value)->toBe('closed');
});

it('keeps what is set apart from tests, and everything of it from who reads it, after it is over too', function () {
    [$user] = newStaff();
    Carbon::setTestNow('2027-01-04 08:00');
    $rule = aRule();
    $before = count(app(TestCases::class)->best($user, $rule)[1]);
    $plan = startedChecks($this);
    expect(count(app(TestCases::class)->best($user, $rule)[1]))->toBe($before - count($plan->cases));
    $check = Check::query()->sole();
    $swings = DB::table('case_swings')
        ->whereIn('case_id', $check->sitting->cases()->select('case_id'))
        ->pluck('recording_id');
    $ids = App\Models\Recording::query()->whereKey($swings)->pluck('public_id');
    checkRead($check, $user, 1.0, 1);
    foreach (['open', 'closed'] as $state) {
        app(Onlookers::class)->forget();
        foreach ($ids as $id) {
            foreach (["/bench/$id", "/bench/$id/evidence"] as $uri) {
                $this->actingAs($user)->get($uri)->assertNotFound();
            }
        }
        $this->actingAs($user)->get('/checks')->assertForbidden();
        $this->actingAs($user)->post('/checks', [])->assertForbidden();
        $this->actingAs($user)->delete("/checks/$plan->public_id")->assertNotFound();
        if ($state === 'open') {
            $this->actingAs($this->headCoach())->delete("/checks/$plan->public_id")->assertRedirect('/checks');
        }
    }
    expect($plan->fresh()->ended_at)->not->toBeNull()->and(Notice::query()->where('kind', 'moved')->count())->toBe(0);
});

it('tells the head coach and the person, and nobody else, when somebody turns', function () {
    $staff = newStaff();
    Carbon::setTestNow('2027-01-04 08:00');
    startedChecks($this);
    $hold = app(HoldChecks::class);
    for ($week = 0; $week < 16; $week++) {
        Carbon::setTestNow(Carbon::parse('2027-01-04 08:00')->addWeeks($week));
        $hold->open();
        $check = Check::query()->orderByDesc('week_on')->firstOrFail();
        foreach ($staff as $i => $user) {
            // The first reads worse than by lot from the thirteenth week on.
            checkRead($check, $user, $i === 0 && $week >= 12 ? 0.25 : 0.85, $week);
        }
    }
    Carbon::setTestNow(Carbon::parse('2027-01-04 08:00')->addWeeks(16));
    $hold->open();
    $told = Notice::query()->where('kind', 'moved')->get();
    expect($told->pluck('person_id'))->toContain($staff[0]->id);
    foreach ($told->groupBy('person_id') as $moved => $letters) {
        expect($letters->pluck('user_id')->unique()->sort()->values()->all())
            ->toBe(collect([$this->headCoach()->id, $moved])->sort()->values()->all());
    }
    // An unchanging reader passes the limit in one year of twenty, and cases are drawn anew: one of the three may.
    $others = CheckLook::query()->where('user_id', '<>', $staff[0]->id)->where('beyond', true)
        ->pluck('user_id')
        ->unique();
    expect($others->count())->toBeLessThanOrEqual(1);
    $page = $this->actingAs($this->headCoach())->get('/checks')->assertOk()->getContent();
    // Who says the contrary of the key is right less often and calls more present: which goes further is by lot.
    expect($page)->toMatch($others->isEmpty() ? '/One has moved/' : '/(One has|2 have) moved/')
        ->toMatch('/is right less often than before|calls more faults present than before/');
    if ($others->isEmpty()) {
        expect($page)->not->toContain('is right more often than before');
    }
    $this->get('/notices')->assertSee('First New');
    $this->actingAs($staff[0])->get('/notices')->assertSee('Your calls of the last weeks have moved');
    // A look is kept as it was found: the same check is not looked at twice.
    $looks = CheckLook::query()->count();
    $hold->stop(CheckPlan::query()->sole(), $this->headCoach());
    $hold->stop(CheckPlan::query()->sole(), $this->headCoach());
    expect(CheckLook::query()->count())->toBe($looks);
});

it('starts only where enough cases are there that nobody on the staff knows, and once', function () {
    $key = KeyVersion::query()->newest()->orderByDesc('id')->firstOrFail();
    $this->actingAs($this->headCoach());
    // All of the little academy's swings were put before its staff.
    $this->post('/checks', ['key' => $key->id, 'weekday' => 1])->assertSessionHas('refused');
    $this->get('/checks')->assertOk()->assertSee('No published panel has');
    foreach ([['key' => 0, 'weekday' => 1], ['key' => $key->id, 'weekday' => 8], ['key' => ['x'], 'weekday' => 1], []] as $odd) {
        $this->post('/checks', $odd)->assertSessionHasErrors();
    }
    newStaff();
    startedChecks($this);
    $this->post('/checks', ['key' => $key->id, 'weekday' => 1])->assertSessionHas('refused');
    expect(CheckPlan::query()->count())->toBe(1);
});
