<?php

use App\Models\Recording;
use App\Models\Sitting;
use Core\Codebook\Codebook;
use Core\Measurement\Measured;
use Illuminate\Support\Facades\DB;

/** How many queries a page takes. */
function queriesOf(object $test, $user, string $path): int
{
    DB::flushQueryLog();
    DB::enableQueryLog();
    $test->actingAs($user)->get($path)->assertOk();
    $n = count(DB::getQueryLog());
    DB::disableQueryLog();

    return $n;
}

it('shows the head coach who is behind, what is unsettled and whose consent runs out', function () {
    $page = $this->actingAs($this->headCoach())->get('/')->assertOk()->assertSee('Autumn round is');
    foreach ($this->round('Autumn')->members as $member) {
        $page->assertSee($member->name);
    }
    Recording::query()
        ->first()
        ->golfer->consents()
        ->update(['expires_on' => now()->addDays(12)]);
    $this->actingAs($this->headCoach())->get('/')->assertSee('Consents running out');
});

it('filters the Shelf by club, hand, device and measured fault', function (array $filter, callable $fits) {
    $expected = Recording::query()
        ->with(['golfer', 'measured'])
        ->get()
        ->filter($fits);
    expect($expected->count())->toBeGreaterThan(0)->toBeLessThan(8);
    $page = $this->actingAs($this->headCoach())
        ->get('/shelf?'.http_build_query($filter))
        ->assertOk()
        ->assertSee("{$expected->count()} of 8 recordings");
    foreach (Recording::query()->pluck('public_id', 'id') as $id => $public) {
        $expected->contains('id', $id) ? $page->assertSee($public) : $page->assertDontSee($public);
    }
})->with([
    [['club' => 'hybrid'], fn ($r) => $r->club === 'hybrid'],
    [['hand' => 'left'], fn ($r) => $r->golfer->handedness === 'left'],
    [['device' => 'mat'], fn ($r) => $r->device_class === 'mat'],
    [
        ['fault' => 'hang-back'],
        fn ($r) => $r->measured->faults['early-recentre']['hang-back']['verdict'] === 'supported',
    ],
]);

it('says so when nothing fits, and refuses a filter of another kind', function () {
    $this->actingAs($this->headCoach())
        ->get('/shelf?club=putter')
        ->assertOk()
        ->assertSee('No recording fits this filter.');
    $this->actingAs($this->headCoach())->get('/shelf?hand=both')->assertSessionHasErrors('hand');
});

it(
    'shows on the Bench every verdict with its sentence and every measurement with unit, or why there is none',
    function () {
        foreach (Recording::query()->with('measured')->get() as $recording) {
            $page = $this->actingAs($this->headCoach())
                ->get("/bench/{$recording->public_id}")
                ->assertOk();
            foreach ($recording->measured->verdicts('early-recentre') as $key => $verdict) {
                $page->assertSee(
                    inWords()->say($verdict->judgement->why, ['fault' => Codebook::standard()->fault($key)->name]),
                );
            }
            foreach ($recording->measured->measured()->all() as $m) {
                if ($m instanceof Measured && $m->value === null) {
                    $page->assertSee(worded($m->reason));
                }
            }
        }
    },
);

it('sends the Bench coordinates that fit the figure and the trace', function () {
    $recording = Recording::query()->where('device_class', 'dual-plate')->firstOrFail();
    $json = $this->actingAs($this->headCoach())
        ->getJson("/bench/{$recording->public_id}/evidence")
        ->assertOk()
        ->json();
    expect($json['motion']['points'])
        ->toHaveKeys([
            'pelvis',
            'chest',
            'head',
            'nose',
            'lead_hand',
            'trail_hand',
            'club_head',
            'lead_heel',
            'trail_toe',
        ])
        ->and($json['motion']['points']['pelvis'])
        ->toHaveCount(3)
        ->and(count($json['trace']['share']))
        ->toBe($recording->samples)
        ->and($json['stations'])
        ->toHaveCount(9)
        ->and($json['motion']['ball'])
        ->toHaveCount(3)
        ->and(max(array_filter($json['trace']['share'])))
        ->toBeLessThanOrEqual(100);
});

it('shows every figure of the agreement page with its interval, and what was left out', function () {
    $round = $this->round('Spring');
    $page = $this->actingAs($this->headCoach())
        ->get("/agreement/{$round->public_id}?part=people")
        ->assertOk();
    $results = keptBodies($round);
    foreach ($results['against_key'] as $p) {
        $page->assertSee(number_format(100 * $p['sensitivity']['estimate'], 0).' %');
    }
    expect($results['against_key'])->toHaveCount(8)->and($results['pooled']['pairs'])->toHaveCount(28);
    foreach ($results['pooled']['pairs'] as $pair) {
        expect($pair['cohen_kappa'])->toHaveKeys(['estimate', 'se', 'low', 'high', 'method']);
    }
    $page->assertSee('seed 1')->assertSee('core version');
    $this->get("/agreement/{$round->public_id}?part=faults")->assertOk()->assertSee('too few cases to say');
});

it('gives undefined figures their reason on the page', function () {
    $round = $this->round('Spring');
    DB::statement('alter table calls disable trigger user');
    DB::statement('alter table readings disable trigger user');
    DB::table('calls')
        ->whereIn('reading_id', $round->readings()->select('readings.id'))
        ->where('fault', 'sway')
        ->update(['presence' => 'absent', 'severity' => null, 'onset' => null, 'decision' => null, 'reaction' => null]);
    $round->readings()->update(['readings.version' => 9]);
    app(App\Agreement\Actions\ComputeResult::class)($round->refresh());
    $this->actingAs($this->headCoach())
        ->get("/agreement/{$round->public_id}?part=faults")
        ->assertOk()
        ->assertSee('undefined: every rating is the same, so the chance term is 1');
});

it('prints the codebook with its rules in words', function () {
    $page = $this->actingAs($this->person('tam'))->get('/codebook')->assertOk()->assertSee('early recentre');
    foreach (Codebook::standard()->faults as $fault) {
        $page->assertSee($fault->counterExample)->assertSee(inWords()->say($fault->supported->remark()));
    }
});

it('keeps a record that the head coach can read', function () {
    $this->actingAs($this->headCoach())->get('/record')->assertOk()->assertSee('publish')->assertSee('hand-in');
});

it('takes as many queries for many rows as for few', function () {
    $head = $this->headCoach();
    queriesOf($this, $head, '/shelf');
    $few = queriesOf($this, $head, '/shelf?club=fairway wood');
    $all = queriesOf($this, $head, '/shelf');
    expect($all)
        ->toBe($few)
        ->and($all)
        ->toBeLessThan(16)
        // One of them is for goals.
        ->and(queriesOf($this, $head, '/'))
        ->toBeLessThan(24)
        ->and(queriesOf($this, $head, '/rounds'))
        ->toBeLessThan(12)
        ->and(queriesOf($this, $head, '/panel/'.$this->round('Winter')->public_id))
        ->toBeLessThan(31)
        ->and(queriesOf($this, $head, '/agreement/'.$this->round('Spring')->public_id))
        ->toBeLessThan(24)
        ->and(queriesOf($this, $this->person('tam'), '/'))
        ->toBeLessThan(17);
    $spring = $this->round('Spring');
    foreach ([
        "/reports/{$spring->public_id}", "/reports/{$spring->public_id}/board", '/reports', '/rounds/plan',
        "/rounds/{$this->round('Autumn')->public_id}", "/rounds/{$this->round('Autumn')->public_id}/progress",
        "/agreement/{$spring->public_id}/faults/hang-back",
        "/agreement/{$spring->public_id}/cases/{$spring->cases()->orderBy('id')->firstOrFail()->id}",
    ] as $path) {
        $n = queriesOf($this, $head, $path);
        expect($n)->toBeLessThanOrEqual(30, "$path asks $n times");
    }
});

it('shows empty places with what belongs there', function () {
    DB::statement('truncate sittings cascade');
    $this->actingAs($this->headCoach())->get('/')->assertOk()->assertSee('What to do first');
    $this->actingAs($this->headCoach())->get('/rounds')->assertOk()->assertSee('Begin with a panel study');
    $this->actingAs($this->headCoach())
        ->get('/panel')
        ->assertOk()
        ->assertSee('appear here when a panel study has been closed');
    $this->actingAs($this->person('tam'))->get('/')->assertOk()->assertSee('No round is open for you');
    $this->actingAs($this->person('tam'))
        ->get('/agreement')
        ->assertOk()
        ->assertSee('appear here when a round you belong to has been published');
    expect(Sitting::query()->count())->toBe(0);
});
