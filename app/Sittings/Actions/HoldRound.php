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
    /** Inside a transaction. */
    public function __invoke(Reading $reading): Reading
    {
        Sitting::query()->withoutGlobalScope(Sitting::SHARED)->whereKey($reading->case->sitting_id)->sharedLock()
            ->firstOrFail();

        return Reading::query()
            ->lockForUpdate()
            ->with(['case.sitting', 'case.swings', 'calls'])
            ->findOrFail($reading->id);
    }
}
