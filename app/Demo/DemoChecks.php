<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Call;
use App\Models\Check;
use App\Models\KeyVersion;
use App\Models\Reading;
use App\Models\User;
use App\Readiness\Actions\HoldChecks;
use App\Sight\Onlookers;
use Closure;
use Core\Reading\CaseKind;
use Core\Reading\Reading as CoreReading;
use Core\Simulation\Rater;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Ten weekly checks at Fernhollow: all but one go on as they were, and one begins to call faults that are not there.
 * This week's is open, and half of the staff has read it.
 */
final readonly class DemoChecks
{
    private const WEEKS = 10;

    /** Who turns, and from which week on. */
    private const TURNS = ['ines', 6];

    public function __construct(private HoldChecks $hold, private Onlookers $onlookers)
    {
    }

    /** @param  Closure(Reading, User, int, ?Rater): CoreReading  $said  a case as that person sees it */
    public function __invoke(Carbon $today, User $head, Closure $said): void
    {
        $monday = $today->copy()->startOfWeek(Carbon::MONDAY);
        Carbon::setTestNow($monday->copy()->subWeeks(self::WEEKS)->setTime(7, 0));
        $key = KeyVersion::query()
            ->newest()
            ->whereHas('sitting', static fn ($q) => $q->where('name', 'Reserve for weekly checks'))
            ->sole();
        $this->hold->start($key, 1, $head);
        for ($week = self::WEEKS; $week >= 0; $week--) {
            Carbon::setTestNow($monday->copy()->subWeeks($week)->setTime(8, 0));
            $check = $this->hold->open();
            if ($check !== null) {
                $this->read($check, $said, self::WEEKS - $week, $week === 0);
            }
        }
        $this->onlookers->forget();
    }

    /** @param  Closure(Reading, User, int, ?Rater): CoreReading  $said */
    private function read(Check $check, Closure $said, int $week, bool $isHalf): void
    {
        foreach ($check->sitting->members()->orderBy('users.id')->get() as $m => $user) {
            if ($isHalf && $m % 2 === 1) {
                continue;
            }
            $as = $user->email === self::TURNS[0].'@fernhollow.example' && $week >= self::TURNS[1]
                ? new Rater(1.0, -1.4, 0.0, 0.9, 2)
                : null;
            foreach ($check->sitting->readings()
                ->where('readings.user_id', $user->id)
                ->with(['arm', 'case.recording.golfer', 'case.swings', 'case.sitting'])
                ->orderBy('position')
                ->get() as $n => $reading) {
                $rows = [];
                foreach ($said($reading, $user, $week * 3 + $n, $as)->calls as $call) {
                    $rows[] = [
                        'reading_id' => $reading->id,
                        'fault' => $call->fault,
                        ...array_map(
                            static fn (mixed $v): mixed => is_array($v) ? json_encode($v, JSON_THROW_ON_ERROR) : $v,
                            SheetChanges::call($call, CaseKind::Single),
                        ),
                    ];
                }
                Call::query()->insert($rows);
                DB::table('readings')->where('id', $reading->id)->update([
                    'handed_in_at' => now()->addMinutes(40 + 7 * $n + $m),
                    'active_ms' => 150_000 + 9_000 * $n,
                ]);
            }
        }
    }
}
