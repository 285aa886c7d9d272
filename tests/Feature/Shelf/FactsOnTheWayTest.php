<?php

use App\Models\Academy;
use App\Models\Film;
use App\Models\Golfer;
use App\Models\PendingImport;
use App\Models\Recording;
use App\Operations\Retention;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/** A file on its way in, of a mat. */
function onItsWay(object $test, Golfer $golfer): PendingImport
{
    $rows = ['t_s,lead_pct,trail_pct,copx_mm,copy_mm'];
    for ($i = 0; $i < 300; $i++) {
        $lead = 50 + 30 * sin($i / 37);
        $rows[] = sprintf('%.3f,%.2f,%.2f,%.2f,%.2f', $i / 100, $lead, 100 - $lead, 4.6 * ($lead - 50), sin($i / 8));
    }
    $test->actingAs($test->headCoach())->post('/imports', ['golfer' => $golfer->id,
        'trace' => UploadedFile::fake()->createWithContent('a.csv', implode("\n", $rows))]);

    return PendingImport::query()->sole();
}

it('takes facts with a file, and shows them again until it is kept', function () {
    $import = onItsWay($this, Golfer::query()->where('handedness', 'right')->firstOrFail());
    $facts = ['club' => 'wedge', 'swing' => 'drill', 'size' => 'short', 'loft_deg' => '54.5', 'shape' => 'fade',
        'effort_pct' => '60', 'has_ball' => '0', 'place' => '7', 'series' => 'north bay'];
    $this->put("/imports/$import->public_id", $facts)->assertSessionHasNoErrors();
    $page = $this->get("/imports/$import->public_id")->assertOk();
    foreach (['wedge', '54.5', 'fade', '60', 'north bay'] as $said) {
        $page->assertSee('value="'.$said.'"', false);
    }
    foreach ([['size' => 'huge'], ['loft_deg' => '99'], ['effort_pct' => '0'], ['place' => '501'],
        ['swing' => 'waggle'],
        ['has_ball' => 'maybe']] as $odd) {
        $this->put("/imports/$import->public_id", [...$facts, ...$odd])->assertSessionHasErrors();
    }
    $this->post("/imports/$import->public_id/finish")->assertSessionHas('done');
    expect(Recording::query()->latest('id')->firstOrFail()
        ->only(['club', 'swing', 'size', 'loft_deg', 'shape', 'effort_pct', 'has_ball', 'place', 'series']))->toBe([
            'club' => 'wedge', 'swing' => 'drill', 'size' => 'short', 'loft_deg' => 54.5, 'shape' => 'fade',
            'effort_pct' => 60, 'has_ball' => false, 'place' => 7, 'series' => 'north bay',
        ]);
});

it('leaves unknown what nobody said of a file', function () {
    $import = onItsWay($this, Golfer::query()->where('handedness', 'right')->firstOrFail());
    $this->post("/imports/$import->public_id/finish");
    expect(Recording::query()->latest('id')->firstOrFail()
        ->only(['swing', 'size', 'loft_deg', 'shape', 'effort_pct', 'has_ball', 'place', 'is_cold']))->toBe([
            'swing' => 'full', 'size' => null, 'loft_deg' => null, 'shape' => null, 'effort_pct' => null,
            'has_ball' => null, 'place' => null, 'is_cold' => false,
        ]);
});

it('lists films held longer than the rule allows, but for those a round under way shows', function () {
    $this->actingAs($this->headCoach())->put('/academy/retention', ['film_days' => '100', 'consent_days' => '']);
    Film::query()->delete();
    $film = fn (Recording $r, string $of, int $days) => DB::table('films')->insert(['public_id' => str_repeat($of, 26),
        'recording_id' => $r->id, 'view' => 'face-on', 'name' => "$of.mp4", 'bytes' => 9, 'state' => 'arriving',
        'received' => 0, 'created_at' => now()->subDays($days), 'updated_at' => now()]);
    $spring = $this->round('Spring')->cases()->with('swings')->get()->flatMap->swings->pluck('recording_id');
    $autumn = $this->round('Autumn')->cases()->with('swings')->get()->flatMap->swings->pluck('recording_id');
    $free = Recording::query()->whereKey($spring->diff($autumn))->with('golfer')->orderBy('id')->take(2)->get();
    $busy = Recording::query()->whereKey($autumn)->firstOrFail();
    $film($free[0], 'a', 101);
    $film($free[1], 'b', 99);
    $film($busy, 'c', 400);
    expect(app(Retention::class)->films(Academy::here())->pluck('name')->all())->toBe(['a.mp4']);
    $this->get('/academy/retention')->assertOk()->assertSee($free[0]->golfer->pseudonym);
    $ids = Film::query()->pluck('id')->all();
    $this->post('/academy/retention', ['films' => $ids])->assertRedirect();
    expect(Film::query()->pluck('name')->sort()->values()->all())->toBe(['b.mp4', 'c.mp4']);
});
