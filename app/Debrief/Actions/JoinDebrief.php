<?php

declare(strict_types=1);

namespace App\Debrief\Actions;

use App\Exceptions\ActionException;
use App\Models\DebriefSession;
use App\Models\User;
use App\Sight\RoomSight;
use Core\Sight\Why;
use Illuminate\Support\Facades\DB;

/** Lets a person take part in a debrief that is under way; joining twice is joining once. */
final readonly class JoinDebrief
{
    public function __construct(private RoomSight $sight)
    {
    }

    /** @throws ActionException */
    public function __invoke(DebriefSession $session, User $user): void
    {
        DB::transaction(function () use ($session, $user): void {
            $session = DebriefSession::query()->lockForUpdate()->findOrFail($session->id);
            if (! $session->isOpen()) {
                throw ActionException::because('refusals.debrief.over', status: ActionException::LOCKED);
            }
            $why = $this->sight->keepsOut($session, $user);
            if ($why !== null) {
                throw ActionException::because(
                    $why === Why::Own ? 'refusals.debrief.own' : 'refusals.debrief.awaited',
                    status: ActionException::CONFLICT,
                );
            }
            $new = DB::table('debrief_people')->insertOrIgnore([
                'debrief_session_id' => $session->id, 'user_id' => $user->id, 'joined_at' => now(),
            ]);
            if ($new > 0) {
                $current = $session->current()->with('case.swings')->first();
                if ($current !== null) {
                    ShowInDebrief::exposed($session, $current, [$user->id]);
                }
                $session->changed();
            }
        });
    }
}
