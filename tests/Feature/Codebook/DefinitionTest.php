<?php

use App\Agreement\DefinitionCounts;
use App\Agreement\RoundRatings;
use App\Codebook\Actions\AddExample;
use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\CodebookExample;
use App\Models\Consent;
use App\Models\Exposure;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Reading\Presence;
use Core\Sight\Scope;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;

/** A recording of the spring round that may stand in teaching material. */
function teachable(object $test, int $which = 0): Recording
{
    $recording = $test->round('Spring')
        ->cases()
        ->with('recording')
        ->orderBy('id')
        ->skip($which)
        ->firstOrFail()->recording;
    Consent::query()->firstOrCreate(
        ['golfer_id' => $recording->golfer_id, 'scope' => Scope::TeachingMaterial],
        ['given_on' => now()->toDateString(), 'expires_on' => now()->addYear()->toDateString()],
    );
    app(Onlookers::class)->forget();

    return $recording;
}

/** An instructor who came after the spring round. */
function newcomer(string $name = 'Nina Sorrel'): User
{
    $user = (new User)->forceFill([
        'name' => $name, 'email' => strtolower(strtok($name, ' ')).'@fernhollow.example', 'role' => 'instructor',
        'password' => 'x',
    ]);
    $user->save();

    return $user->fresh();
}

function exampled(object $test, Recording $recording): CodebookExample
{
    $example = app(AddExample::class)('hang-back', $recording, true, 'Look at the lead share.', $test->headCoach());
    app(Onlookers::class)->forget();

    return $example;
}

it('shows a fault whole to everybody, and to who edits it whether its definition holds', function () {
    $this->actingAs($this->person('tam'))->get('/codebook/faults/hang-back')->assertOk()
        ->assertSee('Hanging back')->assertSee('quiet centre')
        ->assertDontSee('Does the definition hold')->assertDontSee('Put a recording beside it');
    $this->get('/codebook/faults/none-such')->assertNotFound();
    $this->actingAs($this->headCoach())->get('/codebook/faults/hang-back')->assertOk()
        ->assertSee('Does the definition hold')->assertSee('Panels judged')->assertSee('Spring round');
    foreach (array_keys(app(Codebooks::class)->document()->toArray()['faults']) as $fault) {
        $this->get("/codebook/faults/$fault")->assertOk();
    }
});

it('counts as the figures of a round count: by whom, against which labels', function () {
    $spring = $this->round('Spring');
    $ratings = RoundRatings::ofRound($spring, app(Codebooks::class));
    $counts = app(DefinitionCounts::class);
    foreach (['hang-back', 'late-recentre', 'sway'] as $fault) {
        $definition = $counts->definition($fault, collectionOf($spring), collectionOf($this->round('Winter')), null);
        [$calls, $untold] = [0, 0];
        foreach ($ratings->counts as $faults) {
            $calls += array_sum($faults[$fault] ?? []);
            $untold += $faults[$fault][Presence::CannotTell->value] ?? 0;
        }
        $all = array_merge(...array_values($definition->untold));
        expect(array_sum(array_column($all, 1)))->toBe($calls)
            ->and(array_sum(array_column($all, 0)))->toBe($untold);
        // Agreement by what was shown, from the calls themselves: whoever says present meets each other who could tell.
        $readers = Reading::query()->whereIn('sitting_case_id', $spring->cases()->where('occasion', 1)->pluck('id'))
            ->where('stage', 'blind')->whereNotNull('handed_in_at')->where('exposed', false)
            ->with(['arm', 'calls', 'case.recording'])->get();
        $shown = static fn (Reading $r): string => $r->arm->trace ? $r->case->recording->device_class : 'film';
        $met = [];
        foreach ($readers->groupBy(fn (Reading $r): string => "$r->sitting_case_id {$shown($r)}") as $together) {
            $said = $together->map(fn (Reading $r) => $r->calls->firstWhere('fault', $fault)?->presence)
                ->filter(fn (?Presence $p): bool => in_array($p, [Presence::Present, Presence::Absent], true));
            foreach ($said as $i => $one) {
                foreach ($said->except($i) as $other) {
                    if ($one === Presence::Present) {
                        $met[$shown($together->first())][] = $other === Presence::Present ? 1 : 0;
                    }
                }
            }
        }
        foreach ($definition->joinedOn as $device => $of) {
            expect(array_sum(array_column($of, 1)))->toBe(count($met[$device] ?? []))
                ->and(array_sum(array_column($of, 0)))->toBe(array_sum($met[$device] ?? []));
        }
        expect(array_keys($met))->each->toBeIn(array_keys($definition->joinedOn));
        $entries = $this->round('Winter')->keys()->firstOrFail()->entries()->where('fault', $fault)->get();
        expect($definition->panelCases)->toBe($entries->count())
            ->and($definition->contested)->toBe($entries->where('grade', 'contested')->count())
            ->and(array_sum(array_column($definition->present, 0)))
            ->toBe($entries->filter(fn (KeyEntry $e): bool => $e->grade !== 'contested'
                && ($e->ruling ?? $e->label) === 'present')->count());
    }
});

it('finds a confusion that is planted, and names the fault', function () {
    $spring = $this->round('Spring');
    $entries = $spring->keyVersion->entries()->get();
    [$missed, $called] = ['hang-back', 'slide'];
    // Half of the swings have the one and not the other; whoever misses it there calls the other.
    $cases = $entries->pluck('case_id')->unique()->values();
    DB::statement('alter table key_entries disable trigger user');
    foreach ($cases as $i => $case) {
        foreach ([$missed => $i % 2 === 0 ? 'present' : 'absent', $called => 'absent'] as $fault => $label) {
            KeyEntry::query()->where('key_version_id', $spring->key_version_id)->where('case_id', $case)
                ->where('fault', $fault)->update(['label' => $label, 'grade' => 'panel only', 'ruling' => null]);
        }
        $readings = DB::table('readings')->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->where('sitting_cases.sitting_id', $spring->id)->where('sitting_cases.case_id', $case)
            ->pluck('readings.id');
        DB::statement('alter table calls disable trigger user');
        foreach ([$missed => 'absent', $called => $i % 2 === 0 ? 'present' : 'absent'] as $fault => $presence) {
            DB::table('calls')->whereIn('reading_id', $readings)->where('fault', $fault)->update([
                'presence' => $presence, 'severity' => $presence === 'present' ? 2 : null, 'onset' => null,
                'decision' => null, 'reaction' => null, 'confidence' => 80,
            ]);
        }
        DB::statement('alter table calls enable trigger user');
    }
    DB::statement('alter table key_entries enable trigger user');
    $found = app(DefinitionCounts::class)->definition($missed, collectionOf($spring), collectionOf(), null)->confused;
    expect(array_map(fn ($c): string => $c->fault, $found))->toBe([$called]);
    $this->actingAs($this->headCoach())->get("/codebook/faults/$missed")->assertSee('Draw the line to', false);
});

it('leaves a round out whole while anything in it is hidden from who asks', function () {
    $head = $this->headCoach();
    $case = $this->round('Spring')->cases()->with('recording')->firstOrFail();
    $this->actingAs($head)->get('/codebook/faults/hang-back')->assertSee('Spring round');
    $again = app(PlanRound::class)('Once more', SittingKind::Round, [$case->recording->id],
        [$head->id, $this->person('tam')->id], 'both', $head);
    app(OpenRound::class)($again, $head);
    app()->forgetScopedInstances();
    $this->get('/codebook/faults/hang-back')->assertOk()->assertDontSee('Spring round')
        ->assertSee('Panels judged 0 cases');
});

it('shows an example to who takes it up, notes it, and lets no flight out with it', function () {
    $recording = teachable($this);
    $example = exampled($this, $recording);
    $tam = newcomer();
    $this->actingAs($tam)->get("/bench/$recording->public_id")->assertNotFound();
    $this->get('/codebook/faults/hang-back')->assertOk()->assertSee('Look at the lead share.');
    $this->post("/codebook/examples/$example->public_id/look")->assertRedirectContains("/bench/$recording->public_id");
    $this->post("/codebook/examples/$example->public_id/look");
    expect(Exposure::query()->where('user_id', $tam->id)->where('recording_id', $recording->id)->pluck('what')->all())
        ->toBe(['key']);
    app()->forgetScopedInstances();
    expect($recording->flight())->not->toBeNull();
    $page = $this->get("/bench/$recording->public_id")->assertOk();
    expect($page->viewData('flight'))->toBeNull()->and($page->viewData('leanings')['seen'] ?? null)->toBeNull();
    // The next round names who has seen an answer.
    $head = $this->headCoach();
    $round = app(PlanRound::class)('After', SittingKind::Round, [$recording->id],
        [$tam->id, newcomer('Otto Lind')->id], 'both', $head);
    app(OpenRound::class)($round, $head);
    expect(DB::table('readings')->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
        ->where('sitting_id', $round->id)->where('exposed', true)->pluck('user_id')->all())->toBe([$tam->id]);
});

it('offers no example that is to be read blind, is kept back, is one’s own, or lost its consent', function (Closure $then) {
    $recording = teachable($this);
    $example = exampled($this, $recording);
    $tam = newcomer();
    $this->actingAs($tam)->post("/codebook/examples/$example->public_id/look")->assertRedirect();
    $then($this, $recording, $tam);
    app()->forgetScopedInstances();
    $this->actingAs($tam->fresh());
    $this->get('/codebook/faults/hang-back')->assertOk()->assertDontSee('Look at the lead share.');
    $this->post("/codebook/examples/$example->public_id/look")->assertNotFound();
    $this->get("/bench/$recording->public_id")->assertNotFound();
})->with([
    'in an open round' => [function (object $test, Recording $r, User $tam): void {
        $round = app(PlanRound::class)('Now', SittingKind::Round, [$r->id], [$tam->id, $test->person('kit')->id],
            'both', $test->headCoach());
        app(OpenRound::class)($round, $test->headCoach());
    }],
    'kept for later' => [function (object $test, Recording $r): void {
        $round = app(PlanRound::class)('Kept', SittingKind::Round, [$r->id], [$test->person('kit')->id], 'both',
            $test->headCoach());
        DB::table('sitting_cases')->where('sitting_id', $round->id)->update(['reserved' => true]);
    }],
    'own' => [function (object $test, Recording $r, User $tam): void {
        $tam->forceFill(['golfer_id' => $r->golfer_id])->save();
    }],
    'teaching withdrawn' => [function (object $test, Recording $r): void {
        Consent::query()->where('golfer_id', $r->golfer_id)->where('scope', Scope::TeachingMaterial)
            ->update(['withdrawn_at' => now()]);
    }],
]);

it('puts nothing into the codebook that may not stand there', function () {
    $head = $this->headCoach();
    $add = fn (Recording $r) => app(AddExample::class)('hang-back', $r, true, 'Look at it.', $head);
    $bare = Recording::query()->findOrFail(alike(1)[0]);
    expect(fn () => $add($bare))->toThrow(ActionException::class, 'does not agree to teaching material');
    $autumn = $this->round('Autumn')->cases()->with('recording')->firstOrFail()->recording;
    Consent::query()->create([
        'golfer_id' => $autumn->golfer_id, 'scope' => Scope::TeachingMaterial, 'given_on' => now()->toDateString(),
        'expires_on' => now()->addYear()->toDateString(),
    ]);
    expect(fn () => $add($autumn))->toThrow(ActionException::class, 'not published');
    $free = teachable($this);
    $add($free);
    $add($free);
    expect(CodebookExample::query()->count())->toBe(1);
    $this->actingAs($head)->post('/codebook/faults/hang-back/examples', [
        'recording' => 'none', 'shows' => '1', 'note' => 'There is none.',
    ])->assertNotFound();
    $this->post('/codebook/faults/hang-back/examples', ['recording' => $free->public_id, 'shows' => '1', 'note' => 'x'])
        ->assertSessionHasErrors('note');
    $this->actingAs($this->person('tam'))->post('/codebook/faults/hang-back/examples', [])->assertNotFound();
    $example = CodebookExample::query()->firstOrFail();
    $this->delete("/codebook/examples/$example->public_id")->assertNotFound();
    $this->actingAs($head)->delete("/codebook/examples/$example->public_id")->assertSessionHas('done');
    expect(CodebookExample::query()->count())->toBe(0);
});

/** @return Illuminate\Database\Eloquent\Collection<int, App\Models\Sitting> */
function collectionOf(App\Models\Sitting ...$some): Illuminate\Database\Eloquent\Collection
{
    return new Illuminate\Database\Eloquent\Collection($some);
}
