<?php

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Exposure;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\PracticeAnswer;
use App\Models\PracticeSitting;
use App\Models\StationMark;
use App\Models\User;
use App\Practice\Actions\AnswerQuestion;
use App\Practice\Actions\BeginPractice;
use App\Practice\Modes;
use App\Practice\ToTheFrame;
use App\Practice\WholeCase;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use App\Works\Jobs\DoWork;
use Core\Codebook\Observability;
use Core\Codebook\Shown;
use Core\Sight\SittingKind;
use Core\Training\LookAlikes;
use Core\Training\Mode;
use Core\Training\Question;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

/** Kinds that ask of recorded swings. */
const RECORDED = [Mode::Fault, Mode::Alike, Mode::Moment, Mode::Seen, Mode::Advice, Mode::Whole];

/** Answers that each are one to a question. @return array{string, string} */
function answersTo(PracticeAnswer $asked): array
{
    $mode = app(Modes::class)->of($asked->mode);
    $options = array_column($mode->options($asked), 'value');
    if ($mode instanceof WholeCase) {
        $n = count($mode->rows($asked));
        $cause = $options === [] ? '' : '|0';

        return [str_repeat('P', $n).$cause, str_repeat('A', $n).$cause];
    }

    return [$options[0] ?? '1.2345', $options[1] ?? '1.5'];
}

/** A practice sitting of a kind, with its first question. */
function inMode(User $user, Mode $mode, ?string $fault = null): PracticeSitting
{
    app()->forgetScopedInstances();

    return app(BeginPractice::class)($user, $fault, 10, $mode);
}

/** @return list<Question> */
function ofMode(User $user, Mode $mode): array
{
    app()->forgetScopedInstances();

    return app(Modes::class)->of($mode)->questions($user, null);
}

/** @return Generator<int, PracticeAnswer> each question of a sitting as it is put; whoever takes it answers it */
function putOneByOne(PracticeSitting $sitting): Generator
{
    for ($place = 1; $sitting->fresh()->ended_at === null; $place++) {
        app()->forgetScopedInstances();
        yield $place => $sitting->answers()
            ->where('place', $place)
            ->with(['entry', 'recording.stations'])
            ->firstOrFail();
    }
}

it('asks of every kind, answered by its own answers alone, and tells the truth only then', function (Mode $mode) {
    $tam = $this->person('tam');
    // Recorded swings alone: what is made for practice stands in tests of its own.
    Queue::fake([DoWork::class]);
    $this->actingAs($tam)->post('/practice', ['mode' => $mode->value])->assertRedirect();
    $sitting = PracticeSitting::query()->firstOrFail();
    expect($sitting->mode)->toBe($mode);
    $at = "/practice/$sitting->public_id/1";
    $page = $this->get($at)->assertOk();
    expect($page->viewData('truth'))->toBeNull();
    foreach (['nonsense', '', '99999', 'NaN', '1e999', "present'", 'both both'] as $wrong) {
        $this->post($at, ['said' => $wrong]);
        expect($sitting->answers()->firstOrFail()->said)->toBeNull($wrong);
    }
    $this->post($at, ['said' => ['present']])->assertSessionHasErrors('said');
    [$said, $other] = answersTo($sitting->answers()->firstOrFail());
    $this->post($at, ['said' => $said])->assertRedirect($at);
    $page = $this->get($at)->assertOk();
    expect($page->viewData('truth')['lines'])->not->toBe([])
        ->and($sitting->answers()->firstOrFail()->said)->toBe($said)
        ->and($sitting->answers()->count())->toBe(2);
    // The same again is the same; another comes too late.
    $this->post($at, ['said' => $said])->assertRedirect($at);
    expect(fn () => app(AnswerQuestion::class)($sitting, 1, $other, $tam))
        ->toThrow(ActionException::class, 'first answer counts');
    $this->get('/practice')->assertOk()->assertSee(__("practice.modes.$mode->value.name"));
})->with(RECORDED);

it('knows of each kind what is right', function () {
    $tam = $this->person('tam');
    $codebook = app(Codebooks::class)->current();
    $seen = [];
    foreach ([Mode::Alike, Mode::Seen, Mode::Advice] as $mode) {
        $sitting = inMode($tam, $mode);
        foreach (putOneByOne($sitting) as $place => $asked) {
            $options = array_column(app(Modes::class)->of($mode)->options($asked), 'value');
            $right = match ($mode) {
                Mode::Alike => (function () use ($asked): array {
                    $label = static fn (string $fault): bool => KeyEntry::query()
                        ->where('key_version_id', $asked->entry->key_version_id)
                        ->where('case_id', $asked->entry->case_id)
                        ->where('fault', $fault)
                        ->sole()
                        ->scoredLabel() === 'present';
                    [$one, $other] = [$asked->fault, $asked->topic['other']];

                    return [$label($one) ? ($label($other) ? 'both' : $one) : ($label($other) ? $other : 'neither')];
                })(),
                Mode::Seen => [$codebook->fault($asked->fault)->observability(new Shown(
                    $asked->topic['way'] === 'film' ? null : $asked->recording->deviceClass(),
                    $asked->topic['way'] !== 'trace' && $asked->recording->filmedViews() === [],
                    views: $asked->topic['way'] === 'trace' ? [] : $asked->recording->filmedViews(),
                    rateHz: $asked->recording->rate_hz,
                    stance: $asked->recording->stance !== null,
                    mass: $asked->recording->mass_kg !== null,
                    flare: $asked->recording->stance?->lead->flareDeg !== null,
                ))->value],
                Mode::Advice => (function () use ($asked): array {
                    $key = KeyCase::query()->findOrFail($asked->topic['key'])->toCore();

                    return match ($asked->topic['asks']) {
                        'cause' => $key->causes->named,
                        'decision' => [$key->decisions[$asked->fault]->settled],
                        default => array_keys(array_filter($key->judged, static fn (array $rungs): bool => ($rungs[$asked->topic['rung']] ?? null)
                            ?->verdict()?->value === 'helps' && $rungs[$asked->topic['rung']]->isSettled())),
                    };
                })(),
            };
            // Nothing stands there twice, one at least is right and one at least is not.
            expect(count(array_unique($options)))->toBe(count($options))
                ->and(array_intersect($options, $right))->not->toBe([])
                ->and(array_diff($options, $right))->not->toBe([]);
            $said = $options[$place % count($options)];
            $answer = app(AnswerQuestion::class)($sitting, $place, $said, $tam);
            expect($answer->right)->toBe(in_array($said, $right, true), "$mode->value $place $said");
            $seen[$mode->value][$asked->topic['asks'] ?? $asked->topic['way'] ?? 'alike'] = true;
        }
    }
    expect(array_keys($seen))->toBe(['alike', 'seen', 'advice'])->and(count($seen['seen']))->toBeGreaterThan(1)
        ->and(count($seen['advice']))->toBeGreaterThan(1);
});

it('finds a moment right within what is said, in ms after the true time, and gives no station away before', function () {
    $tam = $this->person('tam');
    $sitting = inMode($tam, Mode::Moment);
    $this->actingAs($tam);
    foreach (putOneByOne($sitting) as $place => $asked) {
        $mark = $asked->recording->effectiveStations()->get($asked->skill);
        $at = "/practice/$sitting->public_id/$place";
        $given = $this->getJson("$at/evidence")->assertOk();
        expect($given->json('stations'))->toBe([])->and($given->json('motion.ball'))->toBeNull();
        $page = $this->get($at)->getContent();
        foreach (StationMark::query()->where('recording_id', $asked->recording_id)->get() as $of) {
            expect($given->getContent())->not->toContain('"'.$of->code.'":')
                ->and($page)->not->toContain(sprintf('%.3F', $of->t_s));
        }
        foreach ($asked->recording->filmedViews() as $view) {
            $this->get("$at/film/$view->value/$asked->skill")->assertNotFound();
        }
        // Just inside, and just outside.
        $within = (ToTheFrame::WITHIN[$asked->skill] + 1000 * $mark->uncertainty_s) / 1000;
        $off = ($place % 2 === 0 ? 0.98 : 1.02) * $within * ($place % 3 === 0 ? -1 : 1);
        $this->post($at, ['said' => sprintf('%.5F', $mark->t_s + $off)]);
        $answer = $asked->fresh();
        expect($answer->right)->toBe($place % 2 === 0)->and($answer->off_ms)->toEqualWithDelta(1000 * $off, 0.02);
        $this->getJson("$at/evidence")->assertJsonPath("stations.$asked->skill", round($mark->t_s, 4));
        $this->get($at)->assertSee($off > 0 ? 'ms late' : 'ms early');
    }
    expect(fn () => DB::table('practice_answers')->where('id', $answer->id)->update(['mode' => 'seen']))
        ->toThrow(Illuminate\Database\QueryException::class);
});

it('gives of a swing only what the question shows of it', function () {
    $tam = $this->person('tam');
    $sitting = inMode($tam, Mode::Seen);
    $this->actingAs($tam);
    $ways = [];
    foreach (putOneByOne($sitting) as $place => $asked) {
        $way = $asked->topic['way'];
        $given = $this->getJson("/practice/$sitting->public_id/$place/evidence")->assertOk();
        expect($given->json('trace') !== null)->toBe($way !== 'film', $way)
            ->and($given->json('motion') !== null || $given->json('films') !== [])->toBe($way !== 'trace', $way);
        if ($way === 'trace') {
            foreach ($asked->recording->filmedViews() as $view) {
                $this->get("/practice/$sitting->public_id/$place/film/$view->value/stream")->assertNotFound();
            }
        }
        $ways[$way] = true;
        $this->post("/practice/$sitting->public_id/$place", ['said' => Observability::NotObservable->value]);
    }
    expect(count($ways))->toBeGreaterThan(1);
});

it('asks of no kind what waits to be read, and shows nobody a key who was told of none', function (Mode $mode) {
    $tam = $this->person('tam');
    $swings = array_unique(array_map(static fn (Question $q): string => $q->swing, ofMode($tam, $mode)));
    foreach ($this->round('Autumn')->cases()->with('recording')->get() as $case) {
        expect($swings)->not->toContain((string) $case->recording->id);
    }
    $sitting = inMode($tam, $mode);
    $asked = $sitting->answers()->firstOrFail();
    expect($swings)->toContain((string) $asked->recording_id);
    $exposed = fn (): int => Exposure::query()->where('user_id', $tam->id)->whereNull('sitting_id')->count();
    $before = $exposed();
    app(AnswerQuestion::class)($sitting, 1, answersTo($asked)[0], $tam);
    expect($exposed() - $before)->toBe(in_array($mode, [Mode::Moment, Mode::Seen], true) ? 0 : 1);
    $second = $sitting->answers()->where('place', 2)->firstOrFail();
    $round = app(PlanRound::class)('Again', SittingKind::Round, [$second->recording_id], [$tam->id], 'both',
        $this->headCoach());
    app(OpenRound::class)($round, $this->headCoach());
    app(Onlookers::class)->forget();
    $this->actingAs($tam);
    foreach (['', '/evidence'] as $part) {
        expect($this->get("/practice/$sitting->public_id/2$part")->status())->toBeGreaterThan(399);
    }
    $after = array_map(static fn (Question $q): string => $q->swing, ofMode($tam, $mode));
    expect($after)->not->toContain((string) $second->recording_id);
})->with(RECORDED);

it('pairs only faults that there are, each pair once, and asks of one fault alone where that is wanted', function () {
    $keys = app(Codebooks::class)->current()->keys();
    expect(LookAlikes::among($keys))->toBe(LookAlikes::PAIRS)->and(LookAlikes::among(['sway']))->toBe([]);
    $sorted = array_map(static function (array $pair): string {
        sort($pair);

        return implode(' ', $pair);
    }, LookAlikes::PAIRS);
    expect(array_unique($sorted))->toHaveCount(count($sorted));
    foreach (app(Modes::class)->of(Mode::Alike)->questions($this->person('tam'), 'hang-back') as $question) {
        expect(explode(' or ', $question->fault))->toContain('hang-back');
    }
});

it('learns of each kind for itself: what is known of faults is not moved by it', function () {
    $tam = $this->person('tam');
    $skills = function () use ($tam): array {
        app()->forgetScopedInstances();

        return array_map(
            static fn ($s): array => [$s->logit, $s->answers],
            app(App\Practice\PersonSkills::class)->of($tam),
        );
    };
    $before = $skills();
    $sitting = inMode($tam, Mode::Seen);
    foreach (putOneByOne($sitting) as $place => $asked) {
        app(AnswerQuestion::class)($sitting, $place, Observability::Observable->value, $tam);
    }
    expect($skills())->toBe($before);
    $known = app(App\Practice\PersonSkills::class)->forMode($tam, Mode::Seen, ofMode($tam, Mode::Seen));
    expect(array_sum(array_map(static fn ($s): int => $s->answers, $known)))->toBe(10);
});

it('asks what to do with a fault, which tells that it is there, only of whom the key was shown before', function () {
    $tam = $this->person('tam');
    $decisions = fn (User $of): array => array_values(array_filter(
        ofMode($of, Mode::Advice),
        static fn (Question $q): bool => $q->fault === 'decision',
    ));
    $all = $decisions($tam);
    expect($all)->not->toBe([]);
    Exposure::query()->where('user_id', $tam->id)->where('recording_id', (int) $all[0]->swing)->delete();
    $left = $decisions($tam);
    expect(array_column($left, 'swing'))->not->toContain($all[0]->swing)->and(count($left))->toBeLessThan(count($all));
    Exposure::query()->where('user_id', $tam->id)->delete();
    expect($decisions($tam))->toBe([])->and(ofMode($tam, Mode::Advice))->not->toBe([]);
});
