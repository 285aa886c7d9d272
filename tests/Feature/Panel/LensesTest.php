<?php

use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Sitting;
use App\Panel\Actions\BuildKey;
use App\Panel\Actions\RuleOnEntry;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Codebook\CodebookDocument;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** A round of the demo's study on some of its cases under a lens, opened. */
function roundUnder(object $test, string $lens, int $cases = 2): Sitting
{
    $recordings = $test->round('Winter')->cases()->with('swings')->limit($cases)->get()
        ->map(fn ($c): int => $c->swings->firstOrFail()->recording_id)->all();
    $round = app(PlanRound::class)("Under $lens", SittingKind::Round, $recordings,
        [$test->person('tam')->id, $test->person('kit')->id], 'both', $test->headCoach(), lens: $lens);
    app(OpenRound::class)($round, $test->headCoach());
    app(Onlookers::class)->forget();

    return $round->refresh();
}

it('verifies one study under every lens: what was called is the same, how it is measured is each lens’s own', function () {
    $study = $this->round('Winter');
    $document = CodebookDocument::standard();
    $own = $study->keys()->firstOrFail();
    expect($own->lens)->toBe($study->lens);
    foreach (array_diff(array_keys($document->lenses()), [$study->lens]) as $lens) {
        $key = $study->keysUnder($lens)->firstOrFail();
        $shared = array_intersect($document->under($study->lens)->keys(), $document->under($lens)->keys());
        $of = fn (KeyVersion $k, array $what): array => $k->entries()->whereIn('fault', $shared)
            ->orderBy('case_id')->orderBy('fault')->get($what)->toArray();
        $called = ['case_id', 'fault', 'label', 'present', 'absent', 'cannot_tell', 'severity', 'onset'];
        expect($of($key, $called))->toBe($of($own, $called))
            ->and($key->entries()->distinct()->pluck('fault')->sort()->values()->all())
            ->toBe(collect($shared)->sort()->values()->all())
            ->and($key->inputs_checksum)->toBe($own->inputs_checksum);
        // Each verdict is what was measured under that lens.
        $entry = $key->entries()->where('fault', 'hang-back')->with('case.swings.recording.measured')->firstOrFail();
        expect($entry->verdict)->toBe($entry->case->swings->first()->recording->measured
            ->verdicts($lens)['hang-back']->judgement->verdict->value);
    }
    // How appropriate a drill is was asked under the study's own lens.
    $judged = fn (KeyVersion $k): int => $k->cases()->get()
        ->sum(fn ($c): int => count($c->toCore()->judged));
    expect($judged($own))->toBeGreaterThan(0)->and($judged($study->keysUnder('quiet-centre')->firstOrFail()))->toBe(0);
});

it('lets a round pick its lens, which freezes the key under that lens and no other', function () {
    $round = roundUnder($this, 'loaded-top');
    expect($round->state)->toBe(SittingState::Open)
        ->and($round->keyVersion->lens)->toBe('loaded-top')
        ->and($round->keyVersion->frozen_at)->not->toBeNull();
    $study = $this->round('Winter');
    expect($study->keysUnder('quiet-centre')->firstOrFail()->frozen_at)->toBeNull();
});

it('makes the key under a lens for a study of before, when a round wants it', function () {
    $study = $this->round('Winter');
    foreach (['key_versions', 'key_entries', 'key_cases'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $old = KeyVersion::query()->where('lens', 'quiet-centre')->pluck('id');
    DB::table('key_cases')->whereIn('key_version_id', $old)->delete();
    DB::table('key_entries')->whereIn('key_version_id', $old)->delete();
    KeyVersion::query()->whereKey($old)->delete();
    $before = $study->keys()->count();
    $this->actingAs($this->headCoach())->get("/panel/{$study->public_id}?lens=quiet-centre")->assertNotFound();
    $round = roundUnder($this, 'quiet-centre');
    expect($round->keyVersion->lens)->toBe('quiet-centre')
        ->and($round->keyVersion->number)->toBe(1)
        // The others stay as they are.
        ->and($study->keys()->count())->toBe($before);
    $this->get("/panel/{$study->public_id}?lens=quiet-centre")->assertOk();
    expect(app(BuildKey::class)->add($study, 'quiet-centre')->is($round->keyVersion))->toBeTrue();
});

it('takes a ruling under one lens for that lens alone, and carries it into its next version', function () {
    $study = $this->round('Winter');
    $key = $study->keysUnder('quiet-centre')->firstOrFail();
    DB::statement('alter table key_entries disable trigger user');
    $entry = $key->entries()->where('label', 'present')->firstOrFail();
    $entry->update(['grade' => 'conflict']);
    $ruled = app(RuleOnEntry::class)($entry, 'absent', 'seen once more by both', $this->headCoach());
    expect($ruled->key_version_id)->toBe($key->id);
    $twin = fn (KeyVersion $k): KeyEntry => $k->entries()
        ->where('case_id', $entry->case_id)->where('fault', $entry->fault)->sole();
    expect($twin($study->keys()->firstOrFail())->ruling)->toBeNull();
    $entry->update(['grade' => KeyEntry::query()->find($entry->id)->grade]);
    // Made anew it stands where the measurement says what it said; here the grade was made up, so it does not.
    $next = app(BuildKey::class)->now($study, 'quiet-centre');
    expect($next->lens)->toBe('quiet-centre')
        ->and($next->number)->toBe($key->number + 1)
        ->and($twin($next)->ruling)->toBeNull()
        ->and($study->keys()->firstOrFail()->number)->toBe(1 + $study->keys()->skip(1)->firstOrFail()->number);
});

it('badges what lenses judge differently, with a line for each side, and only of cases that may be told of', function () {
    $study = $this->round('Winter');
    $own = $study->keys()->firstOrFail();
    DB::statement('alter table key_entries disable trigger user');
    $entry = $own->entries()->where('verdict', 'supported')->where('fault', 'sway')->first()
        ?? $own->entries()->where('verdict', 'contradicted')->where('fault', 'sway')->firstOrFail();
    $other = $study->keysUnder('quiet-centre')->firstOrFail()->entries()
        ->where('case_id', $entry->case_id)->where('fault', 'sway')->sole();
    $other->update(['verdict' => $entry->verdict === 'supported' ? 'contradicted' : 'supported']);
    $at = "/panel/{$study->public_id}";
    $this->actingAs($this->headCoach())->get($at)->assertOk()
        ->assertSee('lenses differ')->assertSee('Under quiet centre')->assertSee('Under early recentre');
    $this->get("$at?lens=quiet-centre")->assertOk()->assertSee('lenses differ');
    $this->get("$at?lens=no-such")->assertNotFound();
    $this->get("$at?lens[]=x")->assertSessionHasErrors('lens');
    // Nothing of it while a swing is still to be read blind by the one who asks.
    $round = app(PlanRound::class)('Blind again', SittingKind::Round, [$entry->case->swings()->value('recording_id')],
        [$this->person('tam')->id], 'both', $this->headCoach());
    DB::statement('alter table sittings disable trigger user');
    $round->members()->attach($this->person('odile'));
    $round->update(['state' => 'open']);
    app(Onlookers::class)->forget();
    $page = $this->actingAs($this->person('odile'))->get("$at?lens=quiet-centre")->assertOk();
    $pseudonym = $entry->recording->golfer->pseudonym;
    $sides = substr_count($page->getContent(), 'class="sides"');
    DB::table('key_entries')->where('id', $other->id)->update(['verdict' => $entry->verdict]);
    app(Onlookers::class)->forget();
    $same = $this->get("$at?lens=quiet-centre")->assertOk();
    expect(substr_count($same->getContent(), 'class="sides"'))->toBe($sides)
        ->and($pseudonym)->not->toBe('');
});

it('has a second opinion beside the majority, the same under every lens, which changes no label', function () {
    $study = $this->round('Winter');
    $of = fn (string $lens): array => $study->keysUnder($lens)->firstOrFail()->entries()->where('fault', 'sway')
        ->orderBy('case_id')->pluck('second', 'case_id')->all();
    $own = $of($study->lens);
    expect(array_filter($own, static fn (?float $p): bool => $p !== null))->not->toBeEmpty()
        ->and($of('quiet-centre'))->toBe($own);
    foreach ($study->keys()->firstOrFail()->entries()->where('fault', 'sway')->whereNotNull('second')->get() as $entry) {
        // Where all but all agree, so does it.
        if ($entry->present === 5 || $entry->absent === 5) {
            expect($entry->second > 0.5)->toBe($entry->present === 5);
        }
    }
    $this->actingAs($this->headCoach())->get("/panel/{$study->public_id}")->assertOk()->assertSee('% likely there');
});
