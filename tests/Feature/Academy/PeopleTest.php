<?php

use App\Academy\Actions\BeginAcademy;
use App\Academy\Links;
use App\Academy\OneTimeCode;
use App\Academy\RecoveryCodes;
use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\AccountLink;
use App\Models\AuditEntry;
use App\Models\Enums\LinkPurpose;
use App\Models\Enums\UserState;
use App\Models\Group;
use App\Models\OutboxLetter;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

const GOOD = 'plain slow river boat';

/** The link in the newest letter to an address. */
function letterLink(string $to): string
{
    $body = OutboxLetter::query()->where('recipient', $to)->latest('id')->firstOrFail()->body;
    preg_match('#https?://\S+#', $body, $m);

    return (string) parse_url($m[0], PHP_URL_PATH);
}

/** A code of somebody's second factor that was not taken yet. */
function codeNow(string $secret, int $ahead = 0): string
{
    $bits = implode('', array_map(
        static fn (string $c): string => sprintf('%05b', strpos('ABCDEFGHIJKLMNOPQRSTUVWXYZ234567', $c)),
        str_split($secret),
    ));
    $bytes = implode('', array_map(static fn (string $b): string => chr(bindec($b)), str_split($bits, 8)));

    return OneTimeCode::at($bytes, intdiv(now()->getTimestamp(), 30) + $ahead);
}

function withFactor(User $user): string
{
    $secret = OneTimeCode::secret();
    $user->forceFill(['factor_secret' => $secret, 'factor_since' => now(),
        'recovery_codes' => RecoveryCodes::hashes(['aaaaa-bbbbb', 'ccccc-ddddd'])])->save();

    return $secret;
}

it('invites by a letter, lets its holder in once, and asks head coaches of a real academy for a second factor',
    function () {
        Academy::here()?->update(['is_sample' => false]);
        withFactor($this->headCoach());
        $sent = $this->actingAs($this->headCoach())->post('/people', [
            'name' => 'Runa Holt', 'email' => 'Runa@Fernhollow.example', 'role' => 'head-coach', 'on_panel' => '0',
        ]);
        $runa = User::byAddress('runa@fernhollow.example');
        $sent->assertRedirect("/people/$runa->id")->assertSessionHas('link');
        $url = letterLink('Runa@Fernhollow.example');
        expect(parse_url((string) session('link'), PHP_URL_PATH))->toBe($url)
            ->and($runa->state)->toBe(UserState::Invited);
        Auth::logout();
        $this->post('/login', ['email' => 'runa@fernhollow.example', 'password' => GOOD])
            ->assertSessionHasErrors('email');

        $this->get($url)->assertOk()->assertSee('Runa Holt');
        $this->post($url, ['name' => 'Runa Holt', 'password' => 'short', 'password_confirmation' => 'short'])
            ->assertSessionHasErrors('password');
        $this->post($url, ['name' => 'Runa Holt', 'password' => 'runa-holt-12',
            'password_confirmation' => 'runa-holt-12'])
            ->assertSessionHasErrors('password');
        $this->post($url, ['name' => 'Runa M. Holt', 'password' => GOOD, 'password_confirmation' => GOOD])
            ->assertRedirect('/');
        $this->assertAuthenticatedAs($runa->refresh());
        expect($runa->name)->toBe('Runa M. Holt')->and($runa->isActive())->toBeTrue();
        // Used: over for whoever comes with it again.
        $this->get($url)->assertNotFound()->assertSee('This link is over');
        $this->post($url, ['name' => 'X', 'password' => GOOD, 'password_confirmation' => GOOD])->assertNotFound();

        // Nowhere before the second factor.
        foreach (['/', '/people', '/shelf', '/account'] as $path) {
            $this->get($path)->assertRedirect('/account/second-factor');
        }
        $this->getJson('/people')->assertForbidden();
        $this->get('/account/second-factor')->assertOk()->assertSee('second factor comes first');
        $secret = session('factor-shown');
        $this->post('/account/second-factor', ['code' => '000000'])->assertSessionHas('refused');
        $this->post('/account/second-factor', ['code' => codeNow($secret)])->assertSessionHas('recovery-codes');
        $codes = session('recovery-codes');
        $this->get('/people')->assertOk();

        // In again: the password alone is not enough, the code of before is not taken twice.
        $this->post('/logout');
        $this->post('/login', ['email' => 'RUNA@fernhollow.example', 'password' => GOOD])
            ->assertRedirect('/login/code');
        $this->assertGuest();
        $this->get('/people')->assertRedirect('/login');
        $this->post('/login/code', ['code' => codeNow($secret)])->assertSessionHasErrors('code');
        $this->post('/login/code', ['code' => codeNow($secret, 1)])->assertRedirect();
        $this->assertAuthenticatedAs($runa);
        $this->post('/logout');
        $this->post('/login', ['email' => 'runa@fernhollow.example', 'password' => GOOD]);
        $this->post('/login/code', ['code' => $codes[0]])->assertRedirect();
        $this->assertAuthenticatedAs($runa);
        expect($runa->refresh()->recovery_codes)->toHaveCount(7);
    });

it('keeps nothing in the clear that lets somebody in', function () {
    $this->actingAs($this->headCoach())->post('/people', [
        'name' => 'Runa Holt', 'email' => 'runa@fernhollow.example', 'role' => 'instructor', 'on_panel' => '0',
    ]);
    $token = basename(letterLink('runa@fernhollow.example'));
    $secret = withFactor($this->person('tam'));
    foreach (DB::table('pg_tables')->where('schemaname', 'public')->pluck('tablename') as $table) {
        $rows = json_encode(DB::table($table)->limit(500)->get()->all(), JSON_INVALID_UTF8_SUBSTITUTE);
        expect(str_contains((string) $rows, $token))->toBeFalse($table)
            ->and(str_contains((string) $rows, $secret))->toBeFalse($table)
            ->and(str_contains((string) $rows, 'aaaaa-bbbbb'))->toBeFalse($table);
    }
});

it('ends an older invitation by a newer one, an old one by time, and takes one back without a trace', function () {
    $head = $this->actingAs($this->headCoach());
    $head->post('/people', ['name' => 'R', 'email' => 'r@f.example', 'role' => 'instructor', 'on_panel' => '0']);
    $first = letterLink('r@f.example');
    $person = User::byAddress('r@f.example');
    $head->post("/people/$person->id/invitation")->assertRedirect("/people/$person->id");
    $second = letterLink('r@f.example');
    Auth::logout();
    $this->get($first)->assertNotFound();
    $this->get($second)->assertOk();
    AccountLink::query()->update(['expires_at' => now()->subSecond()]);
    $this->get($second)->assertNotFound();
    $this->actingAs($this->headCoach())->delete("/people/$person->id/invitation")->assertRedirect('/people');
    expect(User::byAddress('r@f.example'))->toBeNull();
});

it('refuses a second person at an address, whichever letters are large', function () {
    $this->actingAs($this->headCoach())
        ->post('/people', ['name' => 'T', 'email' => 'TAM@Fernhollow.example', 'role' => 'panel', 'on_panel' => '0'])
        ->assertSessionHas('refused');
    expect(User::query()->where('name', 'T')->exists())->toBeFalse();
});

it('gives a new password to who can read the letter, and the same answer to everybody', function () {
    $tam = $this->person('tam');
    $this->post('/forgotten', ['email' => 'nobody@fernhollow.example'])->assertRedirect('/login');
    $nobody = session('done');
    expect(OutboxLetter::query()->count())->toBe(0);
    $this->post('/forgotten', ['email' => 'Tam@fernhollow.example'])->assertRedirect('/login');
    expect(session('done'))->toBe($nobody);
    $url = letterLink($tam->email);
    DB::table('sessions')->insert(['id' => 'old', 'user_id' => $tam->id, 'payload' => '', 'last_activity' => time()]);
    $this->get($url)->assertOk();
    expect(AccountLink::query()->whereNotNull('used_at')->exists())->toBeFalse();
    $this->post($url, ['password' => 'password1234', 'password_confirmation' => 'password1234'])
        ->assertSessionHasErrors('password');
    $this->post($url, ['password' => GOOD, 'password_confirmation' => GOOD])->assertRedirect('/login');
    $this->post($url, ['password' => GOOD.'s', 'password_confirmation' => GOOD.'s'])->assertNotFound();
    expect(DB::table('sessions')->where('user_id', $tam->id)->exists())->toBeFalse();
    $this->post('/login', ['email' => $tam->email, 'password' => 'fernhollow-winter'])->assertSessionHasErrors('email');
    $this->post('/login', ['email' => $tam->email, 'password' => GOOD])->assertRedirect('/');
});

it('lets a link do only what it is for', function () {
    $tam = $this->person('tam');
    $links = app(Links::class);
    foreach (LinkPurpose::cases() as $purpose) {
        $token = $links->make($purpose, $purpose === LinkPurpose::Begin ? null : $tam, 'new@f.example');
        foreach (['begin' => ['begin'], 'invited' => ['invite'], 'reset' => ['reset'],
            'address' => ['address-from', 'address-to']] as $path => $for) {
            expect($this->get("/$path/$token")->status())->toBe(
                in_array($purpose->value, $for, true) ? 200 : 404,
                "$purpose->value at $path",
            );
        }
    }
});

it('changes an address when both have said yes, and not before', function () {
    $tam = $this->person('tam');
    $this->actingAs($tam)->post('/account/address', [
        'email' => 'tam.new@f.example', 'current_for_address' => 'wrong-password',
    ])->assertSessionHasErrors('current_for_address');
    $this->post('/account/address', ['email' => 'tam.new@f.example', 'current_for_address' => 'fernhollow-winter']);
    [$old, $new] = [letterLink('tam@fernhollow.example'), letterLink('tam.new@f.example')];
    Auth::logout();
    $this->post($new)->assertRedirect('/login');
    expect($tam->refresh()->email)->toBe('tam@fernhollow.example');
    $this->post($new)->assertNotFound();
    $this->post($old)->assertRedirect('/login');
    expect($tam->refresh()->email)->toBe('tam.new@f.example');
    // Somebody else's is asked nothing, and the page says the same.
    $this->actingAs($tam)->post('/account/address', [
        'email' => 'ines@fernhollow.example', 'current_for_address' => 'fernhollow-winter',
    ])->assertSessionHas('done');
    expect(OutboxLetter::query()->where('recipient', 'ines@fernhollow.example')->exists())->toBeFalse();
});

it('takes an address that was taken meanwhile away from nobody', function () {
    $tam = $this->person('tam');
    $this->actingAs($tam)->post('/account/address', [
        'email' => 'x@f.example', 'current_for_address' => 'fernhollow-winter',
    ]);
    [$old, $new] = [letterLink('tam@fernhollow.example'), letterLink('x@f.example')];
    $this->person('ines')->update(['email' => 'X@f.example']);
    $this->post($new);
    $this->post($old)->assertSessionHas('refused');
    expect($tam->refresh()->email)->toBe('tam@fernhollow.example');
});

it('shows and ends one’s own sessions, never another person’s', function () {
    $tam = $this->person('tam');
    $ines = $this->person('ines');
    $add = static fn (string $id, User $u) => DB::table('sessions')->insert(['id' => $id, 'user_id' => $u->id,
        'payload' => '', 'last_activity' => time(), 'user_agent' => 'Mozilla/5.0 (X11; Linux) Firefox/130.0']);
    $add('s-of-tam', $tam);
    $add('s-of-ines', $ines);
    $page = $this->actingAs($tam)->get('/account')->assertOk()->assertSee('Firefox on Linux');
    expect($page->getContent())->not->toContain('s-of-');
    preg_match('#account/sessions/([0-9a-f]{32})#', $page->getContent(), $m);
    $this->actingAs($ines)->delete("/account/sessions/$m[1]");
    expect(DB::table('sessions')->where('id', 's-of-tam')->exists())->toBeTrue();
    $this->actingAs($tam)->delete("/account/sessions/$m[1]");
    expect(DB::table('sessions')->where('id', 's-of-tam')->exists())->toBeFalse();
    $add('s-of-tam', $tam);
    $this->actingAs($tam)->delete('/account/sessions/others');
    expect(DB::table('sessions')->pluck('id')->all())->toBe(['s-of-ines']);
});

it('keeps a disabled person out from the next request on, and lets them in again', function () {
    $tam = $this->person('tam');
    $this->actingAs($tam)->get('/')->assertOk();
    $head = $this->headCoach();
    $this->actingAs($head)
        ->post("/people/$tam->id/end", ['to' => 'disabled', 'open_cases' => 'out'])
        ->assertRedirect("/people/$tam->id");
    expect(DB::table('seats')->where('user_id', $tam->id)->whereNotNull('left_out_at')->count())->toBe(1);
    $this->actingAs($tam->refresh())->get('/')->assertRedirect('/login');
    $this->actingAs($tam)->getJson('/read/'.$this->openReading($tam)->public_id.'/sheet')->assertUnauthorized();
    Auth::logout();
    $this->post('/login', ['email' => $tam->email, 'password' => 'fernhollow-winter'])->assertSessionHasErrors('email');
    $this->post('/forgotten', ['email' => $tam->email]);
    expect(OutboxLetter::query()->where('recipient', $tam->email)->exists())->toBeFalse();

    $round = $this->round('Autumn');
    $this->actingAs($head)->get("/rounds/{$round->public_id}")->assertOk()->assertSee('left out');
    $this->get("/people/$tam->id")->assertSee('the rest is left out');
    $this->get('/')->assertOk();
    // A round is planned with who is here.
    $this->post("/people/$tam->id/enable")->assertRedirect();
    expect(DB::table('seats')->whereNotNull('left_out_at')->exists())->toBeFalse();
    $this->actingAs($tam->refresh())->get('/')->assertOk();
});

it('is never without a head coach', function () {
    $head = $this->headCoach();
    $this->actingAs($head);
    $as = ['name' => $head->name, 'on_panel' => '0'];
    $this->put("/people/$head->id", [...$as, 'role' => 'instructor'])->assertSessionHas('refused');
    $this->post('/account/leave', ['current_to_leave' => 'fernhollow-winter'])->assertSessionHas('refused');
    $this->post("/people/$head->id/end", ['to' => 'left', 'open_cases' => 'wait'])->assertSessionHas('refused');
    expect($head->refresh()->isHeadCoach())->toBeTrue()->and($head->isActive())->toBeTrue();
    $tam = $this->person('tam');
    $this->put("/people/$tam->id", ['name' => $tam->name, 'role' => 'head-coach', 'on_panel' => '0'])
        ->assertSessionHas('done');
    $this->post('/account/leave', ['current_to_leave' => 'fernhollow-winter'])->assertRedirect('/login');
    expect($head->refresh()->state)->toBe(UserState::Left);
    $this->assertGuest();
});

it('counts no reading as blind of what somebody could look up as a head coach', function () {
    $tam = $this->person('tam');
    $this->actingAs($this->headCoach());
    $all = DB::table('recordings')->whereNull('erased_at')->count();
    $known = fn (): int => DB::table('exposures')->where('user_id', $tam->id)->distinct()->count('recording_id');
    $before = $known();
    $to = fn (string $role) => $this->put("/people/$tam->id", ['name' => $tam->name, 'role' => $role, 'on_panel' => '0'])
        ->assertSessionHas('done');
    $to('panel');
    expect($known())->toBe($before);
    $to('head-coach');
    $to('instructor');
    expect($known())->toBe($all)->and($before)->toBeLessThan($all);
});

it('lets an instructor sit on the panel as well', function () {
    $tam = $this->person('tam');
    $this->actingAs($tam)->get('/panel')->assertForbidden();
    $this->actingAs($this->headCoach())->put("/people/$tam->id", [
        'name' => $tam->name, 'role' => 'instructor', 'on_panel' => '1',
    ]);
    $this->actingAs($tam->refresh())->get('/panel')->assertOk();
    $this->get('/')->assertSee('href="'.route('panel.index').'"', false);
    // The panel's key is still theirs only who sat in it.
    $this->get('/panel/'.$this->round('Winter')->public_id)->assertNotFound();
});

it('keeps groups, and chooses people by them', function () {
    $head = $this->actingAs($this->headCoach());
    $head->post('/academy/groups', ['kind' => 'site', 'name' => 'Hill tees'])->assertSessionHas('done');
    $head->post('/academy/groups', ['kind' => 'site', 'name' => 'Hill tees'])->assertSessionHas('refused');
    $group = Group::query()->where('name', 'Hill tees')->sole();
    $tam = $this->person('tam');
    $head->put("/people/$tam->id", ['name' => $tam->name, 'role' => 'instructor', 'on_panel' => '0',
        'groups' => [$group->id]]);
    $head->get("/people?group=$group->id")->assertSee($tam->name)->assertDontSee('Ines Foxcroft');
    $head->get('/rounds/plan')->assertSee('Hill tees');
    $head->put("/academy/groups/$group->id", ['kind' => 'other', 'name' => 'North'])->assertSessionHas('done');
    $head->delete("/academy/groups/$group->id")->assertSessionHas('done');
    expect(Group::query()->whereKey($group->id)->exists())->toBeFalse()->and($tam->refresh()->exists)->toBeTrue();
});

it('changes the academy’s name, zone and letterhead, and shows times in its zone', function () {
    $head = $this->actingAs($this->headCoach());
    $head->put('/academy', ['name' => 'Hollow', 'zone' => 'Nowhere/Else'])->assertSessionHasErrors('zone');
    $head->put('/academy', ['name' => 'Hollow', 'zone' => 'Pacific/Auckland', 'letterhead' => "Hollow\nBay 4"]);
    expect(Academy::zone())->toBe('Pacific/Auckland');
    $entry = AuditEntry::query()->where('action', 'academy-changed')->sole();
    expect($entry->details['before']['name'])->toBe('Fernhollow Golf Academy');
    $head->get('/record')->assertSee($entry->created_at->timezone('Pacific/Auckland')->format('H:i'));
    Auth::logout();
    $this->get('/login')->assertSee('Hollow');
    $this->post('/forgotten', ['email' => 'tam@fernhollow.example']);
    expect(OutboxLetter::query()->sole()->body)->toStartWith("Hollow\nBay 4\n");
});

it('clears the sample only by its name, and begins a real academy by the link alone', function () {
    foreach (['films', 'imports', 'exports', 'papers'] as $disk) {
        Storage::fake($disk)->put($disk === 'exports' ? 'rounds/x' : "$disk/x", 'x');
    }
    Storage::disk('imports')->put('else/y', 'y');
    $this->actingAs($this->headCoach())->delete('/academy/sample', ['typed' => 'Fernhollow'])
        ->assertSessionHas('refused');
    expect(User::query()->count())->toBeGreaterThan(5);
    $url = parse_url((string) $this->delete('/academy/sample', ['typed' => 'Fernhollow Golf Academy'])
        ->headers->get('Location'), PHP_URL_PATH);
    expect(User::query()->count())->toBe(0)
        ->and(array_map(fn (string $d): array => Storage::disk($d)->allFiles(), ['films', 'imports', 'exports',
            'papers']))
        ->toBe([[], ['else/y'], [], []]);
    $this->get('/')->assertRedirect('/login');
    $this->get('/begin/'.str_repeat('a', 40))->assertNotFound();
    $form = ['academy' => 'Moorgate Academy', 'zone' => 'Europe/Dublin', 'name' => 'Una Bray',
        'email' => 'una@moorgate.example', 'password' => GOOD, 'password_confirmation' => GOOD];
    $this->get($url)->assertOk();
    $this->post($url, [...$form, 'password' => 'moorgate-una', 'password_confirmation' => 'moorgate-una'])
        ->assertSessionHasErrors('password');
    $this->flushSession();
    $this->post($url, $form)->assertRedirect('/')
        // Whoever has just chosen a password is not asked for it at once.
        ->assertSessionHas(['auth.password_confirmed_at', 'entered-at']);
    $una = User::query()->sole();
    expect($una->isHeadCoach())->toBeTrue()->and(Academy::isSample())->toBeFalse();
    $this->get('/')->assertRedirect('/account/second-factor');
    $this->post($url, $form)->assertNotFound();
    expect(Artisan::call('academy:begin'))->toBe(1);
    // A second link made meanwhile begins nothing.
    $second = AccountLink::query()->create(['purpose' => LinkPurpose::Begin, 'token_hash' => hash('sha256', 'x'),
        'expires_at' => now()->addHour()]);
    expect(fn () => app(BeginAcademy::class)($second, 'A', 'UTC', 'B', 'b@c.example', GOOD))
        ->toThrow(ActionException::class);
});

it('lets nobody but a head coach manage people', function (string $who) {
    $tam = $this->person('tam');
    $this->actingAs($this->person($who));
    foreach ([['GET', '/people'], ['GET', '/academy'], ['GET', '/academy/letters'], ['POST', '/people'],
        ['PUT', '/academy'], ['DELETE', '/academy/sample'], ['POST', '/academy/groups']] as [$method, $path]) {
        expect($this->call($method, $path)->status())->toBe(403, "$method $path");
    }
    foreach ([['GET', ''], ['PUT', ''], ['POST', '/end'], ['POST', '/enable'], ['POST', '/reset'],
        ['POST', '/invitation'], ['DELETE', '/invitation'], ['DELETE', '/second-factor']] as [$method, $path]) {
        expect($this->call($method, "/people/$tam->id$path")->status())->toBe(404, "$method $path");
    }
    expect($tam->refresh()->isActive())->toBeTrue();
})->with(['odile', 'tam']);

it('takes a password or a code only so often', function () {
    $tam = $this->person('tam');
    withFactor($tam);
    $this->post('/login', ['email' => $tam->email, 'password' => 'fernhollow-winter'])->assertRedirect('/login/code');
    for ($i = 0; $i < 8; $i++) {
        $this->post('/login/code', ['code' => '000000']);
    }
    $this->post('/login/code', ['code' => '000000'])->assertTooManyRequests();
    $this->assertGuest();
});

it('answers what is no form of its own with a sentence, never with a fault', function () {
    foreach ([['email' => ['a'], 'password' => ['b']], ['email' => "\0", 'password' => str_repeat('x', 9000)],
        ['email' => "\xff\xfe", 'password' => "\xff"], []] as $odd) {
        foreach (['/login', '/forgotten', '/login/code', '/begin/x', '/invited/x', '/reset/x', '/address/x'] as $path) {
            expect($this->post($path, $odd)->status())->toBeLessThan(500, $path);
        }
    }
    $this->actingAs($this->headCoach());
    foreach ([['name' => ['x'], 'role' => ['y'], 'groups' => 'z'], ['name' => 'x', 'role' => 'god',
        'groups' => [99999999999], 'golfer' => '99999999999'], ['to' => [], 'open_cases' => 'none']] as $odd) {
        foreach (['/people', '/academy/groups', "/people/{$this->person('tam')->id}/end", '/account/leave',
            '/account/address', '/account/second-factor'] as $path) {
            expect($this->post($path, $odd)->status())->toBeLessThan(500, $path);
        }
        expect($this->put("/people/{$this->person('tam')->id}", $odd)->status())->toBeLessThan(500)
            ->and($this->put('/academy', $odd)->status())->toBeLessThan(500);
    }
    expect($this->get('/people/999999999')->status())->toBe(404)
        ->and($this->get('/people?find[]=x&group[]=y')->status())->toBe(200);
});

it('puts several people into a group at once, and takes them out', function () {
    $group = Group::query()->create(['kind' => 'other', 'name' => 'Evening']);
    $ids = [$this->person('tam')->id, $this->person('kit')->id];
    $this->actingAs($this->headCoach())->post('/people/groups', ['people' => $ids, 'into' => $group->id, 'do' => 'in'])
        ->assertSessionHas('done');
    $this->post('/people/groups', ['people' => [...$ids, $this->person('bea')->id], 'into' => $group->id,
        'do' => 'in']);
    expect($group->people()->count())->toBe(3);
    $this->post('/people/groups', ['people' => $ids, 'into' => $group->id, 'do' => 'out']);
    expect($group->people()->pluck('users.id')->all())->toBe([$this->person('bea')->id]);
    foreach ([['people' => []], ['into' => 999999], ['do' => 'both'], ['people' => 'x'], ['people' => [0]]] as $odd) {
        $this->post('/people/groups', ['people' => $ids, 'into' => $group->id, 'do' => 'in', ...$odd])
            ->assertSessionHasErrors();
    }
    $this->actingAs($this->person('tam'))->post('/people/groups', ['people' => $ids, 'into' => $group->id,
        'do' => 'in'])
        ->assertForbidden();
});
