<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\DrillJudging;
use App\Models\DrillQuestion;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\Events\JudgingOpened;
use App\Panel\FollowingRounds;
use App\Panel\Judgings;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** Has a panel judge drills, after its blind round and before it sees what anybody else said. */
final readonly class OpenJudging
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /** @throws ActionException */
    public function __invoke(Sitting $panel, User $by): DrillJudging
    {
        return DB::transaction(function () use ($panel, $by): DrillJudging {
            $panel = Sitting::query()->lockForUpdate()->findOrFail($panel->id);
            $asked = [];
            $why = match (true) {
                $panel->kind !== SittingKind::Panel || $panel->state !== SittingState::Closed => 'judging-needs-closed',
                Judgings::of($panel) !== null => 'judging-held',
                FollowingRounds::of($panel)->exists() => 'judging-too-late',
                Judgings::members($panel)->isEmpty() => 'judging-nobody',
                ($asked = Judgings::inQuestion($panel, $this->codebooks->of($panel))) === [] => 'judging-nothing',
                default => null,
            };
            if ($why !== null) {
                throw ActionException::because("refusals.panel.$why", ['panel' => $panel->name]);
            }
            $judging = DrillJudging::query()->create([
                'sitting_id' => $panel->id,
                'opened_by' => $by->id,
                'opened_at' => now(),
            ]);
            foreach (array_chunk($asked, 500) as $some) {
                DrillQuestion::query()->insert(array_map(
                    static fn (array $q): array => ['drill_judging_id' => $judging->id, ...$q],
                    $some,
                ));
            }
            event(new JudgingOpened($panel, count($asked), $by));

            return $judging;
        });
    }
}
