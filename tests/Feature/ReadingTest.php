<?php

use App\Models\AuditEntry;
use App\Models\Call;
use App\Models\Reading;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

it('saves a sheet, counts its version and shows it again', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", [...$this->sheet(['hang-back']), 'cue' => ' Press, then turn '])->assertOk()->assertExactJson(['version' => 1]);
    $call = Call::query()->where('reading_id', $reading->id)->where('fault', 'hang-back')->sole();
    expect($call->presence)->toBe('present')->and($call->severity)->toBe(2)->and($call->onset)->toBe('TP')->and($call->pins)->toEqual([['on' => 'film', 't' => 1.2]])
        ->and($reading->refresh()->first_causes)->toBe(['hang-back'])->and($reading->cue)->toBe('Press, then turn');
    $this->actingAs($user)->getJson("/read/{$reading->public_id}/sheet")->assertOk()->assertJsonPath('version', 1)->assertJsonPath('calls.hang-back.presence', 'present')->assertJsonPath('cue', 'Press, then turn');
    $this->actingAs($this->person('kit'))->getJson("/read/{$reading->public_id}/sheet")->assertForbidden();
});

it('is safe to send twice and lets a call be taken back', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $this->sheet(['sway']))->assertOk();
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $this->sheet(['sway'], 1))->assertOk();
    expect(Call::query()->where('reading_id', $reading->id)->count())->toBe(23);
    $less = $this->sheet([], 2);
    unset($less['calls']['sway']);
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $less)->assertOk()->assertExactJson(['version' => 3]);
    expect(Call::query()->where('reading_id', $reading->id)->count())->toBe(22);
});

it('tells two windows apart: the older sheet is refused and the kept one comes back', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $this->sheet(['sway']))->assertOk();
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $this->sheet(['no-load']))->assertConflict()
        ->assertJsonPath('sheet.version', 1)->assertJsonPath('sheet.calls.sway.presence', 'present');
    expect(Call::query()->where('reading_id', $reading->id)->where('fault', 'no-load')->value('presence'))->toBe('absent');
});

it('knows a save that had arrived though its answer was lost', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $put = fn (array $sheet) => $this->actingAs($user)->putJson("/read/{$reading->public_id}", $sheet);
    $put([...$this->sheet(['sway']), 'id' => 'x1', 'after' => []])->assertExactJson(['version' => 1]);
    $put([...$this->sheet(['sway']), 'id' => 'x1', 'after' => []])->assertOk()->assertExactJson(['version' => 1]);
    $put([...$this->sheet(['no-load']), 'id' => 'x2', 'after' => ['x0', 'x1']])->assertOk()->assertExactJson(['version' => 2]);
    $put([...$this->sheet(['late-load']), 'id' => 'x3', 'after' => ['x1']])->assertConflict();
    expect($reading->calls()->where('presence', 'present')->pluck('fault')->all())->toBe(['no-load'])->and($reading->refresh()->version)->toBe(2);
});

it('refuses a sheet that makes no sense, in a sentence, and keeps what it had', function (array $change, string $message) {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $sheet = array_replace_recursive($this->sheet(['sway']), $change);
    $response = $this->actingAs($user)->putJson("/read/{$reading->public_id}", $sheet)->assertUnprocessable();
    expect($response->json('message'))->toContain($message);
    expect($reading->refresh()->version)->toBe(0)->and($reading->calls()->count())->toBe(0);
})->with([
    [['calls' => ['sway' => ['presence' => 'perhaps']]], 'presence'],
    [['calls' => ['sway' => ['severity' => 9]]], 'between 1 and 3'],
    [['calls' => ['sway' => ['confidence' => 20]]], 'between 50 and 100'],
    [['calls' => ['sway' => ['onset' => 'QQ']]], 'onset'],
    [['calls' => ['no-load' => ['severity' => 2]]], 'belong only to a fault called present'],
    [['calls' => ['sway' => ['presence' => 'cannot-tell', 'severity' => null, 'onset' => null, 'decision' => null]]], 'carries no confidence'],
    [['calls' => ['moonwalk' => ['presence' => 'present']]], 'calls'],
    [['calls' => ['sway' => ['pins' => [['on' => 'floor', 't' => 1]]]]], 'pins'],
    [['calls' => ['sway' => ['pins' => [['on' => 'film', 't' => -3]]]]], 'pins'],
    [['first_causes' => ['a', 'b', 'c']], 'first'],
    [['first_causes' => ['moonwalk']], 'first'],
    [['cue' => str_repeat('x', 400)], 'cue'],
    [['version' => 'new'], 'version'],
]);

it('hands in a complete reading, locks it and writes it down', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $this->sheet(['sway']))->assertOk();
    $this->actingAs($user)->post("/read/{$reading->public_id}/hand-in")->assertRedirect('/read/next');
    expect($reading->refresh()->handed_in_at)->not->toBeNull();
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $this->sheet([], 1))->assertUnprocessable()->assertJsonPath('message', 'This reading has been handed in and is locked; nothing was changed.');
    $this->actingAs($user)->post("/read/{$reading->public_id}/hand-in")->assertRedirect('/read/next');
    expect(AuditEntry::query()->where('action', 'hand-in')->where('details->reading', $reading->public_id)->count())->toBe(1);
    $this->actingAs($user)->get("/read/{$reading->public_id}")->assertOk()->assertSee('handed in, locked');
});

it('says what is missing before it lets a reading go', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $sheet = $this->sheet(['sway']);
    unset($sheet['calls']['fall-off'], $sheet['calls']['sway']['severity']);
    $sheet['first_causes'] = [];
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $sheet)->assertOk();
    $this->actingAs($user)->post("/read/{$reading->public_id}/hand-in")
        ->assertSessionHas('refused', 'Drifting off the ball is called present without a severity. Does not finish on the lead side has no call. A first cause is missing.');
    expect($reading->refresh()->handed_in_at)->toBeNull();
});

it('takes no call once the round is closed', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $this->sheet(['sway']))->assertOk();
    $this->actingAs($this->headCoach())->post('/rounds/'.$this->round('Autumn')->public_id.'/close')->assertSessionHas('done');
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", $this->sheet([], 1))->assertUnprocessable()->assertJsonPath('message', 'The round is closed; nothing was changed. What was saved before is kept.');
    $this->actingAs($user)->post("/read/{$reading->public_id}/hand-in")->assertSessionHas('refused');
    expect($reading->calls()->where('fault', 'sway')->value('presence'))->toBe('present');
});

it('holds the lock in the database itself', function (string $sql) {
    $reading = Reading::query()->whereNotNull('handed_in_at')->firstOrFail();
    expect(fn () => DB::transaction(fn () => DB::statement(str_replace(':id', (string) $reading->id, $sql))))->toThrow(QueryException::class);
})->with([
    "update calls set presence = 'absent', severity = null, onset = null, decision = null where reading_id = :id",
    'delete from calls where reading_id = :id',
    "insert into calls (reading_id, fault, presence) values (:id, 'another', 'absent')",
    "update readings set cue = 'x' where id = :id",
    'update readings set handed_in_at = null where id = :id',
]);

it('leads from Today to the next case in the reader\'s own order, and says when nothing is left', function () {
    $user = $this->person('tam');
    $next = $this->openReading($user);
    $this->actingAs($user)->get('/')->assertOk()->assertSee("Read case {$next->position}");
    $this->actingAs($user)->get('/read/next')->assertRedirect("/read/{$next->public_id}");
    $done = $this->person('bea');
    $this->actingAs($done)->get('/read/next')->assertRedirect('/');
    $this->actingAs($done)->get('/')->assertSee('All handed in');
});

it('escapes what people write, and sends a sheet as data only', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $this->actingAs($user)->putJson("/read/{$reading->public_id}", [...$this->sheet(), 'cue' => '</script><script>alert(1)'])->assertOk();
    $this->actingAs($user)->get("/read/{$reading->public_id}/sheet")->assertHeader('Content-Type', 'application/json')->assertHeader('X-Content-Type-Options', 'nosniff');
    $key = $this->round('Spring')->keyVersion;
    $entry = $key->entries()->where('grade', '<>', 'contested')->firstOrFail();
    $this->actingAs($this->headCoach())->post("/panel/entries/{$entry->id}/ruling", ['ruling' => 'none', 'reason' => '<script>alert(1)</script> from too low'])->assertSessionHas('done');
    $page = $this->actingAs($this->headCoach())->get('/panel/'.$key->round->public_id)->assertOk()->getContent();
    expect($page)->toContain('&lt;script&gt;alert(1)&lt;/script&gt; from too low')->not->toContain('<script>alert(1)');
});
