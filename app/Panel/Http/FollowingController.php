<?php

declare(strict_types=1);

namespace App\Panel\Http;

use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\Sitting;
use App\Panel\Actions\AnswerFollowing;
use App\Panel\Actions\CloseFollowing;
use App\Panel\Actions\OpenFollowing;
use App\Panel\FollowingRounds;
use App\Panel\Pages\FollowingPage;
use App\Panel\PanelSheets;
use App\Sight\NotNow;
use App\Sight\Onlookers;
use App\Sight\PanelSight;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A panel goes once more over what lacks a majority. */
final class FollowingController extends Controller
{
    use KeepsAnswers;

    public function open(Sitting $round, OpenFollowing $open): RedirectResponse
    {
        return $this->attempt(
            fn (): Sitting => $open($round, $this->user()),
            (string) __('notices.panel.following-opened'),
        );
    }

    public function close(Sitting $round, CloseFollowing $close): RedirectResponse
    {
        return $this->attempt(
            function () use ($round, $close): void {
                $close($round, $this->user());
            },
            (string) __('notices.panel.following-closed'),
        );
    }

    /** @throws NotNow */
    public function show(Request $request, Sitting $following, FollowingPage $page): View|RedirectResponse
    {
        return $this->page($page->of($following, $this->user(), self::place($request)));
    }

    /**
     * @throws ActionException
     * @throws NotNow
     */
    public function answer(
        FollowingRequest $request,
        Sitting $following,
        int $place,
        AnswerFollowing $answer,
        Onlookers $onlookers,
    ): RedirectResponse|JsonResponse {
        $cases = array_keys(FollowingRounds::questions($following, $this->user()->id));
        $case = $cases[$place - 1] ?? abort(404);
        $panel = Sitting::query()->findOrFail((int) $following->parent_id);
        $own = PanelSheets::ofMember($panel, $this->user()->id)[$case] ?? abort(404);
        $sight = (new PanelSight($onlookers->of($this->user())))->ofQuestion($own, true);
        if ($sight->why !== null) {
            throw NotNow::because($sight->why);
        }

        return $this->kept(
            $request,
            route('following', [$following, 'place' => $place])."#q-{$request->fault()}",
            fn () => $answer(
                $following,
                $this->user(),
                $case,
                $request->fault(),
                $request->presence(),
                $request->severity(),
                $request->onset(),
                $request->string('reason')->value(),
                $request->lies(),
            ),
        );
    }
}
