<?php

use App\Models\Reading;
use App\Models\Sitting;
use Core\Codebook\Codebook;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;

/*
 * Windows of one person that save the same sheet at the same time, each change sent twice, while the round is closed
 * somewhere among them. The processes are real and so are their transactions.
 */

it('keeps every acknowledged change once and nothing that was refused, whatever windows save at one time', function (bool $closes) {
    onACopy($this, function (string $database) use ($closes): void {
        $id = $this->openReading($this->person('tam'))->id;
        $faults = array_chunk(Codebook::standard()->keys(), 5);
        $barrier = sys_get_temp_dir().'/barrier-'.bin2hex(random_bytes(6));
        $windows = collect(range(0, 3))->map(static fn (int $n) => Process::path(base_path())
            ->env(['DB_DATABASE' => $database, 'APP_ENV' => 'testing'])
            ->timeout(120)
            ->start([
                PHP_BINARY, 'tests/Feature/Sittings/save.php', (string) $id, "w-window-$n", implode(',', $faults[$n]), $barrier,
            ]));
        $boots = static fn ($p): bool => $p->running() && ! str_contains($p->output(), 'ready');
        while ($windows->contains($boots)) {
            usleep(3000);
        }
        touch($barrier);
        if ($closes) {
            usleep(1000 * mt_rand(20, 150));
            DB::transaction(static function () use ($id): void {
                $sitting = Reading::query()->with('case')->findOrFail($id)->case->sitting_id;
                Sitting::query()->whereKey($sitting)->lockForUpdate()->firstOrFail();
                DB::table('sittings')->where('id', $sitting)->update(['state' => 'closed', 'closed_at' => now()]);
            });
        }
        $said = $windows->flatMap(static function ($process): array {
            $result = $process->wait();
            expect($result->successful())->toBeTrue($result->errorOutput().$result->output());

            return explode("\n", trim($result->output()));
        });
        unlink($barrier);
        $of = static fn (string $what): array => $said
            ->filter(static fn (string $line): bool => str_starts_with($line, "$what "))
            ->map(static fn (string $line): array => json_decode(substr($line, strlen($what) + 1), true))
            ->values()
            ->all();
        [$applied, $refused] = [$of('applied'), $of('refused')];
        $kept = DB::table('reading_changes')->where('reading_id', $id)->orderBy('id')->get();
        $ids = static fn (array $changes): array => collect($changes)->pluck('id')->sort()->values()->all();
        expect($kept->pluck('client_id')->sort()->values()->all())->toBe($ids($applied))
            ->and(array_intersect($ids($refused), $kept->pluck('client_id')->all()))->toBe([])
            // Each has a version of its own, one after the other.
            ->and($kept->pluck('version')->all())->toBe($kept->isEmpty() ? [] : range(1, $kept->count()));
        $reading = Reading::query()->with('calls')->findOrFail($id);
        $calls = collect($applied)->filter(static fn (array $c): bool => $c['target'] !== 'cue');
        expect($reading->version)->toBe($kept->count())
            ->and($reading->calls->pluck('confidence', 'fault')->sortKeys()->all())
            ->toBe($calls->mapWithKeys(static fn (array $c): array => [substr($c['target'], 5) => $c['value']['confidence']])
                ->sortKeys()->all());
        $cue = $kept->last(static fn (object $c): bool => $c->target === 'cue');
        expect($reading->cue)->toBe($cue === null ? '' : json_decode($cue->value));
        if (! $closes) {
            expect($calls)->toHaveCount(20)
                // The cue was wanted by all: somebody came too late.
                ->and(count($refused))->toBeGreaterThan(0);
        }
    });
})->with(['all the way' => [false], 'until the round closes' => [true]]);
