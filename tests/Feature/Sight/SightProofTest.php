<?php

use App\Models\Call;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\MeasurementSet;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

require_once __DIR__.'/proof.php';

it('knows every route there is', function () {
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'storage/') || $route->uri() === 'up') {
            continue;
        }
        $method = array_values(array_diff($route->methods(), ['HEAD']))[0];
        expect(KNOWN_ROUTES)
            ->toHaveKey(
                (string) $route->getName(),
                message: "{$route->uri()} is new: say here that it was thought about",
            )
            ->and(KNOWN_ROUTES[(string) $route->getName()])
            ->toBe($method, $route->uri());
    }
});

it('tells nobody by the answer whether an entry, a film, a reading or a round of others is there', function () {
    $people = everyState($this);
    foreach (
        ['an instructor who reads again', 'a panel member who reads again', 'an instructor without a seat'] as $name
    ) {
        [$user] = $people[$name];
        $practised = App\Models\PracticeSitting::query()->where('user_id', $user->id)->pluck('public_id')->all();
        foreach (addresses($user, 'other') as ['method' => $method, 'uri' => $uri, 'absent' => $absent]) {
            // Examples are offered to all of these, by name, and rules of readiness; a practice sitting is its own
            // person's.
            if (
                $absent === $uri || preg_match("#^/readiness/rules/\w+/(ask|people/$user->id/decisions)$#", $uri) === 1 || str_starts_with($uri, '/read/') || str_starts_with($uri, '/codebook/examples/') ||
                array_filter($practised, static fn (string $id): bool => str_contains($uri, $id)) !== []
            ) {
                continue;
            }
            expect(ask($this, $user, $method, $uri))->toBe(
                ask($this, $user, $method, $absent),
                "$method $uri tells $name that it is there",
            );
        }
        $mine = Reading::query()->where('user_id', $user->id)->pluck('public_id')->all();
        foreach (
            Reading::query()
                ->orderBy('id')
                ->get()
                ->reject(fn (Reading $r): bool => in_array($r->public_id, $mine, true))
                ->take(4) as $reading
        ) {
            foreach (
                ['GET' => ['', '/evidence/1', '/sheet', '/film/1/face-on/stream'], 'POST' => ['/changes',
                    '/hand-in']] as $method => $parts
            ) {
                foreach ($parts as $part) {
                    expect(ask($this, $user, $method, "/read/{$reading->public_id}$part"))->toBe(
                        ask($this, $user, $method, '/read/'.NOTHING['reading'].$part),
                    );
                }
            }
        }
    }
});

/** Changes every secret of the recordings that are hidden from this person, and everybody else's unpublished calls. */
function changeEverySecret(User $user, array $hidden): void
{
    foreach (['key_entries', 'key_cases', 'calls', 'readings'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    foreach (KeyEntry::query()->whereHas('case.swings', fn ($q) => $q->whereIn('recording_id', $hidden))->get() as $e) {
        $e->update([
            'label' => $e->label === 'present' ? 'absent' : 'present',
            'grade' => 'verified',
            'judgement' => null,
            'worded_then' => 'SECRET',
            'verdict' => 'supported',
            'present' => 5,
            'absent' => 0,
            'severity' => 3,
        ]);
    }
    foreach (KeyCase::query()->get() as $of) {
        if (DB::table('case_swings')->where('case_id', $of->case_id)->whereIn('recording_id', $hidden)->exists()) {
            $of->update(['body' => [...$of->body, 'drills' => [['name' => 'SECRET', 'n' => 5]]]]);
        }
    }
    foreach (MeasurementSet::query()->whereIn('recording_id', $hidden)->get() as $m) {
        $m->update([
            'measurements' => array_map(
                fn ($v) => isset($v['value']) && is_numeric($v['value']) ? [...$v, 'value' => $v['value'] + 7.7] : $v,
                $m->measurements,
            ),
            'faults' => array_map(
                fn ($lens) => array_map(
                    fn ($f) => [
                        ...$f,
                        'verdict' => $f['verdict'] === 'supported' ? 'contradicted' : 'supported',
                        'why' => 'SECRET',
                    ],
                    $lens,
                ),
                $m->faults,
            ),
            'quality' => [
                [
                    'kind' => 'stuck',
                    'severity' => 'serious',
                    'what' => 'SECRET',
                    'effect' => 'nulled',
                    'from_s' => 1.0,
                    'to_s' => 1.2,
                    'signals' => [],
                    'widening' => 2.0,
                    'measurements' => [],
                ],
            ],
        ]);
    }
    DB::table('codebook_flips')->whereIn('recording_id', $hidden)->update(['is_margin' => 77.7, 'fault' => 'sway']);
    DB::table('recordings')
        ->whereIn('id', $hidden)
        ->update([
            'outcome' => json_encode([
                'start_deg' => 9.0,
                'curve_deg' => -9.0,
                'height' => 'low',
                'strike' => 'thin',
                'low_point_cm' => null,
            ]),
        ]);
    $others = Reading::query()
        ->where('user_id', '<>', $user->id)
        ->whereHas('case.sitting', fn ($q) => $q->where('state', '<>', 'published'))
        ->pluck('id');
    Call::query()
        ->whereIn('reading_id', $others)
        ->update([
            'presence' => 'present', 'severity' => 3, 'confidence' => 95, 'sound' => false,
            'reaction' => 'outside-grip',
        ]);
    DB::table('readings')
        ->whereIn('id', $others)
        ->update([
            'cue' => 'SECRET', 'first_causes' => '["outside-other"]', 'other_cause' => 'SECRET',
            'misses' => '{"toe": 90}', 'breaks' => 4,
        ]);
    // What was kept of such recordings' calls follows.
    $figures = app(App\Agreement\Actions\ComputeResult::class);
    Sitting::query()->where('kind', SittingKind::Round)->where('state', 'published')->get()->each($figures(...));
}

it('changes no byte of any answer when what is secret changes', function (string $name) {
    // Some pages tell the minute.
    $this->freezeTime();
    [$user, $may] = everyState($this)[$name];
    // Who teaches practises on the others, and is told how many there are; what is taught and still to be read is
    // secret.
    $checked = DB::table('checks')->join('sitting_cases', 'sitting_cases.sitting_id', '=', 'checks.sitting_id')
        ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')->pluck('recording_id')->all();
    $may = match ($name) {
        'an instructor who teaches' => array_diff(range(0, 7), [3]),
        'an instructor in a weekly check' => array_filter(
            range(0, 7),
            static fn (int $i): bool => ! in_array(laid()[$i]->id, $checked, true),
        ),
        default => $may,
    };
    $hidden = array_map(static fn (int $i): int => laid()[$i]->id, array_values(array_diff(range(0, 7), $may)));
    expect($hidden)->not->toBeEmpty();
    $all = addresses($user, 'GET');
    $before = array_map(fn (array $a): string => ask($this, $user, 'GET', $a['uri']), $all);
    changeEverySecret($user, $hidden);
    foreach ($all as $i => $address) {
        $after = ask($this, $user, 'GET', $address['uri']);
        $told = implode("\n", array_slice(array_diff(explode("\n", $after), explode("\n", $before[$i])), 0, 5));
        expect($after === $before[$i])->toBeTrue("{$address['uri']} tells $name something that depends on a secret: "
            .($told === '' ? 'another order' : $told));
        expect($after)->not->toContain('SECRET');
    }
    expect(count($all))->toBeGreaterThan(60);
})->with([
    'an instructor who reads again',
    'an instructor with a second look',
    'a panel member who reads again',
    'a head coach who reads',
    'an instructor who teaches',
    'an instructor in a weekly check',
]);

it('would notice: the same changes do show to a head coach who reads nothing', function () {
    [$user] = everyState($this)['a head coach'];
    $hidden = array_map(static fn (Recording $r): int => $r->id, array_slice(laid(), 0, 5));
    $all = array_values(
        array_filter(
            addresses($user, 'GET'),
            static fn (array $a): bool => preg_match('#^/($|panel/|bench/[^/]+$|debrief/)#', $a['uri']) === 1,
        ),
    );
    $before = array_map(fn (array $a): string => ask($this, $user, 'GET', $a['uri']), $all);
    changeEverySecret($user, $hidden);
    $changed = [];
    foreach ($all as $i => $address) {
        ask($this, $user, 'GET', $address['uri']) === $before[$i] || $changed[] = $address['uri'];
    }
    foreach (['/panel/', '/bench/', '/debrief/'] as $place) {
        expect(array_filter($changed, static fn (string $uri): bool => str_starts_with($uri, $place)))->not->toBeEmpty(
            $place,
        );
    }
});

it('puts only what is shown into the evidence, and never what was measured or planted', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    DB::statement('alter table readings disable trigger user');
    foreach ([[true, false], [false, true], [true, true]] as [$film, $trace]) {
        Reading::query()
            ->whereKey($reading->id)
            ->update(['arm_id' => App\Models\SittingArm::in($reading->case->sitting, $film, $trace)->id]);
        $json = $this->actingAs($user)
            ->getJson("/read/{$reading->public_id}/evidence/1")
            ->assertOk()
            ->json();
        expect(array_keys($json))
            ->toBe(['hand', 't0', 'duration', 'stations', 'stance', 'motion', 'films', 'trace'])
            ->and($json['motion'] !== null || $json['films'] !== [])
            ->toBe($film)
            ->and($json['trace'] !== null)
            ->toBe($trace);
        $page = $this->actingAs($user)
            ->get("/read/{$reading->public_id}")
            ->assertOk();
        expect($page->getContent())
            ->not->toContain($reading->case->recording->golfer->pseudonym)
            ->not->toContain($reading->case->recording->public_id)
            ->not->toContain('supported')
            ->not->toContain('impact_share');
    }
    foreach (['planted', 'fault', 'verdict', 'severity', 'measure', 'key', 'seed', 'Wren', 'Heron'] as $word) {
        expect(json_encode($json))->not->toContain($word);
    }
});

it('deals every instructor an order of their own, which follows neither the recordings nor the key', function () {
    $orders = Reading::query()
        ->whereHas('case.sitting', fn ($q) => $q->where('name', 'Spring round'))
        ->with('case.recording')
        ->orderBy('position')
        ->get()
        ->groupBy('user_id')
        ->map(fn ($list) => $list->map(fn ($r) => $r->case->recording->id)->all());
    expect($orders->unique(fn ($o) => implode(',', $o))->count())->toBeGreaterThan(4);
    foreach ($orders as $order) {
        expect(collect($order)->sort()->values()->all())->toBe(
            Recording::query()->orderBy('id')->limit(5)->pluck('id')->all(),
        );
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
    DB::statement('alter table sittings disable trigger user');
    foreach (['open', 'closed'] as $state) {
        DB::table('sittings')->where('id', $study->id)->update(['state' => $state]);
        $this->actingAs($panel)->get("/panel/{$study->public_id}")->assertNotFound();
        $this->actingAs($this->person('tam'))->get("/panel/{$study->public_id}")->assertNotFound();
    }
    $this->actingAs($this->headCoach())->get("/panel/{$study->public_id}")->assertOk();
});

it('shows colleagues only without their names', function () {
    $page = $this->actingAs($this->person('tam'))
        ->get('/agreement/'.$this->round('Spring')->public_id)
        ->assertOk();
    foreach (
        User::query()->where('role', 'instructor')->where('email', '<>', 'tam@fernhollow.example')->get() as $other
    ) {
        // A rater's number, not two letters of what is drawn anew for each page.
        expect(said($page))->not->toContain($other->name)->not->toMatch("/(?<![a-z0-9])u$other->id(?![a-z0-9])/i");
    }
    $page->assertSee('a colleague')->assertSee('you');
});

it('tells nothing in a debrief of what one still has to read blind, even to who has joined', function (string $name) {
    $this->freezeTime();
    [$user, $may] = everyState($this)[$name];
    $hidden = array_map(static fn (int $i): int => laid()[$i]->id, array_values(array_diff(range(0, 7), $may)));
    $round = Sitting::query()->where('kind', SittingKind::Round)->where('state', 'published')
        ->whereHas('cases.swings', fn ($q) => $q->whereIn('recording_id', $hidden))->firstOrFail();
    $session = App\Models\DebriefSession::query()->create([
        'sitting_id' => $round->id, 'started_by' => $this->headCoach()->id, 'code' => '246810',
        'secret' => str_repeat('s', 64), 'started_at' => now(),
    ]);
    $session->people()->attach($user->id, ['joined_at' => now()]);
    $shown = [];
    foreach ($round->cases()->where('occasion', 1)->orderBy('id')->get() as $i => $case) {
        $shown[] = $session->cases()->create([
            'sitting_case_id' => $case->id, 'position' => $i + 1, 'revealed' => 5, 'topic' => 'sway',
        ]);
    }
    $all = function () use ($session, $shown, $user, $hidden): array {
        $out = [];
        foreach ($shown as $case) {
            $secret = DB::table('case_swings')->where('case_id', $case->case()->value('case_id'))
                ->whereIn('recording_id', $hidden)->exists();
            $session->update(['current_case_id' => $case->id]);
            foreach (['room', 'room/side', 'state', 'vote', "evidence/{$case->id}/1",
                "film/{$case->id}/1/face-on/stream"] as $page) {
                $said = ask($this, $user, 'GET', "/debriefs/{$session->public_id}/$page");
                $out["$case->id $page"] = $said;
                if ($secret && str_starts_with($page, 'evidence')) {
                    expect($said)->not->toStartWith('200');
                }
            }
        }

        return $out;
    };
    $before = $all();
    changeEverySecret($user, $hidden);
    foreach ($all() as $of => $said) {
        expect($said === $before[$of])->toBeTrue("$of tells $name something that depends on a secret");
    }
})->with(['an instructor who reads again', 'an instructor with a second look', 'a head coach who reads']);
