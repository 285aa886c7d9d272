<?php

declare(strict_types=1);

namespace App\Debrief\Http;

use App\Debrief\Pages\Debrief;
use App\Debrief\Pages\DebriefPage;
use App\Http\Controller;
use App\Models\Sitting;
use App\Sight\Onlookers;
use Core\Sight\SittingKind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** For the head coach at a projector: what people said of one case after the other, by letter before by name. */
final class DebriefController extends Controller
{
    public function index(): RedirectResponse|View
    {
        $round = Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', 'published')
            ->orderByDesc('published_at')
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
    ): View {
        if ($onlookers->of($this->user())->withheld($round) !== null) {
            return self::nothing('waits');
        }
        $order = $debrief->order($round, $this->user());
        if ($order === []) {
            return self::nothing('no-case');
        }
        $at = $order[$place - 1] ?? abort(404);

        return view('debrief.case', $page->of($round, $debrief->case($round, $at['place']), $place, $order));
    }

    /** @param  'no-round'|'waits'|'no-case'  $why */
    private static function nothing(string $why): View
    {
        return view('empty', ['title' => __('debrief.page'), 'text' => __("debrief.$why")]);
    }
}
