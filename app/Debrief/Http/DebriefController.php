<?php

declare(strict_types=1);

namespace App\Debrief\Http;

use App\Bench\Pages\EvidencePayload;
use App\Debrief\Debrief;
use App\Debrief\Pages\DebriefPage;
use App\Http\Controller;
use App\Models\CaseSwing;
use App\Models\Sitting;
use App\Sight\Onlookers;
use Core\Motion\View;
use Core\Sight\SittingKind;
use Illuminate\Contracts\View\View as Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** For the head coach at a projector: what people said of one case after the other, by letter before by name. */
final class DebriefController extends Controller
{
    public function index(): RedirectResponse|Page
    {
        $round = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->orderByDesc('published_at')
            ->orderByDesc('id')
            ->first();

        return $round === null ? self::nothing('no-round') : redirect()->route('debrief.first', $round);
    }

    public function first(Sitting $round): RedirectResponse
    {
        return redirect()->route('debrief', [$round, 1]);
    }

    public function show(
        Sitting $round,
        int $place,
        Debrief $debrief,
        DebriefPage $page,
        Onlookers $onlookers,
    ): Page {
        if ($onlookers->of($this->user())->withheld($round) !== null) {
            return self::nothing('waits');
        }
        $order = $debrief->order($round, $this->user());
        if ($order === []) {
            return self::nothing('no-case');
        }
        $at = $order[$place - 1] ?? abort(404);

        $case = $debrief->case($round, $at['place']);
        $onlooker = $onlookers->of($this->user());
        $film = $case->swings->every(static fn (CaseSwing $s): bool => $onlooker->mayShowRoom($s->recording_id));

        return view('debrief.case', $page->of($round, $case, $place, $order, $film));
    }

    /** One swing of a case for the room: its film only where the golfer has agreed to that. */
    public function evidence(
        Sitting $round,
        int $place,
        int $swing,
        Debrief $debrief,
        Onlookers $onlookers,
        EvidencePayload $payload,
    ): JsonResponse {
        $onlooker = $onlookers->of($this->user());
        abort_if($onlooker->withheld($round) !== null, 404);
        $at = $debrief->order($round, $this->user())[$place - 1] ?? abort(404);
        $recording = $debrief->case($round, $at['place'])->swings->values()->get($swing - 1)->recording ?? abort(404);

        return response()->json($payload->of(
            $recording,
            true,
            $onlooker->mayShowRoom($recording->id) ? [View::FaceOn, View::DownTheLine] : [],
            true,
            static fn (string $view, string $part): string => route('bench.film', [$recording, $view, $part], false),
        ));
    }

    /** @param  'no-round'|'waits'|'no-case'  $why */
    private static function nothing(string $why): Page
    {
        return view('empty', ['title' => __('debrief.page'), 'text' => __("debrief.$why")]);
    }
}
