<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Exceptions\ActionException;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sittings\Events\ReadingReopened;
use Core\Reading\Stage;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/**
 * Opens a hand-in again that was a mistake, before the round closes. Not where its reader has seen the ball and the
 * numbers since, nor where the same case may come again: then the sheet would not be a blind one any more.
 */
final readonly class ReopenReading
{
    public function __construct(private HoldRound $hold, private Onlookers $onlookers)
    {
    }

    /** @throws ActionException */
    public function __invoke(Sitting $round, Reading $reading, User $by): void
    {
        DB::transaction(function () use ($round, $reading, $by): void {
            $reading = ($this->hold)($reading);
            $sitting = $reading->case->sitting;
            $why = match (true) {
                $sitting->id !== $round->id || $sitting->state !== SittingState::Open => 'not-open',
                $reading->stage !== Stage::Blind || $reading->handed_in_at === null => 'not-handed-in',
                $sitting->hasRepeats() => 'repeats',
                self::hasSecondLook($reading) => 'numbers-seen',
                default => null,
            };
            if ($why !== null) {
                throw ActionException::because("refusals.sittings.reopen.$why");
            }
            $reading->forceFill(['handed_in_at' => null, 'reopened' => $reading->reopened + 1])->save();
            $this->onlookers->forget();
            event(new ReadingReopened($reading, $round, $by));
        });
    }

    private static function hasSecondLook(Reading $reading): bool
    {
        return Reading::query()
            ->where('sitting_case_id', $reading->sitting_case_id)
            ->where('user_id', $reading->user_id)
            ->where('stage', Stage::Reveal)
            ->exists();
    }
}
