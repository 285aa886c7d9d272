<?php

use App\Models\AuditEntry;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\Group;
use App\Models\Lesson;
use App\Models\Recording;
use App\Models\Undo;
use App\Shelf\Jobs\ForgetFilm;
use Core\Reading\BallFlight;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

/** What was offered last, taken back by somebody. */
function takenBack(object $test, ?object $by = null): object
{
    $undo = Undo::query()->latest('id')->firstOrFail();

    return $test->actingAs($by ?? $test->headCoach())->post("/undo/$undo->public_id");
}

it('puts a ball back where it stood', function () {
    $golfer = Golfer::query()->firstOrFail();
    $lesson = Lesson::query()->create(['golfer_id' => $golfer->id, 'held_on' => '2026-11-20']);
    $ball = $lesson->balls()->create(['place' => 3, 'club' => 'hybrid', 'note' => 'a "quoted" note',
        'flight' => (new BallFlight(1.25, -3.0, 'low', 'thin'))->toArray()]);
    $before = DB::table('lesson_balls')->where('id', $ball->id)->first();
    $this->actingAs($this->headCoach())
        ->delete("/golfer-sessions/$lesson->public_id/balls/$ball->id")
        ->assertSessionHas('undo');
    expect(DB::table('lesson_balls')->where('id', $ball->id)->exists())->toBeFalse();
    takenBack($this, $this->person('odile'))->assertStatus(404);
    takenBack($this)->assertSessionHas('done');
    expect(DB::table('lesson_balls')->where('id', $ball->id)->first())->toEqual($before)
        ->and(AuditEntry::query()->latest('id')->value('action'))->toBe('put-back');
    takenBack($this)->assertSessionHas('refused');
    // Another ball has come into its place: the new one stands.
    $this->delete("/golfer-sessions/$lesson->public_id/balls/$ball->id");
    $lesson->balls()->create(['place' => 3, 'flight' => $ball->flight]);
    takenBack($this)->assertSessionHas('refused');
    expect($lesson->balls()->count())->toBe(1)->and($lesson->balls()->value('club'))->toBeNull();
});

it('puts a group back with its people, unless its name was taken meanwhile', function () {
    $group = Group::query()->has('people')->firstOrFail();
    $people = $group->people()->pluck('users.id')->all();
    $this->actingAs($this->headCoach())->delete("/academy/groups/$group->id");
    expect(Group::query()->find($group->id))->toBeNull();
    takenBack($this)->assertSessionHas('done');
    expect(Group::query()->findOrFail($group->id)->people()->pluck('users.id')->all())->toBe($people);
    $this->delete("/academy/groups/$group->id");
    Group::query()->create(['kind' => $group->kind, 'name' => $group->name]);
    takenBack($this)->assertSessionHas('refused');
    expect(DB::table('group_user')->where('group_id', $group->id)->exists())->toBeFalse();
});

it('takes back that a limit had ended', function () {
    $golfer = Golfer::query()->firstOrFail();
    $limit = $golfer->limitsNoted()->create(['region' => 'back', 'severity' => 'avoid']);
    $this->actingAs($this->headCoach())->delete("/golfers/$golfer->id/limits/$limit->id");
    expect($limit->refresh()->ended_on)->not->toBeNull();
    takenBack($this)->assertSessionHas('done');
    expect($limit->refresh()->ended_on)->toBeNull();
    $this->delete("/golfers/$golfer->id/limits/$limit->id");
    $limit->delete();
    takenBack($this)->assertSessionHas('refused');
});

/** A film of a swing that nobody reads, with its files. */
function unseenFilm(): Film
{
    $recording = Recording::query()->firstOrFail()->replicate(['public_id']);
    $recording->fill(['checksum' => hash('sha256', 'another')])->save();
    $film = Film::query()->create(['recording_id' => $recording->id, 'view' => 'face-on', 'name' => 'x.mp4',
        'bytes' => 9, 'received' => 9, 'state' => 'ready', 'rate_hz' => 120, 'frames' => 2, 'width' => 8, 'height' => 8,
        'taken' => [0.0, 0.01], 'checksum' => hash('sha256', 'film')]);
    foreach (['original.mp4', 'stream.mp4', 'TP.jpg'] as $file) {
        Storage::disk('films')->put($film->path($file), $file);
    }

    return $film;
}

it('puts a film back while its files lie there, and lets them go once nobody can', function () {
    Storage::fake('films');
    Queue::fake();
    $film = unseenFilm();
    $before = DB::table('films')->where('id', $film->id)->selectRaw('films::text as whole')->value('whole');
    $drop = fn () => $this->actingAs($this->headCoach())->delete("/films/$film->public_id")
        ->assertSessionHas('done');
    $drop();
    expect(Film::query()->find($film->id))->toBeNull();
    $this->get("/films/$film->public_id")->assertNotFound();
    takenBack($this)->assertSessionHas('done');
    expect(DB::table('films')->where('id', $film->id)->selectRaw('films::text as whole')->value('whole'))
        ->toBe($before);
    // The job of the first time finds it back in its place.
    Queue::assertPushed(ForgetFilm::class, 1);
    app()->call([Queue::pushed(ForgetFilm::class)[0], 'handle']);
    expect(Storage::disk('films')->exists($film->path('stream.mp4')))->toBeTrue();
    $drop();
    app()->call([Queue::pushed(ForgetFilm::class)[1], 'handle']);
    expect(Storage::disk('films')->allFiles())->toBe([]);
    takenBack($this)->assertSessionHas('refused');
    expect(Film::query()->find($film->id))->toBeNull();
});

it('brings no film back onto a swing that was erased meanwhile, and nothing after the minute', function () {
    Storage::fake('films');
    Queue::fake();
    $film = unseenFilm();
    $this->actingAs($this->headCoach())->delete("/films/{$film->public_id}");
    Recording::query()->whereKey($film->recording_id)->update(['erased_at' => now()]);
    takenBack($this)->assertSessionHas('refused');
    Recording::query()->whereKey($film->recording_id)->update(['erased_at' => null]);
    $this->travel(61)->seconds();
    takenBack($this)->assertSessionHas('refused');
    expect(Film::query()->find($film->id))->toBeNull();
});
