<?php

use App\Models\Call;
use App\Models\CodebookVersion;
use App\Models\Consent;
use App\Models\Exposure;
use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\Reading;
use App\Models\Recording;
use App\Sight\Onlooker;
use App\Sight\RecordingFacts;
use App\Sittings\CaseShown;
use App\Sittings\ReadingInPlace;
use Core\Codebook\CodebookDocument;
use Core\Reading\Call as CoreCall;
use Core\Reading\Presence;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

// What every look at a sheet and every save begins with is fetched in few statements that are written out. Held here:
// that they say what the models say, and that they stay few.

/** @return list<string> what was asked of the database meanwhile */
function askedIn(Closure $do): array
{
    DB::flushQueryLog();
    DB::enableQueryLog();
    $do();
    DB::disableQueryLog();

    return array_column(DB::getQueryLog(), 'query');
}

/** What two people of the academy and one golfer among the staff make of each other, in many ways. */
function mixedConsents(object $test): void
{
    $days = [['2026-01-01', '2040-01-01'], ['2020-01-01', '2021-01-01']];
    mt_srand(17);
    foreach (Golfer::query()->orderBy('id')->get() as $golfer) {
        Consent::query()->where('golfer_id', $golfer->id)->delete();
        $golfer->update(
            ['is_minor' => mt_rand(0, 3) === 0, 'born_year' => [null, 1980, now()->year - 12][mt_rand(0, 2)]],
        );
        foreach (['lessons', 'staff-training', 'debrief-film', 'teaching-material'] as $scope) {
            foreach (range(1, mt_rand(0, 2)) as $_) {
                [$from, $to] = $days[mt_rand(0, 1)];
                $golfer->consents()->create([
                    'scope' => $scope,
                    'given_on' => $from,
                    'expires_on' => $to,
                    'guardian' => mt_rand(0, 1) === 1 ? 'A guardian' : null,
                    'withdrawn_at' => mt_rand(0, 3) === 0 ? now() : null,
                ]);
            }
        }
    }
}

it('finds a reading in its place as it is found one thing after the other', function () {
    $tam = $this->person('tam');
    foreach ([$this->openReading($tam), ...dealt(repeated($this, alike(24), 1, reveals: true), $this->person('odile'))->take(4)] as $reading) {
        $by = Reading::query()
            ->with(['case.sitting', 'case.swings', 'arm'])
            ->where('public_id', $reading->public_id)
            ->firstOrFail();
        $at = app(ReadingInPlace::class)->by($reading->public_id);
        expect($at->toArray())->toEqual($by->toArray())
            ->and($at->shown())->toEqual($by->shown())
            ->and($at->case->sitting->panelRules())->toEqual($by->case->sitting->panelRules())
            ->and($at->case->swings->pluck('recording_id')->all())
            ->toBe($by->case->swings->pluck('recording_id')->all())
            ->and($at->isDirty())->toBeFalse()
            ->and($at->case->sitting->isDirty())->toBeFalse();
        $at->case->sitting->opened_at = $by->case->sitting->opened_at;
        $at->case->kind;
        expect($at->case->sitting->isDirty())->toBeFalse();
    }
    $this->actingAs($tam)->get('/read/'.str_repeat('a', 26))->assertNotFound();
    $this->get("/read/x'%20or%201=1")->assertNotFound();
});

it('says of recordings in one statement what the golfers\' own consents say', function () {
    mixedConsents($this);
    $tam = $this->person('tam');
    $golfer = Golfer::query()->orderBy('id')->firstOrFail();
    $tam->forceFill(['golfer_id' => $golfer->id])->save();
    $recordings = Recording::query()->orderBy('id')->with('golfer.consents')->get();
    $lesson = Lesson::query()->create([
        'golfer_id' => $golfer->id, 'given_by' => $tam->id, 'held_on' => '2026-11-20', 'complaint' => 'fat',
        'asks_feel' => true,
    ]);
    $recordings->firstOrFail()->forceFill(['lesson_id' => $lesson->id])->save();
    $recordings[1]->forceFill(['erased_at' => now()])->save();
    Exposure::query()->where('user_id', $tam->id)->delete();
    Exposure::query()->insert([
        'user_id' => $tam->id, 'recording_id' => $recordings[2]->id, 'what' => 'numbers', 'shown_at' => now(),
    ]);
    $facts = new RecordingFacts($tam->refresh());
    $ids = $recordings->pluck('id')->all();
    $asked = askedIn(fn () => $facts->know($ids));
    $light = new RecordingFacts($tam);
    $light->knowForSheets($ids);
    $true = 0;
    foreach ($recordings as $i => $recording) {
        $of = $facts->standing($recording->id, []);
        $may = fn (string $scope): bool => $recording->golfer->consentsTo(Core\Sight\Scope::from($scope));
        expect([$of->consents, $of->lessons, $of->room, $of->own, $of->held, $of->looked, $of->gives, $of->feelAwaited])
            ->toBe([
                $may('staff-training'), $may('lessons'), $may('debrief-film'), $recording->golfer_id === $golfer->id,
                $i !== 1, $i === 2, $i === 0, $i === 0,
            ], "swing $i");
        $sheet = $light->standingForSheet($recording->id, []);
        expect([$sheet->consents, $sheet->lessons, $sheet->own, $sheet->held])
            ->toBe([$of->consents, $of->lessons, $of->own, $of->held]);
        $true += (int) $of->consents;
    }
    expect($true)->toBeGreaterThan(0)->toBeLessThan(count($ids))
        ->and(array_filter($asked, static fn (string $q): bool => ! str_contains($q, 'academies')))->toHaveCount(1)
        ->and($facts->standing(PHP_INT_MAX, [])->held)->toBeFalse()
        ->and($light->standingForSheet(PHP_INT_MAX, [])->consents)->toBeFalse();
});

it('decides on a sheet alike, whether the facts of many were fetched before or of this one', function () {
    $member = $this->person('odile');
    $round = repeated($this, alike(18), 3, true);
    foreach ([0, 2, 18] as $handed) {
        dealt($round, $member)->take($handed)->whereNull('handed_in_at')->each(handIn(...));
        $readings = dealt($round, $member)->load('arm');
        $all = (new Onlooker($member))->over($readings->map(static fn (Reading $r) => $r->case));
        foreach ($readings as $reading) {
            $one = (new Onlooker($member))->ofReading($reading);
            $many = $all->ofReading($reading);
            expect([$one->why, $one->shows(Core\Sight\Thing::Film)])
                ->toBe([$many->why, $many->shows(Core\Sight\Thing::Film)]);
        }
    }
});

it('saves a call and opens a sheet with few statements', function () {
    $tam = $this->person('tam');
    $reading = $this->openReading($tam);
    $this->actingAs($tam)->get("/read/$reading->public_id")->assertOk();
    $change = fn (int $n): array => ['writer' => 'w-few-statements', 'changes' => [[
        'id' => "c-few-calls-$n", 'target' => 'call:sway', 'value' => ['presence' => 'absent', 'pins' => []], 'base' => $n, 'at' => 1,
    ]]];
    $this->postJson("/read/$reading->public_id/changes", $change(0))->assertOk();
    $save = askedIn(fn () => $this->postJson("/read/$reading->public_id/changes", $change(1))->assertOk());
    $page = askedIn(fn () => $this->get("/read/$reading->public_id")->assertOk());
    // Session and person are held in memory by the tests: under a web server they are two or three more.
    expect(count($save))->toBeLessThanOrEqual(5, implode("\n", $save))
        ->and(count($page))->toBeLessThanOrEqual(10, implode("\n", $page));
});

it('takes names of faults and drills from the codebook the round was opened with, also one that has the number of a shipped one', function (string $version) {
    $document = CodebookDocument::standard();
    $off = array_key_last($document->toArray()['faults']);
    $lens = array_key_first($document->lenses());
    $data = $document->versioned($version)->toArray();
    $data['lenses'][$lens]['off'] = [...$data['lenses'][$lens]['off'] ?? [], $off];
    unset($data['lenses'][$lens]['rules'][$off], $data['lenses'][$lens]['rules_by_club']);
    $kept = CodebookDocument::fromArray($data);
    CodebookVersion::query()
        ->create(['version' => $version, 'document' => $kept->toArray(), 'note' => 'A fault less.']);
    $tam = $this->person('tam');
    $reading = $this->openReading($tam);
    DB::table('sittings')
        ->where('id', $reading->case->sitting_id)
        ->update(['codebook_version' => $version, 'lens' => $lens]);
    $names = $kept->names($lens);
    foreach (array_keys($document->toArray()['faults']) as $fault) {
        $counts = isset($kept->under($lens)->faults[$fault]);
        expect(rescue(fn () => $names->fault($fault) === $fault, false, false))->toBe($counts, $fault);
    }
    $said = $this->actingAs($tam)->postJson("/read/$reading->public_id/changes", ['writer' => 'w-names-of-it', 'changes' => [
        ['id' => 'c-names-1', 'target' => "call:$off", 'value' => ['presence' => 'absent'], 'base' => 0, 'at' => 1],
        ['id' => 'c-names-2', 'target' => 'drill', 'value' => ['key' => 'no-such-drill'], 'base' => 0, 'at' => 1],
        ['id' => 'c-names-3', 'target' => 'call:sway', 'value' => ['presence' => 'absent'], 'base' => 0, 'at' => 1],
    ]])->assertOk();
    expect($said->json('applied'))->toBe(['c-names-3'])
        ->and(array_column($said->json('refused'), 'id'))->toBe(['c-names-1', 'c-names-2']);
})->with(['few-1', ...CodebookDocument::SHIPPED]);

it('tells who else changed a sheet since, and not what was long before', function () {
    $tam = $this->person('tam');
    $reading = $this->openReading($tam);
    $this->actingAs($tam);
    $send = fn (string $writer, array ...$changes) => $this->postJson("/read/$reading->public_id/changes", [
        'writer' => $writer,
        'changes' => array_map(static fn (array $c): array => [
            'id' => $c[0], 'target' => $c[1], 'value' => $c[2], 'base' => $c[3], 'at' => 1,
            ...isset($c[4]) ? ['writer' => $c[4]] : [],
        ], $changes),
    ])->assertOk();
    $absent = ['presence' => 'absent'];
    $send('w-first-window', ['c-first-1', 'call:sway', $absent, 0], ['c-first-2', 'cue', 'a', 1]);
    // The second window has seen both: nothing is new to it.
    $send('w-second-window', ['c-second-1', 'call:sway', $absent, 2])
        ->assertJsonPath('others', false)->assertJsonPath('refused', []);
    // The first has not seen the second's call, and wants the same place: refused, the rest taken.
    $send('w-first-window', ['c-first-3', 'call:sway', null, 2], ['c-first-4', 'cue', 'b', 2])
        ->assertJsonPath('others', true)
        ->assertJsonPath('refused.0.id', 'c-first-3')
        ->assertJsonPath('applied', ['c-first-4']);
    // Time tells of nobody else; sent again it counts once.
    $send('w-third-window', ['c-third-1', 'time', 4000, 4])->assertJsonPath('others', false);
    $send('w-third-window', ['c-third-1', 'time', 4000, 4], ['c-third-2', 'cue', 'c', 4])
        ->assertJsonPath('others', false);
    expect($reading->refresh()->active_ms)->toBe(4000)->and($reading->cue)->toBe('c');
    // What a window sends on for another counts as the other's.
    $send('w-third-window', ['c-other-1', 'cue', 'd', 5, 'w-fourth-window'])->assertJsonPath('others', true);
    // Both in one sending: the later is held against the earlier of the other.
    $send('w-third-window', ['c-both-1', 'cue', 'e', 6], ['c-both-2', 'cue', 'f', 6, 'w-fourth-window'])
        ->assertJsonPath('refused.0.id', 'c-both-2');
});

it('keeps every cell that a call has: a new one is to be in the function that keeps it', function () {
    $says = DB::scalar("select pg_get_functiondef('keep_changes'::regproc)");
    $row = Call::row(new CoreCall('sway', Presence::Absent));
    $columns = array_diff(Schema::getColumnListing('calls'), ['id', 'reading_id']);
    expect(array_keys($row))->toEqualCanonicalizing(array_values($columns));
    foreach (array_diff(array_keys($row), ['fault']) as $cell) {
        expect($says)->toContain("k.$cell")->toContain("$cell = excluded.$cell");
    }
});

it('lays beside a sheet in one statement what the models say one after the other', function () {
    $tam = $this->person('tam');
    $odile = $this->person('odile');
    $repeated = dealt(repeated($this, alike(24), 1, reveals: true), $odile);
    $open = $this->openReading($tam);
    foreach (Golfer::query()->orderBy('id')->get() as $i => $golfer) {
        foreach ([null, now()->addDay(), now()->subDay()] as $n => $ended) {
            if (($i + $n) % 3 !== 0) {
                $golfer->limitsInForce()->create(
                    [
                        'region' => 'ankle',
                        'side' => 'lead',
                        'severity' => 'careful',
                        'since' => '2026-01-05',
                        'ended_on' => $ended,
                    ],
                );
            }
        }
    }
    $limited = 0;
    foreach ([$open, ...$repeated->take(6)] as $reading) {
        $with = ['case.sitting', 'case.swings.recording.golfer.limitsInForce', 'case.renditions'];
        $by = Reading::query()->with($with)->findOrFail($reading->id);
        $at = app(ReadingInPlace::class)->by($reading->public_id);
        $cases = 0;
        $asked = askedIn(function () use ($at, &$cases): void {
            $cases = CaseShown::lay($at);
        });
        expect($asked)->toHaveCount(1)
            ->and($cases)->toBe(Reading::query()
            ->where('user_id', $reading->user_id)
            ->where('stage', 'blind')
            ->whereRelation('case', 'sitting_id', $by->case->sitting_id)
            ->whereRelation('case', 'withdrawn_at', null)
            ->count());
        foreach ($by->case->swings as $n => $swing) {
            $laid = $at->case->swings[$n]->recording;
            expect($laid->toArray())->toEqual($swing->recording->toArray())
                ->and($laid->stance)->toEqual($swing->recording->stance)
                ->and(array_keys($laid->getDirty()))->toBe(array_keys($swing->recording->getDirty()))
                ->and($laid->golfer->isDirty())->toBeFalse();
            $limited += count($laid->golfer->limitsInForce);
        }
        expect($at->case->renditions->toArray())->toEqual($by->case->renditions->toArray());
    }
    expect($limited)->toBeGreaterThan(3);
    // A case that was withdrawn is none of them.
    $repeated[3]->case->forceFill(['withdrawn_at' => now(), 'withdrawn_reason' => 'no film'])->save();
    expect(CaseShown::lay($repeated[0]->fresh()))->toBe(count($repeated) - 1);
});

it('brings what is answered alike of every fault once a page', function () {
    $tam = $this->person('tam');
    $page = $this->actingAs($tam)->get("/read/{$this->openReading($tam)->public_id}")->assertOk()->getContent();
    $count = substr_count($page, '<li class="fault"');
    expect($count)->toBeGreaterThan(20)
        ->and(substr_count($page, 'value="cannot-tell"'))->toBe(1)
        ->and(substr_count($page, 'data-reaction'))->toBe(1)
        ->and(substr_count($page, '<template data-controls>'))->toBe(1)
        ->and(substr_count($page, 'data-definition'))->toBe($count);
});
