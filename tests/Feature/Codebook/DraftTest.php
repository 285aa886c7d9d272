<?php

use App\Codebook\Actions\BeginDraft;
use App\Codebook\Actions\SaveDraft;
use App\Codebook\Codebooks;
use App\Models\CodebookDraft;
use App\Models\CodebookFlip;
use App\Models\CodebookVersion;
use App\Models\KeyEntry;
use App\Models\MeasurementSet;
use App\Models\Recording;
use App\Models\User;
use App\Panel\Actions\BuildKey;
use App\Shelf\Actions\MeasureRecording;
use Core\Codebook\Codebook;
use Core\Codebook\CodebookDocument;
use Core\Codebook\DocumentChanges;
use Core\Codebook\FaultRules;
use Core\Codebook\Said;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** What a browser would send of a page's form as it stands: every field of every kind. */
function formSent(TestResponse $page, string $class): array
{
    $dom = new DOMDocument;
    libxml_use_internal_errors(true);
    $dom->loadHTML('<?xml encoding="utf-8"?>'.$page->getContent());
    $xpath = new DOMXPath($dom);
    $form = $xpath->query("//form[contains(@class,'$class')]")->item(0);
    $pairs = [];
    foreach ($xpath->query('.//*[@name][not(ancestor::template)]', $form) as $field) {
        $name = $field->getAttribute('name');
        $value = match (true) {
            $field->nodeName === 'textarea' => preg_replace('/^\n/', '', $field->textContent),
            $field->nodeName === 'select' => ($xpath->query('.//option[@selected]', $field)->item(0)
                ?? $xpath->query('.//option', $field)->item(0))?->getAttribute('value') ?? '',
            $field->getAttribute('type') === 'checkbox' => $field->hasAttribute('checked')
                ? $field->getAttribute('value')
                : null,
            default => $field->getAttribute('value'),
        };
        if ($value !== null && ! in_array($name, ['_token', '_method'], true)) {
            $pairs[] = rawurlencode($name).'='.rawurlencode($value);
        }
    }
    parse_str(implode('&', $pairs), $out);

    return $out;
}

/** A draft with a fault's own rules changed as given, by the head coach. */
function drafted(object $test, string $fault, ?array $supported = null, ?array $contradicted = null): CodebookDraft
{
    $draft = app(BeginDraft::class)($test->headCoach());

    return app(SaveDraft::class)($draft, null, static function (CodebookDocument $d) use (
        $fault,
        $supported,
        $contradicted,
    ): CodebookDocument {
        $rules = FaultRules::of($d, $fault);
        $rules['own'] = [
            'supported' => $supported ?? $rules['own']['supported'],
            'contradicted' => $contradicted ?? $rules['own']['contradicted'],
        ];

        return FaultRules::put($d, $fault, $rules);
    }, $test->headCoach());
}

/** @return array<string, string> what is kept of every recording: verdict by recording, lens and fault */
function keptVerdicts(): array
{
    $out = [];
    foreach (MeasurementSet::query()->orderBy('recording_id')->get() as $set) {
        foreach (array_keys($set->faults) as $lens) {
            foreach ($set->verdicts($lens) as $fault => $verdict) {
                $out["$set->recording_id|$lens|$fault"] = $verdict->said()->value;
            }
        }
    }

    return $out;
}

it('sends back every row as it stands, and nothing is another for it', function (string $part) {
    $this->actingAs($this->headCoach())->post('/codebook/draft')->assertRedirect('/codebook/draft');
    $this->post('/codebook/draft/words', ['key' => 'press'])->assertRedirect('/codebook/draft/words/press');
    $before = CodebookDraft::open()->codebook();
    foreach (array_keys($before->whole()[$part]) as $key) {
        $page = $this->get("/codebook/draft/$part/$key")->assertOk();
        $this->put("/codebook/draft/$part/$key", formSent($page, 'draft-row'))->assertSessionHasNoErrors()
            ->assertSessionMissing('refused')->assertSessionHas('done');
        expect(DocumentChanges::between($before, CodebookDraft::open()->codebook()))->toBe([], "$part $key");
    }
})->with(CodebookDocument::PARTS);

it('begins one draft whoever begins it, and shows it to nobody else', function () {
    $this->actingAs($this->headCoach());
    $this->post('/codebook/draft')->assertRedirect('/codebook/draft');
    $this->post('/codebook/draft')->assertRedirect('/codebook/draft');
    expect(CodebookDraft::query()->count())->toBe(1)
        ->and(CodebookDraft::open()->codebook()->version())->toBe('3');
    $this->get('/codebook/draft')->assertOk()->assertSee('Draft of version 3')->assertSee('Nothing is another yet');
    $this->get('/codebook')->assertSee('Work on the draft');
    foreach (['tam', 'odile'] as $name) {
        $this->actingAs($this->person($name));
        $this->get('/codebook/draft')->assertForbidden();
        $this->get('/codebook/draft/faults/sway')->assertNotFound();
        $this->putJson('/codebook/draft/faults/sway', [])->assertNotFound();
        $this->post('/codebook/draft/publish')->assertForbidden();
        $this->get('/codebook')->assertOk()->assertDontSee('draft');
    }
});

it('foretells exactly the verdicts that are others once it is published, and what was made before stays', function () {
    $spring = $this->round('Spring');
    $figures = fn (): array => [
        $spring->keyVersion->fresh()->inputs_checksum,
        KeyEntry::query()->orderBy('id')->get(['verdict', 'margin', 'grade', 'label'])->toArray(),
        DB::table('result_parts')->orderBy('id')->pluck('body')->map('strval')->all(),
    ];
    $then = $figures();
    foreach (Recording::query()->get() as $recording) {
        app(MeasureRecording::class)($recording);
    }
    $before = keptVerdicts();
    drafted($this, 'hang-back', ['impact_share', '<', 60.5]);
    drafted($this, 'late-recentre', ['recentre_lead', '<', -101]);
    $this->actingAs($this->headCoach())->post('/codebook/draft/try')->assertSessionHas('done');
    $foretold = CodebookFlip::query()->get()
        ->mapWithKeys(fn (CodebookFlip $f): array => ["$f->recording_id|$f->lens|$f->fault" => [
            $f->was?->value, $f->is?->value,
        ]])->all();
    expect($foretold)->not->toBe([]);
    $this->get('/codebook/draft')->assertOk()->assertSee(count($foretold).' verdicts would turn')
        ->assertSee('It passes');
    // Trying and looking change nothing for anybody.
    expect(keptVerdicts())->toBe($before)->and(app(Codebooks::class)->document()->version())->toBe('2');

    $this->post('/codebook/draft/publish', [
        'revision' => CodebookDraft::open()->revision, 'version' => 'spring-27', 'note' => 'stricter lines',
    ])->assertSessionHas('done');
    app()->forgetScopedInstances();
    expect(CodebookDraft::open())->toBeNull()->and(app(Codebooks::class)->document()->version())->toBe('spring-27');
    // Before anything is measured anew a page already says what the new version says.
    $hung = collect($foretold)->keys()->first(fn (string $k): bool => str_contains($k, '|early-recentre|hang-back'));
    $recording = Recording::query()->findOrFail((int) $hung);
    expect(app(Codebooks::class)->verdicts(app(Codebooks::class)->document(), 'early-recentre', $recording)['hang-back']
        ->said()->value)->toBe($foretold[$hung][1]);
    $this->get("/bench/$recording->public_id")->assertOk();
    foreach (Recording::query()->get() as $each) {
        app(MeasureRecording::class)($each);
    }
    $now = keptVerdicts();
    $turned = [];
    foreach ($now + $before as $id => $_) {
        if (($now[$id] ?? null) !== ($before[$id] ?? null)) {
            $turned[$id] = [$before[$id] ?? null, $now[$id] ?? null];
        }
    }
    ksort($turned);
    ksort($foretold);
    expect($turned)->toBe($foretold);

    // What is published, and a key made anew of the old study, keep the version they were opened with.
    expect($figures())->toBe($then);
    $study = $this->round('Winter');
    $was = $study->keys()->firstOrFail()->entries()->orderBy('case_id')->orderBy('fault')
        ->get(['case_id', 'fault', 'verdict', 'margin', 'grade'])->toArray();
    $anew = app(BuildKey::class)->now($study->refresh());
    expect($anew->entries()->orderBy('case_id')->orderBy('fault')
        ->get(['case_id', 'fault', 'verdict', 'margin', 'grade'])->toArray())->toEqual($was)
        ->and($study->codebook_version)->toBe('2');
});

it('judges what is kept as it was judged when it was measured', function () {
    $document = CodebookDocument::standard();
    foreach (Recording::query()->with(['measured', 'stations'])->get() as $recording) {
        $set = app(MeasureRecording::class)($recording);
        $recording = $recording->fresh(['measured', 'stations']);
        foreach (array_keys($document->lenses()) as $lens) {
            $again = $recording->basis()->faults(app(Codebooks::class)->forSwing($document, $lens, $recording));
            expect($again)->toEqual($set->fresh()->verdicts($lens));
        }
    }
});

it('takes no second change over one that was made meanwhile, and keeps what was written', function () {
    drafted($this, 'sway');
    $page = $this->actingAs($this->headCoach())->get('/codebook/draft/faults/sway');
    $sent = formSent($page, 'draft-row');
    $this->put('/codebook/draft/faults/sway', [...$sent, 'cause' => 'first'])->assertSessionHas('done');
    $this->put('/codebook/draft/faults/sway', [...$sent, 'cause' => 'second'])
        ->assertRedirect('/codebook/draft/faults/sway')
        ->assertSessionHas('refused', fn (string $m): bool => str_contains($m, 'since this page was fetched'));
    expect(CodebookDraft::open()->codebook()->toArray()['faults']['sway']['cause'])->toBe('first');
    // What was written stands in the form again, and no list that was left empty comes back filled.
    $this->get('/codebook/draft/faults/sway')->assertSee('value="second"', false);
    $bare = array_diff_key($sent, ['helps' => 1, 'misses' => 1]);
    $this->followingRedirects()->put('/codebook/draft/faults/sway', [...$bare, 'name' => ''])
        ->assertOk()->assertDontSee('name="helps[]" value="box-turn" checked', false);
});

it('publishes nothing untried, changed since, misleading, twice, or on ground that has moved', function () {
    $draft = drafted($this, 'hang-back', ['impact_share', '<', 76.5]);
    $head = $this->headCoach();
    $publish = fn (array $with = []) => $this->actingAs($head)->post('/codebook/draft/publish', [
        'revision' => CodebookDraft::query()->find($draft->id)->revision, 'version' => '3', 'note' => 'as agreed',
        ...$with,
    ]);
    $refused = fn (TestResponse $r, string $says) => $r->assertSessionHas(
        'refused',
        fn (string $m): bool => str_contains($m, $says),
    );
    $refused($publish(), 'was not tried');
    $this->post('/codebook/draft/try')->assertSessionHas('done');
    $refused($publish(['revision' => $draft->revision - 1]), 'since this page was fetched');
    $refused($publish(['version' => '2']), "a version '2' already");
    $publish(['version' => 'no blanks'])->assertSessionHas('refused');
    $publish(['note' => ''])->assertSessionHasErrors('note');
    // A change after the trial asks for another one.
    drafted($this, 'hang-back', ['impact_share', '<', 81]);
    $refused($publish(), 'was not tried');
    $this->post('/codebook/draft/try');
    $refused($publish(), 'lie inside their bands');
    drafted($this, 'hang-back', ['impact_share', '<', 76]);
    // Somebody takes up a file meanwhile.
    $file = CodebookDocument::standard()
        ->versioned('2.5')
        ->with('words', 'press', ['word' => 'press', 'means' => 'ours']);
    app(App\Codebook\Actions\KeepCodebook::class)->document($file, 'a word of ours', $head);
    app()->forgetScopedInstances();
    $this->post('/codebook/draft/try');
    $refused($publish(), 'Version 2.5 was taken up');
    $this->get('/codebook/draft')->assertSee('Carry the draft over');
    $this->post('/codebook/draft/rebase')->assertSessionHas('done');
    $carried = CodebookDraft::open();
    expect($carried->based_on)->toBe('2.5')->and($carried->codebook()->words())->toHaveKey('press')
        ->and(FaultRules::of($carried->codebook(), 'hang-back')['own']['supported'])->toBe(['impact_share', '<', 76]);
    $this->post('/codebook/draft/try');
    $publish()->assertSessionHas('done');
    $publish()->assertSessionHas('refused');
    expect(CodebookVersion::query()->pluck('version')->all())->toBe(['2.5', '3'])
        ->and(CodebookDraft::query()->find($draft->id)->published_as)->toBe('3');
});

it('lets two heads who publish at once publish once', function () {
    drafted($this, 'hang-back', ['impact_share', '<', 76.5]);
    $this->actingAs($this->headCoach())->post('/codebook/draft/try');
    $draft = CodebookDraft::open();
    $publish = app(App\Codebook\Actions\PublishDraft::class);
    $publish($draft, $draft->revision, '3', 'the first of two', $this->headCoach());
    expect(fn () => $publish($draft, $draft->revision, '3.1', 'the second of two', $this->headCoach()))
        ->toThrow(App\Exceptions\ActionException::class)
        ->and(CodebookVersion::query()->count())->toBe(1);
    // Nor can a draft be begun twice at once: the database holds one open.
    app(BeginDraft::class)($this->headCoach());
    expect(fn () => DB::transaction(fn () => DB::table('codebook_drafts')->insert([
        'based_on' => '3', 'document' => '{}', 'state' => 'open',
    ])))->toThrow(Illuminate\Database\QueryException::class, 'codebook_drafts_one_open');
});

it('lays a draft aside, and takes it up again as it was', function () {
    $draft = drafted($this, 'hang-back', ['impact_share', '<', 76.5]);
    $this->actingAs($this->headCoach())->delete('/codebook/draft')->assertSessionHas('done');
    $this->get('/codebook/draft')->assertRedirect();
    $this->get('/codebook')->assertSee('Take up the draft');
    $this->get('/codebook/draft/faults/sway')->assertNotFound();
    foreach (['put' => 'faults/sway', 'post' => 'try', 'delete' => 'faults/sway'] as $method => $path) {
        $this->$method("/codebook/draft/$path", [])->assertRedirect();
    }
    $this->post('/codebook/draft/take-up')->assertSessionHas('done');
    expect(CodebookDraft::open()->id)->toBe($draft->id)
        ->and(CodebookDraft::open()->document)->toEqual($draft->document);
    $this->delete('/codebook/draft');
    app(BeginDraft::class)($this->headCoach());
    $this->post('/codebook/draft/take-up')
        ->assertSessionHas('refused', fn (string $m): bool => str_contains($m, 'Another draft is open'));
});

it('adds, takes out and puts back', function () {
    $this->actingAs($this->headCoach())->post('/codebook/draft');
    $this->post('/codebook/draft/faults', ['key' => 'late-heel', 'copy' => 'heel-pop'])
        ->assertRedirect('/codebook/draft/faults/late-heel');
    $this->post('/codebook/draft/faults', ['key' => 'late-heel', 'copy' => 'sway'])->assertSessionHas('refused');
    $this->post('/codebook/draft/faults', ['key' => 'Late Heel', 'copy' => 'sway'])->assertSessionHasErrors('key');
    $this->post('/codebook/draft/drills', ['key' => 'own-one', 'copy' => 'none-such'])->assertSessionHas('refused');
    $this->post('/codebook/draft/lenses', ['key' => 'our-school', 'copy' => 'loaded-top'])->assertRedirect();
    $this->get('/codebook/draft')->assertSee('2 places would be another')->assertSee('neither a variant nor a refusal');
    $this->delete('/codebook/draft/lenses/our-school')->assertSessionHas('done');
    $this->delete('/codebook/draft/lenses/early-recentre')->assertSessionHas('refused');
    $this->delete('/codebook/draft/drills/step-in')->assertSessionHas('done');
    expect(CodebookDraft::open()->codebook()->drills())->not->toHaveKey('step-in');
    $this->post('/codebook/draft/drills/step-in/back')->assertSessionHas('done');
    $this->post('/codebook/draft/faults/late-heel/back')->assertSessionHas('done');
    expect(CodebookDraft::open()->codebook()->drills())->toHaveKey('step-in')
        ->and(CodebookDraft::open()->codebook()->toArray()['faults'])->not->toHaveKey('late-heel');
});

it('says of a rule as it stands what it asks, what is wrong with it and what it turns, and stores nothing', function () {
    $this->actingAs($this->headCoach())->post('/codebook/draft');
    $sent = formSent($this->get('/codebook/draft/faults/hang-back'), 'draft-row');
    $look = fn (array $rule) => $this->postJson('/codebook/draft/faults/hang-back/look', array_replace_recursive($sent, [
        'rules' => ['own' => ['supported' => json_encode($rule)]],
    ]));
    $look(json_decode($sent['rules']['own']['supported'], true))->assertOk()
        ->assertJson(['defects' => [], 'flips' => [], 'title' => 'No verdict turns.']);
    $found = $look(['impact_share', '<', 60.5])->assertOk()->assertJson(['defects' => []])->json();
    expect($found['says']['own']['supported'])->toBe('lead share at impact < 60.5 %')
        ->and($found['flips'])->not->toBe([])->and($found['title'])->toContain('turn');
    expect(implode(' ', $look(['impact_share', '<', 90])->json('defects')))->toContain('lie inside their bands');
    $look(['weight', '<', 90])->assertStatus(422)->assertJson(
        fn ($json) => $json->where('message', fn (string $m): bool => str_contains($m, "'weight'")),
    );
    expect(CodebookDraft::open()->revision)->toBe(1)->and(CodebookFlip::query()->count())->toBe(0);
});

it('turns nothing before the eyes of a head coach who has still to read it', function () {
    $head = $this->headCoach();
    drafted($this, 'hang-back', ['impact_share', '<', 60.5]);
    $this->actingAs($head)->post('/codebook/draft/try');
    $id = CodebookFlip::query()->where('fault', 'hang-back')->value('recording_id');
    $recording = Recording::query()->findOrFail($id);
    $this->get('/codebook/draft')->assertSee($recording->public_id);
    $reader = User::query()->where('role', 'instructor')->where('email', 'like', 'tam%')->firstOrFail();
    $round = app(App\Sittings\Actions\PlanRound::class)('Heads too', Core\Sight\SittingKind::Round, [$id],
        [$head->id, $reader->id], 'both', $head);
    app(App\Sittings\Actions\OpenRound::class)($round, $head);
    app()->forgetScopedInstances();
    $this->get('/codebook/draft')->assertOk()->assertDontSee($recording->public_id)->assertSee('left out');
    $sent = formSent($this->get('/codebook/draft/faults/hang-back'), 'draft-row');
    $this->postJson('/codebook/draft/faults/hang-back/look', $sent)->assertOk()
        ->assertDontSee($recording->public_id);
});

it('answers hostile forms with a sentence', function (array $with) {
    $this->actingAs($this->headCoach())->post('/codebook/draft');
    $sent = formSent($this->get('/codebook/draft/faults/hang-back'), 'draft-row');
    $before = CodebookDraft::open()->document;
    foreach (['putJson' => '', 'postJson' => '/look'] as $method => $path) {
        $response = $this->$method("/codebook/draft/faults/hang-back$path", array_replace($sent, $with));
        expect($response->status())->toBe(422)->and($response->json('message'))->not->toBe('');
    }
    expect(CodebookDraft::open()->document)->toBe($before);
})->with([
    'no rules' => [['rules' => 'x']],
    'a rule of text' => [['rules' => ['own' => ['supported' => '"x"', 'contradicted' => '["top_share","<",1]']]]],
    'deep' => [
        ['rules' => ['own' => ['supported' => str_repeat('["any",', 40).'["top_share","<",1]'.str_repeat(']', 40)]]],
    ],
    'endless' => [
        ['rules' => ['own' => ['supported' => '["top_share","<",1e999]', 'contradicted' => '["top_share",">",2]']]],
    ],
    'a place that is none' => [['rules' => ['lens/none-such' => ['supported' => '["top_share","<",1]']]]],
    'up and out' => [
        ['rules' => ['own' => ['supported' => '["../../etc","<",1]', 'contradicted' => '["top_share",">",1]']]],
    ],
    'an array for a text' => [['name' => ['x']]],
    'too long' => [['look_for' => str_repeat('x', 601)]],
    'nothing to see it on' => [['sights' => [['sight' => 'observable']]]],
    'evidence that is none' => [['sights' => [['needs' => ['smell'], 'sight' => 'observable']]]],
    'a station that is none' => [['station' => 'XX']],
    'bad UTF-8' => [['rules' => ['own' => ['supported' => "[\"top_share\xff\",\"<\",1]"]]]],
]);

it('keeps the order of faults and lenses, and every draft reads back as it was', function () {
    $draft = drafted($this, 'hang-back', ['impact_share', '<', 76.5])->fresh();
    expect($draft->codebook()->under('early-recentre')->keys())->toBe(Codebook::standard()->keys())
        ->and(array_keys($draft->codebook()->lenses()))->toBe(['early-recentre', 'loaded-top', 'quiet-centre'])
        ->and(Said::cases())->toHaveCount(7);
});
