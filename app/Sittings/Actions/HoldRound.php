<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Models\Reading;
use App\Models\Sitting;

/**
 * Takes a reading to be changed or handed in: first its round in share mode, so that it cannot be closed meanwhile,
 * then the reading itself. Whoever closes the round waits for all who hold it so.
 */
final readonly class HoldRound
{
    /**
     * Inside a transaction. What cannot change of its case is as it was given; the round and the reading are read anew.
     */
    public function __invoke(Reading $reading): Reading
    {
        $reading->loadMissing('case.swings');
        $round = Sitting::query()
            ->withoutGlobalScope(Sitting::SHARED)
            ->whereKey($reading->case->sitting_id)
            ->sharedLock()
            ->firstOrFail();
        $held = Reading::query()->lockForUpdate()->with('calls')->findOrFail($reading->id);

        return $held->setRelation('case', $reading->case->setRelation('sitting', $round));
    }
}
