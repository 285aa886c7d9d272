<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Exceptions\ActionException;
use App\Models\Sitting;
use App\Models\SittingCase;
use App\Models\User;
use App\Sittings\Events\RoundChanged;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/**
 * Takes a case out of a round that is not published, with its repeat: it is asked of nobody any more and enters no
 * figure. What was handed in of it stays.
 */
final readonly class WithdrawCase
{
    /** @throws ActionException */
    public function __invoke(Sitting $round, SittingCase $case, string $reason, User $by): void
    {
        DB::transaction(function () use ($round, $case, $reason, $by): void {
            $round = Sitting::query()->lockForUpdate()->findOrFail($round->id);
            if ($round->state === SittingState::Published) {
                throw ActionException::because('refusals.sittings.published-as-it-is', ['round' => $round->name]);
            }
            $left = $round->cases()->whereNull('withdrawn_at')->where('case_id', '<>', $case->case_id);
            if ($left->doesntExist()) {
                throw ActionException::because('refusals.sittings.last-case');
            }
            $out = $round->cases()->whereNull('withdrawn_at')->where('case_id', $case->case_id)->update([
                'withdrawn_at' => now(),
                'withdrawn_reason' => $reason,
            ]);
            if ($out > 0) {
                event(new RoundChanged($round, 'case-withdrawn', ['case' => $case->id, 'reason' => $reason], $by));
            }
        });
    }
}
