<?php

use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Sittings\Actions\CloseRound;
use App\Works\Progress;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;

/*
 * Nothing acknowledged is lost when a round closes. The processes are real and so are their transactions: the demo laid
 * for the other tests is copied into a database of its own.
 */

it('has every acknowledged hand-in among the inputs of the key, whenever the panel closes', function () {
    onACopy($this, function (string $database): void {
        $members = User::query()->where('role', 'panel')->orderBy('id')->limit(4)->get();
        $head = User::query()->where('role', 'head-coach')->firstOrFail();
        $ids = App\Models\Recording::query()->orderBy('id')->pluck('id')->all();
        $late = 0;
        // Until the closing fell among them at least once.
        for ($n = 0; $n < many(6, 20) || ($late === 0 && $n < 30); $n++) {
            $round = app(App\Sittings\Actions\PlanRound::class)(
                "Race $n",
                Core\Sight\SittingKind::Panel,
                $ids,
                $members->pluck('id')->all(),
                'both',
                $head,
            );
            app(App\Sittings\Actions\OpenRound::class)->carryOut($round, $head, Progress::untold());
            $readings = Reading::query()
                ->whereIn('sitting_case_id', $round->cases()->select('id'))
                ->orderBy('id')
                ->pluck('id');
            DB::statement(
                "insert into calls (reading_id, fault, presence, confidence) select r.id, f.key, 'absent', 70 from "
                    .'readings r, unnest(?::text[]) f (key) where r.id = any (?::bigint[])',
                [
                    '{'.implode(',', Core\Codebook\Codebook::standard()->keys()).'}',
                    '{'.$readings->implode(',').'}',
                ],
            );
            // Four hands a process, eight processes, all from one moment on; the closing somewhere among them.
            $barrier = sys_get_temp_dir().'/barrier-'.bin2hex(random_bytes(6));
            $processes = $readings->chunk(4)->map(
                static fn ($chunk) => Process::path(base_path())
                    ->env(['DB_DATABASE' => $database, 'APP_ENV' => 'testing'])
                    ->start([PHP_BINARY, 'tests/Feature/Sittings/hand-in.php', $chunk->implode(','), $barrier]),
            );
            $boots = static fn ($p): bool => $p->running() && ! str_contains($p->output(), 'ready');
            while ($processes->contains($boots)) {
                usleep(3000);
            }
            touch($barrier);
            usleep(1000 * mt_rand(0, 60));
            for (; ;) {
                // Once nobody hands in any more, what is refused is refused for good.
                $over = ! $processes->contains(static fn ($p): bool => $p->running());
                try {
                    app(CloseRound::class)->now($round, $head);
                    break;
                } catch (App\Exceptions\ActionException $e) {
                    expect($over)->toBeFalse($e->getMessage());
                    usleep(2000);
                }
            }
            $acknowledged = $processes->flatMap(static function ($process): array {
                $result = $process->wait();
                expect($result->successful())->toBeTrue($result->errorOutput().$result->output());

                return array_values(array_filter(explode("\n", $result->output()), is_numeric(...)));
            })->map(static fn (string $id): int => (int) $id)->sort()->values()->all();
            unlink($barrier);
            $late += $readings->count() - count($acknowledged);
            // What the key holds is what was acknowledged: one call a fault and hand-in, no more and no fewer.
            $key = $round->keys()->sole();
            $perFault = (int) $key->entries()->where('fault', 'sway')->sum(DB::raw('present + absent + cannot_tell'));
            expect(
                Reading::query()->whereKey($readings)->whereNotNull('handed_in_at')->orderBy('id')->pluck('id')->all(),
            )
                ->toBe($acknowledged)
                ->and($perFault)
                ->toBe(count($acknowledged))
                ->and($key->inputs_checksum)
                ->toBe(App\Panel\KeyInputs::checksum(Sitting::query()->findOrFail($round->id)));
        }
        // Closing did fall among them.
        expect($late)->toBeGreaterThan(0);
    });
})->group('study');

it(
    'makes the key again when what it was made from has changed before it is frozen, and keeps the rulings that stand',
    function () {
        $panel = $this->round('Winter');
        $key = $panel->keys()->first();
        expect($key->inputs_checksum)->toBe(App\Panel\KeyInputs::checksum($panel));
        DB::statement('alter table key_versions disable trigger user');
        DB::statement('alter table key_entries disable trigger user');
        DB::table('key_versions')
            ->where('id', $key->id)
            ->update(['frozen_at' => null]);
        $ruled = $key->entries()->where('fault', 'sway')->orderBy('id')->first();
        $ruled->update([
            'ruling' => 'none',
            'ruling_reason' => 'the film was too dark',
            'ruled_by' => $this->headCoach()->id,
            'ruled_at' => now(),
        ]);
        expect(app(App\Panel\Actions\RefreshKey::class)($key->fresh())->id)->toBe($key->id);
        // A swing is measured anew with another result.
        $swing = $ruled->case->swings()->firstOrFail();
        DB::table('measurement_sets')
            ->where('recording_id', '<>', $swing->recording_id)
            ->orderBy('id')
            ->limit(1)
            ->update(['inputs_checksum' => str_repeat('e', 64)]);
        $next = app(App\Panel\Actions\RefreshKey::class)($key->fresh());
        expect($next->number)
            ->toBe($key->number + 1)
            ->and($next->entries()->count())
            ->toBe($key->entries()->count())
            ->and($next->entries()->where('case_id', $ruled->case_id)->where('fault', 'sway')->sole()->ruling)
            ->toBe('none');
    },
);

it('makes no key from nobody’s hand-ins, and says so', function () {
    $round = app(App\Sittings\Actions\PlanRound::class)(
        'Nobody came',
        Core\Sight\SittingKind::Panel,
        [App\Models\Recording::query()->value('id')],
        [$this->person('odile')->id],
        'both',
        $this->headCoach(),
    );
    app(App\Sittings\Actions\OpenRound::class)($round, $this->headCoach());
    $this->actingAs($this->headCoach())
        ->post("/rounds/{$round->public_id}/close")
        ->assertSessionHas('refused', fn (string $s): bool => str_contains($s, 'nothing to make a key from'));
    expect($round->refresh()->state->value)->toBe('open');
});

it('closes a panel with a hidden repeat: the key speaks of each case once, by its first reading', function () {
    $round = repeated($this, alike(21), 1);
    foreach ($round->members as $member) {
        foreach (dealt($round, $member) as $reading) {
            // Whoever sees it a second time says the contrary.
            DB::table('calls')->insert([
                'reading_id' => $reading->id,
                'fault' => 'sway',
                'presence' => $reading->case->occasion === 1 ? 'absent' : 'present',
                'severity' => $reading->case->occasion === 1 ? null : 3,
            ]);
            handIn($reading);
        }
    }
    $this->actingAs($this->headCoach())->post("/rounds/{$round->public_id}/close")->assertSessionHas('done');
    $key = $round->keys()->sole();
    expect($key->entries()->where('fault', 'sway')->count())
        ->toBe(21)
        ->and($key->entries()->where('fault', 'sway')->where('label', '<>', 'absent')->count())
        ->toBe(0)
        ->and((int) $key->entries()->where('fault', 'sway')->max('absent'))
        ->toBe(3);
    $this->post("/rounds/{$round->public_id}/publish")->assertSessionHas('done');
    $this->get("/panel/{$round->public_id}")->assertOk();
});
