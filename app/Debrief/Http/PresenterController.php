<?php

declare(strict_types=1);

namespace App\Debrief\Http;

use App\Debrief\Actions\AskRoom;
use App\Debrief\Actions\BeginDebrief;
use App\Debrief\Actions\Decide;
use App\Debrief\Actions\EndDebrief;
use App\Debrief\Actions\KeepDebriefCase;
use App\Debrief\Actions\ShowInDebrief;
use App\Debrief\Pages\HeldPage;
use App\Debrief\Pages\MinutesPage;
use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Http\Pdf;
use App\Models\DebriefCase;
use App\Models\DebriefDecision;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** A debrief as its presenter holds it. */
final class PresenterController extends Controller
{
    public function begin(SessionRequest $request, Sitting $round, BeginDebrief $begin): RedirectResponse
    {
        $this->backTo(route('debrief.first', $round));
        $debriefing = $begin($round, $request->cases(), $this->user());

        return redirect()->route('debriefs.present', $debriefing);
    }

    public function present(DebriefSession $debriefing, HeldPage $page, Onlookers $onlookers): View|RedirectResponse
    {
        if (! $debriefing->isOpen()) {
            return redirect()->route('debriefs.minutes', $debriefing);
        }
        if ($onlookers->of($this->user())->withheld($debriefing->loadMissing('sitting')->sitting) !== null) {
            return view('empty', ['title' => __('debrief.page'), 'text' => __('debrief.waits')]);
        }

        return view('debrief.case', $page->of($debriefing, $this->user()));
    }

    /** @throws ActionException */
    public function show(
        SessionRequest $request,
        DebriefSession $debriefing,
        ShowInDebrief $show,
    ): RedirectResponse|JsonResponse {
        $this->backTo(route('debriefs.present', $debriefing));
        $show(
            $debriefing,
            self::case($debriefing, $request->case()),
            $request->reveal(),
            $request->topic(),
            $request->moment(),
        );

        return $this->answer($request, $debriefing);
    }

    public function notes(
        SessionRequest $request,
        DebriefSession $debriefing,
        int $case,
        KeepDebriefCase $keep,
    ): RedirectResponse|JsonResponse {
        $this->backTo(route('debriefs.present', $debriefing));
        $of = self::case($debriefing, $case);
        if ($request->has('notes')) {
            $keep->notes($debriefing, $of, $request->string('notes')->value());
        }
        if ($request->has('position')) {
            $keep->move($debriefing, $of, $request->integer('position'));
        }

        return $this->answer($request, $debriefing);
    }

    public function put(SessionRequest $request, DebriefSession $debriefing, AskRoom $ask): RedirectResponse
    {
        $this->backTo(route('debriefs.present', $debriefing));
        $ask($debriefing, self::case($debriefing, $request->case()), $request->kind(), $request->fault());

        return redirect()->route('debriefs.present', $debriefing);
    }

    public function on(
        SessionRequest $request,
        DebriefSession $debriefing,
        DebriefQuestion $question,
        AskRoom $ask,
    ): RedirectResponse {
        $this->backTo(route('debriefs.present', $debriefing));
        abort_unless($debriefing->cases()->whereKey($question->debrief_case_id)->exists(), 404);
        $ask->on($debriefing, $question, $request->from());

        return redirect()->route('debriefs.present', $debriefing);
    }

    public function decide(SessionRequest $request, DebriefSession $debriefing, Decide $decide): RedirectResponse
    {
        $this->backTo($debriefing->isOpen()
            ? route('debriefs.present', $debriefing)
            : route('debriefs.minutes', $debriefing));
        $decide(
            $debriefing,
            $request->filled('case') ? self::case($debriefing, $request->case()) : null,
            $request->lies(),
            $request->string('what')->trim()->value(),
            User::query()->findOrFail($request->integer('owner')),
            $request->due(),
            $this->user(),
        );

        return back()->with('done', (string) __('notices.debrief.decided'));
    }

    public function done(SessionRequest $request, DebriefDecision $decision, Decide $decide): RedirectResponse
    {
        return $this->attempt(
            function () use ($request, $decision, $decide): void {
                $decide->done($decision, $request->string('outcome')->trim()->value(), $this->user());
            },
            (string) __('notices.debrief.done'),
        );
    }

    public function end(DebriefSession $debriefing, EndDebrief $end): RedirectResponse
    {
        $end($debriefing, $this->user());

        return redirect()->route('debriefs.minutes', $debriefing)->with('done', (string) __('notices.debrief.ended'));
    }

    public function minutes(DebriefSession $debriefing, MinutesPage $page): View
    {
        return view('debrief.minutes', $page->of($debriefing, $this->user()));
    }

    public function paper(DebriefSession $debriefing, MinutesPage $page): Response
    {
        $minutes = $page->of($debriefing, $this->user());

        return Pdf::of('debrief.paper', $minutes, 'minutes-'.$debriefing->started_at->format('Y-m-d'));
    }

    private static function case(DebriefSession $debriefing, int $case): DebriefCase
    {
        return $debriefing->cases()->whereKey($case)->firstOrFail();
    }

    private function answer(SessionRequest $request, DebriefSession $debriefing): RedirectResponse|JsonResponse
    {
        return $request->wantsJson()
            ? response()->json(['step' => $debriefing->refresh()->step])
            : redirect()->route('debriefs.present', $debriefing);
    }
}
