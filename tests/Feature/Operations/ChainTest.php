<?php

use App\Audit\RecordChain;
use App\Audit\RecordCheck;
use App\Models\AuditEntry;
use Illuminate\Encryption\Encrypter;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** What is found of a record that somebody got at, who has the database and not the application's key. */
function foundBy(object $test, Closure $gotAt, ?array $anchor = null): array
{
    return DB::transaction(function () use ($gotAt, $anchor): array {
        while (app(RecordChain::class)->seal() > 0) {
            continue;
        }
        $gotAt();
        $found = app(RecordCheck::class)($anchor);
        DB::rollBack();
        DB::beginTransaction();

        return array_map(static fn (array $f): string => "{$f['what']} {$f['where']}", $found['faults']);
    });
}

/** A record with something of every shape in it. */
function filledRecord(object $test): array
{
    foreach ([
        [], ['t_s' => 1.0], ['n' => 0.1, 'm' => -0.0], ['z' => 1, 'a' => ['y' => 2.50, 'b' => [3, '4', null, true]]],
        ['words' => "Ünïcode \u{1F3CC} / \"quotes\" \\"],
        ['big' => 9_007_199_254_740_993, 'tiny' => 1.0e-12, 'huge' => 1.0e25],
        ['list' => [[], ['k' => []]]], [1, 2, 3], ['10' => 'a', '9' => 'b', 'x' => 'c'],
    ] as $details) {
        noted($test->headCoach(), 'mark', 'station IM, recording x', $details);
    }
    while (app(RecordChain::class)->seal() > 0) {
        continue;
    }

    return AuditEntry::query()->orderBy('id')->pluck('id')->all();
}

it('holds over everything an entry can say, as the database gives it back', function () {
    filledRecord($this);
    $check = app(RecordCheck::class)();
    expect($check['faults'])->toBe([])
        ->and($check['sealed'])->toBe($check['entries'])
        ->and($check['end'][0])->toBe(AuditEntry::query()->count());
});

it('finds every change to any column of any entry', function () {
    $ids = filledRecord($this);
    $id = $ids[intdiv(count($ids), 2)];
    $other = $this->person('tam')->id;
    foreach ([
        'action' => 'publish', 'subject' => 'round y', 'user_id' => $other, 'details' => '{"a": 1}',
        'personal' => 'x', 'created_at' => '2020-01-01', 'uid' => str_repeat('a', 26), 'mac' => str_repeat('0', 64),
    ] as $column => $to) {
        $found = foundBy($this, fn () => DB::table('audit_entries')->where('id', $id)->update([$column => $to]));
        expect($found)->toContain("changed entry $id");
    }
    expect(foundBy($this, fn () => DB::table('audit_entries')->where('id', $id)->update(['user_id' => null])))
        ->toBe(AuditEntry::query()->whereKey($id)->value('user_id') === null ? [] : ["changed entry $id"]);
});

it('finds an entry that was taken out, in the middle, at the beginning and at the end', function () {
    $ids = filledRecord($this);
    $end = app(RecordCheck::class)()['end'];
    $without = function (int $id): void {
        DB::statement('alter table audit_seals drop constraint audit_seals_entry_id_fkey');
        DB::table('audit_entries')->where('id', $id)->delete();
    };
    foreach ([$ids[0], $ids[7], end($ids)] as $id) {
        expect(foundBy($this, fn () => $without($id)))->toBe(["missing entry $id"]);
        // With its seal as well, and with those after it numbered anew.
        $at = DB::table('audit_seals')->where('entry_id', $id)->value('position');
        $found = foundBy($this, function () use ($without, $id): void {
            $without($id);
            DB::table('audit_seals')->where('entry_id', $id)->delete();
        }, $end);
        expect($found)->not->toBe([])->and($found[0])->toContain('missing seal');
        $found = foundBy($this, function () use ($without, $id, $at): void {
            $without($id);
            DB::table('audit_seals')->where('entry_id', $id)->delete();
            DB::statement('alter table audit_seals drop constraint audit_seals_pkey');
            DB::table('audit_seals')->where('position', '>', $at)->update(['position' => DB::raw('position - 1')]);
        }, $end);
        expect($found)->not->toBe([]);
    }
    // Who cuts off the end and seals nothing anew is told by the end that was kept elsewhere, and by nothing else.
    $cut = function () use ($ids): void {
        foreach (array_slice($ids, -2) as $id) {
            DB::table('audit_seals')->where('entry_id', $id)->delete();
            DB::table('audit_entries')->where('id', $id)->delete();
        }
    };
    expect(foundBy($this, $cut))->toBe([])->and(foundBy($this, $cut, $end))->toBe(['missing seals '.($end[0] - 1)." to $end[0]"]);
});

it('finds an entry that was put in, copied or sealed by somebody else', function () {
    $ids = filledRecord($this);
    $one = (array) DB::table('audit_entries')->where('id', $ids[3])->first();
    unset($one['id']);
    $forged = [...$one, 'uid' => str_repeat('f', 26)];
    expect(foundBy($this, fn () => DB::table('audit_entries')->insert($forged))[0])->toContain('inserted entry');
    // Its own seal helps it nothing.
    expect(foundBy($this, function () use ($forged): void {
        $id = DB::table('audit_entries')->insertGetId($forged);
        $last = DB::table('audit_seals')->orderByDesc('position')->first();
        DB::table('audit_seals')->insert(['position' => $last->position + 1, 'entry_id' => $id, 'sealed_at' => now(),
            'hash' => RecordChain::link($last->hash, $last->position + 1, $forged['mac'])]);
    })[0])->toContain('changed entry');
    // Nor the key of another installation.
    expect(foundBy($this, function () use ($one): void {
        $row = RecordChain::read((object) [...$one, 'uid' => str_repeat('e', 26)]);
        DB::table('audit_entries')->insert([...$one, 'uid' => $row['uid'], 'mac' => RecordChain::mac($row, 'another')]);
    })[0])->toContain('inserted entry');
    // The same entry twice is refused by the database.
    expect(fn () => DB::transaction(fn () => DB::table('audit_entries')->insert($one)))
        ->toThrow(Illuminate\Database\UniqueConstraintViolationException::class);
    // An old entry that appears without a seal was not written by the application, whatever its code.
    Carbon::setTestNow(now()->subDays(3));
    $old = RecordChain::row(null, 'mark', 'x', [], null);
    Carbon::setTestNow();
    expect(foundBy($this, fn () => DB::table('audit_entries')->insert($old))[0])->toContain('inserted entry');
});

it('finds two entries that changed places, and a seal that was changed', function () {
    $ids = filledRecord($this);
    DB::statement('alter table audit_seals drop constraint audit_seals_entry_id_key');
    expect(foundBy($this, function () use ($ids): void {
        foreach ([[4, 5], [5, 4]] as [$of, $to]) {
            $at[$of] = DB::table('audit_seals')->where('entry_id', $ids[$of])->value('position');
        }
        DB::table('audit_seals')->where('position', $at[4])->update(['entry_id' => $ids[5]]);
        DB::table('audit_seals')->where('position', $at[5])->update(['entry_id' => $ids[4]]);
    }))->toHaveCount(2);
    $seal = DB::table('audit_seals')->where('entry_id', $ids[4])->value('position');
    expect(
        foundBy(
            $this,
            fn () => DB::table('audit_seals')->where('position', $seal)->update(['hash' => str_repeat('0', 64)]),
        ),
    )
        ->toBe(["broken seal $seal", 'broken seal '.($seal + 1)]);
});

it('holds when the application’s key has changed, as long as it knows those before', function () {
    filledRecord($this);
    $before = config('app.key');
    config(
        ['app.key' => 'base64:'.base64_encode(Encrypter::generateKey('AES-256-CBC')), 'app.previous_keys' => [$before]],
    );
    noted(null, 'mark', 'after');
    expect(app(RecordCheck::class)()['faults'])->toBe([]);
    config(['app.previous_keys' => []]);
    expect(count(app(RecordCheck::class)()['faults']))->toBeGreaterThan(5);
});

it('says so by command, with the end to keep elsewhere, and fails where it does not hold', function () {
    filledRecord($this);
    expect(Artisan::call('audit:verify'))->toBe(0);
    preg_match('/elsewhere: ([0-9]+:[0-9a-f]{64})/', Artisan::output(), $m);
    noted(null, 'mark', 'later');
    expect(Artisan::call('audit:verify', ['--end' => $m[1]]))->toBe(0)
        ->and(Artisan::call('audit:verify', ['--end' => '1:'.str_repeat('0', 64)]))->toBe(1)
        ->and(Artisan::output())->toContain('not the seal that was made: seal 1')
        ->and(Artisan::call('audit:verify', ['--end' => 'x']))->toBe(2);
});
