<?php

use App\Audit\SubjectKeys;
use App\Models\Academy;
use App\Models\AuditEntry;
use App\Models\ConsentPaper;
use App\Models\Erasure;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\Recording;
use App\Operations\Retention;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** What a page says, without what is drawn anew each time. */
function steady(object $test, string $path): string
{
    return (string) preg_replace('/(csrf-token" content|name="_token" value)="[^"]*"/', '', $test->get($path)
        ->assertOk()->getContent());
}

it('erases a golfer on request: files gone, receipt given, published figures as before and marked', function () {
    array_map(Storage::fake(...), ['papers', 'films', 'exports']);
    $head = $this->headCoach();
    $spring = $this->round('Spring');
    $golfer = $spring->cases()->firstOrFail()->recording->golfer;
    $id = $golfer->id;
    $name = 'Zephyrine';
    $this->actingAs($head)->put("/golfers/$id", ['pseudonym' => $name, 'handedness' => $golfer->handedness,
        'is_minor' => '0', 'notes' => 'told me a secret']);
    $this->post("/golfers/$id/consents", ['scopes' => ['research'], 'given_on' => now()->toDateString(),
        'expires_on' => now()->addYear()->toDateString(),
        'paper' => UploadedFile::fake()->createWithContent('form.pdf', "%PDF-1.4\nx")])->assertSessionHas('done');
    $paper = ConsentPaper::query()->sole();
    $recordings = Recording::query()->where('golfer_id', $id)->get();
    $films = Film::query()->whereIn('recording_id', $recordings->modelKeys())->get();
    foreach ($films as $film) {
        Storage::disk('films')->put("$film->public_id/original.mp4", 'x');
    }
    Storage::disk('exports')->put("rounds/$spring->public_id-0000.zip", 'x');
    $figures = DB::table('result_parts')->orderBy('id')->get()->all();
    $entry = AuditEntry::query()->where('action', 'golfer-changed')->sole();
    $agreement = steady($this, "/agreement/$spring->public_id");
    expect($agreement)->not->toContain('erased');

    $this->delete("/golfers/$id", ['typed' => 'Else'])->assertSessionHas('refused');
    expect(Golfer::query()->whereKey($id)->whereNull('erased_at')->exists())->toBeTrue();
    $to = $this->delete("/golfers/$id", ['typed' => $name])->headers->get('Location');
    $receipt = Erasure::query()->sole();
    expect($to)->toEndWith("/erasures/$receipt->public_id");
    $this->get($to)->assertOk()->assertSee('Receipt of what was erased')->assertSee('Because of')->assertDontSee($name)
        ->assertSee('No backup that is kept here holds it');

    // Files.
    foreach ($films as $film) {
        expect(Storage::disk('films')->exists("$film->public_id/original.mp4"))->toBeFalse();
    }
    expect(Storage::disk('papers')->exists($paper->path()))->toBeFalse()
        ->and(Storage::disk('exports')->exists("rounds/$spring->public_id-0000.zip"))->toBeFalse();
    // Rows: nothing says the name, the notes or a sample any more.
    foreach (DB::table('pg_tables')->where('schemaname', 'public')->pluck('tablename') as $table) {
        $rows = json_encode(DB::table($table)->get()->all(),
            JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);
        expect(str_contains((string) $rows, $name))->toBeFalse("$table still says the name")
            ->and(str_contains((string) $rows, 'a secret'))->toBeFalse($table);
    }
    expect(DB::table('trace_channels')->whereIn('recording_id', $recordings->modelKeys())->exists())->toBeFalse()
        ->and(app(SubjectKeys::class)->open($entry->subject, (string) $entry->personal))->toBeNull()
        ->and(DB::table('consents')->where('golfer_id', $id)->exists())->toBeFalse();
    // Figures.
    expect(DB::table('result_parts')->orderBy('id')->get()->all())->toEqual($figures);
    $after = steady($this, "/agreement/$spring->public_id");
    expect($after)->toContain('erased');
    foreach ($recordings as $recording) {
        $this->get("/bench/$recording->public_id")->assertNotFound();
    }
    $this->get("/golfers/$id")->assertNotFound();
    $this->get('/golfers')->assertOk()->assertDontSee($name);
    foreach (['/', '/rounds', "/rounds/$spring->public_id", '/record', '/panel', '/shelf', '/people'] as $path) {
        $this->get($path)->assertDontSee($name);
    }
});

it('deletes a golfer whose swings nobody was asked about', function () {
    Storage::fake('films');
    $golfer = Golfer::query()->create(['pseudonym' => 'Nobody Yet', 'handedness' => 'right']);
    $this->actingAs($this->headCoach())->delete("/golfers/$golfer->id", ['typed' => 'Nobody Yet'])->assertRedirect();
    expect(Golfer::query()->whereKey($golfer->id)->exists())->toBeFalse();
    $this->actingAs($this->person('tam'))->get('/erasures/'.Erasure::query()->sole()->public_id)->assertNotFound();
});

it('lists what its rules would have gone, and erases only what was listed and ticked', function () {
    Storage::fake('films');
    $head = $this->actingAs($this->headCoach());
    $head->get('/academy/retention')->assertOk()->assertSee('Nothing, by these rules.');
    $head->put('/academy/retention', ['consent_days' => '0'])->assertSessionHasErrors();
    $head->put('/academy/retention', ['consent_days' => '30', 'film_days' => ''])->assertSessionHas('done');
    expect(app(Retention::class)->swings(Academy::here()))->toHaveCount(0);
    $all = Recording::query()->orderBy('id')->with('golfer')->get();
    Recording::query()->update(['created_at' => now()->subYear()]);
    $end = fn (Recording $r, array $as) => $r->golfer->consents()->update($as);
    $end($all[0], ['withdrawn_at' => now()->subDays(40)]);
    $end($all[1], ['given_on' => now()->subYear(), 'expires_on' => now()->subDays(31)]);
    $end($all[2], ['withdrawn_at' => now()->subDays(20)]);
    $would = app(Retention::class)->swings(Academy::here())->modelKeys();
    expect($would)->toContain($all[0]->id, $all[1]->id)->not->toContain($all[2]->id)->not->toContain($all[3]->id);
    $head->get('/academy/retention')->assertSee($all[0]->golfer->pseudonym);
    // One is unticked; another, never listed, is asked for all the same.
    $head->post('/academy/retention', ['swings' => [$all[1]->id, $all[3]->id]])->assertRedirect();
    expect($all[0]->refresh()->erased_at)->toBeNull()
        ->and($all[1]->refresh()->erased_at)->not->toBeNull()
        ->and($all[3]->refresh()->erased_at)->toBeNull()
        ->and(Erasure::query()->sole()->counts)->toEqual(['swings' => 1, 'films' => 0]);
});
