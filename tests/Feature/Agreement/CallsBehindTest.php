<?php

use App\Agreement\KeptFigures;
use App\Agreement\Pages\CallsBehind;
use App\Agreement\Pages\CasePage;
use App\Codebook\Codebooks;
use App\Models\Reading;
use App\Models\SittingCase;
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
    $readings = Reading::query()->where('sitting_case_id', $case->id)->where('stage', 'blind')->with(['calls', 'user'])->get();
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
