<?php

use App\Models\Recording;
use App\Operations\Actions\ExportLibrary;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

it('brings facts and flight of a bundle onto the Shelf, unless somebody says otherwise', function () {
    $r = Recording::query()->with('golfer')->orderBy('id')->firstOrFail();
    $r->update(['size' => 'half', 'loft_deg' => 31.5, 'effort_pct' => 80, 'has_ball' => true, 'place' => 2,
        'series' => 'third', 'shape' => 'fade', 'is_cold' => true]);
    $flight = $r->outcome;
    $bundle = ExportLibrary::bundle($r->refresh());
    DB::statement('truncate sittings, cases, recordings cascade');
    $take = function (array $says) use ($r, $bundle): Recording {
        DB::table('recordings')->delete();
        $this->actingAs($this->headCoach())->post('/imports', [
            'golfer' => $r->golfer_id,
            'trace' => UploadedFile::fake()->createWithContent('swing.json', $bundle),
        ]);
        $import = App\Models\PendingImport::query()->latest('id')->firstOrFail();
        $import->update(['settings' => [...$import->settings, ...$says]]);

        return app(App\Shelf\Actions\FinishImport::class)($import->refresh(), $this->headCoach());
    };
    $came = $take([])->refresh();
    expect($came->only(['size', 'loft_deg', 'effort_pct', 'has_ball', 'place', 'series', 'shape', 'is_cold']))
        ->toBe(['size' => 'half', 'loft_deg' => 31.5, 'effort_pct' => 80, 'has_ball' => true, 'place' => 2,
            'series' => 'third', 'shape' => 'fade', 'is_cold' => true])
        ->and($came->outcome)->toEqual($flight);
    expect($take(['size' => 'short', 'loft_deg' => '40', 'series' => 'mine'])->refresh()
        ->only(['size', 'loft_deg', 'series', 'effort_pct']))
        ->toBe(['size' => 'short', 'loft_deg' => 40.0, 'series' => 'mine', 'effort_pct' => 80]);
});
