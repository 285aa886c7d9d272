<?php

// Seats so many readers in an open round of a loaded demo, and closes so many others, ready to be published; prints how
// each reader comes in. For bin/bench load and bin/test serve.

use App\Demo\Fernhollow;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Sittings\Actions\CloseRound;
use App\Sittings\Actions\HandInReading;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Codebook\Codebook;
use Core\Sight\Role;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

require dirname(__DIR__, 2).'/vendor/autoload.php';
(require dirname(__DIR__, 2).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

$wanted = (int) ($argv[1] ?? 50);
$password = Hash::make(Fernhollow::PASSWORD);
$readers = [];
for ($n = 0; $n < $wanted; $n++) {
    $reader = User::query()->where('email', "reader-$n@fernhollow.example")->first() ?? (new User)->forceFill([
        'name' => "Reader $n",
        'email' => "reader-$n@fernhollow.example",
        'role' => Role::Instructor,
        'password' => $password,
    ]);
    $reader->save();
    $readers[] = $reader;
}
$head = User::query()->where('role', Role::HeadCoach)->orderBy('id')->firstOrFail();
// What a published panel has made a key of.
$panel = Sitting::query()
    ->where('kind', SittingKind::Panel)
    ->where('state', SittingState::Published)
    ->withCount('cases')
    ->orderByDesc('cases_count')
    ->firstOrFail();
$swings = Recording::query()
    ->whereHas('golfer', static fn ($q) => $q->consenting(Core\Sight\Scope::StaffTraining))
    ->whereIn('id', DB::table('case_swings')->select('recording_id')->whereIn(
        'case_id',
        DB::table('key_entries')->select('case_id')->whereIn('key_version_id', $panel->keys()->select('id')),
    ))
    ->orderBy('id')
    ->limit(10)
    ->pluck('id')
    ->map(static fn (mixed $id): int => is_int($id) ? $id : 0)
    ->all();
$round = app(PlanRound::class)(
    'Load '.now()->format('H:i:s'),
    SittingKind::Round,
    array_values($swings),
    array_map(static fn (User $u): int => $u->id, $readers),
    'trace',
    $head,
);
app(OpenRound::class)($round, $head);
$given = [];
foreach ($readers as $reader) {
    $given[] = [
        'email' => $reader->email,
        'readings' => Reading::query()
            ->where('user_id', $reader->id)
            ->whereHas('case', static fn ($q) => $q->where('sitting_id', $round->id))
            ->orderBy('position')
            ->pluck('public_id')
            ->all(),
    ];
}
$closed = [];
for ($n = 0; $n < (int) ($argv[2] ?? 0); $n++) {
    $next = app(PlanRound::class)(
        "Closed $n ".now()->format('H:i:s'),
        SittingKind::Round,
        array_slice(array_values($swings), 0, 2),
        array_map(static fn (User $u): int => $u->id, array_slice($readers, 0, 3)),
        'trace',
        $head,
    );
    app(OpenRound::class)($next, $head);
    $of = Reading::query()->whereIn('sitting_case_id', $next->cases()->select('id'))->with(['user', 'case'])->get();
    foreach ($of as $reading) {
        foreach (Codebook::standard()->keys() as $fault) {
            $reading->calls()->create(['fault' => $fault, 'presence' => 'absent', 'confidence' => 70]);
        }
        app(HandInReading::class)($reading, $reading->user);
    }
    app(CloseRound::class)->now($next->refresh(), $head);
    $closed[] = $next->public_id;
}
echo json_encode(['password' => Fernhollow::PASSWORD, 'readers' => $given, 'rounds' => $closed], JSON_THROW_ON_ERROR);
