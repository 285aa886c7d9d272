<?php

use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\LessonBall;
use App\Models\Recording;
use App\Sight\Onlooker;
use Core\Sight\Thing;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/** A session of this golfer today. */
function lessonOf(object $test, Golfer $golfer, array $change = []): Lesson
{
    $test->actingAs($test->headCoach())->post("/golfers/$golfer->id/sessions", ['held_on' => now()->toDateString(),
        'complaint' => 'balls start left of it', 'aim' => 'a straight start', 'asks_feel' => '1', ...$change])
        ->assertRedirect();

    return Lesson::query()->latest('id')->firstOrFail();
}

it('keeps what is said, and shows a golfer’s sessions in a line', function () {
    $golfer = Golfer::query()->firstOrFail();
    $lesson = lessonOf($this, $golfer);
    $this->get("/golfers/$golfer->id")->assertSee('balls start left of it')->assertSee('still to be said');
    $this->put("/golfer-sessions/$lesson->public_id", ['held_on' => '2026-11-20',
        'complaint' => 'balls start left of it',
        'explanation' => 'I come over it', 'tried' => 'feet together', 'asks_feel' => '1'])->assertSessionHas('done');
    $this->get("/golfer-sessions/$lesson->public_id")->assertOk()->assertSee('I come over it');
    foreach ([['held_on' => 'soon'], ['held_on' => '2999-01-01'], ['complaint' => ['x'], 'held_on' => '2026-11-20'],
        ['held_on' => '2026-11-20', 'aim' => str_repeat('x', 2001)]] as $odd) {
        $this->put("/golfer-sessions/$lesson->public_id", $odd)->assertSessionHasErrors();
    }
    // The record says which field, not what was said.
    expect(json_encode(DB::table('audit_entries')->get()))->not->toContain('come over');
});

it('shows neither trace nor number before the golfer has said what was felt, and locks it then', function () {
    $recording = Recording::query()->orderBy('id')->firstOrFail();
    $golfer = $recording->golfer;
    $lesson = lessonOf($this, $golfer);
    $recording->forceFill(['lesson_id' => $lesson->id])->save();
    $sees = fn (Thing $t): bool => (new Onlooker($this->headCoach()))->sees($recording->id, $t);
    expect([$sees(Thing::Film), $sees(Thing::Context), $sees(Thing::Trace), $sees(Thing::Numbers),
        $sees(Thing::Flight)])
        ->toBe([true, true, false, false, false]);
    $this->get("/bench/$recording->public_id")->assertNotFound();
    $this->get('/shelf')->assertDontSee($recording->public_id);
    $this->get("/golfer-sessions/$lesson->public_id")->assertSee('One swing waits for it')
        ->assertDontSee($recording->public_id);
    $this->post("/golfer-sessions/$lesson->public_id/feel", ['feel' => ''])->assertSessionHasErrors();
    $this->post("/golfer-sessions/$lesson->public_id/feel", ['feel' => 'late and heavy'])->assertSessionHas('done');
    $this->get("/bench/$recording->public_id")->assertOk();
    $this->get("/golfer-sessions/$lesson->public_id")->assertSee('late and heavy')->assertSee($recording->public_id);
    $this->post("/golfer-sessions/$lesson->public_id/feel", ['feel' => 'light'])->assertSessionHas('refused');
    foreach ([['feel' => 'light'], ['feel' => null, 'feel_locked_at' => null], ['feel_locked_at' => null]] as $change) {
        expect(fn () => DB::transaction(fn () => DB::table('lessons')->where('id', $lesson->id)->update($change)))
            ->toThrow(QueryException::class);
    }
    expect($lesson->refresh()->feel)->toBe('late and heavy');
});

it('logs balls one by one and from a file, and gives them back as one', function () {
    $golfer = Golfer::query()->where('handedness', 'left')->firstOrFail();
    $lesson = lessonOf($this, $golfer, ['asks_feel' => '0']);
    $at = "/golfer-sessions/$lesson->public_id";
    $ball = ['place' => '1', 'club' => 'hybrid', 'start_deg' => '-3', 'curve_deg' => '8.6', 'height' => 'high',
        'strike' => 'heel', 'attack_deg' => '-4', 'turf' => 'clean', 'note' => 'felt good'];
    $this->post("$at/balls", $ball)->assertSessionHas('done');
    $this->post("$at/balls", $ball)->assertSessionHas('refused');
    foreach ([['height' => 'x'], ['start_deg' => ''], ['place' => '0'], ['attack_deg' => '99'],
        ['strike' => ['x']]] as $odd) {
        $this->post("$at/balls", [...$ball, 'place' => '2', ...$odd])->assertSessionHasErrors();
    }
    $this->get($at)->assertSee('Started 3° to the pull side, sliced 9°, high')->assertSee('4° downward')
        ->assertSee('felt good');
    $file = $this->get("$at/balls")->assertOk()->streamedContent();
    $rows = trim($file)."\n".'2,,1,0,low,thin,,,,,'."\n".'3,wedge,0,0,normal,centre,2,,,,'."\n";
    $send = fn (string $text) => $this->post("$at/balls/file",
        ['balls' => UploadedFile::fake()->createWithContent('b.csv', $text)]);
    $send($rows)->assertSessionHas('done');
    expect(LessonBall::query()->where('lesson_id', $lesson->id)->count())->toBe(3);
    // The same again is the same; a broken one changes nothing.
    $send($rows)->assertSessionHas('done');
    $send(str_replace('3,wedge,0', '3,wedge,much', $rows))->assertSessionHas('refused');
    expect(LessonBall::query()->where('lesson_id', $lesson->id)->count())->toBe(3)
        ->and(trim($this->get("$at/balls")->streamedContent()))->toBe(trim($this->get("$at/balls")->streamedContent()));
    $other = lessonOf($this, $golfer, ['asks_feel' => '0']);
    $id = LessonBall::query()->where('lesson_id', $lesson->id)->value('id');
    $this->delete("/golfer-sessions/$other->public_id/balls/$id")->assertNotFound();
    $this->delete("$at/balls/$id")->assertSessionHas('done');
});

it('takes what comes in on its day, and only swings of its golfer', function () {
    $golfer = Golfer::query()->where('handedness', 'right')->orderBy('id')->firstOrFail();
    $lesson = lessonOf($this, $golfer);
    $rows = ['t_s,lead_pct,trail_pct,copx_mm,copy_mm'];
    for ($i = 0; $i < 300; $i++) {
        $lead = 50 + 30 * sin($i / 40);
        $rows[] = sprintf('%.3f,%.2f,%.2f,%.2f,%.2f', $i / 100, $lead, 100 - $lead, 4.6 * ($lead - 50), sin($i / 9));
    }
    $this->post('/imports', ['golfer' => $golfer->id,
        'trace' => UploadedFile::fake()->createWithContent('a.csv', implode("\n", $rows))]);
    $this->post('/imports/'.App\Models\PendingImport::query()->sole()->public_id.'/finish');
    $new = Recording::query()->latest('id')->firstOrFail();
    expect($new->lesson_id)->toBe($lesson->id);
    $this->get("/bench/$new->public_id")->assertNotFound();
    $this->post("/golfer-sessions/$lesson->public_id/feel", ['feel' => 'quick']);
    $this->get("/bench/$new->public_id")->assertOk();
    $other = Recording::query()->where('golfer_id', '<>', $golfer->id)->firstOrFail();
    $this->put("/golfer-sessions/$lesson->public_id", ['held_on' => now()->toDateString(), 'asks_feel' => '1',
        'swings_listed' => '1', 'swings' => [$other->id]]);
    expect($other->refresh()->lesson_id)->toBeNull()->and($new->refresh()->lesson_id)->toBeNull();
});

it('is the head coach’s, and goes with its golfer', function () {
    Illuminate\Support\Facades\Storage::fake('films');
    $lesson = lessonOf($this, Golfer::query()->firstOrFail());
    foreach (['tam', 'odile'] as $who) {
        $this->actingAs($this->person($who))->get("/golfer-sessions/$lesson->public_id")->assertNotFound();
        $this->post("/golfer-sessions/$lesson->public_id/feel", ['feel' => 'x'])->assertNotFound();
    }
    $golfer = $lesson->golfer;
    $this->actingAs($this->headCoach())->delete("/golfers/$golfer->id", ['typed' => $golfer->pseudonym]);
    expect(Lesson::query()->where('golfer_id', $golfer->id)->exists())->toBeFalse();
});
