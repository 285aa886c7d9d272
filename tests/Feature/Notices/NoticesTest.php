<?php

use App\Academy\Events\PersonChanged;
use App\Models\Consent;
use App\Models\Enums\NoticeKind;
use App\Models\Golfer;
use App\Models\Notice;
use App\Models\OutboxLetter;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Notices\Actions\SendDigests;
use App\Sittings\Events\ReadingHandedIn;
use App\Sittings\Events\ReadingReopened;
use App\Sittings\Events\RoundOpened;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

function openRound(): Sitting
{
    return Sitting::query()->where('state', 'open')->where('kind', 'round')->firstOrFail();
}

function toldOf(NoticeKind $kind): array
{
    return Notice::query()->where('kind', $kind)->orderBy('user_id')->pluck('user_id')->all();
}

function digests(): int
{
    Cache::forget('digests-looked-at');

    return app(SendDigests::class)();
}

it('tells those who have a seat that a round is open, once, and nobody who is left out', function () {
    $round = openRound();
    $seats = DB::table('seats')->where('sitting_id', $round->id)->orderBy('user_id')->pluck('user_id')->all();
    DB::table('seats')->where('sitting_id', $round->id)->where('user_id', $seats[0])->update(['left_out_at' => now()]);
    User::query()->whereKey($seats[1])->update(['state' => 'disabled']);
    User::query()->findOrFail($seats[2])->forceFill(['notice_ways' => ['opened' => 'off']])->save();
    foreach ([1, 2] as $_) {
        event(new RoundOpened($round, 3, 4, 0, $this->headCoach()));
    }
    expect(toldOf(NoticeKind::Opened))->toBe(array_slice($seats, 3));
});

it('tells head coaches when the last has handed in, whoever was left out or had an own swing', function () {
    $round = openRound();
    $readings = Reading::query()->whereIn('sitting_case_id', $round->cases()->select('id'))->where('stage', 'blind');
    $of = fn (): Reading => (clone $readings)->orderBy('id')->firstOrFail();
    event(new ReadingHandedIn($of(), User::query()->findOrFail($of()->user_id)));
    expect(toldOf(NoticeKind::AllIn))->toBe([]);
    $waiting = (clone $readings)->whereNull('handed_in_at')->with('case.swings.recording')->get();
    $who = $waiting->pluck('user_id')->unique()->values();
    // One of them is the golfer of what is left to that person; the others are left out.
    $own = $waiting->firstWhere('user_id', $who[0]);
    User::query()->whereKey($who[0])->update(['golfer_id' => $own->case->swings[0]->recording->golfer_id]);
    DB::table('readings')->whereIn('id', $waiting->where('user_id', $who[0])->where('id', '!=', $own->id)->modelKeys())
        ->update(['handed_in_at' => now()]);
    DB::table('seats')->where('sitting_id', $round->id)->whereIn('user_id', $who->slice(1)->all())
        ->update(['left_out_at' => now()]);
    event(new ReadingHandedIn($of(), User::query()->findOrFail($of()->user_id)));
    expect(toldOf(NoticeKind::AllIn))->toBe([$this->headCoach()->id]);
    $this->actingAs($this->headCoach())->get('/notices')->assertSee("Everybody has handed in “{$round->name}”");
    // What a person's own swing is counts for nothing in what is still to come.
    $name = User::query()->findOrFail($who[0])->name;
    $page = (string) $this->get('/')->getContent();
    $all = (clone $readings)->where('user_id', $who[0])->count();
    expect($page)->toContain($name)->toMatch('/'.preg_quote($name).'.{0,400}?'.($all - 1).'\D+'.($all - 1).'\D/s');
});

it('tells a reader that a hand-in was opened again, each time, and head coaches who has come', function () {
    $reading = Reading::query()->whereNotNull('handed_in_at')->firstOrFail();
    $round = Sitting::query()->firstOrFail();
    event(new ReadingReopened($reading, $round, $this->headCoach()));
    $reading->version++;
    event(new ReadingReopened($reading, $round, $this->headCoach()));
    expect(toldOf(NoticeKind::Reopened))->toBe([$reading->user_id, $reading->user_id]);
    $kit = $this->person('kit');
    event(new PersonChanged($kit, 'person-joined', $kit));
    event(new PersonChanged($kit, 'password-changed', $kit));
    expect(toldOf(NoticeKind::Came))->toBe([$this->headCoach()->id]);
    // Anybody sees their own, and nobody another's.
    $this->actingAs($kit)->get('/notices')->assertOk()->assertDontSee('has come to the academy');
    $this->actingAs($this->headCoach())->get('/notices')->assertSee("$kit->name has come to the academy");
});

it('counts what was not seen at the head of every page, until it is', function () {
    $maren = $this->headCoach();
    $this->actingAs($maren)->get('/people')->assertDontSee('One notice');
    event(new PersonChanged($this->person('kit'), 'person-joined', null));
    $this->get('/people')->assertSee('One notice');
    $this->get('/notices')->assertSee('has come');
    $this->get('/people')->assertSee('One notice');
    $of = Notice::query()->sole()->id;
    event(new PersonChanged($this->person('tam'), 'person-joined', null));
    // What came while the page stood there was not seen on it, and nobody says so for somebody else.
    $this->actingAs($this->person('odile'))->post('/notices/seen', ['upto' => $of + 9])->assertRedirect();
    $this->actingAs($maren)->get('/people')->assertSee('2 notices');
    $this->post('/notices/seen', ['upto' => $of])->assertSessionHas('done');
    $this->get('/people')->assertSee('One notice');
    foreach ([[], ['upto' => 'all'], ['upto' => ['1']], ['upto' => -1]] as $bad) {
        $this->post('/notices/seen', $bad)->assertSessionHasErrors();
    }
});

it('keeps how a person wants to be told, and takes nothing else', function () {
    $kit = $this->person('kit');
    $this->actingAs($kit)->put('/notices', ['ways' => ['opened' => 'page', 'published' => 'off']])->assertRedirect();
    expect($kit->refresh()->notice_ways)->toBe(['opened' => 'page', 'published' => 'off']);
    foreach ([['ways' => ['opened' => 'shout']], ['ways' => ['else' => 'off']], ['ways' => 'off'], []] as $bad) {
        $this->put('/notices', $bad)->assertSessionHasErrors();
    }
    expect($kit->refresh()->notice_ways)->toBe(['opened' => 'page', 'published' => 'off']);
    // An instructor chooses among what an instructor is told.
    $this->get('/notices')->assertDontSee('everybody has handed in');
});

it('sends one letter a day, after seven, of what was not seen and is wanted by letter', function () {
    $kit = $this->person('kit');
    $tam = $this->person('tam');
    $tam->forceFill(['notice_ways' => ['opened' => 'page']])->save();
    $this->travelTo(now()->timezone('Europe/Dublin')->addDay()->setTime(6, 59));
    Notice::query()->delete();
    foreach ([$kit, $tam] as $user) {
        Notice::query()->create(['user_id' => $user->id, 'kind' => 'opened', 'subject' => 'sitting x',
            'sitting_id' => openRound()->id]);
    }
    Consent::query()->update(['expires_on' => '2040-01-01']);
    expect(digests())->toBe(0);
    $this->travelTo(now()->timezone('Europe/Dublin')->setTime(7, 0));
    expect(digests())->toBe(1)->and(digests())->toBe(0);
    $letter = OutboxLetter::query()->latest('id')->firstOrFail();
    expect($letter->body)->toContain('“'.openRound()->name.'” is open')->toContain('Hello '.$kit->name)
        ->and($letter->recipient)->toBe($kit->email);
    // More on the same day waits for the next; what was seen meanwhile is not in it.
    foreach (['a', 'b'] as $n) {
        Notice::query()->create(['user_id' => $kit->id, 'kind' => 'published', 'subject' => $n,
            'sitting_id' => openRound()->id]);
    }
    expect(digests())->toBe(0);
    Notice::query()->where('subject', 'a')->update(['seen_at' => now()]);
    $this->travelTo(now()->addDay());
    expect(digests())->toBe(1)
        ->and(substr_count(OutboxLetter::query()->latest('id')->firstOrFail()->body, 'are published'))->toBe(1);
    // Whoever is kept out gets none.
    Notice::query()->create(['user_id' => $kit->id, 'kind' => 'published', 'subject' => 'c']);
    $kit->forceFill(['state' => 'disabled'])->save();
    $this->travelTo(now()->addDay());
    expect(digests())->toBe(0);
});

it('tells head coaches once that what a golfer agreed to runs out, unless it is renewed', function () {
    Consent::query()->update(['expires_on' => '2040-01-01']);
    $golfer = Golfer::query()->where('pseudonym', 'Wren')->firstOrFail();
    $golfer->consents()->update(['expires_on' => now()->addDays(20)->toDateString()]);
    $this->travelTo(now()->timezone('Europe/Dublin')->addDay()->setTime(9, 0));
    digests();
    digests();
    expect(Notice::query()->where('kind', 'consents')->pluck('golfer_id')->all())->toBe([$golfer->id]);
    $this->actingAs($this->headCoach())->get('/notices')->assertSee('What Wren has agreed to runs out');
    $golfer->consents()->update(['expires_on' => now()->addDays(400)->toDateString()]);
    digests();
    expect(Notice::query()->where('kind', 'consents')->count())->toBe(1);
});
