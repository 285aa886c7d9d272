<?php

declare(strict_types=1);

namespace App\Sittings\Actions;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Call;
use App\Models\Exposure;
use App\Models\Reading;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sittings\Events\ReadingHandedIn;
use App\Words\Wording;
use Core\Reading\Stage;
use Core\Remark\Remark;
use Core\Sight\SittingKind;
use Illuminate\Support\Facades\DB;

/** Hands a complete reading in and locks it. Handing in twice is the same as once. */
final readonly class HandInReading
{
    public function __construct(
        private Codebooks $codebooks,
        private HoldRound $hold,
        private Onlookers $onlookers,
        private Wording $words,
    ) {
    }

    /** @throws ActionException with everything that stands in the way */
    public function __invoke(Reading $reading, User $by): void
    {
        DB::transaction(function () use ($reading, $by): void {
            $reading = ($this->hold)($reading);
            if ($reading->handed_in_at !== null) {
                return;
            }
            if ($reading->isLocked()) {
                throw ActionException::because('refusals.sittings.round-closed-what-saved');
            }
            $obstacles = $reading
                ->toCore()
                ->obstacles($this->codebooks->of($reading->case->sitting), $reading->case->kind);
            if ($obstacles !== []) {
                throw ActionException::because('refusals.sittings.not-ready', [
                    'obstacles' => implode(' ', array_map(fn (Remark $o): string => $this->words->say($o), $obstacles)),
                ]);
            }
            $reading->update(['handed_in_at' => now()]);
            if ($reading->stage === Stage::Blind && $reading->case->sitting->reveals) {
                $this->openSecondLook($reading);
            }
            $this->onlookers->forget();
            if ($reading->case->sitting->kind !== SittingKind::Review) {
                event(new ReadingHandedIn($reading, $by));
            }
        });
    }

    /** The same sheet once more, to be gone over with the ball and the numbers in sight; the first stays as it is. */
    private function openSecondLook(Reading $blind): void
    {
        $again = $blind->replicate(['public_id', 'handed_in_at', 'active_ms', 'version', 'stage']);
        $again->fill(['stage' => Stage::Reveal])->save();
        foreach ($blind->case->swings as $swing) {
            Exposure::query()->insertOrIgnore([
                'user_id' => $blind->user_id,
                'recording_id' => $swing->recording_id,
                'what' => 'numbers',
                'sitting_id' => $blind->case->sitting_id,
                'shown_at' => now(),
            ]);
        }
        Call::query()->insert(
            $blind->calls
                ->map(
                    static fn (Call $c): array => ['reading_id' => $again->id] +
                        array_diff_key($c->getAttributes(), ['id' => 0]),
                )
                ->all(),
        );
    }
}
