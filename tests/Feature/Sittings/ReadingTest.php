<?php

use App\Models\AuditEntry;
use App\Models\Call;
use App\Models\Reading;
use App\Models\ReadingChange;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Sends changes as a window does. */
function tell(object $test, Reading $reading, array $changes)
{
    return $test->postJson("/read/{$reading->public_id}/changes", $changes);
}

beforeEach(function () {
    $this->tam = $this->person('tam');
    $this->reading = $this->openReading($this->tam);
    $this->actingAs($this->tam);
});

it('takes changes one by one, counts its version and shows the sheet again', function () {
    tell(
        $this,
        $this->reading,
        $this->changes(
            $this->sheet(
                ['hang-back'],
                [
                    'cue' => ' Press, then turn ',
                    'drill' => ['key' => 'step-in', 'stop' => 'rehearsal'],
                    'misses' => ['fat' => 60, 'push' => 20],
                    'mark:TP' => 1.5,
                    'chain' => [],
                ],
            ),
        ),
    )
        ->assertOk()
        ->assertJsonPath('version', 34)
        ->assertJsonPath('refused', [])
        ->assertJsonPath('others', false)
        ->assertJsonCount(34, 'applied');
    $call = Call::query()->where('reading_id', $this->reading->id)->where('fault', 'hang-back')->sole();
    expect($call->presence)
        ->toBe(Core\Reading\Presence::Present)
        ->and($call->severity)
        ->toBe(Core\Reading\Severity::Clear)
        ->and($call->onset)
        ->toBe(Core\Motion\Station::Top)
        ->and($call->pins)
        ->toEqual([['on' => 'film', 't' => 1.2]]);
    $this->getJson("/read/{$this->reading->public_id}/sheet")
        ->assertOk()
        ->assertJsonPath('version', 34)
        ->assertJsonPath('calls.hang-back.presence', 'present')
        ->assertJsonPath('cue', 'Press, then turn')
        ->assertJsonPath('drill', ['key' => 'step-in', 'stop' => 'rehearsal'])
        ->assertJsonPath('misses', ['fat' => 60, 'push' => 20])
        ->assertJsonPath('breaks', null)
        ->assertJsonPath('marks.TP', 1.5)
        ->assertJsonPath('causes', ['hang-back']);
    $this->actingAs($this->person('kit'))
        ->getJson("/read/{$this->reading->public_id}/sheet")
        ->assertNotFound();
    tell($this, $this->reading, $this->changes(['cue' => 'x']))->assertNotFound();
});

it('keeps what is outside the feet, what is sound and what a mark is, and refuses what a sheet of before said', function () {
    $said = $this->sheet(['hang-back'], [
        'call:hang-back' => [
            'presence' => 'present', 'severity' => 2, 'reaction' => 'outside-thrown-out',
            'pins' => [['on' => 'turf', 'turf' => 'spun']],
        ],
        'call:sway' => ['presence' => 'absent', 'sound' => true],
        'causes' => ['outside-thrown-out', 'outside-other'],
        'other-cause' => ' looks up early ',
        'chain' => [['outside-thrown-out', 'hang-back']],
    ]);
    tell($this, $this->reading, $this->changes($said))->assertOk()->assertJsonPath('refused', []);
    $this->getJson("/read/{$this->reading->public_id}/sheet")
        ->assertJsonPath('calls.hang-back.reaction', 'outside-thrown-out')
        ->assertJsonPath('calls.hang-back.pins', [['on' => 'turf', 'turf' => 'spun']])
        ->assertJsonPath('calls.sway.sound', true)
        ->assertJsonMissingPath('calls.hang-back.sound')
        ->assertJsonPath('causes', ['outside-thrown-out', 'outside-other'])
        ->assertJsonPath('other-cause', 'looks up early');
    // What a window opened before the release still has on its way: one miss is sure, a bare "not in the feet" too
    // little.
    tell($this, $this->reading, $this->changes(['miss' => 'thin', 'causes' => ['not-in-the-feet']], 40))
        ->assertOk()
        ->assertJsonCount(1, 'refused')
        ->assertJsonPath('refused.0.target', 'causes');
    $reading = $this->reading->refresh();
    expect($reading->misses)->toBe(['thin' => 100])
        ->and($reading->sheet)->toBe(2)
        ->and($reading->first_causes)->toBe(['outside-thrown-out', 'outside-other'])
        ->and($reading->toCore()->obstacles(Core\Codebook\Codebook::standard()))->toBe([]);
    $this->get("/read/{$reading->public_id}")->assertOk()->assertSee('arms and hands: thrown out');
});

it('lets the database refuse a reaction of what is not there and a fault that is sound', function (array $row) {
    tell($this, $this->reading, $this->changes($this->sheet(['sway'])))->assertOk();
    Call::query()->where('reading_id', $this->reading->id)->where('fault', $row[0])->update($row[1]);
})->throws(Illuminate\Database\QueryException::class)->with([
    [['hang-back', ['reaction' => 'outside-grip']]],
    [['sway', ['reaction' => 'sway']]],
    [['sway', ['sound' => true]]],
]);

it('counts a change once however often it is sent, and takes a call back', function () {
    $changes = $this->changes($this->sheet(['sway']));
    tell($this, $this->reading, $changes)->assertOk()->assertJsonPath('version', 29);
    tell($this, $this->reading, $changes)->assertOk()->assertJsonPath('version', 29)->assertJsonCount(29, 'applied');
    expect(ReadingChange::query()->where('reading_id', $this->reading->id)->count())->toBe(29);
    tell($this, $this->reading, $this->changes(['call:sway' => null], 29))->assertOk()->assertJsonPath('version', 30);
    expect(Call::query()->where('reading_id', $this->reading->id)->count())->toBe(27);
    // The old one arriving late once more changes nothing.
    tell($this, $this->reading, $changes)->assertOk()->assertJsonPath('version', 30);
    expect($this->reading->calls()->where('fault', 'sway')->exists())->toBeFalse();
});

it('lets two windows change different things, and refuses where both changed the same', function () {
    tell(
        $this,
        $this->reading,
        $this->changes(['call:sway' => ['presence' => 'present', 'severity' => 1]], 0, 'window-one'),
    )->assertJsonPath('version', 1);
    tell($this, $this->reading, $this->changes(['call:no-load' => ['presence' => 'absent']], 0, 'window-two'))
        ->assertJsonPath('version', 2)
        ->assertJsonPath('others', true)
        ->assertJsonPath('sheet.calls.sway.severity', 1);
    $answer = tell(
        $this,
        $this->reading,
        $this->changes(['call:sway' => ['presence' => 'absent'], 'cue' => 'wait'], 0, 'window-two'),
    )
        ->assertOk()
        ->assertJsonPath('version', 3);
    expect($answer->json('refused.0'))
        ->toMatchArray(['target' => 'call:sway', 'conflict' => true])
        ->and($answer->json('sheet.calls.sway.presence'))
        ->toBe('present')
        ->and($answer->json('sheet.cue'))
        ->toBe('wait');
    // Having seen it, the second window may.
    tell($this, $this->reading, $this->changes(['call:sway' => ['presence' => 'absent']], 3, 'window-two'))
        ->assertJsonPath('version', 4)
        ->assertJsonPath('refused', []);
    // A window's own earlier change never stands in its way, though no answer to it was seen.
    tell(
        $this,
        $this->reading,
        $this->changes(['call:sway' => ['presence' => 'cannot-tell']], 0, 'window-two'),
    )->assertJsonPath('refused', []);
    expect($this->reading->calls()->where('fault', 'sway')->value('presence'))->toBe(Core\Reading\Presence::CannotTell);
});

it('replays what a closed window left under that window\'s name', function () {
    $left = $this->changes(['call:sway' => ['presence' => 'absent'], 'cue' => 'turn'], 0, 'window-one');
    $left['changes'] = array_map(static fn (array $c): array => [...$c, 'writer' => 'window-one'], $left['changes']);
    tell($this, $this->reading, [...$left, 'writer' => 'window-two'])
        ->assertOk()
        ->assertJsonPath('version', 2)
        ->assertJsonPath('others', true);
    expect(ReadingChange::query()->where('reading_id', $this->reading->id)->distinct()->pluck('writer')->all())->toBe([
        'window-one',
    ]);
});

it('refuses a change that makes no sense, in a sentence, and takes the others', function (
    string $target,
    mixed $value,
    string $says,
) {
    $answer = tell(
        $this,
        $this->reading,
        $this->changes(['call:no-load' => ['presence' => 'absent'], $target => $value, 'cue' => 'wait']),
    )->assertOk();
    expect($answer->json('refused.0.because'))
        ->toContain($says)
        ->and($answer->json('refused'))
        ->toHaveCount(1)
        ->and($answer->json('version'))
        ->toBe(2)
        ->and($this->reading->refresh()->cue)
        ->toBe('wait')
        ->and($this->reading->calls()->pluck('fault')->all())
        ->toBe(['no-load']);
})->with([
    ['call:sway', ['presence' => 'perhaps'], 'no such presence'],
    ['call:sway', ['presence' => 'present', 'severity' => 9], 'Severity is 1'],
    ['call:moonwalk', ['presence' => 'present'], 'no fault'],
    ['call:sway', ['presence' => 'present', 'pins' => [['on' => 'floor', 't' => 1]]], 'A pin stands on'],
    ['causes', ['a', 'b'], 'no fault'],
    ['chain', [['sway', 'no-load'], ['no-load', 'sway']], 'in a circle'],
    ['elsewhere', 1, 'nothing of that name'],
]);

it('refuses what is no list of changes at all', function (array $body) {
    tell($this, $this->reading, $body)->assertUnprocessable();
    expect($this->reading->refresh()->version)->toBe(0);
})->with([
    [[]],
    [['writer' => 'window-one', 'changes' => []]],
    [
        [
            'writer' => '<script>',
            'changes' => [['id' => 'c-12345678', 'target' => 'cue', 'value' => 'x', 'base' => 0, 'at' => 0]],
        ],
    ],
    [['writer' => 'window-one', 'changes' => ['x' => ['id' => 'c-12345678']]]],
    [
        [
            'writer' => 'window-one',
            'changes' => [['id' => 'short', 'target' => 'cue', 'value' => 'x', 'base' => 0, 'at' => 0]],
        ],
    ],
    [['writer' => 'window-one', 'changes' => [['id' => 'c-12345678', 'target' => 'cue', 'base' => 0, 'at' => 0]]]],
    [
        [
            'writer' => 'window-one',
            'changes' => [['id' => 'c-12345678', 'target' => ['cue'], 'value' => 'x', 'base' => -1, 'at' => 'then']],
        ],
    ],
]);

it('counts the time spent once, and none beyond reason', function () {
    $time = $this->changes(['time' => 42_000]);
    tell($this, $this->reading, $time)->assertOk()->assertJsonPath('version', 0);
    tell($this, $this->reading, $time)->assertOk();
    tell($this, $this->reading, $this->changes(['time' => 99_999_999_999]))->assertOk();
    tell($this, $this->reading, $this->changes(['time' => 'long']))->assertOk();
    expect($this->reading->refresh()->active_ms)->toBe(642_000);
});

it('hands in a complete reading, locks it and writes it down', function () {
    [$user, $reading] = [$this->tam, $this->reading];
    tell($this, $reading, $this->changes($this->sheet(['sway'])))->assertOk();
    $this->actingAs($user)->post("/read/{$reading->public_id}/hand-in")->assertRedirect('/read/next');
    expect($reading->refresh()->handed_in_at)->not->toBeNull();
    tell($this->actingAs($user), $reading, $this->changes($this->sheet([]), 24))
        ->assertStatus(423)
        ->assertJsonPath('message', 'This reading has been handed in and is locked; nothing was changed.');
    $this->actingAs($user)
        ->post("/read/{$reading->public_id}/hand-in")
        ->assertRedirect('/read/next');
    expect(
        AuditEntry::query()->where('action', 'hand-in')->where('details->reading', $reading->public_id)->count(),
    )->toBe(1);
    $this->actingAs($user)
        ->get("/read/{$reading->public_id}")
        ->assertOk()
        ->assertSee('handed in, locked');
});

it('says what is missing before it lets a reading go', function () {
    [$user, $reading] = [$this->tam, $this->reading];
    $sheet = $this->sheet(['sway']);
    unset($sheet['call:fall-off'], $sheet['call:sway']['severity']);
    tell($this, $reading, $this->changes([...$sheet, 'causes' => []]))->assertOk();
    $this->actingAs($user)
        ->post("/read/{$reading->public_id}/hand-in")
        ->assertSessionHas(
            'refused',
            'Drifting off the ball is called present without a severity. Does not finish on the lead side has no '
                .'call. A first cause is missing.',
        );
    expect($reading->refresh()->handed_in_at)->toBeNull();
});

it('takes no call once the round is closed', function () {
    [$user, $reading] = [$this->tam, $this->reading];
    tell($this, $reading, $this->changes($this->sheet(['sway'])))->assertOk();
    $this->actingAs($this->headCoach())
        ->post('/rounds/'.$this->round('Autumn')->public_id.'/close')
        ->assertSessionHas('done');
    tell($this->actingAs($user), $reading, $this->changes($this->sheet([]), 24))
        ->assertStatus(423)
        ->assertJsonPath('message', 'The round is closed; nothing was changed. What was saved before is kept.');
    $this->actingAs($user)
        ->post("/read/{$reading->public_id}/hand-in")
        ->assertSessionHas('refused');
    expect($reading->calls()->where('fault', 'sway')->value('presence'))->toBe(Core\Reading\Presence::Present);
});

it('says again that it took what it took, when the answer was lost and it is locked by now', function (string $how) {
    [$user, $reading] = [$this->tam, $this->reading];
    $sent = $this->changes($this->sheet(['sway']));
    $first = tell($this, $reading, $sent)->assertOk()->json();
    $how === 'handed in'
        ? $this->actingAs($user)->post("/read/{$reading->public_id}/hand-in")->assertRedirect('/read/next')
        : $this->actingAs($this->headCoach())->post('/rounds/'.$this->round('Autumn')->public_id.'/close')
            ->assertSessionHas('done');
    $kept = DB::table('reading_changes')->where('reading_id', $reading->id)->orderBy('id')->get();
    tell($this->actingAs($user), $reading, $sent)->assertOk()
        ->assertJsonPath('applied', $first['applied'])
        ->assertJsonPath('version', $first['version'])
        ->assertJsonPath('refused', []);
    // With anything new beside it: refused as a whole, by the same sentence as ever.
    tell($this->actingAs($user), $reading, [
        ...$sent, 'changes' => [...$sent['changes'], ...$this->changes(['cue' => 'late'], 24)['changes']],
    ])->assertStatus(423);
    expect(DB::table('reading_changes')->where('reading_id', $reading->id)->orderBy('id')->get())->toEqual($kept)
        ->and($reading->refresh()->cue)->not->toBe('late');
})->with(['handed in', 'closed']);

it('keeps of a change each cell as it was sent, the hour by the clock of who sent it', function () {
    $this->travelTo(now()->startOfSecond()->addMilliseconds(700));
    $pins = [['on' => 'film', 't' => 0.5, 'view' => 'face-on'], ['on' => 'trace', 't' => 1.0]];
    $values = [
        'call:sway' => [
            'presence' => 'present', 'severity' => 2, 'onset' => 'TP', 'decision' => 'now', 'confidence' => 80,
            'pins' => $pins, 'reaction' => 'outside-fear',
        ],
        'call:spin-out' => ['presence' => 'absent', 'confidence' => 55, 'sound' => true],
        'call:hang-back' => ['presence' => 'cannot-tell'],
        'cue' => 'Press “in”, wait – 50 % \\ \'now\' ☃',
        'time' => 1_500,
    ];
    tell($this, $this->reading, $this->changes($values))->assertOk()->assertJsonPath('refused', []);
    $reading = $this->reading->refresh();
    $kept = DB::table('reading_changes')->where('reading_id', $reading->id)->orderBy('id')->get();
    expect($kept->pluck('target')->all())->toBe(array_keys($values))
        ->and($kept->map(static fn (object $c): mixed => json_decode($c->value, true))->all())
        ->toEqual(array_values($values))
        ->and($kept->pluck('version')->all())->toBe([1, 2, 3, 4, 4])
        ->and(strtotime($kept[0]->created_at))->toBe(now()->getTimestamp())
        // Never ahead of the clock.
        ->and($reading->updated_at->equalTo(now()->startOfSecond()))->toBeTrue()
        ->and([$reading->version, $reading->active_ms, $reading->cue])->toBe([4, 1_500, $values['cue']]);
    $columns = ['presence', 'severity', 'onset', 'decision', 'confidence', 'trend', 'reaction', 'sound'];
    $cells = fn (string $fault): array => (array) DB::table('calls')->where('reading_id', $reading->id)
        ->where('fault', $fault)
        ->first($columns);
    expect(array_values($cells('sway')))->toBe(['present', 2, 'TP', 'now', 80, null, 'outside-fear', false])
        ->and(array_values($cells('spin-out')))->toBe(['absent', null, null, null, 55, null, null, true])
        ->and(array_values($cells('hang-back')))->toBe(['cannot-tell', null, null, null, null, null, null, false]);
    // A call that is taken back goes, the others stay as they are.
    tell($this, $reading, $this->changes(['call:sway' => null], 4))->assertOk()->assertJsonPath('refused', []);
    expect($reading->calls()->pluck('fault')->all())->toBe(['spin-out', 'hang-back'])
        ->and($reading->refresh()->version)->toBe(5);
});

it('holds the lock in the database itself', function (string $sql) {
    $reading = Reading::query()->whereNotNull('handed_in_at')->firstOrFail();
    expect(fn () => DB::transaction(fn () => DB::statement(str_replace(':id', (string) $reading->id, $sql))))->toThrow(
        QueryException::class,
    );
})->with([
    "update calls set presence = 'absent', severity = null, onset = null, decision = null where reading_id = :id",
    'delete from calls where reading_id = :id',
    "insert into calls (reading_id, fault, presence) values (:id, 'another', 'absent')",
    "update readings set cue = 'x' where id = :id",
    "insert into reading_changes (reading_id, client_id, writer, version, target, made_at) values (:id, 'c-00000000', "
        ."'w', 1, 'cue', now())",
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

it('tells a sheet in the order of its calls, wherever the database keeps their rows', function () {
    tell($this, $this->reading, $this->changes($this->sheet(['hang-back'])));
    $sheet = fn (): array => array_keys($this->getJson("/read/{$this->reading->public_id}/sheet")->json('calls'));
    $before = $sheet();
    // A row that is written again lies behind the others.
    $first = ['reading_id' => $this->reading->id, 'fault' => $before[0]];
    $row = (array) DB::table('calls')->where($first)->sole();
    DB::table('calls')->where($first)->delete();
    DB::table('calls')->insert($row);
    expect($sheet())->toBe($before);
});

it('escapes what people write, and sends a sheet as data only', function () {
    [$user, $reading] = [$this->tam, $this->reading];
    tell($this, $reading, $this->changes($this->sheet([], ['cue' => '</script><script>alert(1)'])))->assertOk();
    $this->actingAs($user)
        ->get("/read/{$reading->public_id}/sheet")
        ->assertHeader('Content-Type', 'application/json')
        ->assertHeader('X-Content-Type-Options', 'nosniff');
    $key = $this->round('Spring')->keyVersion;
    $entry = $key->entries()->where('grade', '<>', 'contested')->firstOrFail();
    $this->actingAs($this->headCoach())
        ->post("/panel/entries/{$entry->id}/ruling", [
            'ruling' => 'none',
            'reason' => '<script>alert(1)</script> from too low',
        ])
        ->assertSessionHas('done');
    $page = $this->actingAs($this->headCoach())
        ->get('/panel/'.$key->sitting->public_id)
        ->assertOk()
        ->getContent();
    expect($page)->toContain('&lt;script&gt;alert(1)&lt;/script&gt; from too low')->not->toContain('<script>alert(1)');
});

it('says beside a drill that it loads what the golfer is to spare, and no more once that is cleared', function () {
    $reading = $this->reading;
    $limit = $reading->case->recording->golfer->limitsNoted()->create([
        'region' => 'knee', 'side' => 'lead', 'severity' => 'not-cleared',
    ]);
    $page = fn () => $this->actingAs($reading->user)->get("/read/{$reading->public_id}")->assertOk();
    $page()->assertSee('It loads what this golfer is to spare');
    $limit->update(['is_cleared' => true]);
    $page()->assertDontSee('It loads what this golfer is to spare');
    $limit->update(['is_cleared' => true, 'cleared_until' => '2020-01-01']);
    $page()->assertSee('It loads what this golfer is to spare');
});
