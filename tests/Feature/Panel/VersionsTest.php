<?php

use App\Panel\Actions\RuleOnEntry;
use App\Panel\ScoredBy;
use App\Sight\Onlookers;
use App\Sittings\Actions\PlanRound;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;

it('compares two versions of a key line by line, and says what the later would make of published rounds', function () {
    $study = $this->round('Winter');
    $key = $study->keys()->firstOrFail();
    $spring = $this->round('Spring');
    // An entry that Spring was scored by, of which the panel said present and most of the staff did too.
    $entry = $key->entries()->whereIn('case_id', $spring->cases()->select('case_id'))
        ->where('label', 'present')->where('grade', 'verified')->orderBy('id')->firstOrFail();
    DB::statement('alter table key_entries disable trigger user');
    $entry->update(['grade' => 'conflict']);
    $at = "/panel/{$study->public_id}";
    $before = app(ScoredBy::class)->right($spring, $key->refresh());
    $this->actingAs($this->headCoach())->get("$at?entry={$entry->id}")->assertOk()
        ->assertSee('Spring round: of')->assertSee('Ruled so, so many are right');
    app(RuleOnEntry::class)($entry, 'absent', 'both looked once more at it', $this->headCoach());
    $next = $study->keys()->firstOrFail();
    expect($next->number)->toBe($key->number + 1);
    $after = app(ScoredBy::class)->right($spring, $next);
    $said = DB::table('calls')->join('readings', 'readings.id', '=', 'calls.reading_id')
        ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
        ->where('sitting_cases.sitting_id', $spring->id)->where('sitting_cases.case_id', $entry->case_id)
        ->where('calls.fault', $entry->fault)->where('readings.stage', 'blind')->whereNotNull('handed_in_at')
        ->pluck('calls.presence');
    $absent = $said->filter(fn ($p): bool => $p === 'absent')->count();
    $present = $said->filter(fn ($p): bool => $p === 'present')->count();
    expect($after[1] - $before[1])->toBe($present + $absent)->and($after[0] - $before[0])->toBe($absent);
    $page = $this->get("$at/versions?from={$key->number}&to={$next->number}")->assertOk()
        ->assertSee("One line differs between versions {$key->number} and {$next->number}")
        ->assertSee('not ruled')->assertSee('ruled absent')->assertSee('Spring round was scored by version');
    expect(substr_count($page->getContent(), '<tr>'))->toBe(2);
    // Nothing published changed.
    expect($spring->refresh()->key_version_id)->toBe($key->id);
    $this->get("$at/versions")->assertOk()->assertSee('One line differs');
    $this->get("$at/versions?from={$next->number}&to={$next->number}")->assertOk()->assertSee('Nothing differs');
});

it('tells what following rounds and judged drills changed, and refuses what is not there', function () {
    $study = $this->round('Winter');
    $numbers = $study->keys()->pluck('number')->sort()->values();
    $at = "/panel/{$study->public_id}/versions";
    $this->actingAs($this->headCoach())->get("$at?from={$numbers[0]}&to={$numbers->last()}")->assertOk()
        ->assertSee('no drill judged')->assertSee('drills judged');
    foreach (['from=99', 'to=99', 'lens=no-such'] as $wrong) {
        $this->get("$at?$wrong")->assertNotFound();
    }
    $this->get("$at?from[]=1")->assertSessionHasErrors('from');
    $this->get("$at?lens=quiet-centre")->assertOk();
    // The panel's members see what it came to; the staff, and who still reads one of its swings blind, do not.
    $this->actingAs($this->person('odile'))->get($at)->assertOk();
    $this->actingAs($this->person('tam'))->get($at)->assertNotFound();
    $round = app(PlanRound::class)('Blind again', SittingKind::Round,
        [$study->cases()->with('swings')->firstOrFail()->swings->firstOrFail()->recording_id],
        [$this->person('tam')->id], 'both', $this->headCoach());
    DB::statement('alter table sittings disable trigger user');
    $round->members()->attach($this->person('odile'));
    $round->update(['state' => 'open']);
    app(Onlookers::class)->forget();
    $this->actingAs($this->person('odile'))->get($at)->assertNotFound();
});
