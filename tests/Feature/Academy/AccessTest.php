<?php

use App\Models\KeyEntry;
use App\Models\Recording;
use App\Models\User;

it('sends a stranger to the log-in from everywhere', function () {
    foreach (['/', '/shelf', '/rounds', '/panel', '/agreement', '/codebook', '/record', '/read/next'] as $path) {
        $this->get($path)->assertRedirect('/login');
    }
    $this->postJson('/read/'.$this->openReading($this->person('tam'))->public_id.'/changes', [])->assertUnauthorized();
});

it('logs in with the right password only, and says the same for a wrong address as for a wrong password', function () {
    $wrong = $this->post('/login', ['email' => 'tam@fernhollow.example', 'password' => 'no'])->assertSessionHasErrors(
        'email',
    );
    $nobody = $this->post('/login', [
        'email' => 'nobody@fernhollow.example',
        'password' => 'no',
    ])->assertSessionHasErrors('email');
    expect(session('errors')->first('email'))->toBe('That address and password do not go together.');
    $this->post('/login', ['email' => 'tam@fernhollow.example', 'password' => 'fernhollow-winter'])->assertRedirect(
        '/',
    );
    $this->assertAuthenticatedAs($this->person('tam'));
    $this->post('/logout')->assertRedirect('/login');
    $this->assertGuest();
});

it('keeps passwords hashed', function () {
    foreach (User::query()->get() as $user) {
        expect($user->password)->toStartWith('$2y$')->not->toContain('fernhollow');
    }
});

it('slows down who guesses', function () {
    for ($i = 0; $i < 8; $i++) {
        $this->post('/login', ['email' => 'kit@fernhollow.example', 'password' => "guess$i"])->assertRedirect();
    }
    $this->post('/login', [
        'email' => 'kit@fernhollow.example',
        'password' => 'fernhollow-winter',
    ])->assertTooManyRequests();
    $this->post('/login', ['email' => 'tam@fernhollow.example', 'password' => 'fernhollow-winter'])->assertRedirect(
        '/',
    );
});

it('lets each role into its own places only', function (string $who, array $open, array $shut) {
    $user = $this->person($who);
    foreach ($open as $path) {
        expect($this->actingAs($user)->get($path)->status())->toBeIn([200, 302], "$who, $path");
    }
    foreach ($shut as $path) {
        $this->actingAs($user)->get($path)->assertForbidden();
    }
})->with([
    ['maren', ['/', '/shelf', '/rounds', '/panel', '/agreement', '/codebook', '/record'], []],
    ['odile', ['/', '/panel', '/codebook', '/agreement'], ['/shelf', '/rounds', '/record']],
    ['tam', ['/', '/agreement', '/codebook'], ['/shelf', '/rounds', '/record', '/panel']],
]);

it('refuses every change that is the head coach\'s to anybody else', function (string $who) {
    $user = $this->person($who);
    $round = $this->round('Autumn')->public_id;
    $entry = KeyEntry::query()->first()->id;
    foreach (
        [
            "/rounds/$round/open",
            "/rounds/$round/close",
            "/rounds/$round/publish",
            "/panel/entries/$entry/ruling",
            '/rounds',
            '/imports',
        ] as $path
    ) {
        expect(
            $this->actingAs($user)
                ->post($path, ['ruling' => 'present', 'reason' => 'because I say so'])
                ->status(),
        )->toBe(in_array($path, ['/rounds', '/imports'], true) ? 403 : 404, $path);
    }
    expect($this->round('Autumn')->state->value)
        ->toBe('open')
        ->and(KeyEntry::query()->whereNotNull('ruling')->exists())
        ->toBeFalse();
})->with(['tam', 'odile']);

it('lets nobody but its rater change or hand in a reading, not even the head coach', function () {
    $reading = $this->openReading($this->person('tam'));
    foreach (['maren', 'odile', 'kit'] as $who) {
        $this->actingAs($this->person($who))
            ->postJson("/read/{$reading->public_id}/changes", $this->changes($this->sheet()))
            ->assertNotFound();
        $this->actingAs($this->person($who))
            ->post("/read/{$reading->public_id}/hand-in")
            ->assertNotFound();
    }
    expect($reading->refresh()->version)->toBe(0);
});

it('forbids other origins, framing, sniffing and caching of private pages', function () {
    $headers = $this->actingAs($this->person('tam'))->get('/')->headers;
    expect($headers->get('Content-Security-Policy'))
        ->toContain("default-src 'none'")
        ->toContain("frame-ancestors 'none'")
        ->and($headers->get('X-Content-Type-Options'))
        ->toBe('nosniff')
        ->and($headers->get('Cache-Control'))
        ->toContain('no-store');
});

it('ends the use of a recording at once when consent is withdrawn', function () {
    $user = $this->person('tam');
    $reading = $this->openReading($user);
    $golfer = $reading->case->recording->golfer;
    $this->actingAs($user)->get("/read/{$reading->public_id}/evidence/1")->assertOk();
    $golfer->consents()->update(['withdrawn_at' => now()]);
    $this->actingAs($user)->get("/read/{$reading->public_id}/evidence/1")->assertGone();
    $this->actingAs($user)->get("/read/{$reading->public_id}")->assertGone();
    $old = Recording::query()->where('golfer_id', $golfer->id)->first();
    $this->actingAs($user)->get("/bench/{$old->public_id}")->assertNotFound();
});

it('answers unknown and malformed identifiers with not found', function () {
    foreach (['/read/xyz', '/bench/01ARZ3NDEKTSV4RRFFQ69G5FAV', '/agreement/nothing', "/bench/'%20or%201=1"] as $path) {
        $this->actingAs($this->headCoach())->get($path)->assertNotFound();
    }
});
