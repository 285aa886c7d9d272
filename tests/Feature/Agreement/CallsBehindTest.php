<?php

use App\Agreement\KeptFigures;
use App\Agreement\Pages\AdviceBehind;
use App\Agreement\Pages\CallsBehind;
use App\Agreement\Pages\CasePage;
use App\Agreement\Pages\PairBehind;
use App\Agreement\Pages\TimesBehind;
use App\Codebook\Codebooks;
use App\Models\Reading;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use Illuminate\Support\Facades\DB;

it('opens each fault’s figures to the calls they were made from: the counts are the map’s', function () {
    $round = $this->round('Spring');
    $map = KeptFigures::ofRound($round)->map();
    $names = $round->members()->pluck('name', 'users.id');
    $all = 0;
    foreach (array_keys(app(Codebooks::class)->of($round)->faults) as $fault) {
        $page = app(CallsBehind::class)->ofFault($round, $fault, $this->headCoach());
        $by = array_combine($page['readers'], $page['counts']);
        foreach ($map as $rater => $of) {
            [$tp, $fn, $fp, $tn] = $of[$fault] ?? [0, 0, 0, 0];
            $n = $tp + $fn + $fp + $tn;
            expect($by[$names[(int) substr($rater, 1)]])->toBe($n === 0 ? '–' : ($tp + $tn)."/$n", "$rater on $fault");
            $all += $n;
        }
    }
    expect($all)->toBeGreaterThan(500);
});

it('shows of a case who saw what, beside key and ball, and where to look next', function () {
    $round = $this->round('Spring');
    $case = $round->cases()->orderBy('id')->with('recording.golfer')->firstOrFail();
    $page = app(CasePage::class)->of($round, $case, $this->headCoach());
    $readings = Reading::query()
        ->where('sitting_case_id', $case->id)
        ->where('stage', 'blind')
        ->with(['calls', 'user'])
        ->get();
    expect($page['readers'])->toBe($readings->pluck('user.name')->sort()->values()->all());
    foreach ($page['rows'] as $row) {
        $fault = collect(app(Codebooks::class)->of($round)->faults)->search(fn ($f) => $f->name === $row['name']);
        foreach ($page['readers'] as $i => $name) {
            $call = $readings->firstWhere('user.name', $name)->calls->firstWhere('fault', $fault);
            expect($row['cells'][$i]->presence)->toBe($call->presence->value);
        }
    }
    // What is only named nobody called, and the key does not have it.
    expect(count($page['rows']) + count($page['others']))->toBe(count(app(Codebooks::class)->of($round)->faults));
    $this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}/cases/{$case->id}")->assertOk()
        ->assertSee($case->recording->called())
        ->assertSee('First causes')
        ->assertSee('the next case')
        ->assertSee('Warm up');
    $this->get("/agreement/{$round->public_id}?part=faults")->assertSee("/agreement/{$round->public_id}/faults/hang-back");
});

it('does not count what could not be seen, whom the answer was shown, and who made the key', function () {
    $round = $this->round('Spring');
    foreach (['readings', 'calls'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $case = $round->cases()->orderBy('id')->firstOrFail();
    [$first, $second] = Reading::query()->where('sitting_case_id', $case->id)->where('stage', 'blind')
        ->with('user')->get()->sortBy('user.name')->values();
    DB::table('readings')->where('id', $first->id)->update(['exposed' => true]);
    DB::table('seats')->insert(['sitting_id' => $round->keyVersion->sitting_id, 'user_id' => $second->user_id]);
    $page = app(CasePage::class)->of($round->refresh(), $case, $this->headCoach());
    foreach ($page['rows'] as $row) {
        expect($row['cells'][0]->right)->toBeNull()
            ->and($row['cells'][0]->note)->toContain('shown the answer')
            ->and($row['cells'][1]->right)->toBeNull()
            ->and($row['cells'][1]->note)->toContain('helped to make the key');
    }
    expect(array_slice($page['counts'], 0, 2))->toBe(['–', '–']);
});

it('shows no case that is taken out, hidden, or another round’s, and is the head coach’s alone', function () {
    $round = $this->round('Spring');
    $case = $round->cases()->orderBy('id')->with('recording.golfer')->firstOrFail();
    $url = "/agreement/{$round->public_id}/cases/{$case->id}";
    foreach (['tam', 'odile'] as $who) {
        $this->actingAs($this->person($who))->get($url)->assertNotFound();
        $this->get("/agreement/{$round->public_id}/faults/hang-back")->assertNotFound();
    }
    $this->actingAs($this->headCoach())->get($url)->assertOk();
    $other = SittingCase::query()->where('sitting_id', '<>', $round->id)->firstOrFail();
    $this->get("/agreement/{$round->public_id}/cases/{$other->id}")->assertNotFound();
    $this->get("/agreement/{$round->public_id}/cases/999999999999999")->assertNotFound();
    $this->get("/agreement/{$round->public_id}/faults/nothing-of-it")->assertNotFound();
    $case->recording->golfer->consents()->update(['withdrawn_at' => now()]);
    app(Onlookers::class)->forget();
    $this->get($url)->assertNotFound();
    $this->get("/agreement/{$round->public_id}/faults/hang-back")->assertOk()->assertDontSee($case->recording->called());
});

it('opens every pair’s figure to the calls in which they differ', function () {
    $round = $this->round('Spring');
    $pages = app(PairBehind::class);
    $pairs = KeptFigures::ofRound($round)->item()->pairs;
    foreach ($pairs as $pair) {
        [$a, $b] = array_map(static fn (string $rater): User => User::query()->findOrFail((int) substr($rater, 1)),
            [$pair->a, $pair->b]);
        $page = $pages->of($round, $a, $b, $this->headCoach());
        expect($page['n'])->toBe($pair->n)
            ->and(1.0 - $page['apart'] / $page['n'])->toEqualWithDelta($pair->agreement, 1e-12)
            ->and($page['rows'])->toHaveCount(min(40, $page['apart']));
        foreach ($page['rows'] as $row) {
            expect($row['one'])->not->toBe($row['other'])
                ->and([$row['one'], $row['other']])->not->toContain('cannot-tell');
        }
    }
    expect(count($pairs))->toBeGreaterThan(5);
    $at = "/agreement/{$round->public_id}/pairs";
    [$a, $b] = [substr($pairs[0]->a, 1), substr($pairs[0]->b, 1)];
    $this->actingAs($this->headCoach())->get("$at/$a/$b")->assertOk()->assertSee('calls both made');
    // Nobody is a pair with themselves, or with somebody who was not there.
    $this->get("$at/$a/$a")->assertNotFound();
    $this->get("$at/$a/".$this->headCoach()->id)->assertNotFound();
    $this->actingAs(User::query()->findOrFail((int) $a))->get("$at/$a/$b")->assertNotFound();
});

it('opens the times to the marks they were made from', function () {
    $round = $this->round('Spring');
    foreach (KeptFigures::ofRound($round)->times() as $times) {
        $page = app(TimesBehind::class)->of($round, $times->station, $this->headCoach());
        foreach ($times->people as $person) {
            $name = User::query()->findOrFail((int) substr($person->rater, 1))->name;
            $i = array_search($name, $page['readers'], true);
            $own = array_filter(
                array_column(array_column($page['rows'], 'cells'), $i),
                static fn (string $c): bool => $c !== '–',
            );
            $ms = array_map(static fn (string $c): float => (float) str_replace(['−', '+'], ['-', ''], $c), $own);
            expect($ms)->toHaveCount($person->n)
                // Written to the millisecond.
                ->and(array_sum($ms) / count($ms))->toEqualWithDelta($person->figures['bias']->estimate, 0.51);
        }
    }
    $at = "/agreement/{$round->public_id}/times";
    $this->actingAs($this->headCoach())->get("$at/IM")->assertOk()->assertSee('Milliseconds');
    $this->get("$at/AD")->assertNotFound();
    $this->actingAs($this->person('tam'))->get("$at/IM")->assertNotFound();
});

it('opens what one would do to the sheets it was made from', function () {
    $round = $this->round('Spring');
    // Nothing is not the same as none.
    $same = static function (?float $here, ?float $kept, float $within, string $what): void {
        expect($here === null)->toBe($kept === null, $what)
            ->and($here ?? 0.0)->toEqualWithDelta($kept ?? 0.0, $within, $what);
    };
    foreach (KeptFigures::ofRound($round)->advice()->beside as $person) {
        $user = User::query()->findOrFail((int) substr($person->rater, 1));
        $page = app(AdviceBehind::class)->of($round, $user, $this->headCoach());
        expect($page['rows'])->toHaveCount($person->n);
        $column = static function (string $head) use ($page): array {
            $i = array_search($head, $page['heads'], true);

            return $i === false ? [] : array_values(array_filter(array_column(array_column(array_column($page['rows'], 'cells'), $i),
                'counts'), static fn (string $c): bool => $c !== ''));
        };
        foreach (['First causes' => 'causes', 'What leads to what' => 'chain'] as $head => $figure) {
            $shares = array_map(static fn (string $c): float => (float) $c / 100, $column($head));
            $same(
                $shares === [] ? null : array_sum($shares) / count($shares),
                $person->figures[$figure]->estimate,
                0.006,
                "$user->name $figure",
            );
        }
        foreach (['Work on first' => 'priority', 'Now, later or leave' => 'decision'] as $head => $figure) {
            $of = array_map(static fn (string $c): array => sscanf($c, '%d of %d'), $column($head));
            $all = array_sum(array_column($of, 1));
            $same($all === 0 ? null : array_sum(array_column($of, 0)) / $all, $person->figures[$figure]->estimate, 1e-12,
                "$user->name $figure");
        }
        $drills = $column('Drill');
        $share = static fn (string $would): ?float => $drills === [] ? null
            : count(array_filter($drills, static fn (string $d): bool => $d === $would)) / count($drills);
        foreach (['helps' => 'would help', 'harms' => 'would do harm', 'unsafe' => 'unsafe'] as $figure => $would) {
            $same($share($would), $person->figures[$figure]->estimate, 1e-12, "$user->name $figure");
        }
    }
    $page = $this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}?part=advice")->assertOk();
    foreach ($round->cases()->where('occasion', 1)->get() as $case) {
        $page->assertSee("/agreement/{$round->public_id}/cases/{$case->id}\"", false);
    }
    $at = "/agreement/{$round->public_id}/people/{$this->person('tam')->id}/advice";
    $this->actingAs($this->headCoach())->get($at)->assertOk()->assertSee('First causes')->assertSee('Warm up');
    $this->actingAs($this->person('tam'))->get($at)->assertNotFound();
});
