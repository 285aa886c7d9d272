<?php

declare(strict_types=1);

namespace App\Panel\Pages;

use App\Bench\Pages\CaseLine;
use App\Codebook\Codebooks;
use App\Models\DrillJudging;
use App\Models\DrillQuestion;
use App\Models\Golfer;
use App\Models\Reading;
use App\Models\User;
use App\Panel\Judgings;
use App\Panel\PanelSheets;
use App\Sight\NotNow;
use App\Sight\Onlookers;
use App\Sight\PanelSight;
use App\Words\LoadedLimits;
use Core\Codebook\Codebook;
use Core\Consensus\Harm;
use Core\Reading\Stop;

/** A case as one member judges its drills: the swing as it was shown, and what each drill is for and loads. */
final readonly class JudgingPage
{
    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /**
     * @param  int|null  $place  of the member's cases, from 1; the first that waits where null
     * @return array<string, mixed>|null null where nothing is asked of this member
     *
     * @throws NotNow
     */
    public function of(DrillJudging $judging, User $user, ?int $place): ?array
    {
        $panel = $judging->panel();
        $questions = Judgings::questions($judging, $user);
        if ($questions === []) {
            return null;
        }
        $answered = Judgings::answered($judging, $user);
        $cases = array_keys($questions);
        $waiting = array_filter($cases, static fn (int $case): bool => array_filter(
            $questions[$case],
            static fn (DrillQuestion $q): bool => ! isset($answered[$q->id]),
        ) !== []);
        $first = $waiting === [] ? $cases[0] : $waiting[array_key_first($waiting)];
        $at = $place === null ? (int) array_search($first, $cases, true) : $place - 1;
        $case = $cases[$at] ?? abort(404);
        $own = PanelSheets::ofMember($panel, $user->id)[$case];
        $sight = (new PanelSight($this->onlookers->of($user)))->ofDrills($own, $judging->isOpen());
        if ($sight->why !== null) {
            throw NotNow::because($sight->why);
        }
        $page = static fn (int $place): string => route('judging', [$judging, 'place' => $place]);

        return [
            'step' => 'judging',
            'title' => (string) __('panel.judging.head', ['n' => $at + 1, 'of' => count($cases)]),
            'about' => (string) __('panel.judging.about', ['panel' => $panel->name]),
            ...AskedSwing::of($own),
            'case' => CaseLine::of($own),
            'before' => $at > 0 ? $page($at) : null,
            'next' => $at + 1 < count($cases) ? $page($at + 2) : null,
            'answer' => route('judging.answer', [$judging, $at + 1], false),
            'rungs' => array_map(static fn (Stop $s): string => $s->value, Stop::cases()),
            'harms' => array_map(static fn (Harm $h): string => $h->value, Harm::cases()),
            'questions' => $this->questions($own, $questions[$case], $user),
        ];
    }

    /**
     * @param  list<DrillQuestion>  $asked
     * @return list<array<string, mixed>>
     */
    private function questions(Reading $own, array $asked, User $user): array
    {
        $sitting = $own->case->sitting;
        $codebook = $this->codebooks->of($sitting);
        $golfer = $own->case->recording->golfer;
        $out = [];
        foreach ($asked as $question) {
            $scores = $question->scores()->where('user_id', $user->id)->get();
            $said = [];
            foreach ($scores as $score) {
                $said[$score->rung->value] = ['score' => $score->score, 'harm' => $score->harm?->value];
            }
            $out[] = [
                'drill' => $question->drill,
                'chosen' => $own->drill === $question->drill,
                'refused' => $question->refused,
                'said' => $said,
                ...self::drill($question->drill, $codebook, $sitting->lens, $golfer),
            ];
        }
        usort($out, static fn (array $a, array $b): int => $a['name'] <=> $b['name']);

        return $out;
    }

    /** @return array{name: string, for: string, not: string, lens: string, loads: string} */
    private static function drill(string $key, Codebook $codebook, string $lens, Golfer $golfer): array
    {
        $drill = $codebook->drills()[$key];
        [$used, $how] = $drill->plan->lenses[$lens] ?? [true, ''];

        return [
            'name' => ucfirst($drill->name),
            'for' => $drill->for,
            'not' => $drill->not,
            'lens' => $used ? '' : (string) __('panel.judging.lens', ['why' => $how]),
            'loads' => LoadedLimits::of($drill, $golfer),
        ];
    }
}
