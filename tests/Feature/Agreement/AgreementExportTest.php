<?php

use App\Agreement\Actions\ComputeResult;
use App\Agreement\Actions\ExportRound;
use App\Agreement\ChangeSince;
use App\Agreement\KeptFigures;
use App\Agreement\PeopleResults;
use App\Agreement\RoundExport;
use App\Agreement\RoundRatings;
use App\Codebook\Codebooks;
use App\Models\Enums\FigurePart;
use App\Models\Enums\WorkKind;
use App\Models\Enums\WorkState;
use App\Models\Sitting;
use App\Models\Work;
use App\Works\Progress;
use App\Works\WorkStopped;
use Core\Agreement\Profile\RoundsOnScale;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\RoundChange;
use Core\Agreement\Study\Study;
use Core\Format\Json\RoundJson;
use Core\Format\RatingsCsv;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** @return array<string, string> the files of a round's export */
function exported(object $test, Sitting $round): array
{
    Storage::fake('exports');
    $at = "/agreement/{$round->public_id}/export";
    // Nothing is there to be taken before it is asked for.
    $test->actingAs($test->headCoach())->get($at)->assertRedirect("/agreement/{$round->public_id}");
    $test->post($at)->assertSessionHas('done');
    $response = $test->get($at);
    $response->assertOk()->assertDownload();
    $path = tempnam(sys_get_temp_dir(), 'export');
    file_put_contents($path, $response->streamedContent());
    $zip = new ZipArchive;
    $zip->open($path);
    $out = [];
    for ($i = 0; $i < $zip->numFiles; $i++) {
        $out[$zip->getNameIndex($i)] = $zip->getFromIndex($i);
    }
    $zip->close();
    unlink($path);
    // Nothing half written lies about, and a day later nothing at all.
    expect(Storage::disk('exports')->files('rounds'))->toHaveCount(1);

    return $out;
}

it('gives the head coach a published round as open files that agree with the page', function () {
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $files = exported($this, $round);
    expect(array_keys($files))->toBe([
        'ratings.csv',
        'key.csv',
        'results.csv',
        'sheets.csv',
        'drills.csv',
        'advice.csv',
        'shown.csv',
        'arms.csv',
        'times.csv',
        'cues.csv',
        'second.csv',
        'results.json',
        'key.json',
        'datapackage.json',
    ]);
    $json = json_decode($files['results.json'], true, 64, JSON_THROW_ON_ERROR);
    expect($json['provenance']['input']['ratings_sha256'])
        ->toBe(hash('sha256', $files['ratings.csv']))
        ->and($json['provenance']['options']['seed'])
        ->toBe(1)
        ->and($json['provenance']['version'])
        ->toBe(Core\Version::AGREEMENT)
        ->and($files['ratings.csv'])
        ->not->toContain('Tam Brackley');
    // What another program makes of the files is what the page shows.
    $set = new RatingSet;
    RatingsCsv::readRatings(stream($files['ratings.csv']), 'ratings.csv', $set);
    $again = published((new Study($set, RoundRatings::options()))->item($set->items()));
    expect($again['coefficients'])->toEqual($json['pooled']['coefficients']);
    $key = new RatingSet;
    RatingsCsv::readKey(stream($files['key.csv']), 'key.csv', $key);
    expect($key->hasKey())
        ->toBeTrue()
        ->and($json['against_key'][0])
        ->toHaveKeys(['rater', 'sensitivity', 'mcc'])
        ->and($json['provenance']['unscored_raters'])
        ->not->toBe([]);
});

it('tells of every entry of the key what its verdict came from, by its schema', function () {
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $key = json_decode(exported($this, $round)['key.json']);
    expect($key->entries)->toHaveCount(
        $round->keyVersion
            ->entries()
            ->whereIn('case_id', $round->cases()->select('case_id'))
            ->count(),
    );
    foreach ($key->entries as $e) {
        $validator = new JsonSchema\Validator;
        $entry = $e->entry;
        $validator->validate($entry, (object) ['$ref' => 'file://'.base_path('docs/schemas/key.schema.json')]);
        expect(array_map(static fn (array $e): string => $e['property'].': '.$e['message'], $validator->getErrors()))
            ->toBe([])
            ->and($e->sentence)
            ->toEndWith('.')
            ->and($e->case)
            ->toStartWith('c');
    }
});

it('describes every column of its tables', function () {
    $files = exported($this, Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail());
    foreach (json_decode($files['datapackage.json'], true)['resources'] as $resource) {
        $lines = explode("\n", trim($files[$resource['path']]));
        expect(explode(',', $lines[0]))
            ->toBe(array_column($resource['schema']['fields'], 'name'))
            ->and($resource['hash'])
            ->toBe('sha256:'.hash('sha256', $files[$resource['path']]))
            ->and(count($lines))
            ->toBeGreaterThan(['arms' => 1, 'times' => 1, 'second' => 0][$resource['name']] ?? 10);
        foreach (array_slice($lines, 1, 400) as $line) {
            $cells = str_getcsv($line, ',', '"', '');
            expect($cells)->toHaveCount(count($resource['schema']['fields']));
            foreach ($resource['schema']['fields'] as $i => $field) {
                if ($cells[$i] !== '' && in_array($field['type'], ['number', 'integer'], true)) {
                    expect(is_numeric($cells[$i]))->toBeTrue("{$resource['path']}, {$field['name']}: {$cells[$i]}");
                }
            }
        }
    }
});

it('keeps the export from instructors, and unpublished rounds from everybody', function () {
    [$spring, $autumn] = [
        Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail(),
        Sitting::query()->where('name', 'like', 'Autumn%')->firstOrFail(),
    ];
    $this->actingAs($this->person('tam'))
        ->get("/agreement/{$spring->public_id}/export")
        ->assertNotFound();
    $this->actingAs($this->person('odile'))
        ->get("/agreement/{$spring->public_id}/export")
        ->assertNotFound();
    $this->actingAs($this->headCoach())
        ->get("/agreement/{$autumn->public_id}/export")
        ->assertNotFound();
});

it('shows every coefficient, or the reason why there is none, to the head coach', function () {
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $page = $this->actingAs($this->headCoach())
        ->get("/agreement/{$round->public_id}?part=faults")
        ->assertOk();
    $this->get("/agreement/{$round->public_id}?part=people")->assertOk()->assertSee('With the others');
    foreach (
        [
            'Conger’s κ',
            'Light’s κ',
            'Brennan–Prediger',
            'with “cannot tell” as an answer',
            'undefined: needs every rater to have rated every case',
            'Write the files: ratings, key and every figure as CSV and JSON',
        ] as $text
    ) {
        $page->assertSee($text);
    }
    $this->actingAs($this->person('tam'))
        ->get("/agreement/{$round->public_id}")
        ->assertOk()
        ->assertDontSee('ratings, key and every figure');
});

it('says what changed since an earlier round, with its uncertainty, and nothing where there is none', function () {
    [$spring, $autumn] = [
        Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail(),
        Sitting::query()->where('name', 'like', 'Autumn%')->firstOrFail(),
    ];
    expect(KeptFigures::ofRound($spring)->change())->toBeNull();
    $this->actingAs($this->headCoach())->post("/rounds/{$autumn->public_id}/close");
    $this->actingAs($this->headCoach())->post("/rounds/{$autumn->public_id}/publish")->assertSessionHas('done');
    [$since, $c] = KeptFigures::ofRound($autumn->refresh())->change();
    expect($since)
        ->toBe($spring->id)
        ->and($c->people)
        ->toBeGreaterThanOrEqual(2)
        ->and($c->anchors)->toBe(0)
        ->and($c->present)->toBeNull();
    // Other cases are harder or easier: nothing is said of change.
    $this->get("/agreement/{$autumn->public_id}")
        ->assertOk()
        ->assertSee("Since {$spring->name}")
        ->assertSee('no case in common')
        ->assertDontSee('p = ');
});

it('compares two rounds on the cases that both have, and puts them on one scale', function () {
    $spring = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $ratings = RoundRatings::ofRound($spring, app(Codebooks::class));
    $scale = PeopleResults::scaleOf($ratings);
    // The same calls again: every case is an anchor, and nobody moved.
    $same = app(ChangeSince::class)->between($spring, $ratings, $scale);
    expect($same->anchors)->toBe(count($ratings->said->cases()))
        ->and($same->golfers)->toBeLessThanOrEqual($same->anchors)
        ->and($same->present->difference->estimate)->toBe(0.0)
        ->and($same->present->p)->toBe($same->golfers < 6 ? null : 1.0)
        ->and($same->scale->difference)->toEqualWithDelta(0.0, 1e-6)
        ->and($same->scale->calls)->toBe(2 * iterator_count($ratings->rightOrWrong()))
        ->and($same->scale->p())->toBeGreaterThan(0.99);
    // What is kept of it is said on the page, with what speaks against it.
    $autumn = Sitting::query()->where('name', 'like', 'Autumn%')->firstOrFail();
    $this->actingAs($this->headCoach())->post("/rounds/{$autumn->public_id}/close");
    $this->post("/rounds/{$autumn->public_id}/publish")->assertSessionHas('done');
    $part = $autumn->refresh()->result->parts()->where('part', FigurePart::Change)->firstOrFail();
    $said = function (RoundsOnScale $scale) use ($part, $same, $autumn): string {
        $part->update(['body' => RoundJson::change(new RoundChange(
            $same->people, $same->anchors, $same->golfers, $same->present, $same->ac1, $scale,
        ))]);

        return $this->get("/agreement/{$autumn->public_id}")->assertOk()->getContent();
    };
    expect($said(new RoundsOnScale(0.6, 0.2, 0.7, 0.81, 2, 1840, 1.4)))
        ->toContain('All 1,840 scored calls')
        ->toContain('70 → 81 % right')
        ->toContain('share no reader and no case')
        ->toContain('does not follow the scale')
        ->and($said(new RoundsOnScale(0.2, 0.2, 0.7, 0.74, 1, 1840, 1.0)))
        ->not->toContain('share no reader')
        ->not->toContain('does not follow')
        ->toContain('That may be chance.');
});

it('suggests a set of cases from the Shelf and ticks them in the plan', function () {
    $page = $this->actingAs($this->headCoach())->get('/rounds/plan?suggest=6&share=30&again=2&seed=3')->assertOk();
    $page
        ->assertSee('A 95 % interval of one fault’s AC1 is to be expected this wide')
        ->assertSee('The Shelf could not give')
        ->assertDontSee('name="repeats[]"', false);
    expect(substr_count($page->getContent(), ' checked'))
        ->toBeGreaterThanOrEqual(6)
        ->and($this->get('/rounds/plan?suggest=6&share=30&again=2&seed=3')->getContent())
        ->toBe($page->getContent());
    $this->get('/rounds/plan?suggest=150')->assertOk()->assertSee('150 cases were asked for');
    $this->get('/rounds/plan?suggest=lots')->assertRedirect();
    $this->actingAs($this->person('tam'))->get('/rounds/plan?suggest=6')->assertForbidden();
});

/** A run that is told to stop the first time it tells how far it is. */
function stoppedRun(WorkKind $kind, Sitting $round): Progress
{
    return Progress::ofWork(Work::query()->create([
        'kind' => $kind,
        'sitting_id' => $round->id,
        'state' => WorkState::Running,
        'attempts' => 1,
        'cancelling' => true,
    ]));
}

it('shows nothing half written where the writing was stopped, and writes it again', function () {
    Storage::fake('exports');
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $left = glob(sys_get_temp_dir().'/vc-round-*');
    $export = app(ExportRound::class);
    expect(fn () => $export->carryOut($round, stoppedRun(WorkKind::Export, $round)))
        ->toThrow(WorkStopped::class)
        ->and(Storage::disk('exports')->allFiles())
        ->toBe([])
        ->and(RoundExport::made($round))
        ->toBeNull()
        ->and(glob(sys_get_temp_dir().'/vc-round-*'))
        ->toBe($left);
    $export->carryOut($round, Progress::untold());
    expect(RoundExport::made($round))->not->toBeNull()->and(Storage::disk('exports')->allFiles())->toHaveCount(1);
    // Other figures want other files.
    $round->result()->update(['inputs_checksum' => str_repeat('a', 64)]);
    expect(RoundExport::made($round->refresh()))->toBeNull();
});

it('keeps what was published until what is made anew is whole', function () {
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $round->result()->update(['core_version' => '0.0.1']);
    $before = DB::table('result_parts')->orderBy('id')->pluck('body', 'id')->all();
    $compute = app(ComputeResult::class);
    expect(fn () => $compute->carryOut($round, stoppedRun(WorkKind::Figures, $round)))
        ->toThrow(WorkStopped::class)
        ->and(DB::table('result_parts')->orderBy('id')->pluck('body', 'id')->all())
        ->toBe($before);
    $page = "/agreement/$round->public_id";
    $this->actingAs($this->headCoach())->get($page)->assertOk()->assertSee('Another version of the program');
    $compute->carryOut($round, Progress::untold());
    expect(DB::table('result_parts')->orderBy('id')->pluck('body')->all())->toBe(array_values($before));
    $this->get($page)->assertOk()->assertDontSee('Another version of the program');
});

/** @return list<array<string, string>> */
function tableOf(string $csv): array
{
    $rows = array_map(static fn (string $l): array => str_getcsv($l, escape: ''), explode("\n", trim($csv)));
    $head = array_map(trim(...), array_shift($rows));

    return array_map(static fn (array $r): array => array_combine($head, array_map(trim(...), $r)), $rows);
}

it('gives what to do as tables from which another program finds the same shares', function () {
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $files = exported($this, $round);
    $drills = $helps = $misses = [];
    foreach (tableOf($files['drills.csv']) as $d) {
        $drills[$d['case']][$d['drill']][$d['rung']] = $d;
    }
    expect($drills)->not->toBe([]);
    foreach (tableOf($files['sheets.csv']) as $s) {
        $rungs = $drills[$s['case']][$s['drill']] ?? [];
        $would = null;
        foreach (['rehearsal', 'short-iron', 'longer-clubs', 'full-speed'] as $rung) {
            if (($rungs[$rung]['verdict'] ?? '') === 'unsafe') {
                $would = 'unsafe';
                break;
            }
            if ($rung === $s['rung']) {
                $would = ($rungs[$rung]['settled'] ?? '0') === '1' ? $rungs[$rung]['verdict'] : null;
                break;
            }
        }
        if ($s['drill'] !== '' && $would !== null) {
            $helps[$s['rater']][] = $would === 'helps' ? 1 : 0;
        }
        $misses[] = $s['misses'];
    }
    $found = 0;
    foreach (tableOf($files['advice.csv']) as $row) {
        if ($row['kind'] === 'beside' && $row['figure'] === 'helps' && $row['estimate'] !== '') {
            $of = $helps[$row['rater']];
            expect((float) $row['estimate'])->toEqualWithDelta(array_sum($of) / count($of), 1e-12);
            $found++;
        }
        if ($row['estimate'] === '') {
            expect($row['reason'])->not->toBe('');
        }
    }
    expect($found)->toBeGreaterThan(3)
        ->and(implode('', $misses))->toMatch('/[a-z]+:\\d+/')
        ->and($files['sheets.csv'].$files['advice.csv'])->not->toContain('Brackley');
    $tables = json_decode($files['datapackage.json'], true)['resources'];
    foreach (['sheets', 'drills', 'advice', 'shown', 'arms', 'times'] as $name) {
        $of = collect($tables)->firstWhere('name', $name);
        expect($of['hash'])->toBe('sha256:'.hash('sha256', $files["$name.csv"]))
            ->and(array_column($of['schema']['fields'], 'name'))
            ->toBe(array_map(trim(...), str_getcsv(strtok($files["$name.csv"], "\n"), escape: '')));
    }
});

it('gives what was shown as a table from which the same differences follow', function () {
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    DB::statement('alter table readings disable trigger user');
    DB::statement('alter table sitting_cases disable trigger user');
    // Shown by turns, after the fact: two readers in three ways each.
    DB::table('sitting_cases')->where('sitting_id', $round->id)->update(['arm_id' => null]);
    foreach ([[true, true], [true, false], [false, true]] as $i => [$film, $trace]) {
        $arm = App\Models\SittingArm::in($round, $film, $trace)->id;
        DB::update('update readings set arm_id = ? where stage = ? and (user_id + sitting_case_id) % 3 = ?
            and sitting_case_id in (select id from sitting_cases where sitting_id = ?)', [$arm, 'blind', $i, $round->id]);
    }
    app(ComputeResult::class)->carryOut($round->refresh(), Progress::untold());
    $files = exported($this, $round);
    $shown = collect(tableOf($files['shown.csv']))
        ->mapWithKeys(static fn (array $r): array => ["{$r['case']}|{$r['rater']}|{$r['occasion']}" => $r['shown']]);
    $arms = tableOf($files['arms.csv']);
    $lines = explode("\n", trim($files['ratings.csv']));
    foreach (['both', 'film', 'trace'] as $arm) {
        $kept = array_filter(array_slice($lines, 1), static function (string $line) use ($shown, $arm): bool {
            [$case, , $rater, , $occasion] = str_getcsv($line, escape: '');

            return $shown["$case|$rater|$occasion"] === $arm;
        });
        $set = new RatingSet;
        RatingsCsv::readRatings(stream(implode("\n", [$lines[0], ...$kept])."\n"), 'ratings.csv', $set);
        $again = (new Study($set, RoundRatings::options()))->item($set->items());
        $told = collect($arms)->where('figure', 'gwet_ac1')->where('shown', $arm)->where('less', '')->sole();
        expect((float) $told['estimate'])->toEqualWithDelta($again->coefficients['gwet_ac1']->estimate, 1e-12);
    }
    $by = collect($arms)->where('less', '<>', '');
    expect($by)->toHaveCount(9)
        ->and($by->pluck('crossed')->unique()->all())->toBe(['1']);
    foreach ($by->where('figure', 'gwet_ac1')->where('estimate', '<>', '') as $d) {
        $of = static fn (string $arm): float => (float) collect($arms)->where('figure', 'gwet_ac1')
            ->where('shown', $arm)->where('less', '')->sole()['estimate'];
        expect((float) $d['estimate'])->toEqualWithDelta($of($d['shown']) - $of($d['less']), 1e-9);
    }
});

it('shows of the cues what their table says, recomputed outside the page', function () {
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $readings = DB::table('readings')->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
        ->where('sitting_id', $round->id)->orderBy('readings.id')->get(['readings.id', 'user_id']);
    DB::statement('alter table readings disable trigger user');
    DB::table('readings')->whereIn('id', $readings->pluck('id'))->update(['cue' => 'lead heel heavy']);
    foreach ($readings as $i => $reading) {
        if ($i % 3 === 0) {
            DB::table('readings')->where('id', $reading->id)->update(['cue' => 'fire the hips']);
        }
    }
    DB::statement('alter table readings enable trigger user');
    $rows = array_map('str_getcsv', explode("\n", trim(exported($this, $round)['cues.csv'])));
    $head = array_shift($rows);
    $by = [];
    foreach ($rows as $row) {
        ['rater' => $rater, 'provokes' => $provokes] = array_combine($head, $row);
        $by[$rater][] = $provokes === '' ? 0 : 1;
    }
    $page = $this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}?part=advice")->assertOk();
    $shown = $page->viewData('cues');
    expect(count($rows))->toBe($readings->count())->and($shown['people'])->toHaveCount(count($by))
        ->and(array_map(static fn (array $p): float => $p['figures'][0]->estimate, $shown['people']))
        ->toEqual(array_values(array_map(static fn (array $of): float => array_sum($of) / count($of), $by)))
        ->and($shown['phrases'][0]['said'])->toBe('fire the hips')
        ->and($shown['phrases'][0]['times'])->toBe(array_sum(array_map('array_sum', $by)));
    $page->assertSee('fire the hips')->assertSee('Instead:');
    // A member is not shown what colleagues said.
    $this->actingAs($this->person('tam'))->get("/agreement/{$round->public_id}?part=advice")->assertOk()
        ->assertDontSee('fire the hips');
});

it('compares groups of readers before a head coach only, with readers as what is counted', function () {
    $round = Sitting::query()->where('name', 'like', 'Spring%')->firstOrFail();
    $page = $this->actingAs($this->headCoach())->get("/agreement/{$round->public_id}?part=people")->assertOk();
    $readers = count(App\Agreement\KeptFigures::ofRound($round)->summary()->againstKey);
    foreach ($page->viewData('groups') as $group) {
        expect($group['readers'])->toBeGreaterThanOrEqual(3)->and($group['others'])->toBeGreaterThanOrEqual(3)
            ->and($group['readers'] + $group['others'])->toBeLessThanOrEqual($readers);
    }
    expect($page->viewData('groups'))->not->toBe([]);
    $this->actingAs($this->person('tam'))->get("/agreement/{$round->public_id}?part=people")
        ->assertDontSee('Groups of readers');
});
