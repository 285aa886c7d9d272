<?php

declare(strict_types=1);

namespace App\Demo;

use App\Codebook\Codebooks;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\Actions\AnswerFollowing;
use App\Panel\Actions\CloseFollowing;
use App\Panel\Actions\CloseJudging;
use App\Panel\Actions\OpenFollowing;
use App\Panel\Actions\OpenJudging;
use App\Panel\Actions\ScoreDrill;
use App\Panel\FollowingRounds;
use App\Panel\Judgings;
use App\Panel\PanelSheets;
use Core\Chance\Chance;
use Core\Codebook\Limit;
use Core\Reading\Presence;
use Core\Reading\Severity;
use Core\Reading\Stop;
use Core\Simulation\Prescriber;
use Core\Simulation\Rater;
use Illuminate\Support\Carbon;

/** What the panel of the Fernhollow scenario did once its blind round was over. */
final readonly class DemoPanel
{
    public function __construct(
        private Codebooks $codebooks,
        private OpenJudging $openJudging,
        private ScoreDrill $score,
        private CloseJudging $closeJudging,
        private OpenFollowing $openFollowing,
        private AnswerFollowing $answerFollowing,
        private CloseFollowing $closeFollowing,
    ) {
    }

    /**
     * Drills were judged, each for its case, by what each member had seen.
     *
     * @param  array<int, Rater>  $raters  by user
     */
    public function judged(Sitting $study, User $head, Carbon $day, array $raters): void
    {
        Carbon::setTestNow($day->copy()->setTime(8, 30));
        $codebook = $this->codebooks->of($study);
        if (Judgings::inQuestion($study, $codebook) === []) {
            return;
        }
        $judging = ($this->openJudging)($study, $head);
        foreach (Judgings::members($study) as $m => $member) {
            $prescriber = new Prescriber($codebook, $raters[$member->id]->sensitivity);
            $read = PanelSheets::ofMember($study, $member->id);
            Carbon::setTestNow($day->copy()->addDay()->setTime(11, 5 + 10 * $m));
            foreach (Judgings::questions($judging, $member) as $case => $questions) {
                $present = self::present($read[$case]);
                $limits = Judgings::limits($read[$case]->case);
                foreach ($questions as $question) {
                    $drill = $codebook->drills()[$question->drill];
                    $against = array_filter($limits, static fn (Limit $l): bool => $drill->plan?->loads($l) === true);
                    $scores = [];
                    foreach (Stop::cases() as $rung) {
                        $chance = new Chance("drill|$member->email|$case|$question->drill|$rung->value");
                        $scores[$rung->value] = $prescriber->score($drill, $present, $rung, $against !== [], $chance);
                    }
                    ($this->score)($judging, $member, $case, $question->drill, $scores);
                }
            }
        }
        Carbon::setTestNow($day->copy()->addDays(2)->setTime(17, 0));
        $this->closeJudging->now($study, $head);
    }

    /** @return list<string> what a member called present, first causes first */
    private static function present(Reading $reading): array
    {
        $core = $reading->loadMissing('calls')->toCore();
        $present = array_keys(array_filter($core->calls, static fn ($c): bool => $c->presence === Presence::Present));
        $first = array_values(array_intersect($core->firstCauses, $present));

        return [...$first, ...array_values(array_diff($present, $first))];
    }

    /** What lacked a majority was gone over once more: half of those in the minority were persuaded. */
    public function followed(Sitting $study, User $head, Carbon $day): void
    {
        Carbon::setTestNow($day->copy()->setTime(9, 0));
        if (FollowingRounds::lacking($study)->isEmpty()) {
            return;
        }
        $following = ($this->openFollowing)($study, $head);
        /** @var array<string, KeyEntry> $spread */
        $spread = FollowingRounds::lacking($study)
            ->keyBy(static fn (KeyEntry $e): string => "$e->case_id|$e->fault")
            ->all();
        foreach ($following->members()->orderBy('users.id')->get() as $m => $member) {
            $read = PanelSheets::ofMember($study, $member->id);
            Carbon::setTestNow($day->copy()->addDays(2)->setTime(10, 15 + 20 * $m));
            foreach (FollowingRounds::questions($following, $member->id) as $case => $faults) {
                foreach ($faults as $fault) {
                    $chance = new Chance("following|$member->email|$case|$fault");
                    $entry = $spread["$case|$fault"];
                    $own = $read[$case]->calls()->where('fault', $fault)->firstOrFail()->presence;
                    $most = $entry->present >= $entry->absent ? Presence::Present : Presence::Absent;
                    $moves = $own !== $most && $own !== Presence::CannotTell && $chance->uniform() < 0.5;
                    $said = Behind::FOLLOWING[$chance->between(0, count(Behind::FOLLOWING) - 1)];
                    ($this->answerFollowing)(
                        $following,
                        $member,
                        $case,
                        $fault,
                        $moves ? $most : $own,
                        $moves && $most === Presence::Present ? Severity::Slight : null,
                        null,
                        $moves ? $said[1] : '',
                        $said[0],
                    );
                }
            }
        }
        Carbon::setTestNow($day->copy()->addDays(4)->setTime(17, 0));
        $this->closeFollowing->now($study, $head);
    }
}
