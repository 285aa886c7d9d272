<?php

declare(strict_types=1);

namespace App\Agreement\Actions;

use App\Agreement\Events\RoundPublished;
use App\Agreement\RoundInputs;
use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Enums\WorkKind;
use App\Models\Sitting;
use App\Models\User;
use App\Models\Work;
use App\Panel\Actions\RefreshKey;
use App\Panel\FollowingRounds;
use App\Panel\Judgings;
use App\Works\Progress;
use App\Works\Works;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/**
 * Publishes a closed round: its figures are worked out, and then, all at once, kept and shown to its members, who are
 * from then on exposed to its answers.
 */
final readonly class PublishRound
{
    public function __construct(
        private ComputeResult $compute,
        private RefreshKey $refresh,
        private Works $works,
        private Codebooks $codebooks,
    ) {
    }

    /** @throws ActionException */
    public function __invoke(Sitting $round, User $by): Work
    {
        $this->ready($round);

        return $this->works->ask(WorkKind::Publish, $round, $by);
    }

    /** @throws ActionException */
    public function carryOut(Sitting $round, ?User $by, Progress $progress): void
    {
        $this->ready($round);
        $made = $round->isPanel() ? null : $this->compute->make($round, $progress);
        DB::transaction(function () use ($round, $by, $made, $progress): void {
            $progress->claim();
            $round = Sitting::query()->lockForUpdate()->findOrFail($round->id);
            $this->ready($round);
            if ($round->kind === SittingKind::Panel && FollowingRounds::open($round) !== null) {
                throw ActionException::because('refusals.panel.following-open');
            }
            if ($round->kind === SittingKind::Panel && Judgings::of($round)?->isOpen() === true) {
                throw ActionException::because('refusals.panel.judging-open');
            }
            $key = $round->isPanel() ? $round->keys()->first() : null;
            if ($key !== null) {
                ($this->refresh)($key);
            }
            $round->update(['state' => SittingState::Published, 'published_at' => now()]);
            FollowingRounds::of($round)->get()->each(static fn (Sitting $f) => $f->update([
                'state' => SittingState::Published, 'published_at' => now(),
            ]));
            if ($made !== null) {
                // A case may have been taken out while they were worked out.
                if (RoundInputs::ofRound($round, $this->codebooks)->checksum !== $made->inputs) {
                    throw ActionException::because('refusals.agreement.inputs-changed', ['round' => $round->name]);
                }
                $this->compute->keep($round, $made);
            }
            DB::insert(
                'insert into exposures (user_id, recording_id, what, sitting_id, shown_at)
                 select distinct s.user_id, cs.recording_id, ?, s.sitting_id, ?::timestamptz
                 from seats s join sitting_cases c on c.sitting_id = s.sitting_id and not c.reserved
                 join case_swings cs on cs.case_id = c.case_id where s.sitting_id = ? on conflict do nothing',
                ['key', now()->toIso8601String(), $round->id],
            );
            event(new RoundPublished($round, $by));
        });
    }

    /** @throws ActionException */
    private function ready(Sitting $round): void
    {
        if ($round->state !== SittingState::Closed) {
            throw ActionException::because('refusals.agreement.close-before-publishing-nothing', [
                'round' => $round->name,
                'state' => $round->state->value,
            ]);
        }
        if ($round->isPanel() && $round->keys()->doesntExist()) {
            throw ActionException::because('refusals.agreement.its-key-still-being');
        }
    }
}
