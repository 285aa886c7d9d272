<?php

declare(strict_types=1);

namespace App\Debrief\Actions;

use App\Debrief\Events\DebriefEnded;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\Enums\VoteStage;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Ends a debrief: votes close, and the secret goes by which a vote could be told to be somebody's. */
final readonly class EndDebrief
{
    public function __invoke(DebriefSession $session, User $by): void
    {
        DB::transaction(static function () use ($session, $by): void {
            $session = DebriefSession::query()->lockForUpdate()->findOrFail($session->id);
            if (! $session->isOpen()) {
                return;
            }
            foreach ([VoteStage::Before, VoteStage::After] as $open) {
                DebriefQuestion::query()
                    ->whereIn('debrief_case_id', $session->cases()->reorder()->select('id'))
                    ->where('stage', $open)
                    ->update(['stage' => $open->next()]);
            }
            $session->update(['ended_at' => now(), 'secret' => null]);
            $session->changed();
            event(new DebriefEnded($session, $by));
        });
    }
}
