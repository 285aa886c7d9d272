<?php

use App\Exceptions\ActionException;
use App\Models\ContrastSet;
use App\Models\Exposure;
use App\Models\MadeSwing;
use App\Models\PracticeSitting;
use App\Models\Recording;
use App\Models\User;
use App\Models\Work;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\AskContrast;
use App\Practice\Actions\BeginPractice;
use App\Practice\Actions\MakeContrast;
use App\Practice\Actions\StockPractice;
use App\Practice\Modes;
use App\Practice\PersonSkills;
use App\Works\Jobs\DoWork;
use App\Works\Progress;
use Core\Codebook\StandardLenses;
use Core\Codebook\SwingReport;
use Core\Motion\Handedness;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet as Spec;
use Core\Trace\DeviceClass;
use Core\Training\Mode;
use Core\Training\Question;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

beforeEach(fn () => Queue::fake([DoWork::class]));

/** @return list<Question> */
function questionsOf(User $user, Mode $mode, ?string $fault = null): array
{
    app()->forgetScopedInstances();

    return app(Modes::class)->of($mode)->questions($user, $fault);
}

/** Every work that waits is done, as the queue would. */
function makeWhatWaits(): void
{
    foreach (Work::query()->where('kind', 'contrast')->where('state', 'waiting')->pluck('id') as $id) {
        app()->call([new DoWork($id), 'handle']);
    }
}

/** A set that is made at once. */
function madeSet(
    ContrastKind $kind,
    string $fault,
    ?string $other = null,
    ?string $mishap = null,
    DeviceClass $device = DeviceClass::DualPlate,
): ContrastSet {
    $set = app(AskContrast::class)->written(
        new Spec($kind, $fault, $other, $mishap, $device, Handedness::Right, StandardLenses::DEFAULT, 0),
        User::query()->firstOrFail(),
    );
    app(MakeContrast::class)->carryOut($set, Progress::untold());

    return $set->refresh();
}

/** As an academy is that has no round yet. */
function withoutRounds(): void
{
    DB::table('practice_answers')->delete();
    DB::table('sittings')->where('kind', 'round')->where('state', 'published')->update(['kind' => 'test']);
}

it('makes a set that was asked for in the queue, once, and shows its swings and what tells them apart', function () {
    $form = [
        'kind' => 'fault',
        'fault' => 'sway',
        'device' => 'mat',
        'hand' => 'left',
        'lens' => StandardLenses::DEFAULT,
    ];
    $at = $this->actingAs($this->person('tam'))->post('/contrast', $form)->assertRedirect()->headers->get('Location');
    $set = ContrastSet::query()->latest('id')->firstOrFail();
    expect($at)->toEndWith("/contrast/$set->public_id")->and($set->made_at)->toBeNull();
    $this->get($at)->assertOk()->assertSee('being made')->assertSee('data-waits', false);
    $this->getJson("$at/0/evidence")->assertNotFound();
    // Asked for again, by another: the same set and the same work.
    $this->actingAs($this->person('ines'))->post('/contrast', $form)->assertRedirect($at);
    expect(Work::query()->where('contrast_set_id', $set->id)->count())->toBe(1);
    $before = MadeSwing::query()->count();
    makeWhatWaits();
    expect($set->fresh()->made_at)->not->toBeNull()
        ->and(MadeSwing::query()->count())->toBe($before + 4)
        ->and(Work::query()->where('contrast_set_id', $set->id)->value('state')->value)->toBe('done');
    $page = $this->get($at)->assertOk()->assertSee('simulated swing')->assertSee('dominant');
    expect($page->viewData('tells'))->toContain('pelvis sway')
        ->and(array_map(fn (array $s): string => $s['verdicts'][0]['said'], $page->viewData('swings')))
        ->toBe(['contradicted', 'borderline', 'supported', 'supported']);
    foreach ([0, 1, 2, 3] as $place) {
        $this->getJson("$at/$place/evidence")->assertOk()->assertJsonPath('simulated', true)->assertJsonPath('hand', 'left')
            ->assertJsonStructure(['trace' => ['share'], 'motion' => ['points'], 'stations' => ['AD', 'TP', 'IM']]);
    }
    $this->getJson("$at/4/evidence")->assertNotFound();
    // Another set that shares swings with it makes only what is new.
    $this->post('/contrast', [...$form, 'kind' => 'alike', 'other' => 'outer-edge'])->assertRedirect();
    makeWhatWaits();
    expect(MadeSwing::query()->count())->toBe($before + 6);
});

it('keeps of a made swing what it was made of, to what is held of a sample', function () {
    $spec = madeSet(ContrastKind::Fault, 'hang-back')->spec()->swings()['clear'];
    $made = MadeSwing::query()->where('key', $spec->key())->firstOrFail();
    $kept = $made->evidence();
    $fresh = $spec->evidence();
    expect($made->spec())->toEqual($spec)->and($kept->stance)->toEqual($fresh->stance);
    foreach ($fresh->trace->channels as $name => $samples) {
        foreach ($samples as $i => $v) {
            expect($kept->trace->channels[$name][$i])->toEqualWithDelta($v, 1e-4 + 1e-6 * abs($v));
        }
    }
    $codebook = app(App\Codebook\Codebooks::class)->current(StandardLenses::DEFAULT, $spec->club());
    $said = (new SwingReport($fresh))->faults($codebook);
    foreach ($made->basis()->faults($codebook) as $fault => $verdict) {
        expect($verdict->said())->toBe($said[$fault]->said(), $fault);
    }
});

it('refuses in one sentence what cannot be made, and keeps nothing', function (array $wrong, string $field) {
    $count = ContrastSet::query()->count();
    $this->actingAs($this->person('tam'))->from('/contrast')->post('/contrast', [
        'kind' => 'fault', 'fault' => 'sway', 'device' => 'mat', 'hand' => 'right', 'lens' => StandardLenses::DEFAULT,
        ...$wrong,
    ])->assertRedirect('/contrast')->assertSessionHasErrors($field);
    expect(ContrastSet::query()->count())->toBe($count);
})->with([
    [['kind' => 'everything'], 'kind'],
    [['fault' => 'nothing-known'], 'fault'],
    [['fault' => ['sway']], 'fault'],
    [['fault' => 'lead-leg-leave'], 'fault'],
    [['kind' => 'alike'], 'other'],
    [['kind' => 'alike', 'other' => 'sway'], 'other'],
    [['kind' => 'artefact'], 'mishap'],
    [['kind' => 'artefact', 'mishap' => 'plates-exchanged'], 'mishap'],
    [['kind' => 'artefact', 'mishap' => 'hum'], 'mishap'],
    [['device' => 'camera'], 'device'],
    [['hand' => 'both'], 'hand'],
    [['lens' => '../../etc'], 'lens'],
    [['body' => '-1'], 'body'],
    [['body' => '99999999999999999999'], 'body'],
]);

it('is asked for only so often by one person in a day', function () {
    $tam = $this->person('tam');
    DB::table('contrast_sets')->insert(array_map(static fn (int $i): array => [
        'public_id' => str_pad((string) $i, 26, '0', STR_PAD_LEFT), 'key' => hash('sha256', "$i"), 'kind' => 'fault',
        'fault' => 'sway', 'device' => 'mat', 'hand' => 'right', 'lens' => StandardLenses::DEFAULT, 'body' => 0,
        'asked_by' => $tam->id,
    ], range(1, 60)));
    $spec = new Spec(
        ContrastKind::Fault, 'slide', null, null, DeviceClass::Mat, Handedness::Right, StandardLenses::DEFAULT, 0,
    );
    expect(fn () => app(AskContrast::class)($spec, $tam))->toThrow(ActionException::class, 'tomorrow');
    // Practice goes on with what there is.
    expect(app(StockPractice::class)->ask($tam, Mode::Fault, 'slide'))->toBe(0);
    // The day after it may be asked again, and by others all along.
    app(AskContrast::class)($spec, $this->person('ines'));
    $this->travel(25)->hours();
    expect(app(AskContrast::class)($spec, $tam)->fault)->toBe('slide');
});

it('lets an academy without any round train: what it has not is made, and then it is asked', function () {
    withoutRounds();
    ContrastSet::query()->delete();
    $tam = $this->person('tam');
    expect(questionsOf($tam, Mode::Fault))->toBe([]);
    $this->actingAs($tam)->get('/practice')->assertOk()->assertSee('simulated swings');
    $this->from('/practice')->post('/practice', ['fault' => 'fall-off'])->assertRedirect('/practice');
    $this->get('/practice')->assertSee('are being made');
    makeWhatWaits();
    $this->get('/practice')->assertDontSee('are being made for you');
    $this->post('/practice', ['fault' => 'fall-off'])->assertRedirect();
    $sitting = PracticeSitting::query()->where('user_id', $tam->id)->latest('id')->firstOrFail();
    $told = [];
    for ($place = 1; $sitting->fresh()->ended_at === null; $place++) {
        $answer = $sitting->answers()->where('place', $place)->with('made')->firstOrFail();
        $there = isset($answer->made->spec['faults']['fall-off']);
        $at = "/practice/$sitting->public_id/$place";
        $this->get($at)->assertOk()->assertSee('simulated swing')->assertDontSee('put in');
        $this->getJson("$at/evidence")->assertOk()->assertJsonPath('simulated', true);
        $this->getJson("$at/other/{$answer->made_swing_id}")->assertNotFound();
        $this->post($at, ['said' => $there ? 'present' : 'absent'])->assertRedirect($at);
        expect($answer->fresh()->right)->toBeTrue();
        $page = $this->get($at)->assertSee($there ? 'was put in' : 'was not put in');
        // The others of its set stand beside it, and nothing else.
        $others = array_slice(array_column($page->viewData('swings'), 'url'), 1);
        expect($others)->toHaveCount(3);
        foreach ($others as $url) {
            $this->getJson($url)->assertOk();
        }
        $told[$there] = true;
    }
    // They go along with what one takes away, whatever waits to be read.
    $own = $this->getJson('/own/data')->assertOk()->json('practice');
    expect(array_filter(array_column($own, 'simulated')))->toHaveCount(8);
    expect($told)->toHaveCount(2)->and(Exposure::query()->where('user_id', $tam->id)->whereNull('sitting_id')
        ->where('shown_at', '>', now()->subMinute())->count())->toBe(0)
        ->and(app(PersonSkills::class)->of($tam)['fall-off']->answers)->toBe(8);
});

it('asks of made swings only where recorded ones are few, and never where what is true is open', function () {
    $tam = $this->person('tam');
    madeSet(ContrastKind::Alike, 'hang-back', 'thrown-back');
    $recorded = $made = [];
    foreach (questionsOf($tam, Mode::Fault) as $q) {
        if (str_starts_with($q->id, 'made ')) {
            $made["$q->fault|".(int) $q->present][] = $q;
        } else {
            $recorded["$q->fault|".(int) $q->present][] = $q;
        }
    }
    expect($made)->not->toBe([]);
    foreach ($made as $of => $questions) {
        expect(count($recorded[$of] ?? []))->toBeLessThan(3);
        foreach ($questions as $q) {
            $swing = MadeSwing::query()->findOrFail((int) substr($q->swing, 5));
            expect($swing->settled['lenses'][StandardLenses::DEFAULT][$q->fault])->toBe($q->present)
                ->and(isset($swing->spec['faults'][$q->fault]))->toBe($q->present);
        }
    }
});

it('asks who did it, and in which of two: the answer is what was made', function (Mode $mode) {
    $tam = $this->person('tam');
    if ($mode === Mode::Artefact) {
        madeSet(ContrastKind::Artefact, 'jump-off-trail', null, 'foot-off');
        madeSet(ContrastKind::Artefact, 'no-load', null, 'shares-exchanged', DeviceClass::Mat);
    } else {
        madeSet(ContrastKind::Speed, 'late-push');
    }
    app()->forgetScopedInstances();
    $sitting = app(BeginPractice::class)($tam, null, 10, $mode);
    $this->actingAs($tam);
    $seen = [];
    for ($place = 1; $sitting->fresh()->ended_at === null; $place++) {
        $asked = $sitting->answers()->where('place', $place)->with('made')->firstOrFail();
        $there = static fn (?MadeSwing $m): bool => isset($m->spec['faults'][$asked->fault]);
        $right = $mode === Mode::Artefact
            ? ($asked->made->spec['mishap'] === null ? 'golfer' : 'instrument')
            : [['neither', 'full'], ['easy', 'both']][(int) $there(MadeSwing::query()->find($asked->topic['easy']))][(int) $there($asked->made)];
        $at = "/practice/$sitting->public_id/$place";
        $page = $this->get($at)->assertOk()->assertSee('simulated swing');
        expect(count($page->viewData('swings')))->toBe($mode === Mode::Speed ? 2 : 0);
        foreach (array_slice($page->viewData('swings'), 1) as $other) {
            $this->getJson($other['url'])->assertOk();
        }
        foreach (['nonsense', 'present', '', '0'] as $wrong) {
            $this->post($at, ['said' => $wrong]);
            expect($asked->fresh()->said)->toBeNull();
        }
        $options = array_column($page->viewData('options'), 'value');
        $said = $options[$place % count($options)];
        $this->post($at, ['said' => $said])->assertRedirect($at);
        expect($asked->fresh()->right)->toBe($said === $right, "$mode->value $place");
        $truth = $this->get($at)->assertOk()->viewData('truth');
        expect($truth['lines'])->not->toBe([]);
        $seen[$right] = true;
    }
    expect(count($seen))->toBeGreaterThan(1);
})->with([[Mode::Artefact], [Mode::Speed]]);

it('asks a case whole: every call is held against the key and feeds what is known of its fault', function () {
    $tam = $this->person('tam');
    app()->forgetScopedInstances();
    $sitting = app(BeginPractice::class)($tam, null, 10, Mode::Whole);
    $this->actingAs($tam);
    $mode = app(Modes::class)->of(Mode::Whole);
    $kinds = [];
    for ($place = 1; $sitting->fresh()->ended_at === null; $place++) {
        $asked = $sitting->answers()->where('place', $place)->with(['made', 'entry'])->firstOrFail();
        $faults = $asked->topic['faults'];
        $options = $mode->options($asked);
        $at = "/practice/$sitting->public_id/$place";
        $this->get($at)->assertOk()->assertSee('data-whole', false)->assertDontSee('As you said');
        $n = count($faults);
        expect($n)->toBeGreaterThan(3)->toBeLessThan(9)->and(array_unique($faults))->toBe($faults);
        $cause = $options === [] ? '' : '|0';
        foreach ([
            str_repeat('P', $n - 1).$cause, str_repeat('P', $n + 1).$cause, str_repeat('X', $n).$cause,
            str_repeat('P', $n).($options === [] ? '|0' : ''), str_repeat('P', $n).'|9', str_repeat('P', $n)."|0\n",
            '|',
            str_repeat('P', $n).'|00',
        ] as $wrong) {
            expect(fn () => app(AnswerQuestion::class)($sitting, $place, $wrong, $tam))
                ->toThrow(ActionException::class, 'no answer');
        }
        $truth = array_map(fn (string $f): string => match (true) {
            $asked->made !== null => isset($asked->made->spec['faults'][$f]) ? 'P' : 'A',
            default => App\Models\KeyEntry::query()->where('key_version_id', $asked->entry->key_version_id)
                ->where('case_id', $asked->entry->case_id)
                ->where('fault', $f)
                ->sole()
                ->scoredLabel() === 'present' ? 'P' : 'A',
        }, $faults);
        // One call off is still well; two are not.
        foreach (range(0, $place % 3) as $off) {
            if ($off > 0) {
                $truth[$off - 1] = $truth[$off - 1] === 'P' ? 'C' : 'P';
            }
        }
        $before = app(PersonSkills::class)->of($tam)[$faults[0]]->answers;
        $this->post($at, ['said' => implode('', $truth).$cause])->assertRedirect($at);
        $calls = $asked->calls()->get();
        $wrong = $calls->where('right', false)->where('asks', 'fault')->count();
        expect($calls->where('asks', 'fault'))->toHaveCount($n)
            ->and($wrong)->toBe($place % 3)
            ->and($asked->fresh()->right)->toBe($calls->where('right', false)->count() <= 1);
        app()->forgetScopedInstances();
        expect(app(PersonSkills::class)->of($tam)[$faults[0]]->answers)->toBe($before + 1);
        $this->get($at)->assertOk()->assertSee('As you said');
        $kinds[$asked->made === null ? 'recorded' : 'made'] = true;
    }
    expect($kinds)->toHaveKey('recorded');
});

it('holds in the database what an answer and a set are', function () {
    madeSet(ContrastKind::Artefact, 'jump-off-trail', null, 'foot-off');
    madeSet(ContrastKind::Fault, 'sway');
    app()->forgetScopedInstances();
    $answer = app(BeginPractice::class)($this->person('tam'), null, 5, Mode::Artefact)->answers()->firstOrFail();
    $refused = fn (string $sql) => expect(fn () => DB::transaction(fn () => DB::statement($sql)))
        ->toThrow(Illuminate\Database\QueryException::class);
    $refused("update practice_answers set recording_id = (select min(id) from recordings) where id = $answer->id");
    $refused("update practice_answers set made_swing_id = null where id = $answer->id");
    $refused("update contrast_sets set other = 'sway' where kind = 'fault'");
    $refused("update contrast_sets set mishap = null where kind = 'artefact'");
    $refused('update made_swings set key = (select min(key) from made_swings)');
    $refused("insert into works (public_id, kind, state) values ('0', 'contrast', 'waiting')");
    // A golfer who is erased takes nothing of it along.
    expect(MadeSwing::query()->count())->toBeGreaterThan(0)->and(Recording::query()->count())->toBeGreaterThan(0);
});

it('makes more of what a person has answered much of, and of what is weakest first', function () {
    $ines = $this->person('ines');
    $stock = app(StockPractice::class);
    expect($stock->ask($ines, Mode::Alike, null))->toBe(3)->and($stock->beingMade($ines))->toBe(3);
    // While they are made the same is not asked for again; others are.
    $stock->ask($ines, Mode::Alike, null);
    $topics = ContrastSet::query()->where('kind', 'alike')->get()->map(fn (ContrastSet $s): string => "$s->fault $s->other");
    expect($topics->duplicates()->all())->toBe([]);
    expect($stock->ask($ines, Mode::Moment, null))->toBe($stock->beingMade($ines));
    $of = ContrastSet::query()->where('asked_by', $ines->id)->get();
    foreach ($of as $set) {
        expect($set->spec()->key())->toBe($set->key);
    }
});
