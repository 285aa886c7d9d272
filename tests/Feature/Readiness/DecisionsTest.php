<?php

use App\Exceptions\ActionException;
use App\Models\AuditEntry;
use App\Models\Enums\TestState;
use App\Models\ReadinessDecision;
use App\Models\ReadinessRule;
use App\Models\ReadinessTest;
use App\Readiness\Actions\Decide;
use App\Readiness\Evidence;
use App\Readiness\Standings;
use Core\Training\Bar;
use Core\Training\BarKind;
use Core\Training\DecisionKind;
use Core\Training\ReadinessState;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/readers.php';

const A_REASON = 'Because of what was read this winter.';

function decided(
    object $user,
    ReadinessRule $rule,
    DecisionKind $kind,
    ?object $by = null,
    string $reason = A_REASON,
): ReadinessDecision {
    return app(Decide::class)($user, $rule, $kind, $reason, $by ?? test()->headCoach());
}

it('keeps a rule in versions: what was decided by one stays by it, and goes on by the next', function () {
    $this->actingAs($this->headCoach());
    $all = ['hang-back', 'sway'];
    $form = [
        'name' => 'Start down', 'device' => 'mat', 'lens' => 'early-recentre', 'months' => 6,
        'criteria' => [
            ['name' => 'start down', 'kind' => 'sensitivity', 'bar' => 65, 'good' => 85, 'faults' => $all],
            ['name' => '', 'kind' => 'specificity', 'bar' => 65, 'good' => 85],
        ],
        'bars' => [
            'unsafe' => ['asked' => '1', 'limit' => '0', 'of' => '10'],
            'cause' => ['limit' => '60', 'of' => '8'],
        ],
    ];
    $this->post('/readiness/rules', $form)->assertRedirect();
    $first = ReadinessRule::query()->latest('id')->firstOrFail();
    expect($first->version)->toBe(1)->and($first->toCore()->criteria)->toHaveCount(1)
        ->and(array_keys($first->toCore()->bars))->toBe(['unsafe'])
        ->and($first->toCore()->criteria[0]->bar)->toBe(0.65);
    $this->get("/readiness/rules/$first->public_id")->assertOk()->assertSee('Start down')->assertSee('cannot be reached');
    $tam = $this->person('tam');
    decided($tam, $first, DecisionKind::SignedOff);
    $this->put("/readiness/rules/$first->public_id", [...$form, 'months' => 3])->assertRedirect();
    $second = ReadinessRule::query()->latest('id')->firstOrFail();
    expect($second->version)->toBe(2)->and($second->line())->toBe($first->id)
        ->and($first->fresh()->retired_at)->not->toBeNull()
        ->and(Standings::ofOne($tam, $second)->state)->toBe(ReadinessState::SignedOff);
    // The old one is looked at, and changed no more.
    $this->get("/readiness/rules/$first->public_id")->assertOk()->assertSee('stays as it was');
    $this->put("/readiness/rules/$first->public_id", $form)->assertSessionHas('refused');
    expect(fn () => decided($tam, $first->fresh(), DecisionKind::Suspended))
        ->toThrow(ActionException::class, 'newer version')
        ->and(ReadinessRule::query()->where('first_id', $first->id)->count())->toBe(1);
    $this->delete("/readiness/rules/$second->public_id")->assertRedirect('/readiness');
    expect($second->fresh()->retired_at)->not->toBeNull();
    foreach (['update readiness_rules set months = 1', 'update readiness_rules set name = \'other\'', 'delete from readiness_rules',
        'update readiness_decisions set reason = \'something else\'', 'delete from readiness_decisions'] as $sql) {
        expect(fn () => DB::transaction(fn () => DB::statement($sql)))->toThrow(QueryException::class);
    }
});

it('refuses a rule that is none in a sentence, and keeps nothing', function (array $wrong, string $field) {
    $count = ReadinessRule::query()->count();
    $this->actingAs($this->headCoach())->from('/readiness/rules/new')->post('/readiness/rules', [
        'name' => 'X', 'lens' => 'early-recentre', 'months' => 6,
        'criteria' => [['name' => 'a', 'kind' => 'sensitivity', 'bar' => 65, 'good' => 85, 'faults' => ['sway']]],
        ...$wrong,
    ])->assertRedirect('/readiness/rules/new')->assertSessionHasErrors($field);
    expect(ReadinessRule::query()->count())->toBe($count);
})->with([
    [['name' => ''], 'name'],
    [['name' => ['x']], 'name'],
    [['lens' => 'none'], 'lens'],
    [['months' => 0], 'months'],
    [['device' => 'camera'], 'device'],
    [['criteria' => []], 'criteria'],
    [['criteria' => 'all'], 'criteria'],
    [['criteria' => [['name' => 'a']]], 'criteria'],
    [['criteria' => [['faults' => ['sway'], 'bar' => 60, 'good' => 80]]], 'criteria'],
    [['criteria' => [['name' => 'a', 'faults' => ['sway'], 'bar' => 80, 'good' => 70]]], 'criteria'],
    [['criteria' => [['name' => 'a', 'faults' => ['sway']]]], 'criteria'],
    [['criteria' => [['name' => 'a', 'faults' => ['none-such'], 'bar' => 60, 'good' => 80]]], 'criteria.0.faults.0'],
    [['criteria' => array_fill(0, 2, ['name' => 'a', 'kind' => 'sensitivity', 'bar' => 60, 'good' => 80,
        'faults' => ['sway']])], 'criteria'],
    [['bars' => ['speed' => ['asked' => '1']]], 'bars'],
    [['bars' => ['cause' => ['asked' => '1', 'limit' => '500', 'of' => '3']]], 'criteria'],
    [['bars' => ['cause' => ['asked' => '1', 'limit' => '', 'of' => '3']]], 'criteria'],
]);

it('decides, suspends, hears an appeal, reinstates and expires, each kept with its reason and evidence', function () {
    $tam = $this->person('tam');
    $rule = aRule(null, [BarKind::Recency->value => new Bar(BarKind::Recency, 400.0, 0)]);
    $at = route('readiness.decide', [$rule, $tam]);
    $state = fn (): ReadinessState => Standings::ofOne($tam, $rule)->state;
    $by = fn (string $who, DecisionKind $kind, string $reason = A_REASON) => $this->actingAs($this->person($who))
        ->post($at, ['kind' => $kind->value, 'reason' => $reason]);
    // Nobody decides about themselves, nobody else but the head coach decides, and nothing without a reason.
    $by('tam', DecisionKind::SignedOff)->assertSessionHas('refused');
    $by('ines', DecisionKind::SignedOff)->assertNotFound();
    $by('maren', DecisionKind::Appealed)->assertSessionHas('refused');
    $by('maren', DecisionKind::SignedOff, 'ok')->assertSessionHasErrors('reason');
    $by('maren', DecisionKind::Suspended)->assertSessionHas('refused');
    $this->post($at, ['kind' => 'crowned', 'reason' => A_REASON])->assertSessionHasErrors('kind');
    expect(ReadinessDecision::query()->where('user_id', $tam->id)->count())->toBe(0);
    foreach ([
        ['maren', DecisionKind::SignedOff, ReadinessState::SignedOff],
        ['maren', DecisionKind::Suspended, ReadinessState::Suspended],
        ['tam', DecisionKind::Appealed, ReadinessState::Suspended],
        ['maren', DecisionKind::TurnedDown, ReadinessState::Suspended],
        ['maren', DecisionKind::Reinstated, ReadinessState::SignedOff],
    ] as [$who, $kind, $then]) {
        $by($who, $kind)->assertRedirect(route('readiness.show', [$rule, $tam]))->assertSessionMissing('refused');
        expect($state())->toBe($then);
    }
    $this->actingAs($tam)
        ->get(route('readiness.show', [$rule, $tam]))
        ->assertOk()
        ->assertSee('reinstated')
        ->assertSee(A_REASON);
    $decision = ReadinessDecision::query()->where('user_id', $tam->id)->orderBy('id')->firstOrFail();
    expect($decision->evidence['cases'])->toBeGreaterThan(0)
        ->and($decision->evidence['criteria'][0]['calls'])->toBeGreaterThan(0)
        ->and($decision->until->format('Y-m-d'))->toBe(now()->addMonthsNoOverflow(12)->format('Y-m-d'))
        ->and(AuditEntry::query()->where('action', 'readiness-decided')->count())->toBeGreaterThanOrEqual(5);
    // It goes along with what the person takes away.
    $own = $this->actingAs($tam)->getJson('/own/data')->assertOk()->json('readiness');
    expect(array_column($own, 'decided'))->toBe(['signed-off', 'suspended', 'appealed', 'turned-down', 'reinstated'])
        ->and($own[0]['reason'])->toBe(A_REASON);
    // It holds through its last day, and no longer.
    $this->travelTo($decision->until->copy()->setTime(22, 0));
    expect($state())->toBe(ReadinessState::SignedOff);
    $this->travelTo($decision->until->copy()->addDay()->setTime(9, 0));
    expect($state())->toBe(ReadinessState::Expired);
});

it('asks for a check after an absence', function () {
    $tam = $this->person('tam');
    $rule = aRule(null, [BarKind::Recency->value => new Bar(BarKind::Recency, 30.0, 0)]);
    decided($tam, $rule, DecisionKind::SignedOff);
    expect(Standings::ofOne($tam, $rule)->state)->toBe(ReadinessState::SignedOff);
    $this->travel(40)->days();
    expect(Standings::ofOne($tam, $rule)->state)->toBe(ReadinessState::Recheck);
    $this->actingAs($this->headCoach())->get('/readiness')->assertOk()->assertSee('to be checked again');
});

it('proves a statement to who holds its code, and tells nothing without one', function () {
    $tam = $this->person('tam');
    $rule = aRule();
    $decision = decided($tam, $rule, DecisionKind::SignedOff);
    expect($decision->code)->toMatch('/^[2-9A-HJ-NP-Z]{20}$/');
    $paper = route('readiness.statement', $decision);
    $this->actingAs($this->person('ines'))->get($paper)->assertNotFound();
    $this->actingAs($tam)
        ->get($paper)
        ->assertOk()
        ->assertSee('Tam Brackley')
        ->assertSee(implode(' ', str_split($decision->code, 5)));
    auth()->logout();
    $this->get($paper)->assertRedirect('/login');
    $this->get('/verify')->assertOk()->assertDontSee('Tam');
    $this->get('/verify?code='.$decision->code)
        ->assertOk()
        ->assertSee('Tam Brackley')
        ->assertSee('genuine, and holds today');
    $this->get('/verify?code='.rawurlencode(strtolower(implode(' ', str_split($decision->code, 5)))))
        ->assertSee('holds today');
    foreach ([str_repeat('A', 20), substr($decision->code, 0, 19), '%', "' or 1=1", $decision->code.'0'] as $wrong) {
        $this->get('/verify?code='.rawurlencode($wrong))
            ->assertOk()
            ->assertSee('No statement has this code')
            ->assertDontSee('Tam');
    }
    $this->get('/verify?code[]=x')->assertOk()->assertDontSee('Tam');
    decided($tam, $rule, DecisionKind::Suspended);
    $this->get('/verify?code='.$decision->code)->assertSee('does not hold today');
    // A refusal has no statement.
    $refused = decided($this->person('kit'), $rule, DecisionKind::Refused);
    expect($refused->code)->toBeNull();
    $this->actingAs($this->headCoach())->get(route('readiness.statement', $refused))->assertNotFound();
});

it('is asked for by the person, answered by the head coach, and stands on Today', function () {
    $rule = aRule();
    $nell = whoReadNothing();
    $ask = fn () => $this->actingAs($nell)->post(route('readiness.ask', $rule));
    $ask()->assertRedirect(route('readiness.show', [$rule, $nell]));
    $ask()->assertRedirect();
    $test = ReadinessTest::query()->where('user_id', $nell->id)->sole();
    expect($test->state)->toBe(TestState::Asked);
    $this->actingAs($this->headCoach())->get(route('today'))->assertOk()->assertSee('Nell Newcome asks to be tested');
    $this->actingAs($this->person('tam'))->delete(route('readiness.end', $test))->assertNotFound();
    $this->actingAs($nell)->post(route('readiness.begin', [$rule, $nell]))->assertNotFound();
    $this->actingAs($this->headCoach())->delete(route('readiness.end', $test))->assertRedirect();
    expect($test->fresh()->state)->toBe(TestState::Declined);
    $ask();
    $this->actingAs($this->headCoach())->post(route('readiness.begin', [$rule, $nell]))->assertRedirect();
    $test = ReadinessTest::query()->where('user_id', $nell->id)->latest('id')->firstOrFail();
    expect($test->state)->toBe(TestState::Open)->and($test->asked_by)->toBe($nell->id);
    $this->actingAs($nell)->get(route('today'))->assertOk()->assertSee('Footwork alone');
    while (($reading = waiting($test)) !== null) {
        readAs($test, $reading, true);
    }
    $this->actingAs($this->headCoach())->get(route('today'))->assertOk()->assertSee('The test of Nell Newcome is over');
    decided($nell, $rule, DecisionKind::SignedOff);
    $this->get(route('today'))->assertDontSee('The test of Nell Newcome is over');
    // The head coach asks for no test.
    $this->post(route('readiness.ask', $rule))->assertNotFound();
});

it('counts of published rounds what the sheets say, and nothing that the asker has still to read', function () {
    $tam = $this->person('tam');
    $rule = aRule(null, array_combine(
        array_column(BarKind::cases(), 'value'),
        array_map(fn (BarKind $k): Bar => new Bar($k, $k->isShare() ? 0.5 : 10.0, 1), BarKind::cases()),
    ));
    $shown = app(Evidence::class)->of($tam, $rule, $this->headCoach());
    $spring = $this->round('Spring');
    // Counted again by other means.
    $rows = DB::select('select c.presence, coalesce(k.ruling, k.label) as label, c.fault, r.id, sc.case_id
        from calls c join readings r on r.id = c.reading_id join sitting_cases sc on sc.id = r.sitting_case_id
        join key_entries k on k.key_version_id = ? and k.case_id = sc.case_id and k.fault = c.fault
        where r.user_id = ? and sc.sitting_id = ? and r.stage = \'blind\' and not r.exposed and sc.occasion = 1
          and k.grade <> \'contested\' and (k.grade <> \'conflict\' or k.ruling is not null)',
        [$spring->key_version_id, $tam->id, $spring->id]);
    $codebook = app(App\Codebook\Codebooks::class)->of($spring);
    $places = App\Models\Reading::query()->where('user_id', $tam->id)->whereIn('id', array_column($rows, 'id'))
        ->with(['arm', 'case.recording.films'])->get()->keyBy('id');
    $count = ['present' => [0, 0], 'absent' => [0, 0]];
    foreach ($rows as $row) {
        $reading = $places[$row->id];
        if (in_array($row->label, ['present', 'absent'], true) &&
            ($codebook->faults[$row->fault] ?? null)?->observability($reading->case->shown($reading->arm))->supports()) {
            $count[$row->label][1]++;
            $count[$row->label][0] += $row->presence === $row->label ? 1 : 0;
        }
    }
    expect([$shown['criteria'][0]['right'], $shown['criteria'][0]['calls']])->toBe($count['present'])
        ->and([$shown['criteria'][1]['right'], $shown['criteria'][1]['calls']])->toBe($count['absent'])
        ->and($shown['cases'])->toBe(count(array_unique(array_column($rows, 'id'))));
    // Of what the asker has still to read nothing is counted.
    $case = $spring->cases()->with('recording')->orderBy('id')->firstOrFail();
    $again = app(App\Sittings\Actions\PlanRound::class)('Again', Core\Sight\SittingKind::Round, [$case->recording->id],
        [$tam->id], 'both', $this->headCoach());
    app(App\Sittings\Actions\OpenRound::class)($again, $this->headCoach());
    app(App\Sight\Onlookers::class)->forget();
    expect(app(Evidence::class)->of($tam, $rule, $tam)['cases'])->toBe($shown['cases'] - 1)
        ->and(app(Evidence::class)->of($tam, $rule, $this->headCoach())['cases'])->toBe($shown['cases']);
});
