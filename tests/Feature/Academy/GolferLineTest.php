<?php

use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\Reading;
use App\Models\Recording;
use Core\Reading\BallFlight;
use Illuminate\Support\Facades\DB;

it('has sessions, swings, consents and limits of a golfer on one line, the last day first', function () {
    $golfer = Golfer::query()->where('pseudonym', 'Wren')->firstOrFail();
    $first = Lesson::query()->create(['golfer_id' => $golfer->id, 'held_on' => '2026-03-01', 'asks_feel' => false,
        'complaint' => 'tops the long ones', 'tried' => 'a rod outside the lead foot']);
    Lesson::query()->create(['golfer_id' => $golfer->id, 'held_on' => '2026-05-02']);
    $swing = Recording::query()->where('golfer_id', $golfer->id)->firstOrFail();
    $swing->forceFill(['lesson_id' => $first->id, 'size' => 'half', 'is_cold' => true, 'swing' => 'a chip'])->save();
    $golfer->limitsNoted()->create(['region' => 'back', 'severity' => 'avoid', 'since' => '2026-04-01',
        'ended_on' => '2026-04-20']);
    $html = (string) $this->actingAs($this->headCoach())->get("/golfers/$golfer->id")->assertOk()->getContent();
    preg_match('/<ol class="days">(.*?)<\/ol>/s', $html, $m);
    $line = preg_replace('/\s+/', ' ', strip_tags($m[1], '<a>'));
    expect($line)->toContain('2 May 2026')
        ->toContain('the feel is still to be said')
        ->toContain('No longer to be spared')
        ->toMatch('/1 Mar 2026.*tops the long ones · tried: a rod outside the lead foot.*a chip, half, cold/');
    expect(strpos($line, '2 May 2026'))->toBeLessThan(strpos($line, '20 Apr 2026'))
        ->and(strpos($line, '20 Apr 2026'))->toBeLessThan(strpos($line, '1 Apr 2026'))
        ->and(strpos($line, '1 Apr 2026'))->toBeLessThan(strpos($line, '1 Mar 2026'));
});

it('leaves what its reader still reads blind out of the line and off the paper', function () {
    $maren = $this->headCoach();
    $reading = Reading::query()->whereNull('handed_in_at')->with('case.swings.recording.golfer')->firstOrFail();
    $swing = $reading->case->swings[0]->recording;
    $look = fn (string $page): string => (string) $this->actingAs($maren)
        ->get("/golfers/{$swing->golfer_id}$page")->assertOk()->getContent();
    $seen = $look('');
    $paper = substr_count($look('/held'), 'a second');
    expect($seen)->toContain($swing->public_id);
    DB::table('readings')->where('id', $reading->id)->update(['user_id' => $maren->id]);
    DB::table('seats')->where('sitting_id', $reading->case->sitting_id)->where('user_id', $reading->user_id)
        ->update(['user_id' => $maren->id]);
    app()->forgetScopedInstances();
    expect($look(''))->not->toContain($swing->public_id)
        ->and(substr_count($look('/held'), 'a second'))->toBe($paper - 1);
});

it('prints what is held of a golfer in words, and for head coaches only', function () {
    $golfer = Golfer::query()->where('pseudonym', 'Wren')->firstOrFail();
    $golfer->update(['height_cm' => 181, 'mass_kg' => 77.5, 'born_year' => 1990, 'notes' => 'prefers <mornings>']);
    $golfer->limitsNoted()->create(['region' => 'back', 'severity' => 'avoid', 'note' => 'after long drives']);
    $lesson = Lesson::query()->create(['golfer_id' => $golfer->id, 'held_on' => '2026-05-02', 'feel' => 'stuck',
        'feel_locked_at' => now(), 'explanation' => 'comes over it']);
    $lesson->balls()->create(['place' => 1, 'flight' => (new BallFlight(2.0, 3.0, 'high', 'toe'))->toArray()]);
    $this->actingAs($this->headCoach())->get("/golfers/$golfer->id/held")
        ->assertSeeInOrder(['What is held of Wren', '181 cm tall', '77.5 kg', 'born 1990', 'after long drives',
            'prefers <mornings>', 'staff training', '2 May 2026', 'comes over it', 'stuck', 'Ball 1:'])
        ->assertSee('correct or take back any of this');
    foreach (['odile', 'tam'] as $who) {
        expect($this->actingAs($this->person($who))->get("/golfers/$golfer->id/held")->status())->toBeIn([403, 404]);
    }
});
