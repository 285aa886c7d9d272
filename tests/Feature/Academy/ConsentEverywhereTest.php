<?php

use App\Models\Film;
use App\Models\Recording;
use App\Models\User;
use Core\Sight\Scope;
use Illuminate\Support\Facades\DB;

/** @return list<string> every page and file in which a swing of this golfer could stand */
function placesOf(Recording $recording, User $user): array
{
    $readings = DB::table('readings')->where('user_id', $user->id)->pluck('public_id')->all();
    $rounds = DB::table('sittings')->pluck('public_id')->all();

    return [
        '/', '/shelf', '/own', '/own/data', '/capture', '/rounds', '/rounds/plan', '/rounds/plan/choices', '/panel',
        '/agreement', '/debrief', '/record', '/record/file', '/search?q=e', '/golfers', '/people',
        "/bench/$recording->public_id", "/bench/$recording->public_id/evidence", "/bench/$recording->public_id/facts",
        "/bench/$recording->public_id/state", "/bench/$recording->public_id/why/hang-back",
        ...array_map(fn ($id): string => "/read/$id", $readings),
        ...array_map(fn ($id): string => "/read/$id/evidence/1", $readings),
        ...array_map(fn ($id): string => "/rounds/$id", $rounds),
        ...array_map(fn ($id): string => "/panel/$id", $rounds),
        ...array_map(fn ($id): string => "/agreement/$id", $rounds),
        ...array_map(fn ($id): string => "/debrief/$id/1", $rounds),
    ];
}

it('leaves no page, file or address of a swing once everything agreed to is taken back', function (string $who) {
    $user = $this->person($who);
    $recording = Recording::query()->with('golfer')->orderBy('id')->firstOrFail();
    $all = Recording::query()->where('golfer_id', $recording->golfer_id)->pluck('public_id')->all();
    $trace = DB::table('trace_channels')->where('recording_id', $recording->id)->count();
    $seen = 0;
    foreach (placesOf($recording, $user) as $path) {
        $seen += (int) str_contains((string) $this->actingAs($user)->get($path)->baseResponse->getContent(), $all[0]);
    }
    if ($user->isHeadCoach()) {
        expect($seen)->toBeGreaterThan(2);
    }
    $golfer = $recording->golfer;
    $this->actingAs($this->headCoach())->delete("/golfers/$golfer->id/consents",
        ['scopes' => array_column(Scope::cases(), 'value')])->assertSessionHas('done');
    foreach (placesOf($recording, $user) as $path) {
        $answer = $this->actingAs($user)->get($path);
        $said = (string) $answer->baseResponse->getContent();
        foreach ($all as $id) {
            if (! str_contains($path, $id)) {
                expect(str_contains($said, $id))->toBeFalse("$path names $id to $who");
            } else {
                expect($answer->status())->toBeIn([403, 404, 410], "$path for $who");
            }
        }
    }
    // Nothing was erased: what was agreed to again is there again.
    expect(DB::table('trace_channels')->where('recording_id', $recording->id)->count())->toBe($trace);
    $golfer->consents()->update(['withdrawn_at' => null]);
    if ($user->isHeadCoach()) {
        $this->actingAs($user)->get("/bench/$recording->public_id")->assertOk();
    }
})->with(['maren', 'odile', 'tam', 'kit']);

it('gives no film and no still of it either', function () {
    $recording = Recording::query()->with('golfer')->orderBy('id')->firstOrFail();
    Film::query()->where('recording_id', $recording->id)->delete();
    DB::table('films')->insert(['public_id' => str_repeat('h', 26), 'recording_id' => $recording->id,
        'view' => 'face-on', 'name' => 'x.mp4', 'bytes' => 9, 'state' => 'ready', 'received' => 9, 'rate_hz' => 120,
        'frames' => 240, 'width' => 640, 'height' => 480, 'stills' => '{"TP": 1}', 'taken' => 'x',
        'checksum' => str_repeat('0', 64), 'created_at' => now(), 'updated_at' => now()]);
    $recording->golfer->consents()->update(['withdrawn_at' => now()]);
    $film = Film::query()->where('recording_id', $recording->id)->sole();
    foreach (["/bench/$recording->public_id/film/face-on/stream", "/bench/$recording->public_id/film/face-on/TP",
        "/films/$film->public_id", "/films/$film->public_id/original"] as $path) {
        foreach (['maren', 'tam'] as $who) {
            expect($this->actingAs($this->person($who))->get($path)->status())->toBe(404, "$path for $who");
        }
    }
});
