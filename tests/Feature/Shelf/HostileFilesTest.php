<?php

use App\Models\Golfer;
use App\Models\PendingImport;
use App\Models\Recording;
use App\Shelf\Actions\MeasureRecording;
use App\Sight\Onlookers;
use Core\Chance\Chance;
use Core\Format\Json\StanceJson;
use Core\Trace\Stance;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

require_once __DIR__.'/hostile-files.php';

it('takes, shows or refuses whatever file is sent to it, in a sentence', function () {
    $head = $this->headCoach();
    $golfer = Golfer::query()->orderBy('id')->firstOrFail()->id;
    $kinds = hostileFileKinds();
    $told = [];
    $last = Recording::query()->max('id');
    $meta = json_encode(['mass_kg' => 80, 'handedness' => 'right', 'club' => 'hybrid',
        'stance' => StanceJson::write(Stance::ofWidth(460.0)), 'device' => ['name' => 'studio']]);
    foreach (range(1, many(1, 8)) as $time) {
        foreach ($kinds as $kind => $make) {
            [$name, $bytes] = $make(new Chance("hostile|$kind|$time"));
            app(Onlookers::class)->forget();
            DB::beginTransaction();
            $from = hrtime(true);
            memory_reset_peak_usage();
            $before = memory_get_usage();
            $says = '';
            $sent = $this->actingAs($head)->post('/imports', [
                'golfer' => $golfer, 'trace' => UploadedFile::fake()->createWithContent($name, $bytes),
                'meta' => UploadedFile::fake()->createWithContent('swing.json', $meta),
            ]);
            $took = ['sent' => (hrtime(true) - $from) / 1e9];
            expect($sent->getStatusCode())->toBe(302, "$kind: ".($sent->exception?->getMessage() ?? ''));
            $import = PendingImport::query()->latest('id')->first();
            if ($import !== null && str_contains((string) $sent->headers->get('Location'), $import->public_id)) {
                foreach (['shown' => fn () => $this->get("/imports/$import->public_id"), 'finished' => fn () => $this->post("/imports/$import->public_id/finish")] as $what => $do) {
                    $from = hrtime(true);
                    $answer = $do();
                    $took[$what] = (hrtime(true) - $from) / 1e9;
                    $says = session('refused') ?? session('done') ?? $says;
                    expect($answer->getStatusCode())->toBeIn([200, 302], "$kind, $what: ".($answer->exception?->getMessage() ?? ''));
                }
            }
            $kept = Recording::query()->latest('id')->firstOrFail();
            if ($kept->id > $last) {
                $from = hrtime(true);
                app(MeasureRecording::class)($kept);
                $took['measured'] = (hrtime(true) - $from) / 1e9;
            }
            $told[] = sprintf('%-40s %4d KB %s peak %d MB', $kind, strlen($bytes) >> 10, implode(' ', array_map(
                static fn (string $k, float $s): string => sprintf('%s %.2f s', $k, $s), array_keys($took), $took,
            )), (memory_get_peak_usage() - $before) >> 20).' '.mb_substr(mb_scrub((string) ($says ?: session('refused'))), 0, 90);
            while (DB::transactionLevel() > 1) {
                DB::rollBack();
            }
        }
    }
    if (getenv('VC_TELL')) {
        file_put_contents(getenv('VC_TELL'), implode("\n", $told)."\n");
    }
})->group('study');
