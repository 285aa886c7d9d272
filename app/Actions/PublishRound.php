<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuditEntry;
use App\Models\Round;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Publishes a closed round: its members may see the answers, and a staff round's results are computed and kept. */
final readonly class PublishRound
{
    public function __construct(private ComputeResult $compute)
    {
    }

    /** @throws ActionException */
    public function __invoke(Round $round, User $by): void
    {
        DB::transaction(function () use ($round, $by): void {
            $round = Round::query()->lockForUpdate()->findOrFail($round->id);
            if ($round->state !== 'closed') {
                throw new ActionException("'{$round->name}' is {$round->state}; close it before publishing. Nothing was changed.");
            }
            $round->update(['state' => 'published', 'published_at' => now()]);
            if (! $round->isPanel()) {
                ($this->compute)($round);
            }
            AuditEntry::note($by, 'publish', "round {$round->name}");
        });
    }
}
