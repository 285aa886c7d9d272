<?php

use App\Agreement\RoundInputs;
use App\Codebook\Codebooks;
use App\Models\Enums\NoticeKind;
use App\Models\Notice;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Notices\Actions\Remind;
use App\Sight\Onlookers;
use App\Sittings\Waiting;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Sabre\VObject\Reader;

/** @param  array<string, mixed>  $with */
function changesRound(object $test, string $what, array $with = [], string $who = 'maren', string $round = 'Autumn')
{
    app(Onlookers::class)->forget();

    return $test->actingAs($test->person($who))->from('/rounds')
        ->post("/rounds/{$test->round($round)->public_id}/$what", $with);
}

function dueReaders(Sitting $round): array
{
    return Notice::query()->where('kind', NoticeKind::Due)->where('sitting_id', $round->id)->pluck('user_id')->all();
}

it('takes a case out of a round that is held: asked of nobody, in no figure, its sheets kept', function () {
    $round = $this->round('Autumn');
    $case = SittingCase::query()->where('sitting_id', $round->id)->whereHas('readings', fn ($q) => $q
        ->whereNull('handed_in_at')->where('user_id', $this->person('tam')->id))
        ->whereHas('readings', fn ($q) => $q->whereNotNull('handed_in_at'))->firstOrFail();
    $sheets = Reading::query()->where('sitting_case_id', $case->id)->get();
    $tam = $sheets->firstWhere('user_id', $this->person('tam')->id);
    $before = RoundInputs::ofRound($round, app(Codebooks::class));
    $waits = Waiting::in($round);
    changesRound($this, 'withdraw', ['case' => $case->id, 'reason' => 'The plate slipped under the trail foot'])
        ->assertSessionHas('done');
    $this->actingAs($this->person('tam'))->get("/read/{$tam->public_id}")->assertNotFound();
    $this->postJson("/read/{$tam->public_id}/changes", $this->changes($this->sheet()))->assertNotFound();
    $after = RoundInputs::ofRound($round->refresh(), app(Codebooks::class));
    expect($after->cases)->not->toHaveKey($case->id)
        ->and(count($after->readings))->toBe(count($before->readings) -
            $sheets->filter(fn (Reading $r): bool => $r->handed_in_at !== null)->count())
        ->and($after->checksum)->not->toBe($before->checksum)
        ->and(Reading::query()->where('sitting_case_id', $case->id)->count())->toBe($sheets->count())
        ->and(Waiting::in($round)[$tam->user_id] ?? 0)->toBe($waits[$tam->user_id] - 1);
    app(Onlookers::class)->forget();
    $this->actingAs($this->headCoach())->get("/rounds/{$round->public_id}")->assertOk()
        ->assertSee('The plate slipped under the trail foot');
    // Once more changes nothing, and writes nothing into the record.
    $lines = DB::table('audit_entries')->where('action', 'round-case-withdrawn')->count();
    changesRound($this, 'withdraw', ['case' => $case->id, 'reason' => 'again'])->assertSessionHas('done');
    expect($case->refresh()->withdrawn_reason)->toBe('The plate slipped under the trail foot')
        ->and(DB::table('audit_entries')->where('action', 'round-case-withdrawn')->count())->toBe($lines);
});

it('keeps the last case, published rounds, and reasons', function () {
    $round = $this->round('Autumn');
    $cases = $round->cases()->orderBy('id')->pluck('id');
    foreach ($cases->slice(1) as $id) {
        changesRound($this, 'withdraw', ['case' => $id, 'reason' => 'not needed'])->assertSessionHas('done');
    }
    changesRound($this, 'withdraw', ['case' => $cases[0], 'reason' => 'not needed'])
        ->assertSessionHas('refused', fn (string $says): bool => str_contains($says, 'last case'));
    $spring = $this->round('Spring')->cases()->firstOrFail();
    changesRound($this, 'withdraw', ['case' => $spring->id, 'reason' => 'not needed'], round: 'Spring')
        ->assertSessionHas('refused', fn (string $says): bool => str_contains($says, 'published'));
    // A case of another round is none of this one.
    changesRound($this, 'withdraw', ['case' => $spring->id, 'reason' => 'not needed'])->assertNotFound();
    changesRound($this, 'withdraw', ['case' => $cases[0], 'reason' => ''])->assertSessionHasErrors('reason');
    expect(fn () => DB::table('sitting_cases')->where('id', $cases[0])->update(['withdrawn_at' => now()]))
        ->toThrow(QueryException::class);
});

it('seats somebody in place of another: every case is dealt, the other keeps what was handed in', function () {
    $round = $this->round('Autumn');
    $tam = $this->person('tam');
    $in = $round->readings()->where('readings.user_id', $tam->id)->whereNotNull('handed_in_at')->count();
    $new = $this->person('kit');
    // Kit leaves it as if she had never been in it.
    foreach (['readings', 'calls', 'reading_changes'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $round->readings()->where('readings.user_id', $new->id)->delete();
    $round->members()->detach($new);
    changesRound($this, 'seat', ['who' => $new->id, 'instead' => $tam->id])->assertSessionHas('done');
    $dealt = dealt($round, $new);
    expect($dealt)->toHaveCount($round->cases()->count())
        ->and($dealt->pluck('position')->all())->toBe(range(1, $dealt->count()))
        ->and($round->readings()->where('readings.user_id', $tam->id)->whereNotNull('handed_in_at')->count())->toBe($in)
        ->and(Waiting::in($round))->not->toHaveKey($tam->id)->toHaveKey($new->id)
        ->and(Notice::query()->where('kind', NoticeKind::Opened)->where('user_id', $new->id)->exists())->toBeTrue();
    foreach ($dealt->groupBy('sitting_case_id') as $id => $of) {
        $same = Reading::query()->where('sitting_case_id', $id)->where('user_id', $tam->id)->first();
        expect($of->sole()->arm_id)->toBe($same->arm_id);
    }
    app(Onlookers::class)->forget();
    $this->actingAs($new)->get('/')->assertOk()->assertSee($round->name);
    // A second press seats nobody twice.
    changesRound($this, 'seat', ['who' => $new->id])
        ->assertSessionHas('refused', fn (string $says): bool => str_contains($says, 'has a seat already'));
    $gone = $this->person('odile');
    DB::table('users')->where('id', $gone->id)->update(['state' => 'disabled']);
    changesRound($this, 'seat', ['who' => $gone->id])
        ->assertSessionHas('refused', fn (string $says): bool => str_contains($says, 'cannot read in this round'));
    changesRound($this, 'seat', ['who' => 999999])->assertNotFound();
});

it('reminds whoever it waits for: once a day by hand, and by itself before the day', function () {
    $round = $this->round('Autumn');
    $waits = array_keys(Waiting::in($round));
    sort($waits);
    expect($waits)->not->toBeEmpty();
    changesRound($this, 'remind')
        ->assertSessionHas('done', fn (string $s): bool => str_contains($s, (string) count($waits)));
    $told = dueReaders($round);
    sort($told);
    expect($told)->toBe($waits);
    changesRound($this, 'remind')->assertSessionHas('done', fn (string $s): bool => str_contains($s, 'today already'));
    expect(dueReaders($round))->toHaveCount(count($waits));
    $due = now()->addDays(10)->startOfDay();
    changesRound($this, 'due', ['due' => $due->toDateString()])->assertSessionHas('done');
    foreach ([9 => 0, 4 => 0, 3 => 1, 2 => 1, 1 => 2, 0 => 3] as $before => $times) {
        $this->travelTo($due->copy()->subDays($before)->setTime(12, 0));
        app(Remind::class)->due();
        app(Remind::class)->due();
        expect(count(dueReaders($round)))->toBe(count($waits) * (1 + $times), "$before days before");
    }
    $this->travelBack();
    changesRound($this, 'remind', round: 'Spring')->assertSessionHas('refused');
});

it('sets and takes back the day, of a round that is still to be read alone', function () {
    $round = $this->round('Autumn');
    changesRound($this, 'due', ['due' => '2031-05-06'])->assertSessionHas('done');
    expect($round->refresh()->due_on->toDateString())->toBe('2031-05-06');
    app(Onlookers::class)->forget();
    $this->actingAs($this->person('tam'))->get('/')->assertSee('To be read by 6 May 2031')->assertSee('calendar.ics');
    changesRound($this, 'due', ['due' => ''])->assertSessionHas('done');
    expect($round->refresh()->due_on)->toBeNull();
    changesRound($this, 'due', ['due' => 'soon'])->assertSessionHasErrors('due');
    changesRound($this, 'due', ['due' => '2031-05-06'], round: 'Spring')->assertSessionHas('refused');
    $this->actingAs($this->person('tam'))->get("/rounds/{$round->public_id}/calendar.ics")->assertNotFound();
});

it('gives a reader, and nobody else, the day as an entry that a calendar can read', function () {
    $round = $this->round('Autumn');
    changesRound($this, 'due', ['due' => '2031-05-06']);
    app(Onlookers::class)->forget();
    $url = "/rounds/{$round->public_id}/calendar.ics";
    $ics = (string) $this->actingAs($this->person('tam'))->get($url)->assertOk()
        ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
    $event = Reader::read($ics)->VEVENT;
    $cases = dealt($round, $this->person('tam'))->count();
    expect((string) $event->DTSTART)->toBe('20310506')
        ->and((string) $event->DTEND)->toBe('20310507')
        ->and((string) $event->SUMMARY)->toBe("Autumn round: $cases cases to read")
        ->and(Reader::read($ics)->validate())->toBe([])
        ->and($ics)->not->toContain($round->seed);
    $again = (string) $this->get($url)->getContent();
    expect((string) Reader::read($again)->VEVENT->UID)->toBe((string) $event->UID);
    foreach (['odile', 'maren'] as $who) {
        app(Onlookers::class)->forget();
        $this->actingAs($this->person($who))->get($url)->assertNotFound();
    }
});

it('lets only head coaches change a round, and shows them how far it is read without a reload', function () {
    $round = $this->round('Autumn');
    $this->actingAs($this->headCoach())->get("/rounds/{$round->public_id}/progress")->assertOk()
        ->assertSee($this->person('tam')->name)->assertDontSee('<html', false);
    foreach (['tam', 'odile'] as $who) {
        foreach (['due', 'withdraw', 'seat', 'remind'] as $what) {
            expect(changesRound($this, $what, ['due' => '2031-05-06'], $who)->getStatusCode())->toBeGreaterThan(400);
        }
        $this->actingAs($this->person($who))->get("/rounds/{$round->public_id}/progress")->assertNotFound();
    }
    expect($round->refresh()->due_on)->toBeNull();
});

it('publishes no figures that were worked out before a case was taken out', function () {
    $round = $this->round('Autumn');
    $this->actingAs($this->headCoach())->post("/rounds/{$round->public_id}/close")->assertSessionHas('done');
    $case = $round->cases()->whereHas('readings', fn ($q) => $q->whereNotNull('handed_in_at'))->firstOrFail();
    $out = false;
    // Just when the figures are worked out and the round is held to be published.
    DB::listen(static function ($query) use (&$out, $case): void {
        if (! $out && preg_match('/from "sittings".*for update/', $query->sql) === 1 && DB::transactionLevel() > 0
            && DB::table('works')->where('state', 'running')->exists()) {
            $out = true;
            DB::table('sitting_cases')->where('id', $case->id)->update(['withdrawn_at' => now(),
                'withdrawn_reason' => 'late']);
        }
    });
    app(Onlookers::class)->forget();
    $this->actingAs($this->headCoach())->post("/rounds/{$round->public_id}/publish");
    expect($out)->toBeTrue()
        ->and($round->refresh()->state->value)->toBe('closed')
        ->and($round->result()->exists())->toBeFalse();
    $this->post("/rounds/{$round->public_id}/publish")->assertSessionHas('done');
    expect($round->refresh()->state->value)->toBe('published')
        ->and(App\Agreement\KeptFigures::ofRound($round)->result->inputs_checksum)
        ->toBe(RoundInputs::ofRound($round, app(Codebooks::class))->checksum);
});
