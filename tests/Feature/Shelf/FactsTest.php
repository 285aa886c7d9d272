<?php

use App\Models\AuditEntry;
use App\Models\Recording;
use App\Models\Undo;
use Illuminate\Support\Facades\DB;

/** @return array<string, mixed> the form of a swing's facts as the page has it */
function factsForm(Recording $recording, array $change = []): array
{
    return ['version' => $recording->facts_version, 'club' => $recording->club, 'swing' => $recording->swing,
        'shape' => $recording->shape, 'is_cold' => '0', ...$change];
}

it('sets facts right, measures anew what hangs on them, and writes before and after down', function () {
    $recording = Recording::query()->where('club', 'hybrid')->firstOrFail();
    $checksum = $recording->measured->inputs_checksum;
    $this->actingAs($this->headCoach())->get("/bench/$recording->public_id/facts")->assertOk();
    $this->put("/bench/$recording->public_id/facts", factsForm($recording, ['club' => 'pitching wedge',
        'loft_deg' => '46', 'effort_pct' => '80', 'has_ball' => '1', 'size' => 'half', 'series' => 'evening',
        'place' => '3', 'start_deg' => '-4', 'curve_deg' => '9.5', 'height' => 'high', 'strike' => 'heel',
        'path_deg' => '2', 'turf' => 'dug-behind']))->assertRedirect("/bench/$recording->public_id");
    $recording->refresh();
    expect($recording->only(['club', 'loft_deg', 'effort_pct', 'has_ball', 'size', 'series', 'place']))->toBe([
        'club' => 'pitching wedge', 'loft_deg' => 46.0, 'effort_pct' => 80, 'has_ball' => true, 'size' => 'half',
        'series' => 'evening', 'place' => 3,
    ])->and($recording->facts_version)->toBe(1)
        ->and($recording->measured->inputs_checksum)->not->toBe($checksum);
    $entry = AuditEntry::query()->where('action', 'facts')->sole();
    expect($entry->details['before']['club'])->toBe('hybrid')->and($entry->details['after']['size'])->toBe('half');
    $this->get("/bench/$recording->public_id")->assertOk()->assertSee('Started 4° to the pull side, sliced 10°')
        ->assertSee('dug behind the ball')->assertSee('Take it back');
    $this->get('/record')->assertSee('set facts of a swing right');
});

it('takes it back within the minute, by who did it, unless somebody changed it since', function () {
    $recording = Recording::query()->where('club', 'hybrid')->firstOrFail();
    $was = $recording->only(['club', 'swing', 'shape', 'outcome', 'size']);
    $change = fn (string $club) => $this->actingAs($this->headCoach())->put("/bench/$recording->public_id/facts",
        factsForm($recording->refresh(), ['club' => $club, 'size' => 'short']));
    $change('wood');
    $undo = Undo::query()->sole();
    $this->actingAs($this->person('tam'))->post("/undo/$undo->public_id")->assertNotFound();
    $this->actingAs($this->headCoach())->post("/undo/$undo->public_id")->assertSessionHas('done');
    expect($recording->refresh()->only(array_keys($was)))->toBe($was);
    $this->post("/undo/$undo->public_id")->assertSessionHas('refused');
    // Too late.
    $change('iron');
    Undo::query()->update(['expires_at' => now()->subSecond()]);
    $this->post('/undo/'.Undo::query()->latest('id')->value('public_id'))->assertSessionHas('refused');
    expect($recording->refresh()->club)->toBe('iron');
    // Changed since.
    $change('putter');
    $undo = Undo::query()->latest('id')->first();
    $change('wedge');
    $this->post("/undo/$undo->public_id")->assertSessionHas('refused');
    expect($recording->refresh()->club)->toBe('wedge')->and($undo->refresh()->used_at)->toBeNull();
});

it('tells the second of two that the first has changed it', function () {
    $recording = Recording::query()->firstOrFail();
    $first = factsForm($recording, ['club' => 'seven iron']);
    $second = factsForm($recording, ['club' => 'six iron']);
    $this->actingAs($this->headCoach())->put("/bench/$recording->public_id/facts", $first)->assertSessionHas('done');
    $this->put("/bench/$recording->public_id/facts", $second)->assertRedirect("/bench/$recording->public_id/facts")
        ->assertSessionHas('refused');
    expect($recording->refresh()->club)->toBe('seven iron');
});

it('takes nothing that is no fact', function (array $odd) {
    $recording = Recording::query()->firstOrFail();
    $was = $recording->only(['club', 'swing', 'shape', 'outcome', 'facts_version']);
    $this->actingAs($this->headCoach())->put("/bench/$recording->public_id/facts", factsForm($recording, $odd))
        ->assertSessionHasErrors();
    expect($recording->refresh()->only(array_keys($was)))->toBe($was);
})->with([
    [['club' => '']], [['swing' => 'waggle']], [['loft_deg' => '-3']], [['effort_pct' => '400']],
    [['size' => 'huge']], [['start_deg' => '70', 'curve_deg' => '0', 'height' => 'low', 'strike' => 'toe']],
    [['start_deg' => '3']], [['height' => 'low']], [['version' => 'x']], [['place' => '0']], [['club' => ['x']]],
    [['start_deg' => 'NaN', 'curve_deg' => '0', 'height' => 'low', 'strike' => 'toe']],
]);

it('sets facts of several at once, only those filled in, and takes them back together', function () {
    $all = Recording::query()->orderBy('id')->get();
    $three = $all->take(3);
    $was = $three->map->only(['club', 'size', 'series', 'is_cold'])->all();
    $this->actingAs($this->headCoach())->from('/shelf')->put('/shelf/facts', [
        'swings' => [...$three->pluck('public_id')->all(), '01j0000000000000000000zzzz'],
        'size' => 'three-quarter', 'series' => 'north bay', 'club' => '', 'swing' => '',
    ])->assertRedirect('/shelf')->assertSessionHas('done', '3 swings were changed.');
    foreach ($three as $i => $r) {
        expect($r->refresh()->only(['club', 'size', 'series', 'is_cold']))
            ->toBe([...$was[$i], 'size' => 'three-quarter', 'series' => 'north bay']);
    }
    expect($all[4]->refresh()->series)->not->toBe('north bay');
    $this->post('/undo/'.Undo::query()->sole()->public_id)->assertSessionHas('done');
    expect($three->map(fn (Recording $r) => $r->refresh()->only(['club', 'size', 'series', 'is_cold']))->all())
        ->toBe($was);
    $this->put('/shelf/facts', ['swings' => [$all[0]->public_id]])->assertSessionHas('refused');
    $this->put('/shelf/facts', ['swings' => 'x', 'size' => 'half'])->assertSessionHasErrors();
});

it('changes nothing of a swing that waits to be read by who asks', function () {
    $head = $this->headCoach();
    $recording = Recording::query()->orderBy('id')->firstOrFail();
    $round = app(App\Sittings\Actions\PlanRound::class)('Reads', Core\Sight\SittingKind::Round, [$recording->id],
        [$head->id, $this->person('tam')->id], 'both', $head);
    app(App\Sittings\Actions\OpenRound::class)($round, $head);
    $this->actingAs($head)->get("/bench/$recording->public_id/facts")->assertNotFound();
    $this->put("/bench/$recording->public_id/facts", factsForm($recording))->assertNotFound();
    $this->put('/shelf/facts', ['swings' => [$recording->public_id], 'size' => 'half'])->assertSessionHas('refused');
    expect($recording->refresh()->size)->toBeNull();
    foreach (['tam', 'odile'] as $who) {
        $this->actingAs($this->person($who))->get("/bench/$recording->public_id/facts")->assertNotFound();
        $this->put('/shelf/facts', ['swings' => [$recording->public_id], 'size' => 'half'])->assertForbidden();
    }
});

it('leaves a frozen key as it was', function () {
    $head = $this->headCoach();
    $winter = $this->round('Winter');
    $key = $winter->keys()->firstOrFail();
    expect($key->frozen_at)->not->toBeNull();
    $rows = fn (): string => json_encode(DB::table('key_entries')->where('key_version_id', $key->id)->orderBy('id')
        ->get());
    $before = $rows();
    $recording = $winter->cases()->firstOrFail()->recording;
    $this->actingAs($head)->put("/bench/$recording->public_id/facts", factsForm($recording, ['club' => 'pitching wedge',
        'swing' => 'rehearsal']));
    expect($rows())->toBe($before);
    $this->get("/panel/$winter->public_id")
        ->assertOk()->assertSee('facts of one of its swings were set right since', false);
});

it('keeps where a film’s camera stood, and writes before and after down', function () {
    $recording = Recording::query()->orderBy('id')->firstOrFail();
    DB::table('films')->where('recording_id', $recording->id)->delete();
    DB::table('films')->insert(['public_id' => str_repeat('g', 26), 'recording_id' => $recording->id,
        'view' => 'face-on', 'name' => 'x.mp4', 'bytes' => 9, 'state' => 'arriving', 'received' => 0,
        'created_at' => now(), 'updated_at' => now()]);
    $this->actingAs($this->headCoach())->get("/bench/$recording->public_id/facts")->assertSee('height of the lens');
    $send = fn (array $cameras) => $this->put("/bench/$recording->public_id/facts",
        factsForm($recording->refresh(), ['cameras' => $cameras]));
    $send(['face-on' => ['height' => '112', 'tilt' => '-2.5'], 'down-the-line' => ['height' => '90']])
        ->assertSessionHasNoErrors();
    $film = $recording->films()->sole();
    expect([$film->camera_height_cm, $film->camera_tilt_deg])->toBe([112.0, -2.5]);
    $entry = AuditEntry::query()->where('action', 'facts')->latest('id')->firstOrFail();
    expect($entry->details['before']['camera_height_cm'])->toBeNull()
        ->and($entry->details['after'])->toMatchArray(['view' => 'face-on', 'camera_height_cm' => 112.0]);
    foreach ([['face-on' => ['height' => '-1']], ['face-on' => ['tilt' => '91']], ['behind' => ['height' => '1']],
        ['face-on' => ['lens' => '1']], 'x'] as $odd) {
        $this->put("/bench/$recording->public_id/facts", factsForm($recording->refresh(), ['cameras' => $odd]))
            ->assertSessionHasErrors();
    }
    $send(['face-on' => ['height' => '', 'tilt' => '']]);
    expect($film->refresh()->camera_height_cm)->toBeNull();
});
