<?php

use App\Academy\ConsentPapers;
use App\Models\Academy;
use App\Models\ConsentPaper;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Operations\HouseTable;
use App\Operations\Tables;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

beforeEach(fn () => array_map(Storage::fake(...), ['films', 'imports', 'papers', 'exports']));

const PASSPHRASE = 'nine grey herons at dusk';

function passphrase(string $said = PASSPHRASE): string
{
    $file = (string) tempnam(sys_get_temp_dir(), 'phrase');
    file_put_contents($file, "$said\n");

    return $file;
}

function packed(): string
{
    $file = sys_get_temp_dir().'/house-'.bin2hex(random_bytes(4)).'.zip';
    expect(Artisan::call('archive:export', [
        'file' => $file,
        '--whole' => true,
        '--passphrase-file' => passphrase(),
    ]))->toBe(0, Artisan::output());

    return $file;
}

function movedIn(string $file, string $said = PASSPHRASE): int
{
    return Artisan::call('archive:import', ['file' => $file, '--passphrase-file' => passphrase($said)]);
}

/** As on a machine where nobody is yet, with a key of its own. */
function freshMachine(): void
{
    $all = implode(', ', array_diff(array_keys(Tables::PLACES), ['migrations']));
    DB::statement("truncate $all restart identity cascade");
    foreach (['films', 'papers', 'imports'] as $disk) {
        Storage::fake($disk);
    }
    config(['app.key' => 'base64:'.base64_encode(random_bytes(32))]);
    app()->forgetInstance('encrypter');
    Crypt::clearResolvedInstances();
    app()->forgetScopedInstances();
}

/** @return array<string, string> what every carried table holds, by a sum */
function sums(): array
{
    $out = [];
    foreach (HouseTable::carried() as $table) {
        $out[$table->name] = hash('sha256', implode('', iterator_to_array($table->lines(), false)));
    }

    return $out;
}

/** Everything an academy has that lies outside the tables or under a key. */
function furnished(): Film
{
    $golfer = Golfer::query()->where('pseudonym', 'Wren')->firstOrFail();
    app(ConsentPapers::class)->keep($golfer, Illuminate\Http\UploadedFile::fake()->createWithContent(
        'form.pdf',
        "%PDF-1.4\nsigned\n%%EOF",
    ));
    User::query()->firstOrFail()->forceFill(['factor_secret' => 'JBSWY3DPEHPK3PXP', 'factor_since' => now()])->save();
    $golfer->update(['notes' => 'a note']);
    event(new App\Academy\Events\GolferChanged($golfer, 'golfer-changed', User::query()->firstOrFail(), [], [
        'notes' => ['from' => '', 'to' => 'a note'],
    ]));
    $film = Film::query()->orderBy('id')->firstOrFail();
    Storage::disk('films')->put($film->path('stream.mp4'), 'film!');
    Storage::disk('films')->put($film->path('poster.jpg'), 'picture');

    return $film;
}

it('moves the whole academy to a fresh machine, equal to the byte, and a second time changes nothing', function () {
    $film = furnished();
    $before = sums();
    $round = Sitting::query()->where('state', 'published')->firstOrFail();
    $person = User::query()->where('role', 'instructor')->orderBy('id')->firstOrFail();
    $panel = Sitting::query()->where('kind', 'panel')->firstOrFail();
    $swing = Recording::query()->orderBy('id')->firstOrFail();
    $pages = ['/', '/shelf', '/golfers', '/golfers/1', '/people', '/codebook', '/rounds', '/rounds/plan',
        "/agreement/$round->public_id", "/agreement/$round->public_id?part=calls",
        "/agreement/$round->public_id/people/$person->id", "/panel/$panel->public_id", "/rounds/$round->public_id",
        "/bench/$swing->public_id", "/debrief/$round->public_id/1", '/academy/retention'];
    $look = function () use ($pages): array {
        $out = [];
        foreach ($pages as $page) {
            $html = (string) $this->actingAs($this->headCoach())->get($page)->getContent();
            expect(strlen($html))->toBeGreaterThan(2500, $page);
            $out[$page] = preg_replace('/name="(_token|csrf-token)"[^>]*>/', '', $html);
        }

        return $out;
    };
    $seen = $look();
    $file = packed();
    // Nothing can be read of it without the passphrase, and nobody else on the machine reads the file.
    $zip = new ZipArchive;
    $zip->open($file);
    expect(@$zip->getFromName('house.json'))->toBeFalse()
        ->and(fileperms($file) & 0777)->toBe(0600)
        ->and(file_get_contents($file))->not->toContain('Wren');
    $zip->close();
    freshMachine();
    expect(DB::table('users')->count())->toBe(0)
        ->and(movedIn($file))->toBe(0, Artisan::output());
    $film->refresh();
    expect(Storage::disk('films')->get($film->path('stream.mp4')))->toBe('film!')
        ->and(Storage::disk('films')->get($film->path('poster.jpg')))->toBe('picture')
        ->and(User::query()->whereNotNull('factor_secret')->firstOrFail()->factor_secret)->toBe('JBSWY3DPEHPK3PXP')
        ->and(app(ConsentPapers::class)->open(ConsentPaper::query()->firstOrFail()))->toContain('signed')
        ->and(Storage::disk('papers')->get(ConsentPaper::query()->firstOrFail()->path()))->not->toContain('signed');
    $entry = App\Models\AuditEntry::query()->where('action', 'golfer-changed')->latest('id')->firstOrFail();
    expect(app(App\Audit\SubjectKeys::class)->open($entry->subject, (string) $entry->personal))
        ->toBe(['notes' => ['from' => '', 'to' => 'a note']]);
    // What differs is that it came, and where from.
    $after = sums();
    expect(array_keys(array_diff_assoc($after, $before)))->toEqualCanonicalizing(['academies', 'audit_entries'])
        ->and(Academy::query()->value('moved_in'))->not->toBeNull();
    $again = $look();
    foreach ($pages as $page) {
        expect($again[$page])->toBe($seen[$page], $page);
    }
    $numbers = DB::table('golfers')->max('id');
    expect(Golfer::query()->create(['pseudonym' => 'Newcomer', 'handedness' => 'left'])->id)->toBeGreaterThan($numbers);
    $settled = sums();
    expect(movedIn($file))->toBe(0)
        ->and(Artisan::output())->toContain('has come in before')
        ->and(sums())->toBe($settled);
    // What guards frozen rows guards them here too.
    expect(fn () => DB::transaction(fn () => DB::table('key_entries')->update(['fault' => 'x'])))
        ->toThrow(Illuminate\Database\QueryException::class);
    unlink($file);
});

it('goes on with its files where it was killed, and with films that waited', function () {
    $film = furnished();
    Queue::fake();
    Film::query()->whereKey($film->id)->update(['state' => 'waiting']);
    $file = packed();
    freshMachine();
    expect(fn () => app(App\Operations\Actions\MoveIn::class)($file, PASSPHRASE, function (int $done): void {
        $done === 1 && throw new RuntimeException('killed');
    }))->toThrow(RuntimeException::class);
    $there = Storage::disk('films')->allFiles();
    expect($there)->toHaveCount(1)->and(DB::table('users')->count())->toBe(0);
    touch(Storage::disk('films')->path($there[0]), 1_000_000_000);
    clearstatcache();
    expect(movedIn($file))->toBe(0)
        ->and(Storage::disk('films')->lastModified($there[0]))->toBe(1_000_000_000)
        ->and(Storage::disk('films')->exists($film->path('poster.jpg')))->toBeTrue();
    Queue::assertPushed(App\Shelf\Jobs\FilmConversion::class, 1);
    unlink($file);
});

it('refuses a place where somebody lives, another passphrase, a short one, and what was tampered with', function () {
    furnished();
    $file = packed();
    $before = sums();
    expect(movedIn($file))->toBe(1)
        ->and(sums())->toBe($before)
        ->and(Artisan::call('archive:export', [
            'file' => $file,
            '--whole' => true,
            '--passphrase-file' => passphrase('too short'),
        ]))->toBe(1);
    freshMachine();
    $tampered = function (string $name, Closure $how) use ($file): string {
        $copy = $file.bin2hex(random_bytes(3)).'.zip';
        copy($file, $copy);
        $zip = new ZipArchive;
        $zip->open($copy);
        $zip->setPassword(PASSPHRASE);
        $bytes = (string) $zip->getFromName($name);
        $zip->deleteName($name);
        foreach ($how($bytes) as $as => $new) {
            $zip->addFromString($as, $new);
            $zip->setEncryptionName($as, ZipArchive::EM_AES_256);
        }
        $zip->close();

        return $copy;
    };
    $list = fn (Closure $change) => fn (string $json): array => [
        'house.json' => json_encode($change(json_decode($json, true))),
    ];
    $spoilt = [
        $tampered('tables/users.ndjson', fn (string $t): array => [
            'tables/users.ndjson' => str_replace('"instructor"', '"head-coach"', $t),
        ]),
        $tampered('tables/users.ndjson', fn (): array => []),
        $tampered('tables/golfers.ndjson', fn (): array => ['tables/golfers.ndjson' => "{\"id\":\"1\"}\n"]),
        $tampered('tables/golfers.ndjson', fn (): array => ['tables/golfers.ndjson' => "no row\n"]),
        $tampered('tables/readings.ndjson', fn (): array => ['tables/readings.ndjson' => '']),
        $tampered('house.json', $list(fn (array $h): array => [...$h, 'migrations' => ['other']])),
        $tampered('house.json', $list(fn (array $h): array => [...$h, 'version' => 9])),
        $tampered('house.json', $list(fn (array $h): array => [
            ...$h,
            'tables' => [...$h['tables'], ['name' => 'cache', 'rows' => 0, 'sha256' => hash('sha256', '')]],
        ])),
        $tampered('house.json', fn (): array => ['house.json' => '[[[']),
        ...array_map(fn (string $name) => $tampered('house.json', $list(fn (array $h): array => [
            ...$h,
            'files' => [[...$h['files'][0], 'name' => $name]],
        ])), ['films/../../x.php', 'films//etc/passwd', 'local/x/y', 'papers/films/x', 'imports/exports/x',
            'films/a/.x']),
    ];
    foreach ($spoilt as $n => $copy) {
        expect(movedIn($copy))->toBe(1, "spoilt $n")
            ->and(DB::table('users')->count() + DB::table('golfers')->count())->toBe(0);
        unlink($copy);
    }
    expect(movedIn($file, 'another passphrase'))->toBe(1)
        ->and(Artisan::call('archive:import', ['file' => $file, '--passphrase-file' => '/nowhere']))->toBe(1)
        ->and(DB::table('pg_constraint')->where('contype', 'f')->where('condeferrable', true)->count())->toBe(0)
        ->and(DB::table('pg_trigger')->where('tgisinternal', false)->where('tgenabled', 'D')->count())->toBe(0)
        // After all of that the sound one comes in.
        ->and(movedIn($file))->toBe(0);
    unlink($file);
});

it('says on a receipt which archives still hold what was erased', function () {
    unlink(packed());
    $golfer = Golfer::query()->where('pseudonym', 'Wren')->firstOrFail();
    $this->actingAs($this->headCoach())
        ->followingRedirects()
        ->delete("/golfers/$golfer->id", ['typed' => 'Wren'])
        ->assertSee('Archives of the whole academy hold it as well');
});
