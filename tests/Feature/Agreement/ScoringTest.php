<?php

use App\Agreement\Actions\ComputeResult;
use App\Models\Call;
use App\Models\Consent;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\StationMark;
use App\Shelf\Actions\MeasureRecording;
use Illuminate\Support\Facades\DB;

/** The result of the spring round, computed anew. */
function resultAfter(object $test, callable $change): array
{
    foreach (['calls', 'readings', 'key_entries'] as $table) {
        DB::statement("alter table $table disable trigger user");
    }
    $round = $test->round('Spring');
    $change($round);
    // What the checksum rests on: readings by version, entries by label.
    Reading::query()->whereIn('sitting_case_id', $round->cases()->select('id'))->increment('version');

    app(ComputeResult::class)($round->refresh());

    return keptBodies($round);
}

it('measures a recording once, and again when a station or the definitions change', function () {
    $measure = app(MeasureRecording::class);
    $recording = Recording::query()->firstOrFail();
    $first = $measure($recording);
    expect($measure($recording->fresh())->updated_at->equalTo($first->updated_at))->toBeTrue();
    StationMark::query()
        ->where('recording_id', $recording->id)
        ->where('code', 'IM')
        ->update(['t_s' => DB::raw('t_s - 0.03')]);
    $moved = $measure($recording->fresh());
    expect($moved->inputs_checksum)->not->toBe($first->inputs_checksum)
        ->and($moved->measurements['impact_share']['value'])->not->toBe($first->measurements['impact_share']['value']);
    $moved->update(['core_version' => '0.0.0']);
    expect($measure($recording->fresh())->core_version)->toBe(Core\Version::CURRENT);
});

it('scores a rater who copies the key as perfect, and one who says the opposite as hopeless', function () {
    [$good, $bad] = [$this->person('tam')->id, $this->person('kit')->id];
    $rows = collect(
        resultAfter($this, function ($round) use ($good, $bad) {
            foreach (
                $round
                    ->readings()
                    ->whereIn('user_id', [$good, $bad])
                    ->with(['case', 'calls'])
                    ->get() as $reading
            ) {
                foreach ($reading->calls as $call) {
                    $label =
                        KeyEntry::query()
                            ->where('key_version_id', $round->key_version_id)
                            ->where('case_id', $reading->case->case_id)
                            ->where('fault', $call->fault)
                            ->sole()
                            ->scoredLabel() ?? 'absent';
                    $said = $reading->user_id === $good ? $label : ($label === 'present' ? 'absent' : 'present');
                    $call->update([
                        'presence' => $said,
                        'severity' => $said === 'present' ? 2 : null,
                        'onset' => null,
                        'decision' => null,
                        'reaction' => null,
                        'sound' => false,
                        'confidence' => 100,
                    ]);
                }
            }
        })['against_key'],
    )->keyBy('rater');
    expect($rows["u$good"]['sensitivity']['estimate'])
        ->toEqual(1)
        ->and($rows["u$good"]['specificity']['estimate'])
        ->toEqual(1)
        ->and($rows["u$good"]['brier']['estimate'])
        ->toEqual(0)
        ->and($rows["u$bad"]['sensitivity']['estimate'])
        ->toEqual(0)
        ->and($rows["u$bad"]['specificity']['estimate'])
        ->toEqual(0)
        ->and($rows["u$bad"]['brier']['estimate'])
        ->toEqual(1);
});

it('gives "cannot tell" no score, only a count', function () {
    $id = $this->person('vesna')->id;
    $result = resultAfter($this, function ($round) use ($id) {
        Call::query()
            ->whereIn('reading_id', $round->readings()->where('user_id', $id)->select('readings.id'))
            ->update([
                'presence' => 'cannot-tell',
                'severity' => null,
                'onset' => null,
                'decision' => null,
                'reaction' => null,
                'sound' => false,
                'confidence' => null,
            ]);
    });
    expect(collect($result['against_key'])->pluck('rater'))
        ->not->toContain("u$id")
        ->and($result['cannot_tell']["u$id"])
        ->toBe(140)
        ->and($result['unsupported']["u$id"])
        ->toBe(0);
});

it('leaves out what is contested, what is in conflict and what nobody could see, and counts it', function () {
    $plain = resultAfter($this, fn () => null);
    $result = resultAfter($this, function ($round) {
        $entries = KeyEntry::query()
            ->where('key_version_id', $round->key_version_id)
            ->whereIn('case_id', $round->cases()->select('case_id'))
            ->where('grade', 'verified')
            ->orderBy('id')
            ->limit(5)
            ->get();
        $entries[0]->update(['grade' => 'contested', 'label' => 'none']);
        $entries[1]->update(['grade' => 'contested', 'label' => 'none']);
        $entries[2]->update(['grade' => 'conflict']);
        $entries[3]->update([
            'grade' => 'conflict',
            'ruling' => 'absent',
            'ruling_reason' => 'the trace settles it',
            'ruled_by' => 1,
        ]);
    });
    expect($result['left_out']['contested'])
        ->toBe($plain['left_out']['contested'] + 2)
        ->and($result['left_out']['conflict'])
        ->toBe($plain['left_out']['conflict'] + 1)
        ->and(array_sum(array_column($result['against_key'], 'n')))
        ->toBeLessThan(array_sum(array_column($plain['against_key'], 'n')));
});

it('scores no fault that the shown evidence cannot show, and counts the calls made on it', function () {
    $plain = resultAfter($this, fn () => null);
    $result = resultAfter(
        $this,
        fn ($round) => DB::table('sitting_arms')
            ->where('sitting_id', $round->id)
            ->update(['film' => false, 'code' => 'trace']),
    );
    // Without film nobody can see a sway or a spinning foot.
    expect($result['left_out']['not observable'])->toBeGreaterThanOrEqual($plain['left_out']['not observable'] + 8)
        ->and(array_sum($result['unsupported']))->toBeGreaterThan(array_sum($plain['unsupported']) + 40);
    foreach ($result['map'] as $faults) {
        expect($faults)->not->toHaveKey('sway')->not->toHaveKey('spin-out');
    }
});

it('counts in the map what it counts in the whole', function () {
    $result = resultAfter($this, fn () => null);
    foreach ($result['against_key'] as $row) {
        $cells = array_map(null, ...array_values($result['map'][$row['rater']]));
        [$tp, $fn, $fp, $tn] = array_map(array_sum(...), $cells);
        expect($tp + $fn + $fp + $tn)
            ->toBe($row['n'])
            ->and($row['sensitivity']['estimate'])
            ->toEqualWithDelta($tp / ($tp + $fn), 1e-9)
            ->and($row['specificity']['estimate'])
            ->toEqualWithDelta($tn / ($tn + $fp), 1e-9);
    }
});

it('measures agreement with oneself from a hidden repeat', function () {
    $id = $this->person('tam')->id;
    $result = resultAfter($this, function ($round) use ($id) {
        $reading = $round
            ->readings()
            ->where('user_id', $id)
            ->with(['calls', 'case'])
            ->first();
        $again = $round
            ->cases()
            ->create(['case_id' => $reading->case->case_id, 'occasion' => 2, 'arm_id' => $reading->case->arm_id]);
        $copy = Reading::query()->create([
            'sitting_case_id' => $again->id,
            'user_id' => $id,
            'arm_id' => $reading->arm_id,
            'position' => 9,
            'handed_in_at' => now(),
        ]);
        foreach ($reading->calls as $i => $call) {
            $other = $i === 0 ? ($call->presence->value === 'absent' ? 'present' : 'absent') : $call->presence->value;
            Call::query()->create(['reading_id' => $copy->id, 'fault' => $call->fault, 'presence' => $other]);
        }
    });
    $self = collect($result['pooled']['self'])->firstWhere('rater', "u$id");
    expect($self['n'])
        ->toBeGreaterThanOrEqual(8)
        ->and($self['percent_agreement']['estimate'])
        ->toEqualWithDelta(1 - 1 / $self['n'], 0.001);
});

it('knows a consent that holds from one that has not begun to end', function () {
    $make = fn (array $a): Consent => new Consent([
        'scope' => 'staff-training',
        'given_on' => now()->subYear(),
        'expires_on' => now()->addDay(),
        ...$a,
    ]);
    expect($make([])->isValid())
        ->toBeTrue()
        ->and($make(['expires_on' => now()])->isValid())
        ->toBeTrue()
        ->and($make(['expires_on' => now()->subDay()])->isValid())
        ->toBeFalse()
        ->and($make(['withdrawn_at' => now()])->isValid())
        ->toBeFalse();
});
