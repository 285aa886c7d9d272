<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Exceptions\ActionException;
use App\Models\Enums\WorkKind;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\Actions\BuildKey;
use App\Sittings\Events\RoundClosed;
use App\Works\Progress;
use App\Works\Works;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/**
 * Closes an open round: nobody can read in it any more. A panel's readings become a key.
 *
 * Its lock waits for every hand-in and change under way, which hold the round's in share mode; those that come later
 * find it closed. So whatever was acknowledged is stored when the key is made.
 */
final readonly class CloseRound
{
    public function __construct(private BuildKey $build, private Works $works)
    {
    }

    /** @throws ActionException */
    public function __invoke(Sitting $round, User $by): void
    {
        $this->close($round, $by);
        if ($round->isPanel()) {
            $this->works->ask(WorkKind::Key, $round, $by);
        }
    }

    /** Closes and makes the key at once. */
    public function now(Sitting $round, User $by): void
    {
        $this->close($round, $by);
        if ($round->isPanel()) {
            $this->build->carryOut($round->refresh(), Progress::untold());
        }
    }

    private function close(Sitting $round, User $by): void
    {
        DB::transaction(static function () use ($round, $by): void {
            $round = Sitting::query()->lockForUpdate()->findOrFail($round->id);
            if ($round->state !== SittingState::Open) {
                throw ActionException::because('refusals.sittings.not-open-nothing-changed', [
                    'round' => $round->name,
                    'state' => $round->state->value,
                ]);
            }
            $in = $round
                ->readings()
                ->whereNotNull('handed_in_at')
                ->whereHas('case', static fn ($q) => $q->where('occasion', 1))
                ->count();
            if ($round->isPanel() && $in === 0) {
                throw ActionException::because('refusals.sittings.nobody-handed-anything-there');
            }
            // From here on they stand still: lists need not count them.
            $asked = $round->readings()->whereNull('sitting_cases.withdrawn_at');
            $handedIn = (clone $asked)->whereNotNull('handed_in_at')->count();
            $dealt = $asked->count();
            $round->update([
                'state' => SittingState::Closed,
                'closed_at' => now(),
                'readings_dealt' => $dealt,
                'readings_handed_in' => $handedIn,
            ]);
            event(new RoundClosed($round, $handedIn, $dealt, $by));
        });
    }
}
