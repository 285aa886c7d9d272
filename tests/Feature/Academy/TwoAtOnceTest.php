<?php

use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\User;

/** What a form says as of when it was made. */
function seenOn(object $test, string $path): string
{
    preg_match('/name="seen" value="(\d*)"/', $test->get($path)->assertOk()->getContent(), $m);

    return $m[1];
}

it('tells the second of two who change one thing that the first has', function (string $what) {
    $this->actingAs($this->headCoach());
    [$path, $form, $is] = match ($what) {
        'golfer' => (function () {
            $golfer = Golfer::query()->create(['pseudonym' => 'Two', 'handedness' => 'right']);

            return ["/golfers/$golfer->id", fn (string $as): array => ['pseudonym' => $as, 'handedness' => 'right',
                'is_minor' => '0'], fn (): string => $golfer->refresh()->pseudonym];
        })(),
        'person' => (function () {
            $tam = $this->person('tam');

            return ["/people/$tam->id", fn (string $as): array => ['name' => $as, 'role' => 'instructor',
                'on_panel' => '0'], fn (): string => User::query()->findOrFail($tam->id)->name];
        })(),
        'session' => (function () {
            $lesson = Lesson::query()->create(['golfer_id' => Golfer::query()->value('id'), 'held_on' => '2026-11-20',
                'asks_feel' => false]);

            return ["/golfer-sessions/$lesson->public_id", fn (string $as): array => ['held_on' => '2026-11-20',
                'aim' => $as, 'asks_feel' => '0'], fn (): string => (string) $lesson->refresh()->aim];
        })(),
    };
    $seen = seenOn($this, $path);
    expect($seen)->not->toBe('');
    $this->travel(3)->seconds();
    $this->put($path, [...$form('Firstly'), 'seen' => $seen])->assertSessionHas('done');
    $this->put($path, [...$form('Secondly'), 'seen' => $seen])->assertSessionHas('refused');
    expect($is())->toBe('Firstly');
    // Looked at again, it is kept.
    $this->put($path, [...$form('Thirdly'), 'seen' => seenOn($this, $path)])->assertSessionHas('done');
    expect($is())->toBe('Thirdly');
    $this->put($path, [...$form('Fourthly'), 'seen' => ['x']])->assertSessionHasErrors('seen');
})->with(['golfer', 'person', 'session']);
