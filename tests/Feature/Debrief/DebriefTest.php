<?php

use App\Debrief\Debrief;
use App\Debrief\Pages\DebriefPage;
use App\Models\Call;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Sight\Onlookers;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;

it('is the head coach’s alone, of published staff rounds alone', function () {
    $spring = $this->round('Spring');
    foreach (['tam', 'odile'] as $who) {
        foreach (['/debrief', "/debrief/{$spring->public_id}", "/debrief/{$spring->public_id}/1"] as $path) {
            expect($this->actingAs($this->person($who))->get($path)->status())->toBe($path === '/debrief' ? 403 : 404);
        }
    }
    $head = $this->headCoach();
    $this->actingAs($head)->get('/debrief')->assertRedirect("/debrief/{$spring->public_id}");
    $this->actingAs($head)->get("/debrief/{$spring->public_id}")->assertRedirect("/debrief/{$spring->public_id}/1");
    $this->actingAs($head)->get("/debrief/{$spring->public_id}/1")->assertOk();
    $this->actingAs($head)->get("/debrief/{$spring->public_id}/99")->assertNotFound();
    foreach (['Winter', 'Autumn'] as $name) {
        $this->actingAs($head)->get('/debrief/'.$this->round($name)->public_id.'/1')->assertNotFound();
    }
});

it('orders cases and faults by what there is to talk about', function () {
    $round = $this->round('Spring');
    $order = app(Debrief::class)->order($round, $this->headCoach());
    $weights = array_column($order, 'weight');
    $sorted = $weights;
    rsort($sorted);
    expect($weights)->toBe($sorted)->and(count($order))->toBe($round->cases()->count());
    $said = app(Debrief::class)->of($round, app(Debrief::class)->case($round, $order[0]['place']));
    $faults = array_column($said['faults'], 'weight');
    $sorted = $faults;
    rsort($sorted);
    expect($faults)->toBe($sorted)->and($said['faults'][0]['key'])->toBe($order[0]['fault']);
    // In the last case one fault is made a matter of dispute and all agree on the other.
    $case = app(Debrief::class)->case($round, end($order)['place']);
    $readings = $case->readings->pluck('id');
    DB::statement('alter table calls disable trigger user');
    DB::statement('alter table key_entries disable trigger user');
    Call::query()->whereIn('reading_id', $readings)->delete();
    foreach ($readings as $i => $id) {
        Call::query()->create([
            'reading_id' => $id,
            'fault' => 'fall-off',
            'confidence' => 70,
            ...$i % 2
                ? ['presence' => 'present', 'severity' => 1, 'onset' => 'FI', 'decision' => 'later']
                : ['presence' => 'absent'],
        ]);
        Call::query()->create(['reading_id' => $id, 'fault' => 'sway', 'confidence' => 70, 'presence' => 'absent']);
    }
    KeyEntry::query()
        ->where('case_id', $case->case_id)
        ->where('fault', 'fall-off')
        ->update(['label' => 'none', 'grade' => 'contested', 'ruling' => null]);
    expect(app(Debrief::class)->of($round, app(Debrief::class)->case($round, $case->id))['faults'][0])->toMatchArray([
        'key' => 'fall-off',
        'truth' => null,
        'unsure' => 0,
    ]);
});

it('says what each said by letters that differ from case to case and stay on reloading', function () {
    $round = $this->round('Spring');
    $debrief = app(Debrief::class);
    $turns = collect($debrief->order($round, $this->headCoach()));
    $letters = $turns->map(function (array $o) use ($debrief, $round): array {
        $case = $debrief->case($round, $o['place']);
        $people = $debrief->of($round, $case)['people'];
        expect(array_column($people, 'letter'))->toBe(array_map(chr(...), range(65, 64 + count($people))))
            ->and($debrief->of($round, $case)['people'])->toEqual($people);

        return array_column($people, 'letter', 'name');
    });
    expect($letters->unique(fn (array $l): string => (string) json_encode($l))->count())->toBeGreaterThan(1);
    $case = $debrief->case($round, $debrief->order($round, $this->headCoach())[0]['place']);
    $said = $debrief->of($round, $case);
    $fault = $said['faults'][0];
    expect($fault['present'] + $fault['absent'] + $fault['unsure'])->toBe(count($fault['calls']));
    $one = $case->readings->first();
    $mine = collect($said['people'])->firstWhere('name', $one->user->name)['letter'];
    expect(collect($fault['calls'])->firstWhere('letter', $mine)['presence'])->toBe(
        $one->calls->firstWhere('fault', $fault['key'])->presence->value,
    );
});

it('shows drawings, own marks, cues and pins with their reasons, escaped', function () {
    $round = $this->round('Spring');
    $debrief = app(Debrief::class);
    $case = $debrief->case($round, $debrief->order($round, $this->headCoach())[0]['place']);
    $reading = $case->readings->first();
    DB::statement('alter table readings disable trigger user');
    DB::statement('alter table calls disable trigger user');
    Reading::query()
        ->whereKey($reading->id)
        ->update([
            'cue' => 'Turn <b>quietly</b>',
            'aids' => '[{"kind":"plumb","view":"face-on","points":[{"x":0.4,"y":0.9,"t":0.8}]}]',
            'marks' => '{"TP":1.6,"IM":1.9}',
        ]);
    Call::query()
        ->where('reading_id', $reading->id)
        ->where('fault', 'sway')
        ->update([
            'presence' => 'present',
            'severity' => 2,
            'pins' => '[{"on":"film","t":1.25,"reason":"hip </script> past the foot"}]',
        ]);
    $page = $this->actingAs($this->headCoach())
        ->get("/debrief/{$round->public_id}/1")
        ->assertOk();
    $page
        ->assertSee('Turn <b>quietly</b>')
        ->assertDontSee('Turn <b>quietly</b>', false)
        ->assertSee('hip </script> past the foot')
        ->assertDontSee('hip </script>', false)
        ->assertSee('drawn by')
        ->assertSee('Top and impact, as each marked them')
        ->assertSee('data-go="1.25"', false);
});

it('leaves out whom the consent has ended for, and says where nothing can be shown', function () {
    $round = $this->round('Spring');
    $debrief = app(Debrief::class);
    $before = count($debrief->order($round, $this->headCoach()));
    $gone = $round->cases()->with('recording.golfer')->orderBy('id')->get()->groupBy('recording.golfer_id')->first();
    $gone[0]->recording->golfer->consents()->update(['withdrawn_at' => now()]);
    app(Onlookers::class)->forget();
    expect($debrief->order($round, $this->headCoach()))->toHaveCount($before - $gone->count());
    foreach ($round->cases()->with('recording.golfer')->get() as $case) {
        $case->recording->golfer->consents()->update(['withdrawn_at' => now()]);
    }
    $this->actingAs($this->headCoach())
        ->get("/debrief/{$round->public_id}/1")
        ->assertOk()
        ->assertSee('No case of this round can be shown');
});

it('has an empty place where no round is published', function () {
    DB::statement('alter table sittings disable trigger user');
    Sitting::query()
        ->where('kind', SittingKind::Round)
        ->update(['state' => 'closed']);
    $this->actingAs($this->headCoach())
        ->get('/debrief')
        ->assertOk()
        ->assertSee('When a staff round has been published');
});

it('counts in the database what it would count call by call', function () {
    $round = $this->round('Spring');
    $debrief = app(Debrief::class);
    $kept = $debrief->order($round, $this->headCoach());
    foreach ($kept as $turn) {
        $faults = $debrief->of($round, $debrief->case($round, $turn['place']))['faults'];
        expect($turn['weight'])
            ->toEqualWithDelta(array_sum(array_column($faults, 'weight')), 0.002)
            ->and($turn['fault'])
            ->toBe($faults[0]['weight'] > 0.0 ? $faults[0]['key'] : null);
    }
    // What a release before did not keep is counted on the way.
    $round->result()->sole()->parts()->where('part', 'talk')->delete();
    expect($debrief->order($round, $this->headCoach()))->toEqual($kept);
});

it('shows a film to a room only where the golfer has agreed to that', function () {
    $round = $this->round('Spring');
    $this->actingAs($this->headCoach());
    $page = $this->get("/debrief/$round->public_id/1")->assertOk()->assertDontSee('Its film is not shown');
    preg_match('#data-evidence="([^"]+)"#', $page->getContent(), $m);
    $order = app(App\Debrief\Debrief::class)->order($round, $this->headCoach());
    $recording = App\Models\SittingCase::query()->findOrFail($order[0]['place'])->recording;
    App\Models\Film::query()->where('recording_id', $recording->id)->delete();
    Illuminate\Support\Facades\DB::table('films')->insert(['public_id' => str_repeat('f', 26),
        'recording_id' => $recording->id, 'view' => 'face-on', 'name' => 'x.mp4', 'bytes' => 9, 'state' => 'ready',
        'received' => 9, 'rate_hz' => 120, 'frames' => 240, 'width' => 640, 'height' => 480, 'stills' => '{}',
        'taken' => 'x',
        'checksum' => str_repeat('0', 64),
        'created_at' => now(), 'updated_at' => now()]);
    expect($this->getJson($m[1])->assertOk()->json('films'))->toHaveCount(1);
    $recording->golfer->consents()->where('scope', 'debrief-film')->update(['withdrawn_at' => now()]);
    $this->get("/debrief/$round->public_id/1")->assertSee('Its film is not shown');
    $evidence = $this->getJson($m[1])->assertOk();
    expect($evidence->json('films'))->toBe([])->and($evidence->json('trace'))->not->toBeNull();
    // On the Bench it is a lesson's.
    expect($this->getJson("/bench/$recording->public_id/evidence")->json('films'))->toHaveCount(1);
    $this->getJson(str_replace('/1/evidence/1', '/1/evidence/2', $m[1]))->assertNotFound();
    $this->getJson(str_replace('/1/evidence/1', '/999/evidence/1', $m[1]))->assertNotFound();
    $this->actingAs($this->person('tam'))->getJson($m[1])->assertNotFound();
});

it('takes what the panel left open for a debrief beside what there is most to talk about', function () {
    expect(array_keys(DebriefPage::picked([0, 0, 0, 0, 0, 0, 0])))->toBe([0, 1, 2, 3, 4])
        ->and(array_keys(DebriefPage::picked([0, 0, 0, 0, 0, 0, 2, 1])))->toBe([0, 1, 2, 3, 4, 6, 7])
        ->and(array_keys(DebriefPage::picked([1, 0, 0, 0, 0, 2, 2, 2, 2, 9])))->toBe([0, 1, 2, 3, 4, 9, 5, 6, 7, 8]);
    $round = $this->round('Spring');
    DB::statement('alter table key_entries disable trigger user');
    $entries = DB::table('key_entries')->where('key_version_id', $round->key_version_id);
    (clone $entries)->where('grade', 'contested')->update(['grade' => 'panel only', 'label' => 'absent']);
    $page = fn () => $this->actingAs($this->headCoach())->get("/debrief/{$round->public_id}/1")->assertOk();
    expect(implode('', array_column($page()->viewData('order'), 'contested')))->toBe('');
    $place = $round->cases()->where('occasion', 1)->orderBy('id')->firstOrFail();
    (clone $entries)->where('fault', 'hang-back')->where('case_id', $place->case_id)
        ->update(['grade' => 'contested', 'label' => 'none', 'ruling' => null, 'present' => 2, 'absent' => 0,
            'cannot_tell' => 3]);
    // Where too few could tell there is nothing to talk out.
    expect(implode('', array_column($page()->viewData('order'), 'contested')))->toBe('');
    (clone $entries)->where('fault', 'hang-back')->where('case_id', $place->case_id)->update(['absent' => 2]);
    $order = array_column(
        $page()->assertSee('the panel does not agree on hanging back')->viewData('order'),
        null,
        'place',
    );
    expect($order[$place->id]['contested'])->toBe('hanging back')->and($order[$place->id]['picked'])->toBeTrue();
});
