<?php

use App\Academy\Pseudonyms;
use App\Audit\SubjectKeys;
use App\Models\AuditEntry;
use App\Models\Consent;
use App\Models\ConsentPaper;
use App\Models\Golfer;
use App\Models\GolferLimit;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlooker;
use Core\Sight\Scope;
use Core\Sight\SittingKind;
use Core\Sight\Thing;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** @return array<string, mixed> a golfer's form */
function golferForm(array $change = []): array
{
    return ['pseudonym' => 'Osier', 'handedness' => 'left', 'height_cm' => '176', 'mass_kg' => '71.5',
        'born_year' => '1961', 'is_minor' => '0', ...$change];
}

/** @return array<string, mixed> a consent's form */
function consentForm(array $scopes, array $change = []): array
{
    return ['scopes' => array_map(fn (Scope $s): string => $s->value, $scopes), 'given_on' => now()->toDateString(),
        'expires_on' => now()->addYear()->toDateString(), ...$change];
}

/** Only these uses are agreed to. */
function agree(Golfer $golfer, Scope ...$to): void
{
    $golfer->consents()->delete();
    foreach ($to as $scope) {
        $golfer->consents()->create(['scope' => $scope, 'given_on' => now()->subDay(), 'expires_on' => now()
            ->addYear()]);
    }
}

it('takes up a golfer under a name that is nobody’s', function () {
    $this->actingAs($this->headCoach());
    $page = $this->get('/golfers')->assertOk();
    $suggested = app(Pseudonyms::class)->free(200, 'x');
    expect(count(array_unique($suggested)))->toBe(200)
        ->and(array_intersect(Golfer::query()->pluck('pseudonym')->all(), $suggested))->toBe([]);
    foreach (['Tam', 'tam brackley', 'ASHDOWN', Golfer::query()->value('pseudonym'),
        strtoupper((string) Golfer::query()->value('pseudonym'))] as $name) {
        $this->post('/golfers', golferForm(['pseudonym' => $name]))->assertSessionHas('refused');
    }
    foreach ([['height_cm' => '17'], ['mass_kg' => '7000'], ['born_year' => '2999'], ['handedness' => 'both'],
        ['pseudonym' => ''], ['mass_kg' => 'NaN'], ['born_year' => ['x']]] as $odd) {
        $this->post('/golfers', golferForm($odd))->assertSessionHasErrors();
    }
    $this->post('/golfers', golferForm())->assertRedirect();
    $golfer = Golfer::query()->where('pseudonym', 'Osier')->sole();
    expect($golfer->mass_kg)->toBe(71.5)->and($golfer->mayBeMinor())->toBeFalse();
    $this->get("/golfers/$golfer->id")->assertOk()->assertSee('left-handed')->assertSee('not agreed');
    $page->assertSee('Take up a golfer');
});

it('keeps personal values out of the record, but under the golfer’s own key', function () {
    $this->actingAs($this->headCoach());
    $this->post('/golfers', golferForm());
    $golfer = Golfer::query()->where('pseudonym', 'Osier')->sole();
    $this->put("/golfers/$golfer->id", golferForm(['pseudonym' => 'Willow', 'notes' => 'knee since spring']));
    $entry = AuditEntry::query()->where('action', 'golfer-changed')->sole();
    $kept = json_encode(DB::table('audit_entries')->where('id', $entry->id)->first());
    expect($kept)->not->toContain('Osier')->not->toContain('Willow')->not->toContain('knee')
        ->and($entry->subject)->toBe("golfer $golfer->id")
        ->and($entry->details['fields'])->toContain('pseudonym');
    $keys = app(SubjectKeys::class);
    expect($keys->open($entry->subject, $entry->personal))->toMatchArray([
        'before' => ['pseudonym' => 'Osier', 'notes' => null],
        'after' => ['pseudonym' => 'Willow', 'notes' => 'knee since spring'],
    ]);
    $this->get('/record')->assertOk()->assertSee('Willow')->assertDontSee('knee since spring');
    $keys->forget($entry->subject);
    expect($keys->open($entry->subject, $entry->personal))->toBeNull();
    // Another subject's key opens nothing of it.
    $keys->seal('golfer 999', ['a' => 1]);
    expect($keys->open('golfer 999', $entry->personal))->toBeNull();
});

it('does not turn the hand of a golfer whose swings were read by it', function () {
    $golfer = Recording::query()->firstOrFail()->golfer;
    $other = $golfer->handedness === 'left' ? 'right' : 'left';
    $this->actingAs($this->headCoach())
        ->put("/golfers/$golfer->id", golferForm(['pseudonym' => $golfer->pseudonym, 'handedness' => $other]))
        ->assertSessionHas('refused');
    expect($golfer->refresh()->handedness)->not->toBe($other);
});

it('notes limits by code, with dates and clearance, and shows them where the swing is read', function () {
    $this->actingAs($this->headCoach());
    $recording = Recording::query()->firstOrFail();
    $golfer = $recording->golfer;
    $this->post("/golfers/$golfer->id/limits", ['region' => 'knee', 'severity' => 'avoid'])
        ->assertSessionHas('refused');
    $this->post("/golfers/$golfer->id/limits", ['region' => 'tail', 'severity' => 'avoid'])->assertSessionHasErrors();
    $this->post("/golfers/$golfer->id/limits", ['region' => 'knee', 'side' => 'trail', 'severity' => 'not-cleared',
        'since' => '2026-03-01', 'cleared_until' => '2026-05-01', 'note' => 'told by the physiotherapist'])
        ->assertSessionHas('done');
    $this->post("/golfers/$golfer->id/limits", ['region' => 'back', 'side' => 'lead', 'severity' => 'careful',
        'is_cleared' => '1', 'cleared_until' => now()->subDay()->toDateString()])->assertSessionHas('done');
    $limit = GolferLimit::query()->where('golfer_id', $golfer->id)->where('region', 'knee')->sole();
    expect($limit->cleared_until)->toBeNull()->and($limit->isClearedNow())->toBeFalse();
    $this->get("/golfers/$golfer->id")->assertSee('trail knee: not cleared')->assertSee('told by the physiotherapist')
        ->assertSee('clearance ended on');
    $this->get("/bench/$recording->public_id")->assertSee('trail knee: not cleared');
    $other = Golfer::query()->whereKeyNot($golfer->id)->firstOrFail();
    $this->delete("/golfers/$other->id/limits/$limit->id")->assertNotFound();
    $this->delete("/golfers/$golfer->id/limits/$limit->id")->assertSessionHas('done');
    $this->get("/bench/$recording->public_id")->assertDontSee('trail knee:');
    $this->get("/golfers/$golfer->id")->assertSee('trail knee');
});

it('records a consent with its scopes, and keeps the form encrypted', function () {
    Storage::fake('papers');
    $this->actingAs($this->headCoach());
    $this->post('/golfers', golferForm());
    $golfer = Golfer::query()->where('pseudonym', 'Osier')->sole();
    $scan = "%PDF-1.4\nSigned by somebody\n%%EOF\n";
    $file = fn (string $bytes, string $name) => UploadedFile::fake()->createWithContent($name, $bytes);
    $this->post("/golfers/$golfer->id/consents", consentForm([Scope::Lessons], ['paper' => $file('<html>', 'a.pdf')]))
        ->assertSessionHas('refused');
    expect($golfer->consents()->exists())->toBeFalse();
    $this->post("/golfers/$golfer->id/consents", consentForm([Scope::Lessons, Scope::DebriefFilm],
        ['paper' => $file($scan, 'form of Mr Real Name.pdf')]))->assertSessionHas('done');
    $paper = ConsentPaper::query()->sole();
    $held = (string) Storage::disk('papers')->get($paper->path());
    expect($held)->not->toContain('Signed')
        ->and(json_encode(DB::table('consent_papers')->get()))->not->toContain('Real')
        ->and($golfer->refresh()->consentsTo(Scope::Lessons))->toBeTrue()
        ->and($golfer->consentsTo(Scope::StaffTraining))->toBeFalse();
    $down = $this->get("/golfers/$golfer->id/papers/$paper->public_id")->assertOk()
        ->assertHeader('Content-Type', 'application/pdf');
    expect($down->getContent())->toBe($scan)
        ->and($down->headers->get('Content-Disposition'))->toStartWith('attachment');
    $other = Golfer::query()->whereKeyNot($golfer->id)->firstOrFail();
    $this->get("/golfers/$other->id/papers/$paper->public_id")->assertNotFound();
    $this->actingAs($this->person('tam'))->get("/golfers/$golfer->id/papers/$paper->public_id")->assertNotFound();
    // Changed where it lies, it is not handed out as if it were the form.
    Storage::disk('papers')->put($paper->path(), substr($held, 0, -9).'AAAA'.substr($held, -5));
    $this->actingAs($this->headCoach())->get("/golfers/$golfer->id/papers/$paper->public_id")
        ->assertSessionHas('refused');
});

it('has no consent of a minor without a guardian, by word or by year', function () {
    $this->actingAs($this->headCoach());
    foreach ([['pseudonym' => 'Reed', 'is_minor' => '1', 'born_year' => ''],
        ['pseudonym' => 'Sedge', 'born_year' => (string) (now()->year - 17)]] as $as) {
        $this->post('/golfers', golferForm($as));
        $golfer = Golfer::query()->where('pseudonym', $as['pseudonym'])->sole();
        $to = [Scope::Lessons, Scope::StaffTraining];
        $this->post("/golfers/$golfer->id/consents", consentForm($to))->assertSessionHas('refused');
        // Written past the page it counts for nothing either, on pages and in queries alike.
        agree($golfer, ...$to);
        expect($golfer->refresh()->consentsTo(...$to))->toBeFalse()
            ->and(Golfer::query()->consenting(...$to)->whereKey($golfer->id)->exists())->toBeFalse();
        $this->post("/golfers/$golfer->id/consents", consentForm($to, ['guardian' => 'a parent']));
        expect($golfer->refresh()->consentsTo(...$to))->toBeTrue()
            ->and(Golfer::query()->consenting(...$to)->whereKey($golfer->id)->exists())->toBeTrue();
    }
});

it('says the same of consents one by one and in a query, whatever the golfer is', function () {
    $n = 0;
    $golfer = Golfer::query()->create(['pseudonym' => 'Any', 'handedness' => 'right']);
    foreach ([false, true] as $minor) {
        foreach ([null, now()->year - 40, now()->year - 19, now()->year - 18, now()->year - 3] as $born) {
            foreach ([null, 'a parent'] as $guardian) {
                foreach ([null, now()] as $withdrawn) {
                    foreach ([now()->subDay(), now(), now()->addDay()] as $until) {
                        $golfer->update(['is_minor' => $minor, 'born_year' => $born]);
                        $golfer->consents()->delete();
                        $golfer->consents()->create(['scope' => Scope::Research, 'given_on' => now()->subYear(),
                            'expires_on' => $until, 'guardian' => $guardian, 'withdrawn_at' => $withdrawn]);
                        $one = $golfer->fresh('consents')->consentsTo(Scope::Research);
                        expect(Golfer::query()->whereKey($golfer->id)->consenting(Scope::Research)->exists())
                            ->toBe($one);
                        $n += $one ? 1 : 0;
                    }
                }
            }
        }
    }
    expect($n)->toBe(26);
});

it('shows a swing for what was agreed to only: lessons to the head coach, staff training to readers', function () {
    $head = $this->headCoach();
    $tam = $this->person('tam');
    $spring = $this->round('Spring');
    $recording = $spring->cases()->firstOrFail()->recording;
    $golfer = $recording->golfer;
    $sees = fn (User $u): array => [(new Onlooker($u))->sees($recording), $this->actingAs($u)
        ->get("/bench/$recording->public_id")->status()];
    expect($sees($head))->toBe([true, 200])->and($sees($tam))->toBe([true, 200]);
    agree($golfer, Scope::Lessons);
    expect($sees($head))->toBe([true, 200])->and($sees($tam))->toBe([false, 404]);
    // Looked at in a lesson it is no case of a round, and what the round said of it is not shown.
    expect((new Onlooker($head))->seenCases([$spring], Thing::Key))
        ->not->toHaveKey("$spring->id.{$spring->cases()->firstOrFail()->case_id}");
    $this->actingAs($head)->get('/rounds/plan/choices?find='.urlencode($golfer->pseudonym))
        ->assertDontSee('value="'.$recording->id.'"', false);
    $this->post('/rounds', ['name' => 'No', 'kind' => 'round', 'recordings' => [$recording->id],
        'members' => [$tam->id], 'show' => 'both', 'lens' => 'early-recentre'])->assertSessionHas('refused');
    agree($golfer, Scope::StaffTraining);
    expect($sees($head))->toBe([true, 200])->and($sees($tam))->toBe([true, 200]);
    agree($golfer, Scope::DebriefFilm, Scope::Research, Scope::TeachingMaterial);
    expect($sees($head))->toBe([false, 404])->and($sees($tam))->toBe([false, 404]);
});

it('takes a consent back at once, everywhere, and drops what was on its way to the Shelf', function () {
    Storage::fake('imports');
    $tam = $this->person('tam');
    $reading = $this->openReading($tam);
    $recording = $reading->case->recording;
    $golfer = $recording->golfer;
    $this->actingAs($tam)->get("/read/$reading->public_id/evidence/1")->assertOk();
    Storage::disk('imports')->put('imports/x.csv', 'x');
    DB::table('imports')->insert(['public_id' => '01j0000000000000000000zzzz', 'user_id' => $this->headCoach()->id,
        'golfer_id' => $golfer->id, 'path' => 'imports/x.csv', 'file_name' => 'x.csv', 'format' => 'csv',
        'checksum' => str_repeat('0', 64),
        'settings' => '{}', 'created_at' => now(), 'updated_at' => now()]);
    $head = $this->actingAs($this->headCoach());
    $head->delete("/golfers/$golfer->id/consents", ['scopes' => ['staff-training']])->assertSessionHas('done');
    expect(DB::table('imports')->exists())->toBeTrue();
    $this->actingAs($tam)->get("/read/$reading->public_id/evidence/1")->assertGone();
    $this->actingAs($tam)->get("/read/$reading->public_id")->assertGone();
    $head = $this->actingAs($this->headCoach());
    $head->delete("/golfers/$golfer->id/consents", ['scopes' => array_column(Scope::cases(), 'value')]);
    expect(DB::table('imports')->exists())->toBeFalse()
        ->and(Storage::disk('imports')->exists('imports/x.csv'))->toBeFalse();
    $head->get("/bench/$recording->public_id")->assertNotFound();
    $head->get('/golfers?consent=none')->assertSee($golfer->pseudonym);
    expect(Consent::query()->where('golfer_id', $golfer->id)->whereNotNull('withdrawn_at')->count())->toBe(3);
});

it('reminds of what runs out and was not renewed', function () {
    $golfer = Golfer::query()->firstOrFail();
    Consent::query()->update(['expires_on' => now()->addYear()]);
    $this->actingAs($this->headCoach())->get('/')->assertDontSee('Consents running out');
    $golfer->consents()->update(['expires_on' => now()->addDays(9)]);
    $this->get('/')->assertSee('Consents running out')->assertSee("/golfers/$golfer->id");
    $this->get('/golfers?consent=ending')->assertSee($golfer->pseudonym);
    $this->post("/golfers/$golfer->id/consents", consentForm(Scope::cases()));
    $this->get('/')->assertDontSee('Consents running out');
});

it('never puts a person’s own swing before them, and counts it in none of their figures', function () {
    $tam = $this->person('tam');
    $head = $this->headCoach();
    $recordings = Recording::query()->orderBy('id')->get();
    $mine = $recordings[0];
    // Read before anybody said whose it is: it counts no more.
    $spring = $this->round('Spring');
    $counted = fn (): int => App\Agreement\RoundInputs::handedIn($spring)->where('readings.user_id', $tam->id)->count();
    $before = $counted();
    $this->actingAs($head)->put("/people/$tam->id", ['name' => $tam->name, 'role' => 'instructor', 'on_panel' => '0',
        'golfer' => $mine->golfer_id])->assertSessionHas('done');
    $tam->refresh();
    $own = $recordings->where('golfer_id', $mine->golfer_id);
    $there = $spring->cases()->with('recording')->get()->whereIn('recording.golfer_id', [$mine->golfer_id])->count();
    expect($there)->toBeGreaterThan(0)->and($counted())->toBe($before - $there);
    foreach ($own as $recording) {
        $this->actingAs($tam)->get("/bench/$recording->public_id")->assertNotFound();
        $this->actingAs($tam)->get("/bench/$recording->public_id/evidence")->assertNotFound();
    }
    // In a new round the others read it; nobody deals it to Tam.
    $kit = $this->person('kit');
    $round = app(App\Sittings\Actions\PlanRound::class)('Whose', SittingKind::Round,
        $recordings->take(3)->modelKeys(), [$tam->id, $kit->id], 'both', $head);
    app(App\Sittings\Actions\OpenRound::class)($round, $head);
    $dealt = fn (User $u): array => $round->readings()->where('user_id', $u->id)->with('case.recording')->get()
        ->map(fn ($r) => $r->case->recording->golfer_id)->all();
    expect($dealt($tam))->not->toContain($mine->golfer_id)->and($dealt($kit))->toContain($mine->golfer_id);
    $this->actingAs($head)->get("/rounds/$round->public_id")->assertSee('not put before Tam Brackley');
    // A reading that was open when it was said whose it is asks for nothing any more.
    $open = App\Models\Reading::query()->whereNull('handed_in_at')->whereNot('user_id', $tam->id)
        ->whereHas('case.sitting', fn ($q) => $q->where('id', $this->round('Autumn')->id))->firstOrFail();
    $ines = User::query()->findOrFail($open->user_id);
    $tam->forceFill(['golfer_id' => null])->save();
    $ines->forceFill(['golfer_id' => $open->case->recording->golfer_id])->save();
    $this->actingAs($ines)->get("/read/$open->public_id")->assertNotFound();
    $this->actingAs($ines)->get("/read/$open->public_id/evidence/1")->assertNotFound();
    $this->actingAs($ines)->get('/')->assertOk();
    // One golfer is one person.
    $this->actingAs($head)->put("/people/$tam->id", ['name' => $tam->name, 'role' => 'instructor', 'on_panel' => '0',
        'golfer' => $ines->golfer_id])->assertSessionHas('refused');
});

it('records a consent for several at once, leaves minors out, and takes it back within the minute', function () {
    $golfers = Golfer::query()->orderBy('id')->take(3)->get();
    $golfers[2]->update(['is_minor' => true]);
    $ids = $golfers->modelKeys();
    $before = Consent::query()->count();
    $form = consentForm([Scope::Research, Scope::TeachingMaterial]);
    $this->actingAs($this->headCoach())->post('/golfers/consents', ['golfers' => $ids, ...$form])
        ->assertSessionHas('done', 'Recorded for 2 golfers.')
        ->assertSessionHas('refused', "Left out, since a guardian agrees for each: {$golfers[2]->pseudonym}.");
    expect(Consent::query()->count())->toBe($before + 4)
        ->and($golfers[0]->fresh('consents')->consentsTo(Scope::Research))->toBeTrue();
    $this->post('/undo/'.App\Models\Undo::query()->sole()->public_id)->assertSessionHas('done');
    expect(Consent::query()->count())->toBe($before)
        ->and($golfers[0]->fresh('consents')->consentsTo(Scope::Research))->toBeFalse()
        ->and(AuditEntry::query()->where('action', 'consent-unrecorded')->count())->toBe(2);
    foreach ([['golfers' => []], ['scopes' => []], ['scopes' => ['anything']], ['golfers' => 'x'],
        ['expires_on' => '2000-01-01']] as $odd) {
        $this->post('/golfers/consents', ['golfers' => $ids, ...$form, ...$odd])->assertSessionHasErrors();
    }
    $this->actingAs($this->person('tam'))->post('/golfers/consents', ['golfers' => $ids, ...$form])->assertForbidden();
});
