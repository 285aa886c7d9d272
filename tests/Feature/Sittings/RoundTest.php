<?php

use App\Exceptions\ActionException;
use App\Models\AuditEntry;
use App\Models\KeyEntry;
use App\Models\KeyVersion;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\SittingResult;
use App\Models\User;
use App\Sittings\Actions\OpenRound;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

it('goes from draft to open to closed to published, and writes each step down', function () {
    $round = planned($this);
    $head = $this->headCoach();
    expect($round->state->value)->toBe('draft')->and($round->readings()->count())->toBe(0);

    $this->actingAs($head)->post("/rounds/{$round->public_id}/open")->assertSessionHas('done');
    $round->refresh();
    expect($round->state->value)
        ->toBe('open')
        ->and($round->readings()->count())
        ->toBe(6)
        ->and($round->keyVersion->frozen_at)
        ->not->toBeNull();

    $reader = $round->members()->orderBy('users.id')->first();
    foreach (
        Reading::query()
            ->where('user_id', $reader->id)
            ->whereIn('sitting_case_id', $round->cases()->select('id'))
            ->get() as $reading
    ) {
        $this->actingAs($reader)
            ->postJson("/read/{$reading->public_id}/changes", $this->changes($this->sheet(['hang-back'])))
            ->assertOk();
        $this->actingAs($reader)
            ->post("/read/{$reading->public_id}/hand-in")
            ->assertRedirect();
    }
    $this->actingAs($reader)->get("/agreement/{$round->public_id}")->assertNotFound();

    $this->actingAs($head)->post("/rounds/{$round->public_id}/close")->assertSessionHas('done');
    $this->actingAs($reader)->get("/agreement/{$round->public_id}")->assertNotFound();
    $this->actingAs($head)->post("/rounds/{$round->public_id}/publish")->assertSessionHas('done');
    $this->actingAs($reader)->get("/agreement/{$round->public_id}")->assertOk()->assertSee('How your calls stood');
    $this->actingAs($head)->get("/agreement/{$round->public_id}")->assertOk()->assertSee($reader->name);

    $mine = collect(keptBodies($round->refresh())['against_key'])->firstWhere('rater', 'u'.$reader->id);
    expect($mine['n'])->toBeGreaterThan(20)->and($mine['sensitivity']['estimate'])->toBeNumeric();
    expect(AuditEntry::query()->where('subject', 'round Summer round')->orderBy('id')->pluck('action')->all())->toBe([
        'plan',
        'open',
        'close',
        'publish',
    ]);
});

it('refuses a step out of order with a sentence and changes nothing', function () {
    $round = planned($this);
    $head = $this->headCoach();
    $this->actingAs($head)->post("/rounds/{$round->public_id}/publish")->assertSessionHas('refused');
    $this->actingAs($head)->post("/rounds/{$round->public_id}/close")->assertSessionHas('refused');
    expect($round->refresh()->state->value)->toBe('draft');
    $this->actingAs($head)->post("/rounds/{$round->public_id}/open")->assertSessionHas('done');
    $this->actingAs($head)->post("/rounds/{$round->public_id}/open")->assertSessionHas('refused');
    expect($round->readings()->count())->toBe(6);
});

it('never goes back, whoever writes to the database', function () {
    expect(
        fn () => DB::transaction(
            fn () => DB::table('sittings')
                ->where('name', 'Spring round')
                ->update(['state' => 'open']),
        ),
    )->toThrow(QueryException::class, 'does not go back');
});

it('opens no round for recordings without a key or without consent', function () {
    $round = planned($this);
    DB::statement('alter table key_entries disable trigger user');
    KeyEntry::query()
        ->where('case_id', $round->cases()->value('case_id'))
        ->delete();
    $this->actingAs($this->headCoach())
        ->post("/rounds/{$round->public_id}/open")
        ->assertSessionHas(
            'refused',
            'No published panel study covers every case of this round under its lens; nothing was opened. Most of '
                .'them are in “Winter panel study”, which lacks 1: '.$round->cases()->first()->called().'.',
        );

    $round
        ->cases()
        ->first()
        ->recording->golfer->consents()
        ->update(['expires_on' => now()->subDay()]);
    expect(fn () => app(OpenRound::class)($round, $this->headCoach()))
        ->toThrow(ActionException::class, 'has no valid consent')
        ->and($round->refresh()->state->value)
        ->toBe('draft');
});

it('plans nothing that cannot be: no recordings, no members, the wrong people', function () {
    $head = $this->headCoach();
    $count = Sitting::query()->count();
    $this->actingAs($head)
        ->post('/rounds', ['name' => 'x', 'kind' => 'round', 'show' => 'both'])
        ->assertSessionHasErrors(['recordings', 'members']);
    $this->actingAs($head)
        ->post('/rounds', [
            'name' => 'x',
            'kind' => 'round',
            'show' => 'both',
            'recordings' => [999999],
            'members' => [1],
        ])
        ->assertSessionHasErrors('recordings');
    $this->actingAs($head)
        ->post('/rounds', [
            'name' => 'x',
            'kind' => 'panel',
            'show' => 'both',
            'recordings' => [Recording::query()->value('id')],
            'members' => [$this->person('tam')->id],
        ])
        ->assertSessionHas('refused');
    expect(Sitting::query()->count())->toBe($count);
});

it('shows film only, trace only or both as planned', function () {
    foreach (['film' => [true, false], 'trace' => [false, true], 'both' => [true, true]] as $show => [$film, $trace]) {
        foreach (planned($this, ['show' => $show])->cases()->with('arm')->get() as $case) {
            expect([$case->arm->film, $case->arm->trace])->toBe([$film, $trace]);
        }
    }
});

it('makes a key of a panel\'s readings when the study is closed', function () {
    $panel = User::query()->where('role', 'panel')->orderBy('id')->pluck('id')->all();
    $round = planned($this, ['kind' => 'panel', 'members' => $panel, 'name' => 'New study']);
    $this->actingAs($this->headCoach())->post("/rounds/{$round->public_id}/open");
    $present = ['hang-back' => 4, 'sway' => 2];
    foreach (User::query()->whereKey($panel)->orderBy('id')->get() as $i => $member) {
        foreach (
            Reading::query()
                ->where('user_id', $member->id)
                ->whereIn('sitting_case_id', $round->cases()->select('id'))
                ->get() as $reading
        ) {
            $this->actingAs($member)
                ->postJson(
                    "/read/{$reading->public_id}/changes",
                    $this->changes($this->sheet(array_keys(array_filter($present, fn ($n) => $i < $n)))),
                )
                ->assertOk();
            $this->actingAs($member)->post("/read/{$reading->public_id}/hand-in");
        }
    }
    $this->actingAs($this->headCoach())->post("/rounds/{$round->public_id}/close")->assertSessionHas('done');
    $entries = $round->keys()->sole()->entries()->get();
    expect($entries)->toHaveCount(84);
    foreach ($entries as $e) {
        expect($e->label)
            ->toBe(['hang-back' => 'present', 'sway' => 'none'][$e->fault] ?? 'absent')
            ->and([$e->present, $e->absent])
            ->toBe(isset($present[$e->fault]) ? [$present[$e->fault], 5 - $present[$e->fault]] : [0, 5]);
        if ($e->fault === 'sway') {
            expect($e->grade)->toBe('contested')->and($e->scoredLabel())->toBeNull();
        }
        if ($e->label === 'present') {
            expect($e->severity)
                ->toBe(2.0)
                ->and($e->onset)
                ->toBe('TP')
                ->and($e->grade)
                ->toBe(
                    match ($e->verdict) {
                        'supported' => abs($e->margin) >= 1 ? 'verified' : 'borderline',
                        'contradicted' => abs($e->margin) >= 1 ? 'conflict' : 'borderline',
                        'borderline' => 'borderline',
                        default => 'panel only',
                    },
                );
        }
    }
    $this->actingAs($this->headCoach())->get("/panel/{$round->public_id}")->assertOk()->assertSee('contested');
});

it('freezes a key: neither its entries nor itself can be changed', function () {
    $key = $this->round('Spring')->keyVersion;
    expect($key->frozen_at)->not->toBeNull();
    foreach (
        [
            "update key_entries set label = 'absent' where key_version_id = {$key->id}",
            "delete from key_entries where key_version_id = {$key->id}",
            "update key_versions set frozen_at = null where id = {$key->id}",
            "delete from key_versions where id = {$key->id}",
        ] as $sql
    ) {
        expect(fn () => DB::transaction(fn () => DB::statement($sql)))->toThrow(QueryException::class, 'frozen');
    }
});

it('puts a ruling on a frozen key into a new version and leaves both to be seen', function () {
    $key = $this->round('Spring')->keyVersion;
    $entry = $key->entries()->where('grade', '<>', 'contested')->firstOrFail();
    $head = $this->headCoach();
    $this->actingAs($head)
        ->post("/panel/entries/{$entry->id}/ruling", ['ruling' => 'absent', 'reason' => 'short'])
        ->assertSessionHasErrors('reason');
    $this->actingAs($head)
        ->post("/panel/entries/{$entry->id}/ruling", ['ruling' => 'maybe', 'reason' => 'the film shows a turn'])
        ->assertSessionHasErrors('ruling');
    $this->actingAs($head)
        ->post("/panel/entries/{$entry->id}/ruling", [
            'ruling' => 'none',
            'reason' => 'The film was shot from too low to tell.',
        ])
        ->assertSessionHas('done');
    $next = KeyVersion::query()->where('sitting_id', $key->sitting_id)->where('number', $key->number + 1)->sole();
    $ruled = $next->entries()->where('case_id', $entry->case_id)->where('fault', $entry->fault)->sole();
    expect($next->entries()->count())
        ->toBe($key->entries()->count())
        ->and($next->cases()->orderBy('case_id')->get(['case_id', 'body'])->toArray())
        ->toBe($key->cases()->orderBy('case_id')->get(['case_id', 'body'])->toArray())
        ->and($next->cases()->count())->toBeGreaterThan(0)
        ->and($ruled->ruling)
        ->toBe('none')
        ->and($ruled->scoredLabel())
        ->toBeNull()
        ->and($ruled->label)
        ->toBe($entry->label)
        ->and($entry->refresh()->ruling)
        ->toBeNull()
        ->and($this->round('Spring')->key_version_id)
        ->toBe($key->id)
        ->and(AuditEntry::query()->where('action', 'rule')->count())
        ->toBe(1);
    $this->actingAs($head)
        ->post("/panel/entries/{$entry->id}/ruling", ['ruling' => 'absent', 'reason' => 'second thoughts on it'])
        ->assertSessionHas('refused');
    $this->actingAs($head)
        ->get('/panel/'.$key->sitting->public_id)
        ->assertOk()
        ->assertSee('The film was shot from too low to tell.')
        ->assertSee('key version '.($key->number + 1));
});

it('scores a conflict only once it has been ruled on', function () {
    $entry = new KeyEntry(['label' => 'present', 'grade' => 'conflict', 'ruling' => null]);
    expect($entry->scoredLabel())->toBeNull();
    $entry->ruling = 'absent';
    expect($entry->scoredLabel())->toBe('absent');
    $entry->ruling = 'none';
    expect($entry->scoredLabel())->toBeNull();
});

it('computes a result once and again only when something it rests on has changed', function () {
    $round = $this->round('Spring');
    $made = $round->result;
    app(\App\Agreement\Actions\ComputeResult::class)($round);
    expect($round->result()->sole()->updated_at->equalTo($made->updated_at))
        ->toBeTrue()
        ->and(SittingResult::query()->where('sitting_id', $round->id)->count())
        ->toBe(1);
    SittingResult::query()
        ->whereKey($made->id)
        ->update(['core_version' => '0.0.1']);
    expect(app(\App\Agreement\Actions\ComputeResult::class)($round)->core_version)->toBe(\Core\Version::AGREEMENT);
    DB::statement('alter table calls disable trigger user');
    DB::statement('alter table readings disable trigger user');
    $reading = $round->readings()->first();
    $reading->update(['version' => $reading->version + 1]);
    $before = $made->inputs_checksum;
    expect(app(\App\Agreement\Actions\ComputeResult::class)($round->refresh())->inputs_checksum)->not->toBe($before);
});

it('scores nobody against a key they helped to make', function () {
    $round = $this->round('Spring');
    $member = $round->members()->first();
    $round->keyVersion->sitting->members()->attach($member->id);
    app(\App\Agreement\Actions\ComputeResult::class)($round);
    $result = keptBodies($round);
    expect(collect($result['against_key'])->pluck('rater'))
        ->not->toContain('u'.$member->id)
        ->and(collect($result['pooled']['pairs'])->flatMap(fn ($p) => [$p['a'], $p['b']]))
        ->toContain('u'.$member->id);
});
