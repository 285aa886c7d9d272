<?php

declare(strict_types=1);

namespace App\Debrief\Http;

use App\Bench\Pages\EvidencePayload;
use App\Debrief\Actions\CastVote;
use App\Debrief\Actions\JoinDebrief;
use App\Debrief\Pages\RoomPage;
use App\Debrief\Pages\VotePage;
use App\Exceptions\ActionException;
use App\Http\Controller;
use App\Models\DebriefCase;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\Recording;
use App\Shelf\Http\FilmPart;
use App\Sight\NotNow;
use App\Sight\RoomSight;
use Core\Motion\View as FilmView;
use Core\Sight\Thing;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A debrief as the room sees it, and as each who joined votes in it. */
final class RoomController extends Controller
{
    public function room(DebriefSession $debriefing, RoomPage $page): View
    {
        return view(
            'debrief.room',
            [...$page->of($debriefing, $this->user()), 'evidence' => $this->swing($debriefing)],
        );
    }

    /** What stands beside the swing, made anew whenever the presenter has shown something. */
    public function side(DebriefSession $debriefing, RoomPage $page): View
    {
        return view('debrief.room.side', $page->of($debriefing, $this->user()));
    }

    /** Whether there is something new: the step, the case, the moment. */
    public function state(DebriefSession $debriefing, VotePage $votes): JsonResponse
    {
        $shown = $debriefing->current()->first();

        return response()->json([
            'step' => $debriefing->step,
            'over' => ! $debriefing->isOpen(),
            'case' => $shown?->id,
            'swing' => $shown?->swing,
            't' => $shown?->moment,
            'voted' => $votes->given($debriefing),
        ]);
    }

    /** One swing of the case that is shown; its film only where the golfer agrees to a room. */
    public function evidence(
        DebriefSession $debriefing,
        int $case,
        int $swing,
        RoomSight $sight,
        EvidencePayload $payload,
    ): JsonResponse {
        [$recording, $film] = $this->recording($debriefing, $case, $swing, $sight);

        return response()->json($payload->of(
            $recording,
            true,
            $film ? [FilmView::FaceOn, FilmView::DownTheLine] : [],
            true,
            static fn (string $view, string $part): string => route(
                'debriefs.film',
                [$debriefing, $case, $swing, $view, $part],
                false,
            ),
        ));
    }

    public function film(
        DebriefSession $debriefing,
        int $case,
        int $swing,
        string $view,
        string $part,
        RoomSight $sight,
        FilmPart $films,
    ): Response {
        [$recording, $film] = $this->recording($debriefing, $case, $swing, $sight);
        abort_unless($film, 404);

        return $films->answer($recording, $view, $part);
    }

    public function enter(?string $code = null): View
    {
        return view('debrief.join', ['code' => $code !== null && preg_match('/^\d{6}$/', $code) === 1 ? $code : '']);
    }

    /** @throws ActionException */
    public function join(Request $request, JoinDebrief $join): RedirectResponse
    {
        $this->backTo(route('join'));
        $request->validate(['code' => ['required', 'string', 'regex:/^\s*\d{3}\s?\d{3}\s*$/']]);
        $debriefing = DebriefSession::query()
            ->whereNull('ended_at')
            ->where('code', $request->string('code')->replaceMatches('/\s/', '')->value())
            ->first() ?? throw ActionException::because('refusals.debrief.no-code');
        $join($debriefing, $this->user());

        return redirect()->route('debriefs.vote', $debriefing);
    }

    public function voter(Request $request, DebriefSession $debriefing, VotePage $votes, RoomSight $sight): View
    {
        $shown = $debriefing->isOpen() ? $debriefing->current()->with('case.swings')->first() : null;
        $why = $shown === null ? null : $sight->of($shown, $this->user(), true)->why;

        return view($request->has('part') ? 'debrief.vote.part' : 'debrief.vote', [
            'session' => $debriefing,
            'over' => ! $debriefing->isOpen(),
            'why' => $why === null ? null : (string) __("debrief.room.why.$why->value"),
            'vote' => $shown === null || $why !== null ? null : $votes->ofVoter($debriefing, $shown, $this->user()),
        ]);
    }

    /** @throws ActionException */
    public function cast(
        Request $request,
        DebriefSession $debriefing,
        DebriefQuestion $question,
        CastVote $cast,
    ): RedirectResponse|JsonResponse {
        $this->backTo(route('debriefs.vote', $debriefing));
        abort_unless($debriefing->cases()->whereKey($question->debrief_case_id)->exists(), 404);
        $request->validate(['answer' => ['required', 'string', 'max:40']]);
        $cast($debriefing, $question, $this->user(), $request->string('answer')->value());

        return $request->wantsJson()
            ? response()->json(['done' => true])
            : redirect()->route('debriefs.vote', $debriefing);
    }

    private function swing(DebriefSession $debriefing): ?string
    {
        return $debriefing->current_case_id === null
            ? null
            : route('debriefs.evidence', [$debriefing, $debriefing->current_case_id, 1], false);
    }

    /**
     * @return array{Recording, bool} and whether its film may be shown
     *
     * @throws NotNow
     */
    private function recording(DebriefSession $debriefing, int $case, int $swing, RoomSight $sight): array
    {
        // What is not on show is nobody's to fetch; the presenter has the other cases where they stand.
        abort_unless($debriefing->isOpen() && $debriefing->current_case_id === $case, 404);
        $shown = DebriefCase::query()->with('case.swings.recording.golfer')->findOrFail($case);
        $sees = $sight->of($shown, $this->user(), true);
        $sees->why === null || throw NotNow::because($sees->why);
        $recording = $shown->case->swings->values()->get($swing - 1)->recording ?? abort(404);

        return [$recording, $sees->shows(Thing::Film)];
    }
}
