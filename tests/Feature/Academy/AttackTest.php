<?php

use App\Academy\Actions\AcceptInvitation;
use App\Academy\Links;
use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\AccountLink;
use App\Models\Consent;
use App\Models\Enums\LinkPurpose;
use App\Models\Enums\UserState;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\Undo;
use App\Models\User;
use App\Sight\Onlooker;
use Core\Sight\Role;
use Core\Sight\Scope;
use Illuminate\Database\QueryException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** A person with a password of their own, in this state. */
function somebody(string $email, array $change = []): User
{
    $user = new User(['name' => 'Some Body', 'email' => $email, 'password' => 'plain slow river boat',
        'role' => Role::Instructor]);
    $user->forceFill($change)->save();

    return $user->refresh();
}

it('lets two who hold the same invitation in once', function () {
    $person = somebody('two@f.example', ['state' => UserState::Invited]);
    $token = app(Links::class)->make(LinkPurpose::Invite, $person);
    // Both have found it before either uses it.
    $first = app(Links::class)->find($token, LinkPurpose::Invite);
    $second = app(Links::class)->find($token, LinkPurpose::Invite);
    app(AcceptInvitation::class)($first, 'First', 'one plain river boat');
    expect(fn () => app(AcceptInvitation::class)($second, 'Second', 'two plain river boats'))
        ->toThrow(ActionException::class);
    expect($person->refresh()->name)->toBe('First')
        ->and(Hash::check('one plain river boat', $person->password))->toBeTrue();
});

it('gives no password to somebody who was disabled, has left, or was only invited', function (UserState $state) {
    $person = somebody('gone@f.example', ['state' => $state]);
    $before = $person->password;
    $token = app(Links::class)->make(LinkPurpose::Reset, $person);
    $this->post("/reset/$token", ['password' => 'one plain river boat',
        'password_confirmation' => 'one plain river boat']);
    expect($person->refresh()->password)->toBe($before);
    $this->post('/login', ['email' => 'gone@f.example', 'password' => 'plain slow river boat'])
        ->assertSessionHasErrors('email');
    $this->assertGuest();
})->with([UserState::Disabled, UserState::Left, UserState::Invited]);

it('takes the academy away from who is no head coach any more, with the next request', function () {
    $second = somebody('second@f.example', ['role' => Role::HeadCoach]);
    $this->actingAs($second)->get('/people')->assertOk();
    $this->actingAs($this->headCoach())->put("/people/$second->id", ['name' => 'Some Body', 'role' => 'instructor',
        'on_panel' => '0']);
    $this->actingAs($second->fresh())->get('/people')->assertForbidden();
    $this->actingAs($second->fresh())->get('/shelf')->assertForbidden();
});

it('lets a head coach without a second factor do nothing by any other way either', function () {
    Academy::here()?->update(['is_sample' => false]);
    $head = $this->headCoach();
    $golfer = Golfer::query()->firstOrFail();
    foreach ([['POST', '/people', ['name' => 'X', 'email' => 'x@f.example', 'role' => 'head-coach', 'on_panel' => '0']],
        ['DELETE', "/golfers/$golfer->id", ['typed' => $golfer->pseudonym]],
        ['PUT', '/account/password', ['current' => 'fernhollow-winter', 'password' => 'plain slow river boat',
            'password_confirmation' => 'plain slow river boat']]] as [$method, $path, $with]) {
        $this->actingAs($head)->call($method, $path, $with)->assertRedirect('/account/second-factor');
        $this->actingAs($head)->json($method, $path, $with)->assertForbidden();
    }
    expect(User::byAddress('x@f.example'))->toBeNull()->and($golfer->refresh()->erased_at)->toBeNull();
    // A sample's head coach is offered one, and an instructor too.
    $this->actingAs($this->person('tam'))->get('/')->assertOk();
});

it('gives nobody a role, a golfer or a seat on the panel by their own form', function () {
    $tam = $this->person('tam');
    $this->actingAs($tam)->put('/account', ['name' => 'Tam', 'role' => 'head-coach', 'on_panel' => '1',
        'golfer_id' => 1,
        'state' => 'active', 'email' => 'else@f.example', 'password' => 'x'])->assertSessionHas('done');
    $tam->refresh();
    expect($tam->name)->toBe('Tam')->and($tam->role)->toBe(Role::Instructor)->and($tam->on_panel)->toBeFalse()
        ->and($tam->golfer_id)->toBeNull()->and($tam->email)->toBe('tam@fernhollow.example');
});

it('holds to its rules whoever writes to the database', function (string $sql) {
    expect(fn () => DB::transaction(fn () => DB::statement($sql)))->toThrow(QueryException::class);
})->with([
    ["update users set state = 'asleep'"],
    ['update users set factor_since = now() where factor_secret is null'],
    ["insert into users (name, email, password, role) values ('x', 'TAM@fernhollow.example', 'x', 'panel')"],
    ['update users set golfer_id = (select min(id) from golfers)'],
    ["insert into academies (id, name, zone) values (2, 'another', 'UTC')"],
    ['update golfers set mass_kg = 900'],
    ["update golfers set pseudonym = 'same'"],
    ["update consents set scope = 'anything'"],
    ["insert into golfer_limits (golfer_id, region, severity) select min(id), 'knee', 'avoid' from golfers"],
    ["insert into golfer_limits (golfer_id, region, severity, cleared_until) select min(id), 'back', 'avoid', now() from golfers"],
    ["insert into account_links (purpose, token_hash, expires_at) values ('reset', repeat('a', 64), now())"],
    ["insert into groups (kind, name) values ('clan', 'x')"],
    ['update recordings set effort_pct = 500'],
    ["update recordings set size = 'huge'"],
]);

it('ends a consent with the academy’s own day, in every zone and through daylight saving', function () {
    $golfer = Recording::query()->orderBy('id')->firstOrFail()->golfer;
    $holds = function (string $zone, string $until, string $utc) use ($golfer): bool {
        Academy::here()?->update(['zone' => $zone]);
        $golfer->consents()->delete();
        $golfer->consents()->create(['scope' => Scope::StaffTraining, 'given_on' => '2026-01-01',
            'expires_on' => $until]);
        Carbon::setTestNow(Carbon::parse($utc, 'UTC'));
        $one = $golfer->fresh('consents')->consentsTo();
        $all = Golfer::query()->whereKey($golfer->id)->consenting()->exists();
        Carbon::setTestNow();
        expect($one)->toBe($all);

        return $one;
    };
    foreach ([
        // Auckland is thirteen hours ahead in its summer, twelve in its winter.
        ['Pacific/Auckland', '2026-11-28', '2026-11-28 10:59:00', '2026-11-28 11:01:00'],
        ['Pacific/Auckland', '2026-07-10', '2026-07-10 11:59:00', '2026-07-10 12:01:00'],
        ['Pacific/Honolulu', '2026-11-28', '2026-11-29 09:59:00', '2026-11-29 10:01:00'],
        // The day on which clocks go back has twenty-five hours, that on which they go on twenty-three.
        ['Europe/Dublin', '2026-10-25', '2026-10-25 23:59:00', '2026-10-26 00:01:00'],
        ['Europe/Dublin', '2026-03-28', '2026-03-28 23:59:00', '2026-03-29 00:01:00'],
        ['Europe/Dublin', '2026-03-29', '2026-03-29 22:59:00', '2026-03-29 23:01:00'],
    ] as [$zone, $until, $still, $over]) {
        expect($holds($zone, $until, $still))->toBeTrue("$zone, $until, $still")
            ->and($holds($zone, $until, $over))->toBeFalse("$zone, $until, $over");
    }
});

it('lets nobody take back what is not of a kind it knows', function () {
    $head = $this->headCoach();
    $undo = Undo::query()->create(['user_id' => $head->id, 'kind' => 'erase', 'payload' => ['x' => 1],
        'expires_at' => now()->addMinute()]);
    $this->actingAs($head)->post("/undo/$undo->public_id")->assertSessionHas('refused');
    expect($undo->refresh()->used_at)->toBeNull();
    $this->actingAs($head)->post('/undo/01j0000000000000000000zzzz')->assertNotFound();
});

it('takes hostile file names for names, and no more', function () {
    $golfer = Golfer::query()->where('handedness', 'right')->firstOrFail();
    $this->actingAs($this->headCoach());
    $text = "t_s,lead_pct,trail_pct,copx_mm,copy_mm\n0,50,50,0,0\n0.01,51,49,1,0\n0.02,52,48,1,0\n";
    $names = ['../../../etc/passwd.csv', "a\nb.csv", '<script>alert(1)</script>.csv', str_repeat('é', 200).'.csv',
        '.csv'];
    $to = $this->post('/imports/batches', ['golfer' => $golfer->id, 'files' => array_map(
        fn (string $name): UploadedFile => UploadedFile::fake()->createWithContent($name, $text),
        $names,
    )])->headers->get('Location');
    $page = $this->get($to)->assertOk()->getContent();
    expect($page)->not->toContain('<script>alert')->not->toContain('etc/passwd.csv</a>/');
    foreach (DB::table('imports')->get() as $import) {
        expect($import->path)->toStartWith('imports/')->not->toContain('..')
            ->and($import->file_name)->not->toContain('/');
    }
});

it('prints one link that begins, and ends the one before', function () {
    foreach (['sessions', 'users'] as $table) {
        DB::statement("truncate $table cascade");
    }
    $print = function (): string {
        expect(Artisan::call('academy:begin', ['--url' => 'http://127.0.0.1:9']))->toBe(0);
        preg_match('#http://127\.0\.0\.1:9/begin/(\w{40})#', Artisan::output(), $m);

        return $m[1];
    };
    $first = $print();
    $second = $print();
    $this->get("/begin/$first")->assertNotFound();
    $this->get("/begin/$second")->assertOk();
    expect(AccountLink::query()->count())->toBe(1)
        ->and(AccountLink::query()->sole()->token_hash)->not->toContain($second);
    Carbon::setTestNow(now()->addDays(2));
    $this->get("/begin/$second")->assertNotFound();
    Carbon::setTestNow();
});

it('asks for a guardian again once a golfer is known to be a minor', function () {
    $recording = Recording::query()->orderBy('id')->firstOrFail();
    $golfer = $recording->golfer;
    $sees = fn (): bool => (new Onlooker($this->headCoach()))->sees($recording);
    expect($sees())->toBeTrue();
    $this->actingAs($this->headCoach())->put("/golfers/$golfer->id", ['pseudonym' => $golfer->pseudonym,
        'handedness' => $golfer->handedness, 'is_minor' => '1']);
    expect($sees())->toBeFalse();
    $this->get("/golfers/$golfer->id")->assertSee('not agreed');
    Consent::query()->where('golfer_id', $golfer->id)->update(['guardian' => 'a parent']);
    expect($sees())->toBeTrue();
});
