<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Exceptions\ActionException;
use App\Models\Sitting;
use App\Models\SittingArm;
use App\Models\SittingCase;
use App\Models\User;
use App\Panel\Events\FollowingOpened;
use App\Panel\FollowingRounds;
use App\Panel\Judgings;
use App\Panel\KeyInputs;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** Puts what lacks a majority before the panel once more, each with their own call and the anonymous spread. */
final readonly class OpenFollowing
{
    /** @throws ActionException */
    public function __invoke(Sitting $panel, User $by): Sitting
    {
        return DB::transaction(static function () use ($panel, $by): Sitting {
            $panel = Sitting::query()->lockForUpdate()->findOrFail($panel->id);
            if ($panel->kind !== SittingKind::Panel || $panel->state !== SittingState::Closed) {
                throw ActionException::because('refusals.panel.following-needs-closed', ['panel' => $panel->name]);
            }
            $held = FollowingRounds::of($panel)->count();
            $lacking = FollowingRounds::lacking($panel);
            $why = match (true) {
                FollowingRounds::open($panel) !== null => 'following-open',
                // A spread that was seen would colour what is still to be judged.
                Judgings::of($panel)?->isOpen() === true => 'judging-open',
                // What the last one changed may still be on its way into the key.
                $panel->keys()->first()?->inputs_checksum !== KeyInputs::checksum($panel) => 'following-no-key',
                $lacking->isEmpty() => 'following-nothing',
                ! $panel->panelRules()->mayFollow($held) => 'following-enough',
                FollowingRounds::haveSettled($panel) => 'following-settled',
                default => null,
            };
            if ($why !== null) {
                throw ActionException::because("refusals.panel.$why", ['count' => $held]);
            }
            $following = Sitting::query()->create([
                'name' => (string) __('panel.following.name', ['panel' => $panel->name, 'n' => $held + 1]),
                'kind' => SittingKind::Following,
                'parent_id' => $panel->id,
                'state' => SittingState::Open,
                'opened_at' => now(),
                'lens' => $panel->lens,
                'codebook_version' => $panel->codebook_version,
                'seed' => bin2hex(random_bytes(16)),
                'created_by' => $by->id,
            ]);
            $places = $panel->cases()
                ->where('occasion', 1)
                ->whereNull('withdrawn_at')
                ->whereIn('case_id', $lacking->pluck('case_id'))
                ->with('arm')
                ->orderBy('id')
                ->get();
            SittingCase::query()->insert($places->map(static fn (SittingCase $c): array => [
                'sitting_id' => $following->id,
                'case_id' => $c->case_id,
                'arm_id' => SittingArm::in($following, $c->arm->film ?? true, $c->arm->trace ?? true)->id,
                'occasion' => 1,
                'part' => 1,
            ])->all());
            $following->members()->attach(
                $panel->readings()->whereNotNull('handed_in_at')->distinct()->pluck('readings.user_id'),
            );
            event(new FollowingOpened($following, $lacking->count(), $by));

            return $following;
        });
    }
}
