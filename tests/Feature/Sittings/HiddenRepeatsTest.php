<?php

use App\Bench\Pages\EvidencePayload;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Rendition;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sittings\Actions\MakeRenditions;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Chance\Chance;
use Core\Planning\Deal;
use Core\Sight\SittingKind;
use Core\Simulation\Swing;
use Illuminate\Support\Facades\DB;

it(
    'asks again anywhere at least ten cases later, never as a block, and says the same number from the start',
    function () {
        $round = repeated($this, alike(24), 3);
        $places = [];
        foreach ($round->members as $member) {
            $order = dealt($round, $member);
            expect($order->pluck('position')->all())->toBe(range(1, 27));
            foreach ($order->where('case.occasion', 2) as $again) {
                $first = $order->first(fn (Reading $r): bool => $r->case->case_id === $again->case->case_id);
                expect($again->position - $first->position)->toBeGreaterThan(10);
                $places[] = $again->position;
            }
            $this->actingAs($member)->get('/')->assertSee('27</b>in all', false);
            $this->actingAs($member)
                ->get("/read/{$order[0]->public_id}")
                ->assertOk()
                ->assertSee('of 27');
        }
        expect(min($places))->toBeLessThan(25)->and(count(array_unique($places)))->toBeGreaterThan(4);
    },
);

it('keeps a second part back for three weeks, with as many new cases as repeats in it', function () {
    $round = repeated($this, alike(18), 3, true);
    $member = $round->members()->firstOrFail();
    $order = dealt($round, $member);
    $second = $order->where('case.part', 2);
    expect($round->wait_days)
        ->toBe(21)
        ->and($second->where('case.occasion', 1)->count())
        ->toBeGreaterThanOrEqual(3)
        ->and($second->min('position'))
        ->toBe($order->where('case.part', 1)->max('position') + 1);
    foreach ($second as $later) {
        $this->actingAs($member)
            ->get("/read/{$later->public_id}")
            ->assertNotFound();
    }
    foreach ($order->where('case.part', 1) as $reading) {
        $this->actingAs($member)
            ->get('/read/next')
            ->assertRedirect("/read/{$reading->public_id}");
        handIn($reading);
    }
    $this->get('/read/next')->assertRedirect('/');
    $this->get('/')->assertOk()->assertSee('The second begins on')->assertDontSee($second->first()->public_id);
    $this->travel(20)->days();
    $this->get('/read/next')->assertRedirect('/');
    $this->travel(2)->days();
    $this->get('/read/next')->assertRedirect("/read/{$second->first()->public_id}");
    $this->get("/read/{$second->first()->public_id}")->assertOk();
});

it(
    'opens no sheet again and no second look before the last blind hand-in, for repeated cases and others alike',
    function () {
        $round = repeated($this, alike(24), 1, reveals: true);
        $member = $round->members()->firstOrFail();
        $order = dealt($round, $member);
        foreach ($order->take(24) as $reading) {
            DB::table('calls')->insert(['reading_id' => $reading->id, 'fault' => 'sway', 'presence' => 'absent']);
        }
        foreach ($order->take(3) as $reading) {
            $full = $this->changes($this->sheet());
            $this->actingAs($member)
                ->postJson("/read/{$reading->public_id}/changes", $full)
                ->assertOk();
            $this->post("/read/{$reading->public_id}/hand-in")->assertSessionHas('done');
            foreach (['', '/sheet', '/evidence/1'] as $part) {
                $this->getJson("/read/{$reading->public_id}$part")
                    ->assertStatus(409)
                    ->assertJsonPath('why', 'others');
            }
            $look = Reading::query()
                ->where('sitting_case_id', $reading->sitting_case_id)
                ->where('user_id', $member->id)
                ->where('stage', 'reveal')
                ->sole();
            $this->get("/read/{$look->public_id}")
                ->assertStatus(409)
                ->assertSee('when your last case is handed in');
            $this->postJson("/read/{$look->public_id}/changes", $full)->assertStatus(409);
        }
        $order->slice(3)->each(fn (Reading $r) => handIn($r));
        $this->get("/read/{$order[0]->public_id}")->assertOk();
        $this->get("/read/{$look->public_id}")
            ->assertOk()
            ->assertSee('second look');
    },
);

it('refuses repeats that could be guessed, or are not of the round', function () {
    $ids = alike(22);
    $plan = fn (array $recordings, array $repeats, string $waits = '0') => $this->actingAs($this->headCoach())->post(
        '/rounds',
        [
            'name' => 'Odd',
            'kind' => 'panel',
            'show' => 'trace',
            'recordings' => $recordings,
            'repeats' => $repeats,
            'waits' => $waits,
            'members' => [$this->person('odile')->id],
        ],
    );
    $plan(array_slice($ids, 0, 20), [$ids[0]])->assertSessionHas(
        'refused',
        fn (string $s): bool => str_contains($s, 'with 20 cases none can be within one sitting'),
    );
    $plan($ids, array_slice($ids, 0, 3))->assertSessionHas(
        'refused',
        fn (string $s): bool => str_contains($s, 'with 22 cases at most 2 can be'),
    );
    $plan(array_slice($ids, 0, 17), [$ids[0]], '1')->assertSessionHas(
        'refused',
        fn (string $s): bool => str_contains($s, 'with 17 cases none can be'),
    );
    $plan(array_slice($ids, 0, 21), [$ids[21]])->assertSessionHas(
        'refused',
        'Only a recording of this round can be shown again in it. Nothing was stored.',
    );
    $plan($ids, [$ids[0], $ids[0]])->assertSessionHasErrors();
    expect(Sitting::query()->where('name', 'Odd')->count())->toBe(0);
    $plan($ids, array_slice($ids, 0, 2))->assertSessionHas('done');
});

it('carries what is marked on a rendition back to the recording exactly, and shows it as it was marked', function () {
    $round = repeated($this, alike(21), 1);
    $member = $round->members()->firstOrFail();
    $reading = dealt($round, $member)->first();
    $start = Rendition::query()->where('sitting_case_id', $reading->sitting_case_id)->sole()->start_s;
    foreach ([0.0, 0.0001, 0.4567, 1.2345, 1.9999] as $t) {
        $call = [
            'presence' => 'present',
            'severity' => 1,
            'confidence' => 70,
            'pins' => [['on' => 'trace', 't' => $t]],
        ];
        $version = $reading->fresh()->version;
        $this->actingAs($member)
            ->postJson(
                "/read/{$reading->public_id}/changes",
                $this->changes(
                    [
                        'call:sway' => $call,
                        'mark:IM' => $t,
                        'aids' => [
                            ['kind' => 'plumb', 'view' => 'face-on', 'points' => [['x' => 0.5, 'y' => 0.5, 't' => $t]]],
                        ],
                    ],
                    $version,
                ),
            )
            ->assertOk()
            ->assertJsonPath('refused', []);
        $sheet = $this->getJson("/read/{$reading->public_id}/sheet")
            ->assertOk()
            ->json();
        expect((float) $sheet['calls']['sway']['pins'][0]['t'])
            ->toBe($t)
            ->and((float) $sheet['marks']['IM'])
            ->toBe($t)
            ->and((float) $sheet['aids'][0]['points'][0]['t'])
            ->toBe($t);
        $kept = $reading->fresh(['calls']);
        expect((float) $kept->calls->firstWhere('fault', 'sway')->pins[0]['t'])
            ->toBe(round($t + $start, 4))
            ->and((float) $kept->marks['IM'])
            ->toBe(round($t + $start, 4));
    }
});

/**
 * All that a script could compare: every leaf of an answer by its path, lists by their length and by what they hold.
 *
 * @return array<string, string>
 */
function leaves(array $answer, string $path = ''): array
{
    $out = [];
    foreach ($answer as $key => $value) {
        $at = "$path/$key";
        if (! is_array($value)) {
            $out[$at] = json_encode($value);
        } elseif (array_is_list($value) && count($value) > 20) {
            $out["$at#"] = (string) count($value);
            $out["$at="] = md5(json_encode($value));
            foreach ([0, 1, intdiv(count($value), 2), count($value) - 1] as $i) {
                $out["$at@$i"] = json_encode($value[$i]);
            }
        } else {
            $out += leaves($value, $at);
        }
    }

    return $out;
}

/**
 * A script's guess which two places show the same swing: those that have most fields in common, fields shared by many
 * counting for less.
 *
 * @param  list<array<string, string>>  $shown  leaves of each place, in order
 * @return list<array{int, int}> the best first
 */
function guesses(array $shown, int $n): array
{
    $common = [];
    foreach ($shown as $leaves) {
        foreach ($leaves as $path => $value) {
            $common["$path $value"] = ($common["$path $value"] ?? 0) + 1;
        }
    }
    $score = [];
    foreach ($shown as $i => $a) {
        for ($j = $i + Deal::BETWEEN + 1; $j < count($shown); $j++) {
            $same = 0.0;
            foreach ($a as $path => $value) {
                if (($shown[$j][$path] ?? null) === $value) {
                    $same += 1.0 / ($common["$path $value"] - 1);
                }
            }
            $score["$i,$j"] = $same;
        }
    }
    arsort($score);

    return array_map(
        static fn (string $pair): array => array_map(intval(...), explode(',', $pair)),
        array_slice(array_keys($score), 0, $n),
    );
}

it(
    'gives a script that compares every field of every answer no better than chance, over many seeded rounds',
    function () {
        // What is drawn goes by the numbers of the recordings: here the same ones on every run.
        $stored = Recording::query()
            ->whereKey(alike(22))
            ->with(['golfer', 'stations', 'motion', 'channels'])
            ->orderBy('id')
            ->get();
        $ids = range(1001, 1022);
        $recordings = $stored->each(fn (Recording $r, int $i) => $r->setAttribute('id', $ids[$i]))->keyBy('id');
        $payload = app(EvidencePayload::class);
        $url = static fn (string $view, string $part): string => '';
        $hits = $expected = $variance = $plain = 0.0;
        // What MakeRenditions draws and OpenRound deals, without a database between: that they are used is the next
        // test's.
        $draw = new ReflectionMethod(MakeRenditions::class, 'drawn');
        $traces = $recordings->map(fn (Recording $r) => $r->trace());
        expect($traces)->toHaveCount(22);
        for ($seed = 0; $seed < many(60, 200); $seed++) {
            $round = (new Sitting())->forceFill(['id' => $seed, 'seed' => substr(hash('sha256', "seed $seed"), 0, 32)]);
            $recordingOf = array_combine(range(1, 22), $ids) + [23 => $ids[$seed % 22], 24 => $ids[($seed + 7) % 22]];
            $order = Deal::order(
                range(1, 22),
                [],
                [23 => 1 + ($seed % 22), 24 => 1 + (($seed + 7) % 22)],
                false,
                new Chance("order|{$round->seed}|1"),
            );
            $of = array_map(static fn (int $case): int => $recordingOf[$case], $order);
            $shown = array_map(
                static fn (int $case): array => leaves(
                    $payload->of(
                        $recordings[$recordingOf[$case]],
                        $seed % 20 === 0,
                        [],
                        true,
                        $url,
                        (new Rendition())->forceFill(
                            $draw->invoke(
                                null,
                                (new SittingCase())->forceFill(['id' => $case]),
                                $recordings[$recordingOf[$case]],
                                $round,
                            ),
                        ),
                    ),
                ),
                $order,
            );
            $right = static fn (array $guess): bool => $of[$guess[0]] === $of[$guess[1]];
            $hits += count(array_filter(guesses($shown, 2), $right));
            $pairs = array_sum(
                array_map(
                    static fn (int $i): int => max(0, count($order) - $i - Deal::BETWEEN - 1),
                    array_keys($order),
                ),
            );
            $expected += (2 * 2) / $pairs;
            $variance += 2 * (2 / $pairs) * (1 - 2 / $pairs);
            if ($seed < 5) {
                // Without renditions the same script finds them all.
                $bare = array_map(
                    static fn (int $id): array => leaves($payload->of($recordings[$id], true, [], true, $url)),
                    $of,
                );
                $plain += count(array_filter(guesses($bare, 2), $right));
            }
        }
        expect($plain)
            ->toBe(10.0)
            ->and($hits)
            ->toBeLessThanOrEqual($expected + 4 * sqrt($variance) + 1);
    },
)->group('study');

it('gives nothing away by headers, sizes or addresses of what it serves', function () {
    $recording = Recording::query()
        ->whereHas('films', fn ($q) => $q->where('state', 'ready'))
        ->with('films')
        ->orderBy('id')
        ->firstOrFail();
    $round = repeated($this, [$recording->id, ...alike(20)], 1);
    $member = $round->members()->firstOrFail();
    $both = dealt($round, $member)
        ->filter(fn (Reading $r): bool => $r->case->swings[0]->recording_id === $recording->id)
        ->values();
    expect($both)->toHaveCount(2);
    $view = $recording->films->first()->view;
    // A clock that was fitted has a drift nobody else's has.
    $recording->films->first()->update(['drift_ppm' => 41.28671]);
    $answers = $both->map(function (Reading $r) use ($member, $view): array {
        $json = $this->actingAs($member)
            ->getJson("/read/{$r->public_id}/evidence/1")
            ->assertOk();
        $stream = $this->get("/read/{$r->public_id}/film/1/$view/stream")
            ->assertOk()
            ->assertHeaderMissing('Last-Modified')
            ->assertHeaderMissing('ETag');
        $film = collect($json->json('films'))->firstWhere('view', $view);
        $bytes = file_get_contents($stream->baseResponse->getFile()->getPathname());
        expect($film['frames'])->toBeGreaterThan(20)->and($film['stills'])->not->toBeEmpty();
        $pictures = [];
        foreach (array_keys($film['stills']) as $code) {
            $still = $this->get("/read/{$r->public_id}/film/1/$view/$code")->assertOk();
            $pictures[] = md5($still->streamedContent());
        }

        return [
            'json' => $json->json(),
            'length' => strlen($bytes),
            'sum' => md5($bytes),
            'pictures' => $pictures,
            'drift' => $film['drift'],
        ];
    });
    expect($answers[0]['sum'])
        ->not->toBe($answers[1]['sum'])
        ->and($answers[0]['length'])
        ->not->toBe($answers[1]['length'])
        ->and(array_intersect($answers[0]['pictures'], $answers[1]['pictures']))
        ->toBe([])
        ->and(array_column($answers->all(), 'drift'))
        ->not->toContain(41.28671)
        ->and(array_intersect_assoc($answers[0]['json']['stations'], $answers[1]['json']['stations']))
        ->toBe([])
        ->and($answers[0]['json']['stance'])
        ->not->toBe($answers[1]['json']['stance']);
    // The picture of impact stands where the clock says impact is.
    foreach ($answers as $i => $a) {
        $film = collect($a['json']['films'])->firstWhere('view', $view);
        $rendition = Rendition::query()->where('sitting_case_id', $both[$i]->sitting_case_id)->sole();
        $original = $recording->films->firstWhere('view', $view);
        $true = $original->stills['IM'] - $rendition->films[$view]['first'];
        $said = ($a['json']['stations']['IM'] - $film['offset']) * $film['rate'];
        expect(abs($said - $true))->toBeLessThan(1.5);
    }
});

it('tells whoever plans which swings would be known again by what stands beside them', function () {
    $ids = alike(22);
    $head = $this->headCoach();
    $round = app(PlanRound::class)(
        'Told', SittingKind::Panel, $ids, [$this->person('odile')->id], 'both', $head,
        repeats: array_slice($ids, 0, 2), waits: false,
    );
    $says = 'have nothing like them in this round';
    $page = fn (): string => $this->actingAs($head)->get("/rounds/$round->public_id")->assertOk()->getContent();
    expect($page())->not->toContain('Shown twice, and known again');
    // Each fact alone is enough, of one of the two and then of both.
    $twice = $round->cases()->where('occasion', 2)->with('recording')->orderBy('id')->get()->pluck('recording');
    $twice[0]->update(['club' => '7-iron']);
    expect($page())->toContain('One of the 2 swings shown twice has nothing like it')->toContain('7-iron');
    $twice[1]->update(['shape' => 'draw']);
    expect($page())->toContain("2 of the 2 swings shown twice $says");
    $twice[1]->update(['shape' => $twice[0]->shape]);
    expect($page())->toContain('One of the 2 swings shown twice');
    // One that begins at address is seen to do so, wherever it stands.
    $twice[1]->update(['t0' => $twice[1]->load('stations')->stationTimes()->t(Core\Motion\Station::Address) - 0.1]);
    expect($page())->toContain("2 of the 2 swings shown twice $says");
    // Another swing of the same kind hides it.
    $other = Recording::query()->whereKey(array_diff($ids, $twice->pluck('id')->all()))->firstOrFail();
    $other->update(['club' => '7-iron']);
    expect($page())->toContain('One of the 2 swings')->not->toContain('7-iron.');
    // Where nothing can be changed any more nothing is told of it.
    app(OpenRound::class)($round, $head);
    expect($page())->not->toContain('Shown twice, and known again');
});

it('shows a head coach who is to read what another one planned no swing twice', function () {
    $head = $this->headCoach();
    $reader = $this->person('odile');
    $reader->forceFill(['role' => 'head-coach', 'on_panel' => true])->save();
    $ids = alike(22);
    $round = app(PlanRound::class)(
        'Both', SittingKind::Panel, $ids, [$reader->id], 'both', $head,
        repeats: [$ids[0], $ids[1]], waits: false,
    );
    Recording::query()->whereKey($ids[0])->update(['club' => '7-iron']);
    $cases = function (User $who) use ($round): array {
        app(Onlookers::class)->forget();
        $page = $this->actingAs($who)->get("/rounds/$round->public_id")->assertOk()->getContent();

        return [substr_count($page, ', 7-iron</a>'), substr_count($page, '/bench/'), str_contains($page, 'known again')];
    };
    expect($cases($head))->toBe([2, 24, true])->and($cases($reader))->toBe([1, 22, false]);
    app(OpenRound::class)($round, $head);
    // Once it is open nothing of it is told to who has still to read it.
    expect($cases($head))->toBe([2, 24, false])->and($cases($reader))->toBe([0, 0, false]);
});
