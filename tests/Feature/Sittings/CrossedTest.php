<?php

use App\Agreement\ArmComparison;
use App\Agreement\RoundRatings;
use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Agreement\Study\ArmResult;
use Core\Chance\Chance;
use Core\Codebook\Observability;
use Core\Reading\CaseKind;
use Core\Sight\SittingKind;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

const EIGHT_READERS = ['tam', 'kit', 'ines', 'dov', 'hanne', 'bea', 'arlo', 'vesna'];

/** @return list<int> the swings of the Winter study that stand alone, each with film and trace */
function filmedSwings(object $test): array
{
    return $test->round('Winter')->cases()->with('swings.recording.films')->orderBy('id')->get()
        ->filter(static fn (SittingCase $c): bool => $c->kind === CaseKind::Single)
        ->map(static fn (SittingCase $c) => $c->swings->firstOrFail()->recording)
        ->filter(static fn ($r): bool => $r->films->isNotEmpty() || $r->motion()->exists())
        ->unique('id')->pluck('id')->values()->all();
}

/** A round whose cases are shown by turns, opened. */
function crossedRound(object $test, int $keep = 0, ?Sitting $from = null, ?array $swings = null): Sitting
{
    $members = array_map(static fn (string $who): int => $test->person($who)->id, EIGHT_READERS);
    $round = app(PlanRound::class)('By turns', SittingKind::Round, $swings ?? filmedSwings($test), $members, 'crossed',
        $test->headCoach(), keep: $keep, from: $from);
    $round->update(['seed' => 'by turns']);
    // Spring told its readers of these swings.
    DB::table('exposures')->whereNull('sitting_id')->orWhere('sitting_id', $test->round('Spring')->id)->delete();
    app(OpenRound::class)($round, $test->headCoach());
    app(Onlookers::class)->forget();

    return $round->refresh();
}

/** Everybody hands in: calls as the key has them, but wrongly as often as the function says of what was shown. */
function readByTurns(object $test, Sitting $round, Closure $wrong, string $seed): ArmResult
{
    $chance = new Chance($seed);
    $key = $round->keyVersion->entries()->get()
        ->mapWithKeys(static fn (KeyEntry $e): array => ["$e->case_id|$e->fault" => $e->scoredLabel()]);
    $rows = [];
    $readings = Reading::query()->whereIn('sitting_case_id', $round->cases()->select('id'))->with(['arm', 'case'])
        ->orderBy('id')->get();
    foreach ($readings as $reading) {
        foreach (array_keys(app(Codebooks::class)->of($round)->faults) as $fault) {
            $true = ($key["{$reading->case->case_id}|$fault"] ?? 'absent') === 'present';
            $said = $chance->uniform() < $wrong($reading->arm->code, $true) ? ! $true : $true;
            $rows[] = ['reading_id' => $reading->id, 'fault' => $fault, 'confidence' => 70,
                'presence' => $said ? 'present' : 'absent', 'severity' => $said ? 1 : null,
                'onset' => $said ? 'IM' : null, 'decision' => $said ? 'later' : null];
        }
    }
    foreach (array_chunk($rows, 500) as $some) {
        Call::query()->insert($some);
    }
    $readings->each(static fn (Reading $r) => handIn($r));

    return ArmComparison::fromRatings(RoundRatings::ofRound($round->refresh(), app(Codebooks::class)));
}

/** @return array<string, mixed> by "second less first, figure" */
function armDifferences(ArmResult $of): array
{
    return collect($of->differences)->keyBy(static fn ($d): string => "$d->second-$d->first $d->figure")->all();
}

it('deals film, trace and both by turns, and puts before each reader what was dealt and nothing else', function () {
    $round = crossedRound($this);
    expect($round->cases()->whereNotNull('arm_id')->exists())->toBeFalse();
    $readings = Reading::query()->whereIn('sitting_case_id', $round->cases()->select('id'))
        ->with(['arm', 'user'])->get();
    foreach (['user_id', 'sitting_case_id'] as $by) {
        foreach ($readings->groupBy($by) as $of) {
            $n = ['both' => 0, 'film' => 0, 'trace' => 0];
            $n = [...$n, ...$of->countBy(fn (Reading $r): string => $r->arm->code)->all()];
            expect(max($n) - min($n))->toBeLessThanOrEqual(1);
        }
    }
    $tam = $readings->where('user_id', $this->person('tam')->id)
        ->keyBy(static fn (Reading $r): string => $r->arm->code);
    foreach (['both' => [true, true], 'film' => [true, false], 'trace' => [false, true]] as $code => [$film, $trace]) {
        $json = $this->actingAs($this->person('tam'))->getJson("/read/{$tam[$code]->public_id}/evidence/1")->assertOk()
            ->json();
        expect($json['motion'] !== null || $json['films'] !== [])->toBe($film)
            ->and($json['trace'] !== null)->toBe($trace);
    }
});

it('finds within the cases what one way of showing hides, and says nothing of ways that are alike', function () {
    $round = crossedRound($this);
    DB::beginTransaction();
    $of = readByTurns($this, $round, static fn (string $arm, bool $true): float => match (true) {
        $arm === 'film' && $true => 0.6,
        default => 0.05,
    }, 'film misses');
    $by = armDifferences($of);
    expect($of->crossed)->toBeTrue()
        ->and(array_column($of->arms, 'arm'))->toBe(['both', 'film', 'trace'])
        ->and(array_column($of->arms, 'cases'))->toBe(array_fill(0, 3, $round->cases()->count()))
        ->and($by['film-both sensitivity']->difference->high)->toBeLessThan(0.0)
        // Seven golfers have faults in them: no smaller p can be had by exchanging, nine times adjusted.
        ->and($by['film-both sensitivity']->p)->toEqualWithDelta(9 * 2 / 2 ** 7, 1e-9)
        ->and($by['trace-film sensitivity']->difference->low)->toBeGreaterThan(0.0)
        ->and($by['trace-both sensitivity']->p)->toBeGreaterThan(0.3)
        ->and($by['film-both specificity']->p)->toBeGreaterThan(0.3);
    DB::rollBack();
    $apart = $all = 0;
    for ($i = 0; $i < many(6, 40); $i++) {
        DB::beginTransaction();
        foreach (readByTurns($this, $round->refresh(), static fn (): float => 0.15, "alike $i")->differences as $d) {
            $all += $d->difference->low === null ? 0 : 1;
            $apart += $d->difference->low > 0.0 || ($d->difference->high ?? 0.0) < 0.0 ? 1 : 0;
        }
        DB::rollBack();
    }
    // One interval in twenty leaves nought out by chance; so few golfers make them rough.
    expect($all)->toBeGreaterThan(20)->and($apart / $all)->toBeLessThan(0.15);
});

it('counts beside the key as a count by hand does, whoever made the key left out', function () {
    $round = crossedRound($this);
    $of = readByTurns($this, $round, static fn (string $arm): float => $arm === 'trace' ? 0.3 : 0.1, 'by hand');
    $hand = [];
    $key = $round->keyVersion->entries()->get()->keyBy(static fn (KeyEntry $e): string => "$e->case_id|$e->fault");
    $codebook = app(Codebooks::class)->of($round);
    foreach (Reading::query()->whereIn('sitting_case_id', $round->cases()->select('id'))
        ->with(['arm', 'calls', 'case.recording', 'case.swings.recording.films'])->get() as $reading) {
        foreach ($reading->calls as $call) {
            $truth = ($key["{$reading->case->case_id}|$call->fault"] ?? null)?->scoredLabel();
            $seen = $codebook->faults[$call->fault]->observability($reading->case->shown($reading->arm));
            if ($truth === null || $seen === Observability::NotObservable) {
                continue;
            }
            $hand[$reading->arm->code][$truth][] = $call->presence->value === $truth ? 1.0 : 0.0;
        }
    }
    expect(count(filmedSwings($this)))->toBeGreaterThan(5);
    foreach ($of->arms as $arm) {
        expect($arm->sensitivity)->toEqualWithDelta(array_sum($hand[$arm->arm]['present']) /
                count($hand[$arm->arm]['present']), 1e-12)
            ->and($arm->specificity)->toEqualWithDelta(array_sum($hand[$arm->arm]['absent']) /
                count($hand[$arm->arm]['absent']), 1e-12);
    }
});

it('refuses turns that could tell nothing, and keeps nothing of them', function (array $with, string $says) {
    $before = Sitting::query()->count();
    $swings = array_slice(filmedSwings($this), 0, $with['cases'] ?? 5);
    $this->actingAs($this->headCoach())->from('/rounds/plan')->post('/rounds', [
        'name' => 'Turns', 'kind' => $with['kind'] ?? 'round', 'show' => 'crossed', 'recordings' => $swings,
        'members' => array_map(fn (string $who): int => $this->person($who)->id,
            $with['who'] ?? array_slice(EIGHT_READERS, 0, $with['readers'] ?? 8)),
    ])->assertRedirect('/rounds/plan')->assertSessionHas('refused', fn (string $r): bool => str_contains($r, $says));
    expect(Sitting::query()->count())->toBe($before);
})->with([
    'two cases' => [['cases' => 2], 'there are 2'],
    'five people' => [['readers' => 5], 'at least 6 people'],
    'a panel' => [['kind' => 'panel', 'who' => ['odile', 'piet', 'ros', 'gwil', 'suvi']], 'A panel is shown all'],
]);

it('keeps cases for later rounds by lot, tells their readers nothing of them, and asks them again alike', function () {
    $round = crossedRound($this, keep: 4);
    $kept = $round->cases()->where('reserved', true)->pluck('case_id')->sort()->values();
    expect($kept)->toHaveCount(4);
    readByTurns($this, $round, static fn (): float => 0.2, 'kept');
    $head = $this->headCoach();
    $this->actingAs($head)->post("/rounds/{$round->public_id}/close")->assertSessionHas('done');
    $this->actingAs($head)->post("/rounds/{$round->public_id}/publish")->assertSessionHas('done');
    app(Onlookers::class)->forget();
    $tam = $this->person('tam');
    $this->actingAs($tam)->get("/agreement/{$round->public_id}")->assertOk()->assertSee('kept for later ones')
        ->assertDontSee('Krippendorff');
    $letter = "/agreement/{$round->public_id}/people/{$tam->id}/letter";
    $before = $this->actingAs($tam)->get($letter)->assertOk()->assertSee('scored calls say')->getContent();
    // What the key says of a kept case moves no byte of what its readers are told.
    DB::statement('alter table key_entries disable trigger user');
    $keptLabels = static fn () => DB::table('key_entries')->where('key_version_id', $round->refresh()->key_version_id)
        ->whereIn('case_id', $kept);
    $keptLabels()->where('label', 'absent')->limit(30)->update(['label' => 'present']);
    expect($this->actingAs($tam)->get($letter)->getContent())->toBe($before);
    foreach ($round->cases()->where('reserved', true)->with('recording')->get() as $c) {
        $this->actingAs($tam)->get("/bench/{$c->recording->public_id}")->assertNotFound();
    }
    // The head coach sees the whole round, and the debrief leaves them out.
    app(Onlookers::class)->forget();
    $this->actingAs($head)->get("/agreement/{$round->public_id}?part=shown")->assertOk()->assertSee('by turns');
    $this->actingAs($head)->get("/reports/{$round->public_id}")->assertOk()
        ->assertSee('4 of them are kept back for later rounds');
    // Asked again in the next round, each reader is shown each as before.
    $next = crossedRound($this, from: $round, swings: array_slice(filmedSwings($this), 0, 3));
    expect($next->cases()->where('reserved', true)->pluck('case_id')->sort()->values()->all())->toBe($kept->all());
    $arms = static fn (Sitting $s): Collection => Reading::query()
        ->whereIn('sitting_case_id', $s->cases()->whereIn('case_id', $kept)->select('id'))
        ->with(['arm', 'case'])->get()
        ->mapWithKeys(static fn (Reading $r): array => ["{$r->case->case_id}|$r->user_id" => $r->arm->code])
        ->sortKeys();
    expect($arms($next)->all())->toBe($arms($round)->all())
        ->and(Reading::query()->whereIn('sitting_case_id', $next->cases()->where('reserved', true)->select('id'))
            ->where('exposed', true)->exists())->toBeFalse();
});

it('keeps no more cases than there are, and none of a panel', function () {
    $swings = array_slice(filmedSwings($this), 0, 3);
    $plan = fn (array $with) => $this->actingAs($this->headCoach())->from('/rounds/plan')->post('/rounds', [
        'name' => 'Kept', 'kind' => 'round', 'show' => 'both', 'recordings' => $swings,
        'members' => [$this->person('tam')->id], ...$with,
    ]);
    $plan(['keep' => 4])->assertSessionHas('refused', fn (string $r): bool => str_contains($r, '3 can be kept'));
    $plan(['keep' => -1])->assertSessionHasErrors('keep');
    $plan(['keep' => 1, 'kind' => 'panel', 'members' => [$this->person('odile')->id]])
        ->assertSessionHas('refused', fn (string $r): bool => str_contains($r, 'Only a round of instructors'));
    $plan(['keep' => 1, 'reveals' => 1])
        ->assertSessionHas('refused', fn (string $r): bool => str_contains($r, 'A second look'));
    $plan(['from' => 'nothing'])->assertNotFound();
    $plan(['keep' => 3])->assertSessionHas('done');
    expect(Sitting::query()->where('name', 'Kept')->sole()->cases()->where('reserved', true)->count())->toBe(3);
});
