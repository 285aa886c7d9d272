<?php

declare(strict_types=1);

namespace App\Demo;

use App\Debrief\Actions\AskRoom;
use App\Debrief\Actions\BeginDebrief;
use App\Debrief\Actions\CastVote;
use App\Debrief\Actions\Decide;
use App\Debrief\Actions\EndDebrief;
use App\Debrief\Actions\JoinDebrief;
use App\Debrief\Actions\KeepDebriefCase;
use App\Debrief\Actions\ShowInDebrief;
use App\Debrief\Debrief;
use App\Models\DebriefCase;
use App\Models\DebriefSession;
use App\Models\Enums\VoteKind;
use App\Models\Enums\VoteStage;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Chance\Chance;
use Core\Sight\Reveal;
use Illuminate\Support\Carbon;

/** The debrief of the Fernhollow scenario's spring round: three cases, votes before and after, what was decided. */
final readonly class DemoDebrief
{
    private const CASES = 3;

    public function __construct(
        private Debrief $debrief,
        private BeginDebrief $begin,
        private JoinDebrief $join,
        private ShowInDebrief $show,
        private KeepDebriefCase $keep,
        private AskRoom $ask,
        private CastVote $cast,
        private Decide $decide,
        private EndDebrief $end,
        private Onlookers $onlookers,
    ) {
    }

    /** @param  list<User>  $staff */
    public function __invoke(Sitting $round, User $head, array $staff, Carbon $day): void
    {
        $this->onlookers->forget();
        Carbon::setTestNow($day->copy()->setTime(17, 30));
        $places = array_column(array_slice($this->debrief->order($round, $head), 0, self::CASES), 'place');
        $session = ($this->begin)($round, $places, $head);
        foreach ($staff as $member) {
            ($this->join)($session, $member);
        }
        foreach ($session->cases()->get() as $i => $case) {
            Carbon::setTestNow($day->copy()->setTime(17, 35 + 12 * $i));
            $this->case($session, $case, $staff, $i);
            $this->keep->notes($session, $case, Behind::NOTES[$i % count(Behind::NOTES)]);
            [$lies, $what, $owner, $days] = Behind::DECISIONS[$i % count(Behind::DECISIONS)];
            ($this->decide)(
                $session,
                $case,
                $lies,
                $what,
                $owner === '' ? $head : $staff[$i],
                $day->copy()->addDays($days),
                $head,
            );
        }
        Carbon::setTestNow($day->copy()->setTime(18, 20));
        ($this->end)($session, $head);
    }

    /** @param  list<User>  $staff */
    private function case(DebriefSession $session, DebriefCase $case, array $staff, int $i): void
    {
        ($this->show)($session, $case, null, null, null);
        $kind = $i === 1 ? VoteKind::Cause : VoteKind::Presence;
        $question = ($this->ask)($session, $case, $kind, $kind === VoteKind::Presence ? (string) $case->topic : '');
        foreach (VoteStage::cases() as $stage) {
            if ($stage->isOpen()) {
                foreach ($staff as $member) {
                    $chance = new Chance("debrief|$member->email|$case->sitting_case_id|$stage->value");
                    // What was talked over is answered more often as the panel would.
                    $knows = $chance->uniform() < ($stage === VoteStage::Before ? 0.45 : 0.85);
                    $right = $question->answers[0] ?? $question->options[0];
                    ($this->cast)($session, $question, $member, $knows
                        ? $right
                        : $question->options[$chance->between(0, count($question->options) - 1)]);
                }
            }
            if ($stage === VoteStage::Between) {
                foreach (Reveal::cases() as $reveal) {
                    ($this->show)($session, $case, $reveal, null, null);
                }
            }
            $this->ask->on($session, $question, $stage);
            $question->refresh();
        }
    }
}
