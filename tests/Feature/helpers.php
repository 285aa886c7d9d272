<?php

// What more than one file of tests needs to lay: loaded by Pest.php, as files are run side by side.

use App\Audit\RecordChain;
use App\Models\DebriefSession;
use App\Models\Golfer;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Shelf\Actions\StoreRecording;
use App\Sight\Onlookers;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Sight\SittingKind;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

function deviceToken(object $test): string
{
    $test->actingAs($test->headCoach())->post('/capture/devices', ['name' => 'bench'])->assertSessionHas('token');
    app('auth')->forgetGuards();

    return (string) session('token');
}

/** So many swings that differ in nothing but themselves: one golfer, club and device. @return list<int> ids */
function alike(int $n): array
{
    $golfer = Golfer::query()->where('handedness', 'right')->whereHas('consents')->orderBy('id')->firstOrFail();
    $ids = [];
    for ($i = 0; $i < $n; $i++) {
        $swing = Swing::simulated(new GolferSpec("alike $i", device: DeviceClass::Mat));
        $ids[] = app(StoreRecording::class)(
            $golfer,
            ['club' => 'hybrid', 'source' => 'file'],
            $swing->trace,
            null,
            $swing->motion(),
        )->id;
    }

    return $ids;
}

/** A panel study of so many cases of which the first some are asked about again, opened. */
function repeated(
    object $test,
    array $ids,
    int $repeats,
    bool $waits = false,
    string $show = 'both',
    bool $reveals = false,
): Sitting {
    $members = User::query()->where('role', 'panel')->orderBy('id')->limit(3)->pluck('id')->all();
    $round = app(PlanRound::class)(
        'Twice',
        SittingKind::Panel,
        $ids,
        $members,
        $show,
        $test->headCoach(),
        repeats: array_slice($ids, 0, $repeats),
        waits: $waits,
        reveals: $reveals,
    );
    app(OpenRound::class)($round, $test->headCoach());

    return $round->refresh();
}

/** @return Collection<int, Reading> one member's readings, in order */
function dealt(Sitting $round, User $member): Collection
{
    return Reading::query()
        ->where('user_id', $member->id)
        ->where('stage', 'blind')
        ->whereIn('sitting_case_id', $round->cases()->select('id'))
        ->with(['case.sitting', 'case.swings'])
        ->orderBy('position')
        ->get();
}

/** An entry of the record, as the application writes one. */
function noted(?User $by, string $action, string $subject, array $details = []): void
{
    DB::table('audit_entries')->insert(RecordChain::row($by?->id, $action, $subject, $details, null));
}

function handIn(Reading $reading): void
{
    DB::table('readings')->where('id', $reading->id)->update(['handed_in_at' => now()]);
}

/** Only what may leave the academy is in an archive. */
function mayLeave(): void
{
    foreach (Golfer::query()->orderBy('id')->get() as $golfer) {
        $golfer->consents()->create(['scope' => 'research', 'given_on' => '2026-01-01', 'expires_on' => '2040-01-01']);
    }
}

/** @return array{int, string, string} exit code, output and errors of a command of its own */
function ran(array $command, array $environment = [], ?string $input = null): array
{
    $process = new Process($command, base_path(), ['DB_PORT' => '1', ...$environment], $input);
    $process->run();

    return [(int) $process->getExitCode(), $process->getOutput(), trim($process->getErrorOutput())];
}

/** Runs $do on a database that is a copy of the tests' own, without a transaction around it. */
function onACopy(object $test, Closure $do): void
{
    $own = config('database.connections.pgsql.database');
    $name = "{$own}_race";
    $to = static function (string $database): void {
        foreach (['pgsql', 'owner'] as $connection) {
            config(["database.connections.$connection.database" => $database]);
            DB::purge($connection);
        }
    };
    DB::rollBack();
    $to('postgres');
    try {
        DB::statement("drop database if exists $name with (force)");
        DB::statement("create database $name template $own");
        $to($name);
        $do($name);
    } finally {
        $to('postgres');
        DB::statement("drop database if exists $name with (force)");
        $to($own);
        DB::beginTransaction();
    }
}

/** A debrief of the Spring round over its first cases in order, as its head coach begins it. */
function heldDebrief(object $test, int $cases = 3): DebriefSession
{
    $round = $test->round('Spring');
    $test->actingAs($test->headCoach());
    $page = $test->get("/debrief/{$round->public_id}/1")->assertOk()->getContent();
    preg_match_all('/name="cases\[\]" value="(\d+)"/', $page, $m);
    $test->post("/debrief/{$round->public_id}/sessions", ['cases' => array_slice($m[1], 0, $cases)])->assertRedirect();
    app(Onlookers::class)->forget();

    return DebriefSession::query()->orderByDesc('id')->firstOrFail();
}

/** Plans a round through the page and returns it. */
function planned(object $test, array $change = []): Sitting
{
    $recordings = Recording::query()->orderBy('id')->limit(3)->pluck('id')->all();
    // People who have been shown no answer yet.
    $members = array_map(
        fn (int $i): int => User::query()->firstOrCreate(
            ['email' => "new$i@fernhollow.example"],
            ['name' => "Newcomer $i", 'password' => 'x', 'role' => 'instructor'],
        )->id,
        [1, 2],
    );
    $test
        ->actingAs($test->headCoach())
        ->post('/rounds', [
            'name' => 'Summer round',
            'kind' => 'round',
            'show' => 'both',
            'recordings' => $recordings,
            'members' => $members,
            ...$change,
        ])
        ->assertSessionHasNoErrors()
        ->assertSessionMissing('refused');

    return Sitting::query()->latest('id')->firstOrFail();
}
