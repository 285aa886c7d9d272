<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Exceptions\ActionException;
use App\Models\Sitting;
use App\Models\User;
use App\Sittings\Events\RoundChanged;
use Core\Sight\SittingState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Says by when a round is to be read, or by when now; nothing closes by itself on that day. */
final readonly class SetDeadline
{
    /** @throws ActionException */
    public function __invoke(Sitting $round, ?Carbon $due, User $by): void
    {
        DB::transaction(function () use ($round, $due, $by): void {
            $round = Sitting::query()->lockForUpdate()->findOrFail($round->id);
            if (! in_array($round->state, [SittingState::Draft, SittingState::Open], true)) {
                throw ActionException::because('refusals.sittings.not-open-nothing-changed', [
                    'round' => $round->name,
                    'state' => $round->state->value,
                ]);
            }
            if ($round->due_on?->toDateString() === $due?->toDateString()) {
                return;
            }
            $round->update(['due_on' => $due]);
            event(new RoundChanged($round, 'due', ['on' => $due?->toDateString()], $by));
        });
    }
}
