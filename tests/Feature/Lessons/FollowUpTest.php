<?php

use App\Lessons\FollowUpFindings;
use App\Lessons\Records;
use App\Models\FollowUp;
use App\Models\LessonBall;
use App\Sight\Onlookers;
use Core\Prescription\Outcome;
use Core\Prescription\Seen;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/taught.php';

const FELT = ['felt' => 'better', 'felt_says' => 'lighter', 'judged' => 'same', 'judged_says' => 'quicker'];

it('shows nothing that was measured before the feel is kept, over raw bytes, to anybody', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $before = taughtLesson($golfer, $by, [2.4, 2.2, 2.5], daysAgo: 30);
    $this->actingAs($by);
    $given = handedOver($this, $before);
    $later = taughtLesson($golfer, $by, [0.2, 0.0, 0.3], asksFeel: true);
    canariesIn($later);
    $follow = begunFollowUp($this, $given, $later);
    $swings = $later->recordings()->pluck('public_id')->all();
    $uris = ['/', '/lessons', '/shelf', "/golfers/$golfer->id", "/golfer-sessions/$later->public_id",
        "/golfer-sessions/$later->public_id/prescription", "/prescriptions/$given->public_id", "/prescriptions/$given->public_id/note",
        "/follow-ups/$follow->public_id", '/search?q=Avocet', '/own', '/practice', '/codebook',
        ...array_merge(...array_map(fn (string $id): array => ["/bench/$id", "/bench/$id/evidence", "/bench/$id/with", "/bench/$id/state"], $swings))];
    foreach ([$by, $this->headCoach(), $this->person('kit')] as $who) {
        app(Onlookers::class)->forget();
        foreach ($uris as $uri) {
            $said = $this->actingAs($who)->get($uri)->getContent();
            expect(str_contains((string) $said, '7171'))->toBeFalse("$uri to $who->name");
        }
    }
    // Nor are the swings put on rungs, which would list them.
    $this->actingAs($by)->put("/follow-ups/$follow->public_id/swings", ['rungs' => []])->assertSessionHas('refused');
    $this->post("/follow-ups/$follow->public_id/feel", FELT)->assertRedirect("/follow-ups/$follow->public_id");
    app(Onlookers::class)->forget();
    $said = $this->get("/follow-ups/$follow->public_id")->assertOk()->getContent();
    expect($said)->toContain('7171')->toContain('before anything was shown')->toContain('lighter');
    expect($follow->refresh()->felt_late)->toBeFalse()->and($later->refresh()->feel)->toBe('lighter');
    // From here on nobody's reading of them is blind who gives the session.
    expect(
        App\Models\Exposure::query()
            ->where('user_id', $by->id)
            ->whereIn('recording_id', $later->recordings()->pluck('id'))
            ->count(),
    )
        ->toBe(3);
});

it('keeps what was felt for good', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $this->actingAs($by);
    $given = handedOver($this, taughtLesson($golfer, $by, [2.4], daysAgo: 30));
    $follow = begunFollowUp($this, $given, taughtLesson($golfer, $by, [0.2], asksFeel: true));
    foreach ([['felt' => ''], ['felt' => 'cannot-be-said'], ['judged' => 'fine'], ['felt' => ['better']]] as $odd) {
        $this->post("/follow-ups/$follow->public_id/feel", [...FELT, ...$odd])->assertSessionHasErrors();
    }
    $this->post("/follow-ups/$follow->public_id/feel", FELT)->assertSessionHasNoErrors();
    $this->post("/follow-ups/$follow->public_id/feel", [...FELT, 'felt' => 'worse'])->assertSessionHas('refused');
    expect($follow->refresh()->felt)->toBe(Seen::Better);
    foreach (['felt' => 'worse', 'judged' => 'worse', 'felt_says' => 'x', 'locked_at' => null, 'felt_late' => true] as $column => $to) {
        expect(
            fn () => DB::transaction(
                fn () => DB::table('follow_ups')->where('id', $follow->id)->update([$column => $to]),
            ),
        )
            ->toThrow(QueryException::class);
    }
});

it('marks a feel that was said when numbers could be seen already', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $this->actingAs($by);
    $given = handedOver($this, taughtLesson($golfer, $by, [2.4], daysAgo: 30));
    $open = taughtLesson($golfer, $by, [0.2], asksFeel: false);
    $follow = begunFollowUp($this, $given, $open);
    $this->post("/follow-ups/$follow->public_id/feel", FELT);
    expect($follow->refresh()->felt_late)->toBeTrue();
    $this->get("/follow-ups/$follow->public_id")->assertSee('when numbers could be seen already');

    // Neither does it help to ask for the feel once the swings have been looked at.
    $late = taughtLesson($golfer, $by, [0.3], asksFeel: false, daysAgo: 1);
    $this->put("/golfer-sessions/$late->public_id", ['held_on' => $late->held_on->toDateString(), 'asks_feel' => '1'])
        ->assertSessionHasNoErrors();
    expect($late->refresh()->awaitsFeel())->toBeTrue();
    $second = begunFollowUp($this, $given, $late);
    $this->post("/follow-ups/$second->public_id/feel", FELT);
    expect($second->refresh()->felt_late)->toBeTrue();
});

it('finds what was planted, and where on the ladder it broke, and says so of nobody who did not change', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $this->actingAs($by);
    $given = handedOver($this, taughtLesson($golfer, $by, [2.4, 2.2, 2.5, 2.3], daysAgo: 30));
    $later = taughtLesson($golfer, $by, [0.0, 0.2, 0.4, 0.3, 0.2, 2.4]);
    $follow = begunFollowUp($this, $given, $later);
    $this->post("/follow-ups/$follow->public_id/feel", FELT);
    $ids = $later->recordings()->pluck('id')->all();
    $rungs = array_combine($ids, ['rehearsal', 'half-swing', 'mid-iron', 'mid-iron', 'long-club', 'full-speed']);
    $this->put("/follow-ups/$follow->public_id/swings", ['rungs' => $rungs + [999_999 => 'course']])->assertSessionHas('done');
    $of = app(FollowUpFindings::class)->of($follow->fresh());
    $ladder = $of['expected']['recentre_lead']['ladder'];
    expect($ladder->rungs['rehearsal'])->toBe(Seen::Better)
        ->and($ladder->breaksAt()?->value)->toBe('full-speed');
    $this->get("/follow-ups/$follow->public_id")->assertSee('The change breaks on this rung: full speed');
    // The note has a picture of it from then on, and asks for what it needs of all the swings at once.
    $this->get("/prescriptions/$given->public_id/note")->assertOk();
    // The same golfer again, unchanged.
    $same = taughtLesson($golfer, $by, [2.3, 2.5, 2.2, 2.4], daysAgo: 3);
    $again = begunFollowUp($this, $given, $same);
    $this->post("/follow-ups/$again->public_id/feel", FELT);
    $found = app(FollowUpFindings::class)->of($again->fresh());
    expect($found['outcome'])->not->toBe(Outcome::AsExpected)
        ->and($found['expected']['recentre_lead']['ladder']->rungs)->toBe([]);
    // Expected against seen, by who handed it over.
    $record = app(Records::class)->of($by, $by);
    expect($record['handed'])->toBe(1)->and($record['followed'])->toBe(2)
        ->and($record['share'])->toBe('too few to say');
    $this->get('/lessons')->assertOk()->assertSee('Expected against seen');
    $this->actingAs($this->person('kit'))->get('/lessons')->assertOk()->assertDontSee('Tam');
    $this->actingAs($this->headCoach())->get('/lessons')->assertOk()->assertSee($by->name);
});

it('says that one swing, or two, prove nothing, and what the balls did', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $this->actingAs($by);
    $before = taughtLesson($golfer, $by, [2.4, 2.2], daysAgo: 30);
    $given = handedOver($this, $before);
    $later = taughtLesson($golfer, $by, [0.0]);
    foreach ([[$before, 4.0], [$later, 0.5]] as [$lesson, $start]) {
        foreach ([0.0, 0.3, 0.6, -0.2] as $i => $more) {
            LessonBall::query()->create(['lesson_id' => $lesson->id, 'place' => $i + 1, 'club' => 'hybrid', 'flight' => [
                'start_deg' => $start + $more, 'curve_deg' => 1.0 + $more, 'height' => 'normal', 'strike' => 'centre',
                'low_point_cm' => null]]);
        }
    }
    $follow = begunFollowUp($this, $given, $later);
    $this->post("/follow-ups/$follow->public_id/feel", FELT);
    $this->get("/follow-ups/$follow->public_id")->assertSee('Whether it changed cannot be said')->assertSee('one swing is not a golfer')
        ->assertSee('They start elsewhere by −3.50')->assertSee('No change of the curve beyond doubt');
});

it('holds against it only a later session of the same golfer, once, and only what was handed over', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $this->actingAs($by);
    $first = taughtLesson($golfer, $by, [], daysAgo: 30);
    $given = handedOver($this, $first);
    $at = "/prescriptions/$given->public_id/follow-ups";
    $earlier = taughtLesson($golfer, $by, [], daysAgo: 60);
    $other = taughtLesson(taughtGolfer('Merlin'), $by, []);
    foreach ([$first, $earlier, $other] as $no) {
        $this->post($at, ['session' => $no->public_id])->assertSessionHas('refused');
    }
    // A session that somebody else gives is as good as none.
    $foreign = taughtLesson($golfer, $this->person('kit'), []);
    $this->post($at, ['session' => $foreign->public_id])->assertNotFound();
    $later = taughtLesson($golfer, $by, []);
    expect(begunFollowUp($this, $given, $later)->id)->toBe(begunFollowUp($this, $given, $later)->id)
        ->and(FollowUp::query()->count())->toBe(1);
    $draft = chosenDrill($this, $later->fresh());
    $this->post("/prescriptions/$draft->public_id/follow-ups", ['session' => taughtLesson($golfer, $by, [])->public_id])
        ->assertSessionHas('refused');
});

it('goes with its golfer', function () {
    $by = $this->person('tam');
    $golfer = taughtGolfer();
    $this->actingAs($by);
    $given = handedOver($this, taughtLesson($golfer, $by, [2.4], daysAgo: 30));
    $follow = begunFollowUp($this, $given, taughtLesson($golfer, $by, [0.2], asksFeel: true));
    $this->post("/follow-ups/$follow->public_id/feel", FELT);
    $this->actingAs($this->headCoach())->delete("/golfers/$golfer->id", ['typed' => 'Avocet'])->assertRedirect();
    foreach (['prescriptions', 'follow_ups', 'follow_up_swings'] as $table) {
        expect(DB::table($table)->count())->toBe(0, $table);
    }
});
