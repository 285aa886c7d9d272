<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Models\Enums\WorkKind;
use App\Models\Sitting;
use App\Models\User;
use App\Works\Progress;
use App\Works\Works;

/** Has a panel's key made anew once it has said more: by the queue, or at once. */
final readonly class MakeKeyAnew
{
    public function __construct(private Works $works, private BuildKey $build)
    {
    }

    public function __invoke(Sitting $panel, User $by): void
    {
        $this->works->ask(WorkKind::Key, $panel->refresh(), $by);
    }

    public function now(Sitting $panel): void
    {
        $this->build->carryOut($panel->refresh(), Progress::untold());
    }
}
