<?php

// Seats so many readers in an open round of a loaded demo, and prints how each comes in: for bin/bench load.

use App\Demo\Fernhollow;
use App\Models\Reading;
use App\Models\Recording;
use App\Models\User;
use App\Sittings\Actions\OpenRound;
use App\Sittings\Actions\PlanRound;
use Core\Sight\Role;
use Core\Sight\SittingKind;
use Illuminate\Contracts\Console\Kernel;
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
$swings = Recording::query()
    ->whereHas('golfer', static fn ($q) => $q->consenting(Core\Sight\Scope::StaffTraining))
    ->orderByDesc('id')
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
echo json_encode(['password' => Fernhollow::PASSWORD, 'readers' => $given], JSON_THROW_ON_ERROR);
