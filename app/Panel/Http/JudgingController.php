<?php

declare(strict_types=1);

namespace App\Panel\Http;

use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\DrillJudging;
use App\Models\Sitting;
use App\Panel\Actions\CloseJudging;
use App\Panel\Actions\OpenJudging;
use App\Panel\Actions\ScoreDrill;
use App\Panel\Judgings;
use App\Panel\Pages\JudgingPage;
use App\Panel\PanelSheets;
use App\Sight\NotNow;
use App\Sight\Onlookers;
use App\Sight\PanelSight;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A panel judges how appropriate drills are, before it sees what anybody else said. */
final class JudgingController extends Controller
{
    use KeepsAnswers;

    public function open(Sitting $round, OpenJudging $open): RedirectResponse
    {
        return $this->attempt(
            fn (): DrillJudging => $open($round, $this->user()),
            (string) __('notices.panel.following-opened'),
        );
    }

    public function close(Sitting $round, CloseJudging $close): RedirectResponse
    {
        return $this->attempt(
            function () use ($round, $close): void {
                $close($round, $this->user());
            },
            (string) __('notices.panel.following-closed'),
        );
    }

    /** @throws NotNow */
    public function show(Request $request, DrillJudging $judging, JudgingPage $page): View|RedirectResponse
    {
        return $this->page($page->of($judging, $this->user(), self::place($request)));
    }

    /**
     * @throws ActionException
     * @throws NotNow
     */
    public function answer(
        JudgingRequest $request,
        DrillJudging $judging,
        int $place,
        ScoreDrill $score,
        Onlookers $onlookers,
    ): RedirectResponse|JsonResponse {
        $case = array_keys(Judgings::questions($judging, $this->user()))[$place - 1] ?? abort(404);
        $own = PanelSheets::ofMember($judging->panel(), $this->user()->id)[$case] ?? abort(404);
        // Whether it is still open is the action's to say, in a sentence.
        $sight = (new PanelSight($onlookers->of($this->user())))->ofDrills($own, true);
        if ($sight->why !== null) {
            throw NotNow::because($sight->why);
        }

        return $this->kept(
            $request,
            route('judging', [$judging, 'place' => $place])."#q-{$request->drill()}",
            fn () => $score($judging, $this->user(), $case, $request->drill(), $request->scores()),
        );
    }
}
