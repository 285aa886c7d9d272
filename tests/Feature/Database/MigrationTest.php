<?php

use App\Agreement\Actions\ComputeResult;
use App\Agreement\KeptFigures;
use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\Sitting;
use App\Models\StationMark;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    // Migrations are the owner's.
    $this->asOwner = true;
});

/** @return list<string> migration files in order */
function migrations(): array
{
    return glob(database_path('migrations/*.php'));
}

/** The database as the first release left it, with a recording, its stations, a motion and a round in it. */
function firstRelease(): array
{
    foreach (array_reverse(migrations()) as $file) {
        (require $file)->down();
    }
    foreach (array_filter(migrations(), static fn (string $f): bool => str_contains($f, '2026_11_01_')) as $file) {
        (require $file)->up();
    }
    $user = DB::table('users')->insertGetId([
        'name' => 'Old Hand',
        'email' => 'old@fernhollow.example',
        'password' => 'x',
        'role' => 'head-coach',
    ]);
    $golfer = DB::table('golfers')->insertGetId(['pseudonym' => 'Rook', 'handedness' => 'right']);
    $recording = DB::table('recordings')->insertGetId([
        'public_id' => '01j00000000000000000000001',
        'golfer_id' => $golfer,
        'club' => 'hybrid',
        'device_class' => 'mat',
        'rate_hz' => 100,
        't0' => 0,
        'samples' => 300,
        'quality' => '[]',
        'checksum' => str_repeat('a', 64),
        'source' => 'file',
    ]);
    foreach (['AD' => 0.8, 'TP' => 1.6, 'IM' => 1.9] as $code => $t) {
        DB::table('station_times')->insert([
            'recording_id' => $recording,
            'code' => $code,
            't_s' => $t,
            'uncertainty_s' => 0.003,
            'source' => $code === 'IM' ? 'demo' : 'motion',
        ]);
    }
    DB::table('motions')->insert([
        'recording_id' => $recording,
        'rate_hz' => 120,
        't0' => 0,
        'frames' => 1,
        'points' => '["pelvis"]',
        'coordinates' => '\x000000000000000000000000',
    ]);
    DB::table('measurement_sets')->insert([
        'recording_id' => $recording,
        'core_version' => '0.1.0',
        'inputs_checksum' => str_repeat('b', 64),
        'measurements' => '{}',
        'faults' => '{}',
    ]);
    $round = DB::table('rounds')->insertGetId([
        'public_id' => '01j00000000000000000000002',
        'name' => 'Old round',
        'kind' => 'staff',
        'lens' => 'early-recentre',
        'codebook_version' => '1',
        'seed' => str_repeat('c', 32),
        'created_by' => $user,
    ]);

    return [$recording, $round];
}

it('brings a database of the first release forward without losing anything recorded', function () {
    DB::beginTransaction();
    [$recording, $round] = firstRelease();
    foreach (array_filter(migrations(), static fn (string $f): bool => ! str_contains($f, '2026_11_01_')) as $file) {
        (require $file)->up();
    }
    expect(DB::table('station_times')->where('recording_id', $recording)->count())
        ->toBe(3)
        ->and(DB::table('station_times')->where('recording_id', $recording)->pluck('source')->unique()->all())
        ->toBe(['motion'])
        ->and(DB::table('motions')->where('recording_id', $recording)->value('view'))
        ->toBe('points')
        ->and(DB::table('recordings')->where('id', $recording)->value('points_offset_s'))
        ->toEqual(0.0)
        ->and(DB::table('measurement_sets')->count())
        ->toBe(0);
    // A round that was read with ten faults keeps them.
    app()->forgetScopedInstances();
    $codebook = app(Codebooks::class)->of(Sitting::query()->findOrFail($round));
    expect($codebook->keys())
        ->toHaveCount(10)
        ->and($codebook->version)
        ->toBe('0.1')
        ->and(app(Codebooks::class)->current()->keys())
        ->toHaveCount(28);
    DB::rollBack();
});

it('goes back to the first release and forward again, marks by hand left behind', function () {
    DB::beginTransaction();
    [$recording] = firstRelease();
    $new = array_values(array_filter(migrations(), static fn (string $f): bool => ! str_contains($f, '2026_11_01_')));
    foreach ($new as $file) {
        (require $file)->up();
    }
    DB::table('station_times')->insert([
        'recording_id' => $recording,
        'code' => 'IM',
        't_s' => 1.91,
        'uncertainty_s' => 0.002,
        'source' => 'hand',
        'marked_by' => DB::table('users')->value('id'),
    ]);
    foreach (array_reverse($new) as $file) {
        (require $file)->down();
    }
    expect(DB::table('station_times')->where('recording_id', $recording)->count())->toBe(3);
    foreach ($new as $file) {
        (require $file)->up();
    }
    expect(DB::table('station_times')->where('recording_id', $recording)->count())->toBe(3);
    DB::rollBack();
});

it('takes the doubts of before over as codes, and leaves what keys said in their words', function () {
    DB::beginTransaction();
    $since = array_map(
        static fn (string $file): object => require $file,
        array_filter(migrations(), static fn (string $file): bool => basename($file) >= '2026_11_27_000400'),
    );
    array_map(static fn (object $m) => $m->down(), array_reverse($since));
    $recording = DB::table('recordings')->min('id');
    DB::table('station_times')
        ->where('recording_id', $recording)
        ->where('source', 'motion')
        ->where('code', 'TP')
        ->update(['doubt' => 'a downswing of 132 ms is unusual']);
    DB::table('station_times')
        ->where('recording_id', $recording)
        ->where('source', 'motion')
        ->where('code', 'AD')
        ->update(['doubt' => 'the club was never still before it moved']);
    DB::table('station_times')
        ->where('recording_id', $recording)
        ->where('source', 'motion')
        ->where('code', 'IM')
        ->update(['doubt' => 'somebody said so']);
    $said = DB::table('key_entries')->orderBy('id')->pluck('sentence', 'id')->all();
    array_map(static fn (object $m) => $m->up(), $since);
    $doubts = StationMark::query()
        ->where('recording_id', $recording)
        ->where('source', 'motion')
        ->get()
        ->keyBy('code')
        ->map(fn (StationMark $m): ?string => worded($m->doubt()));
    expect($doubts['TP'])
        ->toBe('a downswing of 132 ms is unusual')
        ->and($doubts['AD'])
        ->toBe('the club was never still before it moved')
        ->and($doubts['IM'])
        ->toBe('somebody said so')
        ->and(
            DB::table('station_times')
                ->where('code', 'TP')
                ->where('recording_id', $recording)
                ->where('source', 'motion')
                ->value('doubt'),
        )
        ->toContain('doubt.odd-downswing')
        ->and(DB::table('key_entries')->orderBy('id')->pluck('worded_then', 'id')->all())
        ->toBe($said)
        ->and(inWords()->say(KeyEntry::query()->orderBy('id')->firstOrFail()->measured()->why))
        ->toBe(reset($said))
        ->and(
            fn () => DB::transaction(
                fn () => DB::table('key_entries')
                    ->whereNull('judgement')
                    ->limit(1)
                    ->update(['worded_then' => null]),
            ),
        )
        ->toThrow(QueryException::class);
    DB::rollBack();
});

it('takes the figures of before apart, and puts them together again', function () {
    DB::beginTransaction();
    $since = array_map(static fn (string $file): object => require $file, array_values(array_filter(
        migrations(),
        static fn (string $f): bool => preg_match('/results_in_parts|rounds_compared_on_anchors|a_key_of_everything/', $f) === 1,
    )));
    // What a summary tells since is made anew, not taken over.
    $then = static fn (array $body): array => array_diff_key(
        isset($body['pooled']) ? [...$body, 'pooled' => array_diff_key($body['pooled'], ['mean_over_items' => 1])]
            : $body,
        ['counted_wrong' => 1, 'order' => 1, 'key_error' => 1],
    );
    $kept = static fn (): array => DB::table('result_parts')
        ->whereIn('part', ['summary', 'item', 'map', 'arms'])
        ->orderBy('part')->orderBy('subject')
        ->get(['part', 'subject', 'body'])
        ->map(static fn (object $row): array => [
            $row->part,
            $row->subject,
            $row->part === 'summary' ? $then(json_decode($row->body, true)) : json_decode($row->body, true),
        ])
        ->all();
    $before = $kept();
    array_map(static fn (object $m) => $m->down(), array_reverse($since));
    $whole = json_decode(DB::table('sitting_results')->value('results'), true);
    expect($whole['study']['items'])
        ->toHaveCount(28)
        ->and($whole['study']['pooled']['pairs'])
        ->toHaveCount(28)
        ->and($whole)
        ->toHaveKeys(['version', 'against_key', 'map', 'arms', 'left_out', 'key_version']);
    // A document of before has its own version; what was not kept then is made by the queue.
    DB::table('sitting_results')->update(['results' => json_encode([...$whole, 'version' => 2])]);
    array_map(static fn (object $m) => $m->up(), $since);
    $round = Sitting::query()->where('name', 'like', 'Spring%')->sole();
    expect($kept())
        ->toEqual($before)
        ->and(DB::table('sitting_results')->value('format'))
        ->toBe(2)
        ->and(KeptFigures::ofRound($round)->times())
        ->toBeNull();
    app(ComputeResult::class)($round);
    expect($kept())->toEqual($before)->and(KeptFigures::ofRound($round)->times())->not->toBeNull();
    DB::rollBack();
});

it('does not make figures again whose inputs are erased, but adds what was not kept then', function () {
    DB::beginTransaction();
    $round = Sitting::query()->where('name', 'like', 'Spring%')->sole();
    $kept = $round->result()->sole();
    $kept->update(['core_version' => '0.0.1', 'format' => 2]);
    $kept->parts()->whereIn('part', ['times', 'person'])->delete();
    $map = $kept->parts()->where('part', 'map')->sole();
    $map->update(['body' => ['u1' => ['sway' => [1, 2, 3, 4]]]]);
    DB::table('recordings')->where('id', $round->cases()->firstOrFail()->recording->id)->update(['erased_at' => now()]);
    for ($i = 0; $i < 2; $i++) {
        app(ComputeResult::class)($round->fresh());
        expect($map->refresh()->body)
            ->toBe(['u1' => ['sway' => [1, 2, 3, 4]]])
            ->and($kept->refresh()->core_version)
            ->toBe('0.0.1')
            ->and($kept->parts()->where('part', 'times')->count())
            ->toBe(1)
            ->and($kept->parts()->where('part', 'person')->count())
            ->toBe(8);
    }
    DB::rollBack();
});

it('brings people, consents and the record of before forward, and takes them back', function () {
    DB::beginTransaction();
    firstRelease();
    $user = DB::table('users')->where('email', 'old@fernhollow.example')->value('id');
    $golfer = DB::table('golfers')->where('pseudonym', 'Rook')->value('id');
    DB::table('consents')->insert(['golfer_id' => $golfer, 'scope' => 'training', 'given_on' => '2026-01-01',
        'expires_on' => '2030-01-01', 'guardian' => null]);
    DB::table('audit_entries')->insert([
        ['user_id' => $user, 'action' => 'rule', 'subject' => 'hang-back, Rook, hybrid',
            'details' => json_encode(['recording' => '01j00000000000000000000001', 'ruling' => 'present'])],
        ['user_id' => $user, 'action' => 'open', 'subject' => 'round Old round', 'details' => '{}'],
    ]);
    foreach (migrations() as $file) {
        if (! str_contains($file, '2026_11_01_')) {
            (require $file)->up();
        }
    }
    // Only a sample's loader could make people before.
    expect((array) DB::table('academies')->sole(['name', 'is_sample']))
        ->toBe(['name' => 'Fernhollow Golf Academy', 'is_sample' => true])
        ->and(DB::table('users')->where('id', $user)->sole()->state)->toBe('active')
        ->and(DB::table('consents')->sole()->scope)->toBe('staff-training')
        ->and(DB::table('audit_entries')->orderBy('id')->pluck('subject')->all())
        ->toBe(['fault hang-back, recording 01j00000000000000000000001', 'round Old round'])
        ->and(DB::table('recordings')->sole()->facts_version)->toBe(0);
    foreach (array_reverse(migrations()) as $file) {
        if (preg_match('/2026_(11_29|12_03|12_04|12_05|12_06)_/', $file) === 1) {
            (require $file)->down();
        }
    }
    expect(DB::table('consents')->sole()->scope)->toBe('training')
        ->and(Illuminate\Support\Facades\Schema::hasTable('academies'))->toBeFalse()
        ->and(DB::table('users')->where('id', $user)->sole()->name)->toBe('Old Hand');
    DB::rollBack();
});

it('lets sheets under way say what the new one asks, and leaves those of rounds that are over locked as they are', function () {
    DB::beginTransaction();
    $at = fn (string $round): Illuminate\Database\Query\Builder => DB::table('readings')
        ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
        ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
        ->where('sittings.name', 'like', "$round%");
    // Somebody never handed in before the round was closed.
    $never = $at('Spring')->min('readings.id');
    DB::statement('alter table readings disable trigger user');
    DB::table('readings')->where('id', $never)->update(['handed_in_at' => null]);
    DB::statement('alter table readings enable trigger user');
    $migration = require collect(migrations())->sole(
        static fn (string $file): bool => str_contains($file, 'a_sheet_that_names_causes'),
    );
    $migration->down();
    $migration->up();
    expect(DB::table('readings')->where('id', $never)->value('sheet'))->toBe(1)
        ->and($at('Spring')->where('sheet', 2)->count())->toBe(0)
        ->and($at('Autumn')->whereNotNull('handed_in_at')->where('sheet', 2)->count())->toBe(0)
        ->and($at('Autumn')->whereNull('handed_in_at')->where('sheet', 1)->count())->toBe(0)
        ->and($at('Autumn')->whereNull('handed_in_at')->count())->toBeGreaterThan(0);
    DB::rollBack();
});
