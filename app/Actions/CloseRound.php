<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuditEntry;
use App\Models\Round;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Closes an open round: nobody can read in it any more. A panel's readings become a key. */
final readonly class CloseRound
{
    public function __construct(private BuildKey $build)
    {
    }

    /** @throws ActionException */
    public function __invoke(Round $round, User $by): void
    {
        DB::transaction(function () use ($round, $by): void {
            $round = Round::query()->lockForUpdate()->findOrFail($round->id);
            if ($round->state !== 'open') {
                throw new ActionException("'{$round->name}' is {$round->state}, not open; nothing was changed.");
            }
            $round->update(['state' => 'closed', 'closed_at' => now()]);
            if ($round->isPanel()) {
                ($this->build)($round);
            }
            AuditEntry::note($by, 'close', "round {$round->name}", [
                'handed_in' => $round->readings()->whereNotNull('handed_in_at')->count(),
                'of' => $round->readings()->count(),
            ]);
        });
    }
}
