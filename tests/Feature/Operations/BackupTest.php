<?php

use App\Operations\Actions\MakeBackup;
use App\Operations\Actions\RotateBackups;
use App\Operations\Actions\VerifyBackup;
use App\Operations\BackupManifest;
use App\Operations\BackupStore;
use App\Operations\BackupVault;
use Core\Chance\Chance;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

beforeEach(function () {
    $this->root = sys_get_temp_dir().'/vc-backups-'.getmypid().'-'.bin2hex(random_bytes(4));
    config(['backup.root' => $this->root, 'backup.key' => base64_encode(str_repeat('k', 32))]);
});

afterEach(fn () => File::deleteDirectory($this->root));

/** @return array{string, string} a closed file, and the bytes in it */
function closedFile(BackupVault $vault, int $bytes, string $folder): array
{
    is_dir($folder) || mkdir($folder, 0700, true);
    $plain = '';
    $chance = new Chance("bytes $bytes");
    while (strlen($plain) < $bytes) {
        $plain .= hash('sha512', (string) $chance->uniform(), true);
    }
    $plain = substr($plain, 0, $bytes);
    $vault->close(stream($plain), "$folder/closed-$bytes");

    return ["$folder/closed-$bytes", $plain];
}

it('opens what it closed, byte for byte, at every length about a block', function () {
    $vault = new BackupVault(base64_encode(random_bytes(32)));
    foreach ([0, 1, 65_535, 65_536, 65_537, 131_072, 200_001] as $bytes) {
        [$path, $plain] = closedFile($vault, $bytes, $this->root);
        $got = '';
        $is = $vault->open($path, function (string $part) use (&$got): void {
            $got .= $part;
        });
        expect($got === $plain)->toBeTrue("$bytes")
            ->and($is)->toBe(['bytes' => $bytes, 'sha256' => hash('sha256', $plain)]);
        expect(str_contains((string) file_get_contents($path), substr($plain, 0, 32)) && $bytes > 31)->toBeFalse();
    }
});

it('opens nothing that was changed anywhere, cut off, lengthened, put in another order or closed with another key', function () {
    $vault = new BackupVault(base64_encode(random_bytes(32)));
    [$path] = closedFile($vault, 200_001, $this->root);
    $good = (string) file_get_contents($path);
    $opens = function (string $bytes, ?BackupVault $by = null) use ($vault, $path): bool {
        file_put_contents($path, $bytes);
        try {
            ($by ?? $vault)->open($path, fn (string $part): null => null);

            return true;
        } catch (RuntimeException) {
            return false;
        }
    };
    expect($opens($good))->toBeTrue();
    $chance = new Chance('changed');
    foreach (range(1, many(40, 400)) as $i) {
        $at = $chance->between(0, strlen($good) - 1);
        $changed = $good;
        $changed[$at] = chr(ord($changed[$at]) ^ (1 << $chance->between(0, 7)));
        expect($opens($changed))->toBeFalse("a bit at $at");
    }
    $head = 10 + 24;
    $block = 65_536 + 17;
    $blocks = array_map(static fn (int $i): string => substr($good, $head + $i * $block, $block), range(0, 3));
    foreach ([
        'empty' => '', 'its head alone' => substr($good, 0, $head), 'a byte short' => substr($good, 0, -1),
        'without its last block' => substr($good, 0, $head + 3 * $block), 'a byte long' => "{$good}x",
        'blocks changed' => substr($good, 0, $head).$blocks[1].$blocks[0].$blocks[2].$blocks[3],
        'a block twice' => substr($good, 0, $head).$blocks[0].$blocks[0].$blocks[1].$blocks[2].$blocks[3],
        'twice' => $good.$good,
    ] as $what => $bytes) {
        expect($opens($bytes))->toBeFalse($what);
    }
    expect($opens($good, new BackupVault(base64_encode(random_bytes(32)))))->toBeFalse();
    expect(fn () => new BackupVault('short'))->toThrow(RuntimeException::class);
});

it('keeps of the last days, weeks and months one each, whenever it is asked', function () {
    config(['backup.daily' => 7, 'backup.weekly' => 5, 'backup.monthly' => 6]);
    $names = [];
    $day = new DateTimeImmutable('2026-01-01T02:40:00Z');
    for ($i = 0; $i < 400; $i++) {
        $names[] = $day->modify("+$i days")->format('Ymd\THis\Z').'-100';
        $names = RotateBackups::kept($names);
        sort($names);
        expect(count($names))->toBeLessThanOrEqual(18);
    }
    $ages = array_map(
        fn (string $n): int => (int) $day->modify('+399 days')->diff(new DateTimeImmutable(substr($n, 0, 16)))->days,
        $names,
    );
    expect(array_slice(array_reverse($ages), 0, 7))->toBe(range(0, 6))
        ->and(max($ages))->toBeGreaterThan(120)
        ->and(RotateBackups::kept([]))->toBe([]);
});

it('makes one of a running academy, verifies it, and finds what is wrong with it', function () {
    onACopy($this, function (string $database): void {
        $this->asOwner = true;
        $made = app(MakeBackup::class)();
        $store = app(BackupStore::class);
        expect($store->names())->toBe([$made->name])
            ->and($made->tables['recordings']['rows'])->toBe(DB::table('recordings')->count())
            ->and($made->tables)->not->toHaveKey('sessions')->not->toHaveKey('cache')
            ->and(decoct(fileperms($this->root) & 0777))->toBe('700')
            ->and(app(VerifyBackup::class)($made->name))->toBe([]);
        // Nothing of it lies open but what it is made of.
        foreach (File::allFiles($this->root) as $file) {
            if (! in_array($file->getExtension(), ['json', 'mac'], true)) {
                $bytes = (string) file_get_contents($file->getPathname());
                expect(str_contains($bytes, 'Fernhollow') || str_contains($bytes, 'PGDMP'))
                    ->toBeFalse($file->getPathname());
            }
        }
        // The second shares the first's films, and goes without taking them along.
        $second = app(MakeBackup::class)();
        $films = array_values(array_filter($made->files, fn (array $f): bool => str_ends_with($f['name'], '.mp4')));
        expect(array_column($second->files, 'part'))->toBe(array_column($made->files, 'part'));
        app(BackupStore::class)->forget($second->name);
        expect(app(VerifyBackup::class)($made->name))->toBe([]);

        if ($films !== []) {
            $part = $store->part($films[0]['part']);
            $good = (string) file_get_contents($part);
            file_put_contents($part, substr($good, 0, -1).chr(ord($good[-1]) ^ 1));
            expect(implode(' ', app(VerifyBackup::class)($made->name)))->toContain($films[0]['name']);
            file_put_contents($part, $good);
        }
        $dump = $store->part($made->database['part']);
        rename($dump, "$dump.x");
        expect(implode(' ', app(VerifyBackup::class)($made->name)))->toContain('database: ');
        rename("$dump.x", $dump);
        $path = "$this->root/$made->name/manifest.json";
        $open = (string) file_get_contents($path);
        file_put_contents($path, str_replace('"rows": '.$made->tables['recordings']['rows'], '"rows": 1', $open));
        expect(fn () => app(VerifyBackup::class)($made->name))->toThrow(RuntimeException::class);
        file_put_contents($path, $open);
        // A manifest that speaks of other rows than the dump has.
        $other = new BackupManifest($made->name, $made->madeAt, $made->release, $made->record, [...$made->tables,
            'golfers' => ['rows' => 99, 'sum' => '0'], 'users' => [...$made->tables['users'], 'sum' => '1']],
            $made->database, $made->secrets, $made->files);
        $other->write($path, $store->vault());
        expect(app(VerifyBackup::class)($made->name))
            ->toBe(['golfers: '.$made->tables['golfers']['rows'].' rows in place of 99', 'users: other rows']);
        file_put_contents($path, $open);
        file_put_contents("$path.mac", $store->vault()->mac($open));

        // Laid down in an installation of another key, with nobody in it.
        $fresh = "{$database}_fresh";
        $env = tempnam(sys_get_temp_dir(), 'env');
        file_put_contents($env, "APP_KEY=another\nDB_PASSWORD=stays\n");
        DB::connection('owner')->statement("drop database if exists $fresh with (force)");
        DB::connection('owner')->statement("create database $fresh");
        try {
            expect(Artisan::call('backup:restore', ['name' => $made->name, '--env' => $env]))->toBe(1)
                ->and(Artisan::output())->toContain('only where nobody is yet');
            config(['database.connections.owner.database' => $fresh]);
            DB::purge('owner');
            expect(Artisan::call('backup:restore', ['name' => $made->name, '--env' => $env]))->toBe(0);
            expect(DB::connection('owner')->table('recordings')->count())->toBe($made->tables['recordings']['rows'])
                ->and((string) file_get_contents($env))
                ->toContain('APP_KEY='.config('app.key'))
                ->toContain('DB_PASSWORD=stays')
                ->and(
                    DB::connection('owner')
                        ->scalar(
                            "select has_table_privilege(?, 'audit_entries', 'update')",
                            [config('database.app_role')],
                        ),
                )
                ->toBeFalse();
        } finally {
            unlink($env);
            config(['database.connections.owner.database' => $database]);
            DB::purge('owner');
            DB::connection('owner')->statement("drop database if exists $fresh with (force)");
        }
    });
});

it('leaves nothing behind where it could not be made', function () {
    config(['backup.key' => 'none']);
    expect(Artisan::call('backup:make'))->toBe(1)
        ->and(Artisan::output())->toContain('No backup was made')
        ->and(glob("$this->root/*/manifest.json"))->toBe([])
        ->and(glob("$this->root/2*"))->toBe([]);
});
