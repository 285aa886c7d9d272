<?php

declare(strict_types=1);

namespace App\Capture\Actions;

use App\Capture\Events\SwingLeft;
use App\Models\CaughtSwing;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** A caught swing that nobody wants; one that is on the Shelf stays as it is. */
final readonly class LeaveCaughtSwing
{
    public function __invoke(CaughtSwing $swing, User $by): void
    {
        DB::transaction(static function () use ($swing, $by): void {
            $swing = CaughtSwing::query()->lockForUpdate()->with('session.device')->findOrFail($swing->id);
            if ($swing->left_at !== null || $swing->recording_id !== null) {
                return;
            }
            $swing->update(['left_at' => now()]);
            event(new SwingLeft($swing, $by));
        });
    }
}
