<?php

use App\Exceptions\ActionException;
use App\Models\Exposure;
use App\Models\KeyEntry;
use App\Models\MeasurementSet;
use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\Recording;
use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\BeginPractice;
use App\Practice\PersonSkills;
use App\Practice\PracticePool;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use App\Works\Jobs\DoWork;
use Core\Reading\Presence;
use Core\Sight\SittingKind;
use Core\Training\Question;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/** A practice sitting of somebody, with its first question. */
function practising(User $user, ?string $fault = null, int $questions = 5): PracticeSitting
{
    app()->forgetScopedInstances();

    return app(BeginPractice::class)($user, $fault, $questions);
}

/** What the key says of a question. */
function keyOf(PracticeAnswer $answer): Presence
{
    return Presence::from((string) $answer->entry()->firstOrFail()->scoredLabel());
}

/** @return array<string, mixed> what a person may be asked, by recording and fault */
function mayBeAsked(User $user): array
{
    app()->forgetScopedInstances();

    return collect(app(PracticePool::class)->of($user))
        ->mapWithKeys(fn (Question $q): array => ["$q->swing|$q->fault" => $q])->all();
}

it('asks, takes one answer by a person, tells the truth at once and puts the next question', function () {
    $tam = $this->person('tam');
    // Recorded swings alone: what is made for practice stands in tests of its own.
    Queue::fake([DoWork::class]);
    $this->actingAs($tam)->get('/practice')->assertOk()->assertSee('Where you stand');
    $first = $this->post('/practice')->assertRedirect();
    $sitting = PracticeSitting::query()->firstOrFail();
    $first->assertRedirect("/practice/$sitting->public_id/1");
    $answer = $sitting->answers()->firstOrFail();
    $page = $this->get("/practice/$sitting->public_id/1")->assertOk()->assertSee('Is it there?')->assertDontSee('The panel:');
    expect($page->viewData('truth'))->toBeNull();
    $this->getJson("/practice/$sitting->public_id/1/evidence")->assertOk()->assertJsonStructure(['trace', 'stations']);
    $truth = keyOf($answer);
    $this->post("/practice/$sitting->public_id/1", ['said' => $truth->value])
        ->assertRedirect("/practice/$sitting->public_id/1");
    $this->get("/practice/$sitting->public_id/1")->assertOk()->assertSee('Right: it is '.$truth->value)
        ->assertSee('The panel:')->assertDontSee('Is it there?');
    expect($answer->fresh()->right)->toBeTrue()->and($sitting->answers()->count())->toBe(2);
    // The second is answered wrongly.
    $second = $sitting->answers()->where('place', 2)->firstOrFail();
    $wrong = keyOf($second) === Presence::Present ? 'absent' : 'present';
    $this->post("/practice/$sitting->public_id/2", ['said' => $wrong]);
    $this->get("/practice/$sitting->public_id/2")->assertSee('You said '.$wrong);
    expect($second->recording_id)->not->toBe($answer->recording_id);
    foreach ([3, 4, 5, 6, 7, 8] as $place) {
        $this->post("/practice/$sitting->public_id/$place", ['said' => 'cannot-tell'])->assertRedirect();
    }
    expect($sitting->fresh()->ended_at)->not->toBeNull()->and($sitting->answers()->count())->toBe(8);
    $this->get('/practice')->assertSee('1 of 8 right');
});

it('takes an answer once: the same again is the same, another comes too late', function () {
    $tam = $this->person('tam');
    $sitting = practising($tam);
    $say = fn (Presence $p) => app(AnswerQuestion::class)($sitting, 1, $p->value, $tam);
    $say(Presence::Present);
    $say(Presence::Present);
    expect(fn () => $say(Presence::Absent))->toThrow(ActionException::class, 'first answer counts')
        ->and($sitting->answers()->count())->toBe(2)
        ->and(Exposure::query()->where('user_id', $tam->id)->whereNull('sitting_id')->count())->toBe(1);
    // Begun twice it is the same sitting; about another fault, another.
    expect(practising($tam)->id)->toBe($sitting->id)
        ->and(practising($tam, 'sway')->id)->not->toBe($sitting->id)
        ->and($sitting->fresh()->ended_at)->not->toBeNull();
    expect(fn () => DB::transaction(fn () => DB::table('practice_sittings')->insert([
        'public_id' => str_repeat('a', 26), 'user_id' => $tam->id, 'questions' => 5,
    ])))->toThrow(Illuminate\Database\QueryException::class, 'practice_sittings_one_open');
});

it('is nobody else’s', function () {
    $sitting = practising($this->person('tam'));
    foreach (['kit', 'odile'] as $name) {
        $this->actingAs($this->person($name));
        foreach (['/1', '/1/evidence', '/1/film/face-on/stream'] as $part) {
            $this->get("/practice/$sitting->public_id$part")->assertNotFound();
        }
        $this->post("/practice/$sitting->public_id/1", ['said' => 'present'])->assertNotFound();
        $this->delete("/practice/$sitting->public_id")->assertNotFound();
    }
    $this->actingAs($this->headCoach())->get("/practice/$sitting->public_id/1")->assertNotFound();
    expect($sitting->answers()->firstOrFail()->said)->toBeNull();
});

it('asks nothing that waits to be read, is kept back, is one’s own, is contested or lost its consent', function () {
    $tam = $this->person('tam');
    $spring = $this->round('Spring')->cases()->with('recording')->orderBy('id')->get();
    [$pending, $kept, $own, $gone] = $spring->take(4)->map(fn ($c) => $c->recording)->all();
    $all = mayBeAsked($tam);
    $has = static fn (array $pool, Recording $r): bool => array_filter(
        array_keys($pool),
        static fn (string $id): bool => str_starts_with($id, "$r->id|"),
    ) !== [];
    foreach ([$pending, $kept, $own, $gone] as $r) {
        expect($has($all, $r))->toBeTrue();
    }
    // Autumn is open: nothing of it is asked, of whom has a seat there or of anybody.
    foreach ($this->round('Autumn')->cases()->with('recording')->get() as $case) {
        expect($has($all, $case->recording))->toBeFalse();
    }
    $round = app(PlanRound::class)('Again', SittingKind::Round, [$pending->id], [$tam->id], 'both', $this->headCoach());
    app(OpenRound::class)($round, $this->headCoach());
    DB::table('sitting_cases')->where('case_id', $spring[1]->case_id)->where('sitting_id', $spring[1]->sitting_id)
        ->update(['reserved' => true]);
    $tam->forceFill(['golfer_id' => $own->golfer_id])->save();
    $gone->golfer()->firstOrFail()->consents()->update(['withdrawn_at' => now()]);
    $left = mayBeAsked($tam->fresh());
    foreach ([$pending, $kept, $own, $gone] as $r) {
        expect($has($left, $r))->toBeFalse();
    }
    expect($left)->not->toBe([]);
    foreach ($left as $question) {
        $entry = KeyEntry::query()->findOrFail((int) $question->id);
        expect($entry->grade)->not->toBe('contested')->and($entry->scoredLabel())->not->toBeNull()
            ->and($question->present)->toBe($entry->scoredLabel() === 'present');
    }
});

it('shuts a question whose swing has to be read blind meanwhile, and lets go of it', function () {
    $tam = $this->person('tam');
    $sitting = practising($tam);
    $recording = $sitting->answers()->firstOrFail()->recording;
    $this->actingAs($tam)->get("/practice/$sitting->public_id/1")->assertOk();
    $round = app(PlanRound::class)(
        'Again',
        SittingKind::Round,
        [$recording->id],
        [$tam->id],
        'both',
        $this->headCoach(),
    );
    app(OpenRound::class)($round, $this->headCoach());
    app(Onlookers::class)->forget();
    foreach (['', '/evidence'] as $part) {
        $status = $this->get("/practice/$sitting->public_id/1$part")->status();
        expect($status)->toBeIn([403, 404, 409, 423]);
    }
    $this->post("/practice/$sitting->public_id/1", ['said' => 'present']);
    expect($sitting->answers()->firstOrFail()->said)->toBeNull();
    $this->delete("/practice/$sitting->public_id")->assertRedirect('/practice');
    $this->get('/practice')->assertOk();
});

it('tells nothing of the answer before it is given, byte by byte', function () {
    $tam = $this->person('tam');
    $sitting = practising($tam);
    $answer = $sitting->answers()->firstOrFail();
    $this->actingAs($tam);
    $bytes = fn (): array => array_map(
        fn (string $part): string => (string) preg_replace(
            ['/name="_token" value="[^"]*"/', '/name="csrf-token" content="[^"]*"/'],
            '',
            (string) $this->get("/practice/$sitting->public_id/1$part")->getContent(),
        ),
        ['', '/evidence'],
    );
    $before = $bytes();
    DB::statement('alter table key_entries disable trigger user');
    KeyEntry::query()->whereKey($answer->key_entry_id)->update([
        'label' => keyOf($answer) === Presence::Present ? 'absent' : 'present', 'present' => 9, 'absent' => 7,
        'ruling' => null, 'grade' => 'panel only',
    ]);
    MeasurementSet::query()->where('recording_id', $answer->recording_id)->each(fn (MeasurementSet $m) => $m->update([
        'faults' => array_map(fn (array $lens): array => array_map(
            fn (array $f): array => [...$f, 'verdict' => $f['verdict'] === 'supported' ? 'contradicted' : 'supported'],
            $lens,
        ), $m->faults),
    ]));
    Recording::query()->whereKey($answer->recording_id)->update(['outcome' => null]);
    app()->forgetScopedInstances();
    expect($bytes())->toBe($before);
});

it('is in what a person may take along, but for swings that wait to be read', function () {
    $tam = $this->person('tam');
    $sitting = practising($tam);
    $answer = $sitting->answers()->firstOrFail();
    app(AnswerQuestion::class)($sitting, 1, keyOf($answer)->value, $tam);
    $mine = fn (): array => $this->actingAs($tam)->get('/own/data')->assertOk()->json('practice');
    expect($mine())->toHaveCount(1)
        ->and($mine()[0]['right'])->toBeTrue()
        ->and($mine()[0]['fault'])->toBe($answer->fault);
    $round = app(PlanRound::class)('Again', SittingKind::Round, [$answer->recording_id], [$tam->id], 'both',
        $this->headCoach());
    app(OpenRound::class)($round, $this->headCoach());
    app()->forgetScopedInstances();
    expect($mine())->toBe([]);
});

it('moves what is known of a person, and no figure of any round', function () {
    $tam = $this->person('tam');
    $parts = fn (): array => DB::table('result_parts')->orderBy('id')->pluck('body')->map('strval')->all();
    $then = $parts();
    $skill = function (string $fault) use ($tam): float {
        app()->forgetScopedInstances();

        return app(PersonSkills::class)->of($tam)[$fault]->chance();
    };
    $sitting = practising($tam, 'hang-back', 10);
    $before = $skill('hang-back');
    for ($i = 1; $sitting->fresh()->ended_at === null; $i++) {
        app()->forgetScopedInstances();
        app(AnswerQuestion::class)(
            $sitting,
            $i,
            keyOf($sitting->answers()->where('place', $i)->firstOrFail())->value,
            $tam,
        );
    }
    expect($skill('hang-back'))->toBeGreaterThan($before)->and($parts())->toBe($then);
    $spring = $this->round('Spring');
    app(App\Agreement\Actions\ComputeResult::class)->carryOut($spring, App\Works\Progress::untold());
    expect($parts())->toBe($then);
});

it('finds what a person calls in the place of another, in what may be told', function () {
    $tam = $this->person('tam');
    $spring = $this->round('Spring');
    $own = fn (): ?array => app(App\Practice\OwnConfusions::class)->counts($tam)['hang-back']['slide'] ?? null;
    DB::statement('alter table calls disable trigger user');
    DB::statement('alter table key_entries disable trigger user');
    $places = $spring->cases()->orderBy('id')->get();
    foreach ($places as $i => $place) {
        $reading = DB::table('readings')->where('sitting_case_id', $place->id)->where('user_id', $tam->id)->value('id');
        foreach (['hang-back' => [$i < 4 ? 'present' : 'absent', 'absent'], 'slide' => ['absent', $i < 4 ? 'present'
            : 'absent']] as $fault => [$label, $said]) {
            KeyEntry::query()->where('key_version_id', $spring->key_version_id)->where('case_id', $place->case_id)
                ->where('fault', $fault)->update(['label' => $label, 'grade' => 'panel only', 'ruling' => null]);
            DB::table('calls')->where('reading_id', $reading)->where('fault', $fault)->update([
                'presence' => $said, 'severity' => $said === 'present' ? 1 : null, 'onset' => null, 'decision' => null,
                'reaction' => null, 'confidence' => 70,
            ]);
        }
    }
    app()->forgetScopedInstances();
    expect($own())->toBe([4, 4, 0, $places->count() - 4]);
    // Two of the four wait to be read again: of those nothing is told.
    $ids = $places->take(2)->map(fn ($c): int => $c->recording()->firstOrFail()->id)->all();
    $round = app(PlanRound::class)('Again', SittingKind::Round, $ids, [$tam->id], 'both', $this->headCoach());
    app(OpenRound::class)($round, $this->headCoach());
    app()->forgetScopedInstances();
    expect($own())->toBe([2, 2, 0, $places->count() - 4]);
});

it('refuses what is no answer, no place and no fault', function () {
    $tam = $this->person('tam');
    $this->actingAs($tam)->post('/practice', ['fault' => 'none-such'])->assertSessionHasErrors('fault');
    $this->post('/practice', ['questions' => 99])->assertSessionHasErrors('questions');
    $this->post('/practice', ['fault' => ['sway']])->assertSessionHasErrors('fault');
    $sitting = practising($tam);
    $this->post("/practice/$sitting->public_id/1", ['said' => 'maybe'])
        ->assertSessionHas('refused', 'That is no answer to this question; nothing was kept.');
    $this->post("/practice/$sitting->public_id/1", [])->assertSessionHasErrors('said');
    foreach (['0', '2', '11', '1x'] as $place) {
        $this->get("/practice/$sitting->public_id/$place")->assertNotFound();
    }
    $this->get("/practice/$sitting->public_id/1/film/side/stream")->assertNotFound();
    // Where nothing is published there is nothing to ask, and that is said.
    DB::statement('alter table sittings disable trigger user');
    DB::table('sittings')->where('kind', 'round')->update(['state' => 'closed']);
    DB::statement('alter table sittings enable trigger user');
    app()->forgetScopedInstances();
    $this->delete("/practice/$sitting->public_id");
    Queue::fake([DoWork::class]);
    $this->post('/practice')->assertSessionHas('refused', fn (string $m): bool => str_contains($m, 'are being made'));
    $this->get('/practice')->assertOk()->assertSee('No round is published yet');
});
