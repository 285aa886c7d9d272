<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Exceptions\ActionException;
use App\Models\DrillJudging;
use App\Models\DrillScore;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\Events\JudgingClosed;
use Illuminate\Support\Facades\DB;

/** Closes the judging of drills; the key is made anew with what was said. */
final readonly class CloseJudging
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
            // Waits for every answer under way, which holds it in share mode.
            $judging = DrillJudging::query()->where('sitting_id', $panel->id)->lockForUpdate()->first();
            if ($judging === null || ! $judging->isOpen()) {
                throw ActionException::because('refusals.panel.judging-not-open', ['panel' => $panel->name]);
            }
            $said = DrillScore::query()
                ->whereIn('drill_question_id', $judging->questions()->reorder()->select('id'))
                ->count();
            $judging->update(['closed_at' => now()]);
            event(new JudgingClosed($panel, $said, $by));
        });
    }
}
