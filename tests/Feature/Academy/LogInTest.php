<?php

use App\Academy\Attempts;
use App\Models\AuditEntry;
use App\Models\LoginAttempt;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Hash;

const HERS = ['email' => 'tam@fernhollow.example', 'password' => 'fernhollow-winter'];

/** Wrong, from a place of its own; nobody else's throttling in the way. */
function triedWrongly(
    object $test,
    string $ip = '192.0.2.1',
    string $email = HERS['email'],
    string $password = 'wrong',
): object {
    app('cache')->flush();
    app('auth')->forgetGuards();

    return $test->withServerVariables(['REMOTE_ADDR' => $ip])->post('/login', compact('email', 'password'));
}

it('lets every further failure wait twice as long, of an address that nobody has as well', function (string $email) {
    Carbon::setTestNow('2027-03-01 10:00');
    for ($i = 0; $i < 5; $i++) {
        triedWrongly($this, email: $email)->assertSessionHasErrors('email');
    }
    foreach ([15, 30, 60, 120, 240, 480, 900, 900] as $seconds) {
        triedWrongly($this, email: $email)->assertSessionHas('refused', "Too many tries have failed. Try again in $seconds seconds.");
        // Waiting is not failing: who asks again meanwhile waits no longer for it.
        Carbon::setTestNow(now()->addSeconds($seconds - 1));
        triedWrongly($this, email: $email)
            ->assertSessionHas('refused', 'Too many tries have failed. Try again in a second.');
        Carbon::setTestNow(now()->addSecond());
        triedWrongly($this, email: $email)->assertSessionHasErrors('email')->assertSessionMissing('refused');
    }
    // The right password does not end the wait, and what was typed is not kept.
    triedWrongly($this, password: HERS['password'], email: $email)->assertSessionHas('refused');
    expect(session()->getOldInput())->toBe(['email' => $email]);
    $this->assertGuest();
})->with([HERS['email'], 'nobody@fernhollow.example']);

it('keeps nobody out of their own by what others do', function () {
    Carbon::setTestNow('2027-03-01 10:00');
    $entered = $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.7'])->post('/login', HERS)->assertRedirect('/');
    $known = $entered->getCookie('entered-before');
    $this->post('/logout');
    Carbon::setTestNow(now()->addHour());
    // From everywhere at once: each place has its free tries, the account has not.
    foreach (range(1, 25) as $i) {
        triedWrongly($this, "192.0.2.$i")->assertSessionHasErrors('email');
    }
    triedWrongly($this, '192.0.2.77')->assertSessionHas('refused');
    triedWrongly($this, '198.51.100.7', password: HERS['password'])->assertSessionHas('refused');
    app('cache')->flush();
    $this->flushSession();
    $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.7'])->withCookie('entered-before', $known->getValue())
        ->post('/login', HERS)->assertRedirect('/')
        // And the person is told.
        ->assertSessionHas('refused', fn (string $says): bool => str_contains($says, '25 log-ins as you failed'));
    $this->assertAuthenticated();
    // A cookie of one's own making opens nothing.
    $this->post('/logout');
    triedWrongly($this, '192.0.2.77');
    expect(LoginAttempt::query()->where('outcome', 'in')->count())->toBe(2);
});

it('counts a network of version 6 as one place, however many addresses it has', function () {
    Carbon::setTestNow('2027-03-01 10:00');
    foreach (range(1, 5) as $i) {
        triedWrongly($this, "2001:db8:0:7:$i:aaaa::$i")->assertSessionHasErrors('email');
    }
    triedWrongly($this, '2001:DB8:0:7:ffff::1')->assertSessionHas('refused');
    triedWrongly($this, '2001:db8:0:8::1')->assertSessionHasErrors('email');
    expect(LoginAttempt::query()->pluck('ip')->countBy()->all())->toBe(['2001:db8:0:7::' => 5, '2001:db8:0:8::' => 1]);
    // Version 4 is counted by address, written either way.
    foreach (['192.0.2.5', '::ffff:192.0.2.5', '::FFFF:192.0.2.5', '192.0.2.5', '192.0.2.5'] as $ip) {
        triedWrongly($this, $ip)->assertSessionHasErrors('email');
    }
    triedWrongly($this, '192.0.2.5')->assertSessionHas('refused');
    triedWrongly($this, '192.0.2.6')->assertSessionHasErrors('email');
    // Nor is there a fresh allowance for every address of it, with no failure noted at all.
    app('cache')->flush();
    $tried = fn (int $i) => $this->withServerVariables(['REMOTE_ADDR' => "2001:db8:0:9::$i"])
        ->post('/login', ['email' => "reader$i@fernhollow.example"])->getStatusCode();
    expect(array_filter(array_map($tried, range(1, 61)), fn (int $status): bool => $status === 429))->toHaveCount(1);
});

it('lets one place try many accounts only so often', function () {
    Carbon::setTestNow('2027-03-01 10:00');
    foreach (range(1, 40) as $i) {
        triedWrongly($this, email: "guess$i@fernhollow.example")->assertSessionHasErrors('email');
    }
    triedWrongly($this, email: 'guess41@fernhollow.example')->assertSessionHas('refused');
    triedWrongly($this, '203.0.113.9', 'guess41@fernhollow.example')->assertSessionHasErrors('email');
});

it('does as much work over an address that nobody has', function () {
    $checked = [];
    Hash::shouldReceive('check')->andReturnUsing(function (string $password, string $hash) use (&$checked): bool {
        $checked[] = $hash;

        return false;
    });
    triedWrongly($this);
    triedWrongly($this, email: 'nobody@fernhollow.example');
    $of = static fn (string $hash): array => [password_get_info($hash)['algo'], password_get_info($hash)['options']];
    expect($checked)->toHaveCount(2)->and($of($checked[0]))->toBe($of($checked[1]));
});

it('takes a code of the second factor only so often', function () {
    Carbon::setTestNow('2027-03-01 10:00');
    $tam = $this->person('tam');
    $tam->forceFill(['factor_secret' => 'JBSWY3DPEHPK3PXP', 'factor_since' => now()])->save();
    $this->post('/login', HERS)->assertRedirect('/login/code');
    foreach (range(1, 5) as $i) {
        app('cache')->flush();
        $this->post('/login/code', ['code' => '000000'])->assertSessionHasErrors('code');
    }
    app('cache')->flush();
    $this->post('/login/code', ['code' => '000000'])->assertSessionHas('refused')->assertRedirect('/login/code');
    expect(LoginAttempt::query()->where('outcome', 'code')->count())->toBe(5);
});

it('notes log-ins and failures in the record, where from under the person’s own key, and lists them to the person', function () {
    $tam = $this->person('tam');
    triedWrongly($this, '192.0.2.5');
    triedWrongly($this, '192.0.2.5', 'nobody@fernhollow.example');
    $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.7'])->post('/login', HERS);
    $this->get('/account')->assertSee('192.0.2.5')->assertSee('wrong password')->assertSee('198.51.100.7');
    $this->post('/logout');
    $entries = AuditEntry::query()->where('subject', "person $tam->id")->latest('id')->limit(3)->get();
    expect($entries->pluck('action')->all())->toBe(['logged-out', 'logged-in', 'log-in-failed'])
        ->and($entries->pluck('details')->toJson())->not->toContain('192.0')->not->toContain('198.51')
        ->and(LoginAttempt::query()->whereNull('user_id')->value('account'))->not->toContain('nobody');
});

it('ends a log-in after some hours, however busy it was', function () {
    Carbon::setTestNow('2027-03-01 08:00');
    $this->post('/login', HERS)->assertRedirect('/');
    foreach (range(1, 12) as $hour) {
        Carbon::setTestNow(now()->addHour());
        $this->get('/account')->assertOk();
    }
    Carbon::setTestNow(now()->addSecond());
    $this->get('/account')->assertRedirect('/login');
    $this->assertGuest();
});

it('asks for the password once more before what cannot be taken back, leaves the academy or changes who somebody is', function () {
    $head = $this->headCoach();
    $golfer = App\Models\Golfer::query()->firstOrFail();
    $person = $this->person('tam');
    $round = $this->round('Winter');
    $asked = [
        ['POST', "/rounds/$round->public_id/publish"],
        ['DELETE', "/golfers/$golfer->id"],
        ['PUT', "/people/$person->id"],
        ['POST', '/people'],
        ['POST', '/capture/devices'],
        ['GET', '/record/file'],
        ['GET', '/own/data'],
    ];
    $this->actingAs($head);
    foreach ($asked as [$method, $uri]) {
        $this->withSession(['auth.password_confirmed_at' => now()->subMinutes(16)->getTimestamp()])
            ->call($method, $uri)->assertRedirect('/confirm');
        $this->json($method, $uri)->assertStatus(423);
        // Who may not do it is told what is told of what is not there, not asked for a password.
        $other = $this->actingAs($this->person('ines'))->withSession(['auth.password_confirmed_at' => 0]);
        expect($other->call($method, $uri)->isRedirect(url('/confirm')))->toBe($uri === '/own/data');
        $this->actingAs($head);
    }
    expect(User::query()->whereKey($person->id)->value('name'))->toBe($person->name);
    // What was filled in is there again afterwards, but for what nobody is to read.
    $this->withSession(['auth.password_confirmed_at' => 0])->from("/people/$person->id")
        ->put("/people/$person->id", ['name' => 'Tam Anew', 'password' => 'x'])->assertRedirect('/confirm');
    expect(json_encode(session()->all()))->not->toContain('"x"');
    $this->post('/confirm', ['password' => HERS['password']])->assertRedirect("/people/$person->id")
        ->assertSessionHasInput('name', 'Tam Anew');
    $this->get("/people/$person->id")->assertSee('value="Tam Anew"', false);
    $this->withSession(['auth.password_confirmed_at' => 0])->get('/record/file')->assertRedirect('/confirm');
    $this->get('/confirm')->assertOk()->assertSee('Say once more that it is you');
    $this->post('/confirm', ['password' => 'wrong'])->assertSessionHasErrors('password');
    $this->get('/record/file')->assertRedirect('/confirm');
    $this->post('/confirm', ['password' => HERS['password']])->assertRedirect('/record/file');
    $this->get('/record/file')->assertOk();
    expect(LoginAttempt::query()->where('user_id', $head->id)->where('outcome', 'password')->count())->toBe(1);
});

it('lets tries of one account in one after the other, and waits for none of them long', function () {
    onACopy($this, function (): void {
        $other = DB::connectUsing('beside', config('database.connections.owner'), true);
        $other->beginTransaction();
        $other->select('select pg_advisory_xact_lock(hashtext(?))', ['log-in|'.Attempts::account(HERS['email'])]);
        $from = hrtime(true);
        triedWrongly($this)->assertSessionHas('refused', 'Too many tries have failed. Try again in a second.');
        expect((hrtime(true) - $from) / 1e9)->toBeGreaterThan(1.9);
        // Another account is held up by nobody.
        triedWrongly($this, email: 'ines@fernhollow.example')->assertSessionHasErrors('email');
        $other->rollBack();
        $this->flushSession();
        triedWrongly($this)->assertSessionHasErrors('email');
        DB::purge('beside');
    });
});

it('keeps nothing of tries of long ago', function () {
    triedWrongly($this);
    LoginAttempt::query()->update(['at' => now()->subDays(91)]);
    triedWrongly($this);
    Attempts::forget();
    expect(LoginAttempt::query()->count())->toBe(1);
});

it('answers who has forgotten a password before it looks whether there is anybody', function () {
    $asked = [];
    DB::listen(function ($query) use (&$asked): void {
        $asked[] = $query->sql;
    });
    Event::listen(Illuminate\Foundation\Http\Events\RequestHandled::class, function () use (&$asked): void {
        $asked[] = 'answered';
    });
    $this->post('/forgotten', ['email' => HERS['email']])->assertRedirect('/login');
    $at = array_search('answered', $asked, true);
    $letters = array_keys(
        array_filter(
            $asked,
            fn (string $sql): bool => str_contains($sql, 'account_links') || str_contains($sql, 'outbox'),
        ),
    );
    expect($letters)->not->toBe([])->and(min($letters))->toBeGreaterThan($at);
});
