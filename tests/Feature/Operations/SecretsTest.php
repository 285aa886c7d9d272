<?php

use App\Academy\ConsentPapers;
use App\Audit\RecordCheck;
use App\Audit\SubjectKeys;
use App\Models\AuditEntry;
use App\Models\Golfer;
use App\Operations\Actions\RotateSecrets;
use App\Operations\EnvFile;
use App\Sittings\UnsentKeys;
use Illuminate\Encryption\Encrypter;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;

/** Settings of an installation, in a file of their own. */
function settingsFile(): string
{
    $path = tempnam(sys_get_temp_dir(), 'env');
    file_put_contents(
        $path,
        "APP_NAME=\"Verified Consensus\"\nAPP_KEY=".config('app.key')."\nDB_PASSWORD=old\nDB_APP_PASSWORD=old\n",
    );

    return $path;
}

afterEach(fn () => array_map(unlink(...), glob(sys_get_temp_dir().'/env*') ?: []));

it('gives another key: what was closed before opens, what is kept lies under the new one alone', function () {
    Storage::fake('papers');
    $tam = $this->person('tam');
    $tam->forceFill(['factor_secret' => 'JBSWY3DPEHPK3PXP'])->save();
    $keys = app(SubjectKeys::class);
    $sealed = $keys->seal('golfer 1', ['name' => 'Wren']);
    $golfer = Golfer::query()->firstOrFail();
    $scan = "%PDF-1.4 a signed form\xff";
    $paper = app(ConsentPapers::class)->keep($golfer, UploadedFile::fake()->createWithContent('form.pdf', $scan));
    $cookie = Crypt::encryptString('a cookie of before');
    $waits = UnsentKeys::of($tam->id)[0];
    noted($tam, 'mark', 'x');
    $path = settingsFile();
    $before = config('app.key');

    expect(Artisan::call('secrets:rotate', ['what' => 'key', '--env' => $path]))->toBe(0)
        ->and(Artisan::output())->toContain('secrets lie under it now');
    $env = new EnvFile($path);
    expect($env->get('APP_KEY'))->not->toBe($before)->toStartWith('base64:')
        ->and($env->get('APP_PREVIOUS_KEYS'))->toBe($before)
        ->and($env->get('APP_NAME'))->toBe('Verified Consensus')
        ->and(decoct(fileperms($path) & 0777))->toBe('600');
    expect($tam->refresh()->factor_secret)->toBe('JBSWY3DPEHPK3PXP')
        ->and(app(SubjectKeys::class)->open('golfer 1', $sealed))->toBe(['name' => 'Wren'])
        ->and(app(ConsentPapers::class)->open($paper))->toBe($scan)
        ->and(Crypt::decryptString($cookie))->toBe('a cookie of before')
        ->and(UnsentKeys::of($tam->id))->toHaveCount(2)->toContain($waits)
        ->and(app(RecordCheck::class)()['faults'])->toBe([]);
    // The key of before opens none of what is kept any more.
    $old = new Encrypter(base64_decode(substr($before, 7)), 'AES-256-CBC');
    foreach ([DB::table('users')->where('id', $tam->id)->value('factor_secret'), DB::table('subject_keys')->value('held'),
        Storage::disk('papers')->get($paper->path())] as $kept) {
        expect(fn () => $old->decryptString($kept))->toThrow(Illuminate\Contracts\Encryption\DecryptException::class);
    }
    // Once more: three keys, in order; nothing is lost by doing it again.
    $second = $env->get('APP_KEY');
    Artisan::call('secrets:rotate', ['what' => 'key', '--env' => $path]);
    expect($env->get('APP_PREVIOUS_KEYS'))->toBe("$second,$before")
        ->and($tam->refresh()->factor_secret)->toBe('JBSWY3DPEHPK3PXP')
        ->and(AuditEntry::query()->where('action', 'secrets-rotated')->count())->toBe(2);
});

it('goes on where it was killed: secrets under both keys are laid under the new one', function () {
    $tam = $this->person('tam');
    $tam->forceFill(['factor_secret' => 'JBSWY3DPEHPK3PXP'])->save();
    $path = settingsFile();
    $rotate = app(RotateSecrets::class);
    $rotate->key(new EnvFile($path));
    $ines = $this->person('ines');
    // As it stands after a kill: one row under the key of before.
    $old = new Encrypter(base64_decode(substr(config('app.previous_keys')[0], 7)), 'AES-256-CBC');
    DB::table('users')->where('id', $ines->id)->update(['factor_secret' => $old->encryptString('OTHER')]);
    $rotate->layUnder();
    config(['app.previous_keys' => []]);
    $alone = new Encrypter(base64_decode(substr(config('app.key'), 7)), 'AES-256-CBC');
    foreach ([[$tam, 'JBSWY3DPEHPK3PXP'], [$ines, 'OTHER']] as [$who, $secret]) {
        expect($alone->decryptString(DB::table('users')->where('id', $who->id)->value('factor_secret')))->toBe($secret);
    }
});

it('gives the database other passwords, both or none', function () {
    $path = settingsFile();
    $owner = DB::connection('owner');
    $roles = ['vc_rotated_owner_'.getmypid(), 'vc_rotated_app_'.getmypid()];
    try {
        foreach ($roles as $role) {
            $owner->unprepared("create role $role login password 'old'");
        }
        $of = fn (): array => array_map(fn (string $role): string => $owner
            ->scalar('select rolpassword from pg_authid where rolname = ?', [$role]), $roles);
        $before = $of();
        config(['database.connections.owner.username' => $roles[0], 'database.app_role' => $roles[1]]);
        // The file cannot be written: nothing is changed.
        expect(fn () => app(RotateSecrets::class)->database(new EnvFile('/nowhere/at/all/.env')))
            ->toThrow(ErrorException::class);
        expect($of())->toBe($before);
        app(RotateSecrets::class)->database(new EnvFile($path));
        $env = new EnvFile($path);
        expect($of()[0])->not->toBe($before[0])->and($of()[1])->not->toBe($before[1])
            ->and(strlen($env->get('DB_PASSWORD')))->toBe(32)
            ->and($env->get('DB_PASSWORD'))->not->toBe($env->get('DB_APP_PASSWORD'));
    } finally {
        foreach ($roles as $role) {
            $owner->unprepared("drop role if exists $role");
        }
    }
});

it('writes no value of a statement that failed into its log', function () {
    $told = [];
    Log::listen(function ($message) use (&$told): void {
        $told[] = $message->message.' '.json_encode($message->context);
    });
    Route::get(
        '/fails',
        fn () => DB::table('users')->insert(['email' => 'secret@person.example', 'password' => 'hunter2-hunter2']),
    );
    $this->get('/fails')->assertStatus(500);
    expect($told)->not->toBe([])
        ->and(implode(' ', $told))->not->toContain('secret@person')->not->toContain('hunter2')->toContain('23502');
});

it('keeps its log to itself, a file a day', function () {
    $daily = config('logging.channels.daily');
    expect($daily['driver'])->toBe('daily')
        ->and($daily['permission'])->toBe(0600)
        ->and($daily['days'])->toBeLessThan(32);
});
