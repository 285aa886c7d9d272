<?php

declare(strict_types=1);

namespace App\Panel\Policies;

use App\Models\DrillJudging;
use App\Models\User;
use App\Panel\Judgings;
use App\Sight\Onlookers;
use App\Sight\PanelSight;

/** Who judges drills: a member of whom it is asked, and who reads none of the panel's swings blind elsewhere. */
final readonly class DrillJudgingPolicy
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    public function judge(User $user, DrillJudging $judging): bool
    {
        return Judgings::members($judging->panel())->contains($user)
            && ! (new PanelSight($this->onlookers->of($user)))->isAwaited($judging->panel());
    }
}
