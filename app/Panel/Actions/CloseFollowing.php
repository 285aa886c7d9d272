<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Exceptions\ActionException;
use App\Models\FollowingAnswer;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\Events\FollowingClosed;
use App\Panel\FollowingRounds;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** Closes a following round: who did not answer is taken to stand by what was said, and the key is made anew. */
final readonly class CloseFollowing
{
    public function __construct(private MakeKeyAnew $anew)
    {
    }

    /** @throws ActionException */
    public function __invoke(Sitting $panel, User $by): void
    {
        $this->close($panel, $by);
        ($this->anew)($panel, $by);
    }

    /** Closes and makes the key at once. */
    public function now(Sitting $panel, User $by): void
    {
        $this->close($panel, $by);
        $this->anew->now($panel);
    }

    private function close(Sitting $panel, User $by): void
    {
        DB::transaction(static function () use ($panel, $by): void {
            Sitting::query()->lockForUpdate()->findOrFail($panel->id);
            $following = FollowingRounds::open($panel)
                ?? throw ActionException::because('refusals.panel.following-not-open', ['panel' => $panel->name]);
            // Waits for every answer under way, which holds it in share mode.
            $following = FollowingRounds::all()->lockForUpdate()->findOrFail($following->id);
            if ($following->state !== SittingState::Open) {
                throw ActionException::because('refusals.panel.following-not-open', ['panel' => $panel->name]);
            }
            $following->update(['state' => SittingState::Closed, 'closed_at' => now()]);
            event(new FollowingClosed(
                $following,
                FollowingAnswer::query()->where('sitting_id', $following->id)->count(),
                $by,
            ));
        });
    }
}
