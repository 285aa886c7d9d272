<?php

use App\Models\PracticeAnswer;
use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\BeginPractice;
use App\Practice\PersonSkills;
use App\Practice\RoundProgress;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Sight\SittingKind;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** So many questions answered on one fault, that day. */
function answeredOn(User $user, string $fault, int $n, ?Carbon $on = null): void
{
    $on === null || Carbon::setTestNow($on);
    app()->forgetScopedInstances();
    $sitting = app(BeginPractice::class)($user, $fault, 10);
    for ($place = 1; $place <= $n; $place++) {
        app()->forgetScopedInstances();
        app(AnswerQuestion::class)($sitting, $place, 'present', $user);
    }
    $sitting->update(['ended_at' => now()]);
    Carbon::setTestNow();
}

it('tells one’s own progress and the head coach everybody’s, and nobody else’s', function () {
    $tam = $this->person('tam');
    answeredOn($tam, 'hang-back', 4);
    $page = $this->actingAs($tam)
        ->get('/progress')
        ->assertOk()
        ->assertSee('How far you have come')
        ->assertSee('Hanging back');
    expect($page->viewData('practised')[11]['n'])->toBe(4)
        ->and(array_sum(array_column($page->viewData('practised'), 'n')))->toBe(4);
    $row = collect($page->viewData('rows'))->firstWhere('name', 'Hanging back');
    app()->forgetScopedInstances();
    $skill = app(PersonSkills::class)->of($tam)['hang-back'];
    expect((int) $row['now'])->toBe((int) round(100 * $skill->chance()))->and($row['answers'])->toBe($skill->answers);
    $this->get("/progress/{$this->person('ines')->id}")->assertNotFound();
    $this->get('/progress/999999')->assertNotFound();
    $head = $this->actingAs($this->headCoach())->get("/progress/$tam->id")->assertOk()->assertSee('Tam Brackley');
    expect($head->viewData('rows'))->toEqual($page->viewData('rows'));
    $this->get('/practice')->assertOk()->assertSee("/progress/$tam->id");
});

it('leaves out of it what waits to be read by who asks', function () {
    $tam = $this->person('tam');
    $count = fn (User $asking): int => array_sum(array_map(
        fn ($p): int => $p->now()->answers,
        app(PersonSkills::class)->progress($tam, $asking, 4, 4),
    ));
    $before = $count($tam);
    $case = $this->round('Spring')->cases()->with('recording')->orderBy('id')->firstOrFail();
    app(OpenRound::class)(app(PlanRound::class)('Again', SittingKind::Round, [$case->recording->id], [$tam->id], 'both',
        $this->headCoach()), $this->headCoach());
    app(Onlookers::class)->forget();
    expect($count($tam))->toBeLessThan($before)->and($count($this->headCoach()))->toBe($before);
    // The figures of the round are withheld whole; so are those of a round with kept cases from whoever read them.
    expect($this->actingAs($tam)->get('/progress')->viewData('rounds'))->toBe([])
        ->and($this->actingAs($this->headCoach())->get("/progress/$tam->id")->viewData('rounds'))->toHaveCount(1);
    $ines = $this->person('ines');
    expect(app(RoundProgress::class)->rounds($ines, $ines))->toHaveCount(1);
    DB::table('sitting_cases')->where('id', $case->id)->update(['reserved' => true]);
    app(Onlookers::class)->forget();
    expect(app(RoundProgress::class)->rounds($ines, $ines))->toHaveCount(0)
        ->and(app(RoundProgress::class)->rounds($ines, $this->headCoach()))->toHaveCount(1);
});

it('counts of a round what its sheets say, and says that of one round no effect can be told', function () {
    $tam = $this->person('tam');
    $spring = $this->round('Spring');
    $page = $this->actingAs($tam)->get('/progress')->assertOk()->assertSee('one round is published');
    $round = $page->viewData('rounds')[0];
    $rows = DB::select("select count(*) n, count(*) filter (where c.presence = coalesce(k.ruling, k.label)) hits, avg(c.confidence) sure
        from calls c join readings r on r.id = c.reading_id join sitting_cases sc on sc.id = r.sitting_case_id
        join key_entries k on k.key_version_id = ? and k.case_id = sc.case_id and k.fault = c.fault
        where r.user_id = ? and sc.sitting_id = ? and r.stage = 'blind' and not r.exposed and sc.occasion = 1
          and c.presence <> 'cannot-tell' and k.grade <> 'contested' and coalesce(k.ruling, k.label) <> 'none'
          and (k.grade <> 'conflict' or k.ruling is not null)", [$spring->key_version_id, $tam->id, $spring->id])[0];
    expect($round['right'])->toBe(round(100 * $rows->hits / $rows->n)." % of $rows->n calls")
        ->and($round['sure'])->toStartWith(round($rows->sure).' %')
        ->and($round['cases'])->toBe($spring->cases()->count());
});

it('pairs the calls of two rounds on the cases that both asked, by what was practised in between', function () {
    $tam = $this->person('tam');
    $first = $this->round('Spring');
    // Laid down as they would stand, past the triggers that keep what is published.
    DB::statement('set local session_replication_role = replica');
    DB::table('sittings')->where('id', $first->id)->update(['published_at' => now()->subDays(30)]);
    // A second round that has the same cases, its sheets those of the first with one call turned.
    $second = App\Models\Sitting::query()->create([
        ...collect($first->getAttributes())
            ->only(['kind', 'lens', 'codebook_version', 'seed', 'created_by', 'key_version_id'])
            ->all(),
        'name' => 'Summer round', 'state' => 'published', 'opened_at' => now()->subDays(5), 'published_at' => now()
            ->subDay(),
    ]);
    $second->members()->attach($tam->id);
    foreach (App\Models\Reading::query()->where('user_id', $tam->id)->where('stage', 'blind')->whereNotNull('handed_in_at')
        ->whereHas('case', fn ($q) => $q->where('sitting_id', $first->id))->with(['case', 'calls'])->get() as $reading) {
        $place = $reading->case->replicate()->forceFill(['sitting_id' => $second->id]);
        $place->save();
        $again = $reading->replicate(['public_id'])
            ->forceFill(['sitting_case_id' => $place->id, 'handed_in_at' => null]);
        $again->save();
        DB::table('calls')->insert($reading->calls->map(fn ($c): array => ['reading_id' => $again->id] +
            array_diff_key($c->getAttributes(), ['id' => 0]))->all());
        DB::table('readings')->where('id', $again->id)->update(['handed_in_at' => now()->subDays(2)]);
    }
    DB::statement('set local session_replication_role = origin');
    $rounds = app(RoundProgress::class)->rounds($tam, $tam);
    expect($rounds->pluck('name')->all())->toBe([$first->name, 'Summer round']);
    $effect = app(RoundProgress::class)->effect($tam, $rounds);
    // Nothing was practised between them, so nothing stands against anything.
    expect($effect->effect)->toBeNull()->and($effect->golfers)->toBe(0)->and($effect->calls)->toBeGreaterThan(20);
    answeredOn($tam, 'hang-back', 3, now()->subDays(10));
    $effect = app(RoundProgress::class)->effect($tam, $rounds);
    expect($effect->golfers)->toBeGreaterThan(0);
    // What was practised before the first or after the second opened counts for nothing.
    PracticeAnswer::query()->whereHas('sitting', fn ($q) => $q->where('user_id', $tam->id))->whereNotNull('answered_at')
        ->update(['answered_at' => now()->subDays(40)]);
    expect(app(RoundProgress::class)->effect($tam, $rounds)->golfers)->toBe(0);
    $this->actingAs($tam)->get('/progress')->assertOk()->assertSee('It cannot be said');
});
