<?php

use App\Models\Motion;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\TraceChannel;
use App\Models\User;
use Core\Measurement\Measure;
use Core\Measurement\Meter;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

it('refuses in the database what the program never means to store', function (string $sql) {
    $replace = [
        ':open' => (string) Reading::query()->whereNull('handed_in_at')->value('id'),
        ':recording' => (string) Recording::query()->value('id'),
        ':golfer' => (string) DB::table('golfers')->value('id'),
        ':round' => (string) DB::table('sittings')->value('id'),
        ':case' => (string) DB::table('sitting_cases')->value('id'),
        ':user' => (string) User::query()->value('id'),
    ];
    expect(fn () => DB::transaction(fn () => DB::statement(strtr($sql, $replace))))->toThrow(QueryException::class);
})->with([
    'a role that is none' => "update users set role = 'owner'",
    'an address twice' => "update users set email = 'same@fernhollow.example'",
    'a third hand' => "update golfers set handedness = 'both'",
    'a consent that ends before it begins' => 'insert into consents (golfer_id, scope, given_on, expires_on) values '
        ."(:golfer, 'staff-training', '2026-02-01', '2026-01-01')",
    'a device of no class' => "update recordings set device_class = 'scale'",
    'a recording without samples' => 'update recordings set samples = 0',
    'the same samples twice' => "update recordings set checksum = 'x'",
    'a station that is none' => 'insert into station_times (recording_id, code, t_s, uncertainty_s, source) values '
        ."(:recording, 'QQ', 1, 0, 'x')",
    'a station twice' => 'insert into station_times (recording_id, code, t_s, uncertainty_s, source) values '
        ."(:recording, 'IM', 1, 0, 'x')",
    'a round of no kind' => "update sittings set kind = 'quiz'",
    'a round in no state' => "update sittings set state = 'paused'",
    'a case that shows nothing' => 'update sitting_arms set film = false, trace = false',
    'a member twice' => 'insert into seats (sitting_id, user_id) select sitting_id, user_id from seats limit 1',
    'a second reading of one case by one person' => 'insert into readings (public_id, sitting_case_id, user_id, '
        ."position, arm_id) select 'zzzzzzzzzzzzzzzzzzzzzzzzzz', sitting_case_id, user_id, 1, arm_id from readings "
        .'limit 1',
    'a call of no presence' => "insert into calls (reading_id, fault, presence) values (:open, 'sway', 'maybe')",
    'a severity of an absent fault' => 'insert into calls (reading_id, fault, presence, severity) values (:open, '
        ."'sway', 'absent', 2)",
    'a severity of four' => "insert into calls (reading_id, fault, presence, severity) values (:open, 'sway', "
        ."'present', 4)",
    'confidence below a coin' => "insert into calls (reading_id, fault, presence, confidence) values (:open, 'sway', "
        ."'present', 30)",
    'confidence in not being able to tell' => 'insert into calls (reading_id, fault, presence, confidence) values '
        ."(:open, 'sway', 'cannot-tell', 80)",
    'a decision that is none' => "insert into calls (reading_id, fault, presence, decision) values (:open, 'sway', "
        ."'present', 'soon')",
    'two calls on one fault' => "insert into calls (reading_id, fault, presence) values (:open, 'sway', 'absent'), "
        ."(:open, 'sway', 'present')",
    'a recording used in a round taken away' => 'delete from recordings where id = (select recording_id from '
        .'case_swings limit 1)',
    'a person with readings taken away' => 'delete from users where id = (select user_id from readings limit 1)',
]);

it('refuses a ruling without a reason and a person', function () {
    DB::statement('alter table key_entries disable trigger user');
    foreach (
        [
            "update key_entries set ruling = 'absent'",
            "update key_entries set ruling = 'absent', ruling_reason = 'short', ruled_by = 1",
            "update key_entries set ruling = 'perhaps', ruling_reason = 'long enough to read', ruled_by = 1",
        ] as $sql
    ) {
        expect(fn () => DB::transaction(fn () => DB::statement($sql)))->toThrow(QueryException::class);
    }
});

it('keeps samples as packed floats, a missing one as missing', function () {
    $recording = Recording::query()->firstOrFail();
    $values = [0.0, -1.5, 1234.567, NAN, 1e-6];
    $id = TraceChannel::query()->create(['recording_id' => $recording->id, 'name' => 'extra', 'samples' => $values])
        ->id;
    $kept = TraceChannel::query()->findOrFail($id)->samples;
    expect($kept)
        ->toHaveCount(5)
        ->and($kept[3])
        ->toBeNan()
        ->and($kept[2])
        ->toEqualWithDelta(1234.567, 1e-3)
        ->and($kept[4])
        ->toEqualWithDelta(1e-6, 1e-12)
        ->and(DB::table('trace_channels')->where('id', $id)->selectRaw('octet_length(samples) as n')->value('n'))
        ->toBe(20);
});

it('gives a stored motion back point by point', function () {
    $motion = Motion::query()->firstOrFail();
    $core = $motion->toCore();
    expect(array_keys($core->points))->toBe($motion->points)->and($core->frames())->toBe($motion->frames);
    $row = Motion::row($core);
    expect($row['coordinates'])->toEqual($motion->coordinates)->and($row['points'])->toBe($motion->points);
});

it('measures what it stored as it would have measured the original', function () {
    foreach (Recording::query()->with(['channels', 'stations', 'views', 'measured'])->get() as $recording) {
        $again = Meter::read($recording->evidence());
        foreach ([Measure::ImpactShare, Measure::TrailPeak, Measure::FinishShare] as $measure) {
            expect($again->get($measure)->number())->toEqualWithDelta(
                $recording->measured->measured()->get($measure)->number(),
                1e-3,
            );
        }
    }
});

it('migrates down and up again', function () {
    $this->asOwner = true;
    DB::beginTransaction();
    foreach (array_reverse(glob(database_path('migrations/*.php'))) as $file) {
        (require $file)->down();
    }
    expect(
        DB::select(
            "select 1 from information_schema.tables where table_schema = 'public' and table_name in ('users', "
                ."'calls', 'sittings')",
        ),
    )->toBe([]);
    foreach (glob(database_path('migrations/*.php')) as $file) {
        (require $file)->up();
    }
    expect(DB::table('users')->count())->toBe(0);
    DB::rollBack();
    expect(DB::table('users')->count())->toBeGreaterThan(0);
});
