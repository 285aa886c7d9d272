<?php

use App\Models\Golfer;
use App\Models\PendingImport;
use App\Models\Recording;
use App\Shelf\FileNames;
use Illuminate\Http\UploadedFile;

/** A mat's trace, another one for each number. */
function batchCsv(int $n): string
{
    $rows = ['t_s,lead_pct,trail_pct,copx_mm,copy_mm'];
    for ($i = 0; $i < 300; $i++) {
        $lead = 50 + 30 * sin($i / 40) + $n / 10;
        $rows[] = sprintf('%.3f,%.2f,%.2f,%.2f,%.2f', $i / 100, $lead, 100 - $lead, 4.6 * ($lead - 50), sin($i / 9));
    }

    return implode("\n", $rows)."\n";
}

it('reads off a name whose it is, on which day, and which one', function (string $name, ?int $golfer, ?string $day,
    ?int $place) {
    $names = new FileNames([1 => 'Osier', 2 => 'Oak', 3 => 'Oak 2', 4 => 'Red Start']);
    expect($names->of($name))->toBe(compact('golfer', 'day', 'place'));
})->with([
    ['osier_2026-11-20_03.csv', 1, '2026-11-20', 3],
    ['2026-11-20 OSIER 12.c3d', 1, '2026-11-20', 12],
    ['Osier-20261120-7.json', 1, '2026-11-20', 7],
    ['oak-2-swing-4.csv', 3, null, 4],
    ['oak.csv', 2, null, null],
    ['red_start_1.csv', 4, null, 1],
    ['osier and oak.csv', 1, null, null],
    ['osiers.csv', null, null, null],
    ['swing7iron_2.csv', null, null, 2],
    ['2026-13-45_osier.csv', 1, null, 45],
    ['IMG_2026.csv', null, null, null],
    ['', null, null, null],
]);

it('brings twelve files at once, matched to their golfers and side-cars, and puts them on the Shelf together',
    function () {
        [$one, $two] = Golfer::query()->where('handedness', 'right')->orderBy('id')->take(2)->get()->all();
        $files = [];
        for ($i = 1; $i <= 6; $i++) {
            $files[] = UploadedFile::fake()->createWithContent("{$one->pseudonym}_2026-11-20_0$i.csv", batchCsv($i));
        }
        for ($i = 1; $i <= 5; $i++) {
            $files[] = UploadedFile::fake()->createWithContent("unnamed-$i.csv", batchCsv(100 + $i));
        }
        $files[] = UploadedFile::fake()->createWithContent('broken.csv', "t_s,lead_pct\n0,x\n");
        $files[] = UploadedFile::fake()->createWithContent(
            "{$one->pseudonym}_2026-11-20_01.json",
            (string) json_encode(['mass_kg' => 77.0, 'handedness' => 'right', 'club' => 'seven iron',
                'swing' => 'part']),
        );
        $before = Recording::query()->count();
        $this->actingAs($this->headCoach());
        $to = $this->post('/imports/batches', ['golfer' => $two->id, 'files' => $files])->headers->get('Location');
        $page = $this->get($to)->assertOk()->assertSee('12 files, 11 of them ready')->assertSee('seven iron');
        $imports = PendingImport::query()->orderBy('id')->get();
        expect($imports)->toHaveCount(12)
            ->and($imports->pluck('golfer_id')->countBy()->all())->toBe([$one->id => 6, $two->id => 6])
            ->and($imports[0]->meta_name)->not->toBeNull()
            ->and($imports[2]->settings)->toEqual(['series' => '2026-11-20', 'place' => 3])
            ->and($imports[7]->settings)->toBe([]);
        // A person sets right: the last of the unnamed ones is the first golfer's, and all were hybrids.
        $rows = [];
        foreach ($imports as $i => $import) {
            $rows[$import->public_id] = ['golfer' => $i === 10 ? $one->id : $import->golfer_id, 'club' => 'hybrid',
                'swing' => 'full', 'shape' => 'draw', 'series' => $import->settings['series'] ?? '',
                'place' => $import->settings['place'] ?? ''];
        }
        $this->put($to, ['rows' => $rows])->assertRedirect($to);
        $this->post($to, ['rows' => $rows])->assertRedirect($to)->assertSessionHas('refused');
        expect(Recording::query()->count())->toBe($before + 11)->and(PendingImport::query()->count())->toBe(1);
        $kept = Recording::query()->orderBy('id')->skip($before)->take(20)->get();
        expect($kept->pluck('golfer_id')->countBy()->all())->toBe([$one->id => 7, $two->id => 4])
            ->and($kept->pluck('shape')->unique()->all())->toBe(['draw'])
            ->and($kept[0]->mass_kg)->toBe(77.0)
            ->and($kept[3]->only(['series', 'place']))->toBe(['series' => '2026-11-20', 'place' => 4]);
        // Sent again it is the same again: nothing twice.
        $again = $this->post('/imports/batches', ['golfer' => $two->id, 'files' => array_slice($files, 0, 3)])
            ->headers->get('Location');
        $this->post($again)->assertSessionHas('refused');
        expect(Recording::query()->count())->toBe($before + 11);
    });

it('lets one file go the way of one file, and none no way', function () {
    $golfer = Golfer::query()->where('handedness', 'right')->firstOrFail();
    $this->actingAs($this->headCoach());
    $to = $this->post('/imports/batches', ['golfer' => $golfer->id,
        'files' => [UploadedFile::fake()->createWithContent('a.csv', batchCsv(1))]])->headers->get('Location');
    expect($to)->toContain('/imports/'.PendingImport::query()->sole()->public_id);
    $this->post('/imports/batches', ['golfer' => $golfer->id])->assertSessionHasErrors('files');
    $this->post('/imports/batches', ['golfer' => $golfer->id, 'files' => 'x'])->assertSessionHasErrors('files');
    $this->post('/imports/batches', ['golfer' => $golfer->id, 'files' => ['x']])->assertSessionHasErrors();
    $this->actingAs($this->person('tam'))->post('/imports/batches', ['golfer' => $golfer->id])->assertForbidden();
});

it('keeps one person’s files to that person', function () {
    $golfer = Golfer::query()->where('handedness', 'right')->firstOrFail();
    $to = $this->actingAs($this->headCoach())->post('/imports/batches', ['golfer' => $golfer->id, 'files' => [
        UploadedFile::fake()->createWithContent('a.csv', batchCsv(1)),
        UploadedFile::fake()->createWithContent('b.csv', batchCsv(2)),
    ]])->headers->get('Location');
    $other = App\Models\User::query()->create(['name' => 'Else', 'email' => 'e@f.example', 'password' => 'x',
        'role' => 'head-coach']);
    $this->actingAs($other)->get($to)->assertNotFound();
    $this->post($to)->assertRedirect();
    expect(PendingImport::query()->count())->toBe(2);
});
